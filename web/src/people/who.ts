import { keptAs } from '../api/farm';
import { createContext, useContext } from 'react';
import type { WhoIsHere } from '../api/client';

/** Who sits here, once the server has told. */
export const Who = createContext<WhoIsHere>({
  state: 'signed-out',
  login: '',
  name: '',
  role: '',
  language: 'en',
  codeNeeded: false,
  farm: '',
  farmName: '',
  farms: 0,
  keeper: false,
});

/** Whether whoever sits here may change more than marks: trees, blocks, surveys, records, season. */
export function useMayChange(): boolean {
  const { role } = useContext(Who);
  return role === 'grower' || role === 'foreman';
}

export function useWho(): WhoIsHere {
  return useContext(Who);
}

const LAST = keptAs('umbel.last-here');

/** Remembers on this device who sits here, for where there is no signal. */
export function keepHere(who: WhoIsHere): void {
  localStorage.setItem(LAST, JSON.stringify(who));
}

/** Who sat here last, as far as this device remembers. */
export function lastHere(): WhoIsHere | null {
  try {
    return JSON.parse(localStorage.getItem(LAST) ?? 'null') as WhoIsHere | null;
  } catch {
    return null;
  }
}
