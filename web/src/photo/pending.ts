import { keptAs } from '../api/farm';
import { createStore, del, entries, get, set, type UseStore } from 'idb-keyval';
import { sendPicture } from '../api/client';
import { Problem } from '../api/problem';

/** When a photograph was taken: before or after work, or beside any. */
export type Moment = 'before' | 'after' | 'seen';

/** A photograph on this phone that the server has not taken. */
export interface PendingPhoto {
  id: string;
  treeId: number;
  label: string;
  /** The visit it was taken on, by its own id. */
  visit: string;
  moment: Moment;
  takenOn: string;
  picture: Blob;
  /** Why the server did not take it; empty while it only waits. */
  refused: string;
}

/** Tells every page that what is kept here has changed. */
export const PHOTOS_CHANGED = 'umbel-photos';

let store: UseStore | undefined;

/** Pictures are too large for what visits are kept in. */
function kept(): UseStore {
  store ??= createStore(keptAs('umbel-photos'), 'pending');
  return store;
}

function told() {
  window.dispatchEvent(new Event(PHOTOS_CHANGED));
}

/** Every photograph on this phone, oldest first; none where the browser keeps nothing. */
export async function pendingPhotos(): Promise<PendingPhoto[]> {
  try {
    const all = await entries<string, PendingPhoto>(kept());
    return all.map(([, photo]) => photo).sort((a, b) => (a.id < b.id ? -1 : 1));
  } catch {
    return [];
  }
}

/** Keeps a photograph on the phone; fails where the browser keeps nothing, or has no room. */
export async function keepPhoto(photo: PendingPhoto): Promise<void> {
  await set(photo.id, photo, kept());
  told();
}

/** Says that a photograph was taken at another moment. */
export async function movePhoto(id: string, moment: Moment): Promise<void> {
  const photo = await get<PendingPhoto>(id, kept());
  if (photo) await keepPhoto({ ...photo, moment });
}

/** Forgets a photograph. */
export async function dropPhoto(id: string): Promise<void> {
  await del(id, kept());
  told();
}

/** Puts a refused photograph in line again. */
export async function photoAgain(id: string): Promise<void> {
  const photo = await get<PendingPhoto>(id, kept());
  if (photo) await keepPhoto({ ...photo, refused: '' });
}

/**
 * Sends the photographs of visits that are no longer open, oldest first; stops at the first that finds no signal. What is
 * refused stays, with the reason.
 *
 * @param isOpen whether a visit to a tree still goes on
 * @param who whose phone it is
 * @param asksAgain whether a status is no refusal of the photograph itself
 */
export async function sendPhotos(
  isOpen: (treeId: number, visit: string) => boolean,
  who: string,
  asksAgain: (status: number) => boolean,
): Promise<void> {
  for (const photo of await pendingPhotos()) {
    if (photo.refused !== '' || isOpen(photo.treeId, photo.visit)) continue;
    const { id, takenOn, moment, visit } = photo;
    try {
      const asked = new URLSearchParams({ clientId: id, takenOn, moment, visit, who });
      await sendPicture(`/api/trees/${photo.treeId}/photos?${asked.toString()}`, photo.picture);
      await dropPhoto(id);
    } catch (error) {
      if (!(error instanceof Problem) || asksAgain(error.status)) return;
      const why = error.errors.map((fault) => fault.message).join(' ') || error.message;
      await keepPhoto({ ...photo, refused: why });
    }
  }
}
