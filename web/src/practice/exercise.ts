import type { Decisions, Mark } from '../api/client';
import { taking, unmarking } from '../tree/decisions';

/** How far an exercise is: looking for what is wrong, deciding, or marked. */
export type Stage = 'look' | 'cut' | 'result';

/** What somebody has done on an exercise so far. */
export interface Attempt {
  stage: Stage;
  /** Limbs at which something was said to be wrong. */
  pointed: string[];
  past: Mark[][];
  now: number;
  /** How many hints were asked for since the last mark. */
  hints: number;
}

export type Act =
  | { type: 'point'; limb: string }
  | { type: 'go'; to: Stage }
  | { type: 'take'; mark: Mark; together: Record<string, string[]> }
  | { type: 'unmark'; key: string }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'hint' }
  | { type: 'anew' };

export const FRESH: Attempt = { stage: 'look', pointed: [], past: [[]], now: 0, hints: 0 };

/** The marks as they stand. */
export function marksOf(attempt: Attempt): Mark[] {
  return attempt.past[attempt.now] ?? [];
}

/** What an act makes of an attempt. */
export function acted(attempt: Attempt, act: Act): Attempt {
  switch (act.type) {
    case 'point':
      return {
        ...attempt,
        pointed: attempt.pointed.includes(act.limb)
          ? attempt.pointed.filter((limb) => limb !== act.limb)
          : [...attempt.pointed, act.limb],
      };
    case 'go':
      return { ...attempt, stage: act.to };
    case 'take':
      return stepped(attempt, (decisions) => taking(decisions, act.mark, act.together));
    case 'unmark':
      return stepped(attempt, (decisions) => unmarking(decisions, act.key));
    case 'undo':
      return { ...attempt, now: Math.max(0, attempt.now - 1) };
    case 'redo':
      return { ...attempt, now: Math.min(attempt.past.length - 1, attempt.now + 1) };
    case 'hint':
      return { ...attempt, hints: attempt.hints + 1 };
    case 'anew':
      return FRESH;
  }
}

function stepped(attempt: Attempt, change: (decisions: Decisions) => Decisions): Attempt {
  const next = change({ marks: marksOf(attempt) }).marks ?? [];
  const past = [...attempt.past.slice(0, attempt.now + 1), next];
  return { ...attempt, past, now: past.length - 1, hints: 0 };
}

const PREFIX = 'umbel-practice-';

/** The attempt that was left on this device, or a fresh one. */
export function keptAttempt(code: string): Attempt {
  try {
    const kept = localStorage.getItem(PREFIX + code);
    return kept ? { ...FRESH, ...(JSON.parse(kept) as Attempt) } : FRESH;
  } catch {
    return FRESH;
  }
}

/** Keeps an attempt on this device; a fresh one needs no keeping. */
export function keepAttempt(code: string, attempt: Attempt): void {
  if (attempt === FRESH) localStorage.removeItem(PREFIX + code);
  else localStorage.setItem(PREFIX + code, JSON.stringify(attempt));
}
