import type { Unsent } from './decisions';

/** Marks that the server has not acknowledged, saved on this device from the click on, for each person who signs in on it. */
const PREFIX = 'umbel.marks';

const keyOf = (login: string, treeId: number) => `${PREFIX}.${login}.${treeId}`;

export function keepUnsent(login: string, treeId: number, unsent: Unsent): void {
  localStorage.setItem(keyOf(login, treeId), JSON.stringify(unsent));
}

export function dropUnsent(login: string, treeId: number): void {
  localStorage.removeItem(keyOf(login, treeId));
}

export function unsentOf(login: string, treeId: number): Unsent | null {
  try {
    const kept = localStorage.getItem(keyOf(login, treeId));
    return kept ? (JSON.parse(kept) as Unsent) : null;
  } catch {
    return null;
  }
}
