/** How long somebody has worked on pictures. */
export interface WorkClock {
  /** Milliseconds of work so far. */
  ms: number;
  /** When something was touched last; null before the first touch. */
  at: number | null;
}

export const NOT_BEGUN: WorkClock = { ms: 0, at: null };

/** A longer time between two touches is a pause and counts as this much. */
const LONGEST_MS = 20_000;

/** The clock after a touch. */
export function touchedAt({ ms, at }: WorkClock, now: number): WorkClock {
  return { ms: ms + (at === null ? 0 : Math.max(0, Math.min(LONGEST_MS, now - at))), at: now };
}
