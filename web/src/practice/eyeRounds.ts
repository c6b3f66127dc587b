import { keptAs } from '../api/farm';
import type { EyeAnswer, EyeQuestion } from '../api/client';
import { Outbox } from '../api/outbox';

const KEPT = 'umbel.eye-round';
const BEST = 'umbel.eye-best';

function read<T>(key: string, otherwise: T): T {
  try {
    const kept = localStorage.getItem(key);
    return kept ? (JSON.parse(kept) as T) : otherwise;
  } catch {
    return otherwise;
  }
}

/** Keeps a round on this device, so that there is one without signal. */
export function keepRound(language: string, questions: readonly EyeQuestion[]): void {
  localStorage.setItem(KEPT, JSON.stringify({ language, questions }));
}

/** The round that was kept in a language; null where there is none. */
export function keptRound(language: string): EyeQuestion[] | null {
  const kept = read<{ language?: string; questions?: EyeQuestion[] }>(KEPT, {});
  return kept.language === language && kept.questions ? kept.questions : null;
}

/** Answered rounds that the server has not got yet. */
export const eyeRounds = new Outbox<EyeAnswer[]>(keptAs('umbel.eye-rounds-to-send'), 50);

/** The most drawings judged rightly in a minute on this device, this round's counted. */
export function bestWith(right: number): number {
  const best = Math.max(right, read<number>(BEST, 0));
  localStorage.setItem(BEST, JSON.stringify(best));
  return best;
}
