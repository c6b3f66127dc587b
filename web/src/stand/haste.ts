/**
 * How much is left out while a tree is turned: 0 nothing, as it stands still; 1 buds, spurs and every other lateral; 2 also the
 * neighbours and three of four laterals; 3 all laterals and the thin shoots, and the picture is coarser.
 */
export type Haste = 0 | 1 | 2 | 3;

/** A picture that took longer than this is followed by a hastier one; well within a task of 50 ms. */
const LONG_MS = 38;
/** One that took less by a calmer one. */
const SHORT_MS = 14;

/** A picture with nothing left out that took longer than this is turned with more left out from the beginning. */
const STILL_LONG_MS = [80, 120] as const;
/** Pixels of the hastiest picture for one of the screen's, each way: laying leaf down takes most of the time. */
const COARSE = 0.7;

/** The haste of the first picture when the tree is turned, by how long the last one took with nothing left out. */
export function firstHaste(stillMs: number): Haste {
  return (1 + STILL_LONG_MS.filter((limit) => stillMs > limit).length) as Haste;
}

/** Pixels painted for one of the screen's, each way. */
export function sharpness(haste: Haste): number {
  return haste === 3 ? COARSE : 1;
}

/** The haste of the next picture while the tree is turned, by how long the last one took. */
export function nextHaste(haste: Haste, tookMs: number): Haste {
  if (tookMs > LONG_MS) return haste >= 3 ? 3 : ((haste + 1) as Haste);
  if (tookMs < SHORT_MS) return haste <= 1 ? 1 : ((haste - 1) as Haste);
  return haste === 0 ? 1 : haste;
}

/** Of laterals numbered on: whether this one is drawn. */
export function isDrawn(index: number, haste: Haste): boolean {
  return haste < 3 && tells(index, haste);
}

/** Of small wood numbered on: whether this one tells its light, its buds or how it was measured; some always do. */
export function tells(index: number, haste: Haste): boolean {
  return index % 2 ** haste === 0;
}
