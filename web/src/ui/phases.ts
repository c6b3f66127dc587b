/** Phases of the year in plain words. */
export const PHASES: Record<string, string> = {
  autumn: 'autumn',
  dormant: 'dormant',
  'delayed-dormant': 'buds swelling',
  bloom: 'bloom',
  'early-summer': 'early summer',
  summer: 'summer',
  'late-summer': 'late summer',
  'after-harvest': 'after harvest',
};
