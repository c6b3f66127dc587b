import type { PracticeTreePage } from '../api/client';
import type { Act, Attempt } from './exercise';

/** What the parts of an exercise share. */
export interface Practising {
  code: string;
  page: PracticeTreePage;
  attempt: Attempt;
  act: (act: Act) => void;
}
