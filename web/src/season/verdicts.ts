/** The four verdicts in words, and how tall and dark they stand in a strip: never by colour alone. */
export const VERDICTS: Record<string, { word: string; height: number; fill: string }> = {
  not: { word: 'not', height: 0.12, fill: 'fill-line' },
  allowed: { word: 'allowed', height: 0.42, fill: 'fill-moss/45' },
  better: { word: 'better', height: 0.7, fill: 'fill-moss/70' },
  best: { word: 'best', height: 1, fill: 'fill-moss' },
};
