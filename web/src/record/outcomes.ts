import { term } from '../text/term';
import { say } from '../text/say';
export type Outcome = 'as-planned' | 'changed' | 'skipped' | 'added' | 'left';

/** How a step went, in words. */
export const OUTCOME_WORDS: Record<Outcome, string> = {
  get 'as-planned'() {
    return say('outcomes.done-as-planned');
  },
  get changed() {
    return say('outcomes.done-otherwise');
  },
  get skipped() {
    return term('skipped');
  },
  get added() {
    return say('outcomes.added-at-the-tree');
  },
  get left() {
    return say('outcomes.left-for-the-next');
  },
};
