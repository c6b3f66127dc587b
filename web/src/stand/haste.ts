/**
 * How much is left out while a tree is turned: 0 nothing, as it stands still; 1 buds, spurs and every other lateral; 2 also the
 * neighbours and three of four laterals; 3 all laterals and the thin shoots.
 */
export type Haste = 0 | 1 | 2 | 3;

/** A picture that took longer than this is followed by a hastier one; well within a task of 50 ms. */
const LONG_MS = 38;
/** One that took less by a calmer one. */
const SHORT_MS = 14;

/** The haste of the next picture while the tree is turned, by how long the last one took. */
export function nextHaste(haste: Haste, tookMs: number): Haste {
  if (tookMs > LONG_MS) return haste >= 3 ? 3 : ((haste + 1) as Haste);
  if (tookMs < SHORT_MS) return haste <= 1 ? 1 : ((haste - 1) as Haste);
  return haste === 0 ? 1 : haste;
}

/** Of laterals, or leaves, numbered on: whether this one is drawn. */
export function isDrawn(index: number, haste: Haste): boolean {
  return haste < 3 && index % 2 ** haste === 0;
}
