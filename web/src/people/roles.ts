import type { useSay } from '../text/say';

/** The roles there are, with what each may do. */
export function roles(say: ReturnType<typeof useSay>): [string, string][] {
  return [
    ['grower', say('accounts-page.grower-everything')],
    ['foreman', say('accounts-page.foreman-all-the-work')],
    ['pruner', say('accounts-page.pruner-the-sheets-of-the')],
    ['adviser', say('accounts-page.adviser-reads-and-marks')],
  ];
}
