import { keptAs } from '../api/farm';
import type { Mark } from '../api/client';
import { Outbox } from '../api/outbox';

/** An answer that was handed in where there was no signal. */
export interface HandedIn {
  /** Who worked on it; it is sent under no other name. */
  who: string;
  code: string;
  marks: Mark[];
  pointed: string[];
}

/** Answers that wait to be marked; of one exercise somebody's last answer counts. */
export const handedIn = new Outbox<HandedIn>(keptAs('umbel.practice-to-send'), 50, isSame);

/** Whether two answers are somebody's to the same exercise. */
export function isSame(one: Pick<HandedIn, 'who' | 'code'>, other: Pick<HandedIn, 'who' | 'code'>): boolean {
  return one.who === other.who && one.code === other.code;
}
