import { term } from '../text/term';
import { say } from '../text/say';
/** Phases of the year in plain words. */
export const PHASES: Record<string, string> = {
  get autumn() {
    return term('autumn');
  },
  get dormant() {
    return term('dormant');
  },
  get 'delayed-dormant'() {
    return say('phases.buds-swelling');
  },
  get bloom() {
    return term('bloom');
  },
  get 'early-summer'() {
    return say('phases.early-summer');
  },
  get summer() {
    return term('summer');
  },
  get 'late-summer'() {
    return say('phases.late-summer');
  },
  get 'after-harvest'() {
    return say('phases.after-harvest');
  },
};

/** The times of the year that work is planned for, in their order. */
export const PLANNED_PHASES = [
  'dormant',
  'delayed-dormant',
  'bloom',
  'early-summer',
  'summer',
  'after-harvest',
] as const;
