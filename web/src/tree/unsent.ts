import type { Unsent } from './decisions';

/** Marks that the server has not acknowledged, kept on this device from the click on. */
const PREFIX = 'umbel.marks.';

export function keepUnsent(treeId: number, unsent: Unsent): void {
  localStorage.setItem(`${PREFIX}${treeId}`, JSON.stringify(unsent));
}

export function dropUnsent(treeId: number): void {
  localStorage.removeItem(`${PREFIX}${treeId}`);
}

export function unsentOf(treeId: number): Unsent | null {
  try {
    const kept = localStorage.getItem(`${PREFIX}${treeId}`);
    return kept ? (JSON.parse(kept) as Unsent) : null;
  } catch {
    return null;
  }
}
