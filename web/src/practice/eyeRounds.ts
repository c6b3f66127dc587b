import type { EyeAnswer, EyeQuestion } from '../api/client';

const KEPT = 'umbel.eye-round';
const WAITING = 'umbel.eye-rounds-to-send';
const BEST = 'umbel.eye-best';
const MOST_WAITING = 50;

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

/** Answered rounds that the server has not got yet, the oldest first. */
export function waitingRounds(): EyeAnswer[][] {
  return read<EyeAnswer[][]>(WAITING, []);
}

/** Lays an answered round by until it can be sent. */
export function layBy(round: EyeAnswer[]): void {
  localStorage.setItem(WAITING, JSON.stringify([...waitingRounds(), round].slice(-MOST_WAITING)));
}

/** Sends what was laid by, one after the other; stops at the first that does not go. */
export async function sendRounds(send: (round: EyeAnswer[]) => Promise<unknown>): Promise<void> {
  for (let next = waitingRounds()[0]; next; next = waitingRounds()[0]) {
    await send(next);
    localStorage.setItem(WAITING, JSON.stringify(waitingRounds().slice(1)));
  }
}

/** The most drawings judged rightly in a minute on this device, this round's counted. */
export function bestWith(right: number): number {
  const best = Math.max(right, read<number>(BEST, 0));
  localStorage.setItem(BEST, JSON.stringify(best));
  return best;
}
