import { createStore, del, get, set, type UseStore } from 'idb-keyval';
import type { Picture } from './tracing';

/** What was touched in a tree's pictures. */
export interface Touches {
  staff_cm: number;
  pictures: Picture[];
  pairs: { first: string; second: string | null }[];
}

/** A survey from photographs that was begun on this device: the pictures themselves, and what was touched in them. */
export interface PhotoDraft extends Touches {
  files: Blob[];
}

let store: UseStore | undefined;

function kept(): UseStore {
  store ??= createStore('umbel-photo-surveys', 'drafts');
  return store;
}

/** What was begun for a tree; nothing where the browser keeps nothing. */
export async function keptPhotoDraft(treeId: number): Promise<PhotoDraft | undefined> {
  try {
    return await get<PhotoDraft>(treeId, kept());
  } catch {
    return undefined;
  }
}

/** Keeps what was begun; whether it is kept. */
export async function keepPhotoDraft(treeId: number, draft: PhotoDraft): Promise<boolean> {
  try {
    await set(treeId, draft, kept());
    return true;
  } catch {
    return false;
  }
}

/** Forgets what was begun. */
export async function dropPhotoDraft(treeId: number): Promise<void> {
  try {
    await del(treeId, kept());
  } catch {
    // a browser that keeps nothing has nothing to forget
  }
}
