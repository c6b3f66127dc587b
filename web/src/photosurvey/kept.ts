import { createStore, del, get, set, type UseStore } from 'idb-keyval';
import type { Picture } from './tracing';
import type { WorkClock } from './workClock';

/** What pictures do not tell about a limb. */
export interface ByGauge {
  /** mm. */
  thickness?: number | undefined;
  uprights?: number | undefined;
}

/** What was touched in a tree's pictures, and entered beside it. */
export interface Touches {
  staff_cm: number;
  pictures: Picture[];
  pairs: { first: string; second: string | null }[];
  /** By the limb's name in the pictures. */
  gauge: Readonly<Record<string, ByGauge>>;
}

/** A survey from photographs that was begun on this device: the pictures themselves, and what was touched in them. */
export interface PhotoDraft extends Touches {
  files: PictureFile[];
  clock?: WorkClock;
}

/** A picture, and the name under which it is sent to be kept: sent again, it is kept once. */
export interface PictureFile {
  id: string;
  picture: Blob;
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
