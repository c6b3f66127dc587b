import { limbOf } from '../api/marks';
import type { Picked } from '../stand/paint';
import { say } from '../text/say';
import { cutFrom } from './cutFrom';

/** What a cut at the place under the pointer would be, in a few words. */
export function cutWords(hit: Picked): string {
  const mark = cutFrom(hit);
  if (!mark) {
    return say('tree-desk.the-leader-is-cut-higher');
  }
  if (mark.operation === 'remove') {
    return (mark.limb ?? '').includes('/')
      ? say('tree-desk.take-these-shoots-on-limb', { limbOf: limbOf(mark) })
      : say('tree-desk.remove-limb-limbof', { limbOf: limbOf(mark) });
  }
  return say('tree-desk.operation-limbof-at-atcm-cm', {
    operation: mark.operation ?? '',
    limbOf: limbOf(mark),
    atcm: Math.round(mark.at_cm ?? 0),
  });
}
