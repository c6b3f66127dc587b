import { createStore, del, entries, get, set, type UseStore } from 'idb-keyval';
import type { PracticeKit } from '../api/client';

/** An exercise that is kept on this device. */
export interface KeptKit {
  code: string;
  /** When it was kept, in milliseconds. */
  at: number;
  kit: PracticeKit;
}

/** A drawing with every cut takes some hundred kilobytes. */
const MOST_KEPT = 12;

let store: UseStore | undefined;

function kept(): UseStore {
  store ??= createStore('umbel-practice', 'kits');
  return store;
}

/** The exercises on this device, the newest first; none where the browser keeps nothing. */
export async function keptKits(): Promise<KeptKit[]> {
  try {
    return (await entries<string, KeptKit>(kept())).map(([, one]) => one).sort((a, b) => b.at - a.at);
  } catch {
    return [];
  }
}

/** An exercise that is kept on this device. */
export async function keptKit(code: string): Promise<PracticeKit | undefined> {
  try {
    return (await get<KeptKit>(code, kept()))?.kit;
  } catch {
    return undefined;
  }
}

/** Keeps an exercise for where there is no signal; the oldest give way. */
export async function keepKit(code: string, kit: PracticeKit): Promise<void> {
  await set(code, { code, at: Date.now(), kit } satisfies KeptKit, kept());
  for (const one of (await keptKits()).slice(MOST_KEPT)) await del(one.code, kept());
}
