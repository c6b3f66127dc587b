export type Outcome = 'as-planned' | 'changed' | 'skipped' | 'added' | 'left';

/** How a step went, in words. */
export const OUTCOME_WORDS: Record<Outcome, string> = {
  'as-planned': 'done as planned',
  changed: 'done otherwise',
  skipped: 'skipped',
  added: 'added at the tree',
  left: 'left for the next',
};
