import { createContext, useContext } from 'react';
import type { WhoIsHere } from '../api/client';

/** Who sits here, once the server has told. */
export const Who = createContext<WhoIsHere>({
  state: 'signed-out',
  name: '',
  role: '',
  language: 'en',
  codeNeeded: false,
});

export function useWho(): WhoIsHere {
  return useContext(Who);
}
