import type { components } from '../api/schema';

export type Household = components['schemas']['Household'];
export type HouseholdTold = components['schemas']['HouseholdTold'];
export type HouseholdTree = NonNullable<Household['trees']>[number];

export const WHEN = ['early', 'middle', 'late'] as const;
export const MOST_LINES = 24;

/** Where nobody has chosen yet: three kinds spread over the season along a fence. */
export const FIRST_HOUSEHOLD: Household = {
  latitude_deg: 47.6,
  people: 4,
  kgPerPersonMonth: 6,
  fence: { length_m: 24, height_m: 2.2 },
  trees: [
    { species: 'cherry-sweet', system: 'fan', ripens: 'early', blooms: 'middle', count: 1 },
    { species: 'apple', system: 'espalier', ripens: 'early', blooms: 'middle', count: 1 },
    { species: 'apple', system: 'espalier', ripens: 'late', blooms: 'middle', count: 2 },
    { species: 'pear', system: 'espalier', ripens: 'middle', blooms: 'middle', count: 1 },
  ],
};

/** What an address tells; null where it tells nothing that can be read. */
export function householdOf(text: string | null): Household | null {
  if (!text) return null;
  try {
    const read = JSON.parse(text) as Household | null;
    return read && Array.isArray(read.trees) ? read : null;
  } catch {
    return null;
  }
}

/** The wish with one line changed. */
export function withTree(wish: Household, at: number, part: Partial<HouseholdTree>): Household {
  return { ...wish, trees: (wish.trees ?? []).map((one, i) => (i === at ? { ...one, ...part } : one)) };
}

/** The wish with another cultivar of its last kind, which ripens at the next time. */
export function withAnother(wish: Household): Household {
  const trees = wish.trees ?? [];
  const last = trees.at(-1) ?? FIRST_HOUSEHOLD.trees?.[0] ?? {};
  const next = WHEN[(WHEN.findIndex((one) => one === last.ripens) + 1) % WHEN.length];
  return trees.length >= MOST_LINES
    ? wish
    : { ...wish, trees: [...trees, { ...last, ripens: next, count: 1 }] };
}

/** The wish without a line. */
export function withoutTree(wish: Household, at: number): Household {
  return { ...wish, trees: (wish.trees ?? []).filter((_, i) => i !== at) };
}

/** Months of a verdict. */
export function monthsOf(told: HouseholdTold, verdict: string): number[] {
  return told.months.filter((one) => one.verdict === verdict).map((one) => one.month);
}
