import { term } from '../text/term';
/** The four verdicts in words, and how tall and dark they stand in a strip: never by colour alone. */
export const VERDICTS: Record<string, { word: string; height: number; fill: string }> = {
  not: {
    get word() {
      return term('not');
    },
    height: 0.12,
    fill: 'fill-line',
  },
  allowed: {
    get word() {
      return term('allowed');
    },
    height: 0.42,
    fill: 'fill-moss/45',
  },
  better: {
    get word() {
      return term('better');
    },
    height: 0.7,
    fill: 'fill-moss/70',
  },
  best: {
    get word() {
      return term('best');
    },
    height: 1,
    fill: 'fill-moss',
  },
};
