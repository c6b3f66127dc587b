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
});

/** Whether whoever sits here may change more than marks: trees, blocks, surveys, records, season. */
export function useMayChange(): boolean {
  const { role } = useContext(Who);
  return role === 'grower' || role === 'foreman';
}

export function useWho(): WhoIsHere {
  return useContext(Who);
}
