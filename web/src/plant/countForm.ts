import type { CountSurvey } from '../api/client';

export type BushCane = NonNullable<CountSurvey['canes']>[number];
export type RowCanes = NonNullable<NonNullable<CountSurvey['row']>['canes']>[number];
export type VineCane = NonNullable<NonNullable<CountSurvey['vine']>['canes']>[number];

/** A list with one of its members changed; parts that became undefined are left out. */
export function withChanged<T extends object>(list: readonly T[], at: number, part: Partial<T>): T[] {
  return list.map((one, i) => (i === at ? without({ ...one, ...part }) : one));
}

/** An object without what is undefined. */
export function without<T extends object>(one: T): T {
  return Object.fromEntries(Object.entries(one).filter(([, value]) => value !== undefined)) as T;
}

/** The next free number among ids. */
export function nextId(ids: readonly string[], prefix = ''): string {
  let number = ids.length + 1;
  while (ids.includes(`${prefix}${number}`)) number += 1;
  return `${prefix}${number}`;
}

/** The canes of a class in a count, an empty one where nobody counted them. */
export function classOf(count: Pick<RowSample, 'canes'> | undefined, name: string): RowCanes {
  return count?.canes?.find((canes) => canes.class === name) ?? { class: name, count: 0 };
}

/** A count with the canes of a class counted anew; the other classes stay. */
export function withClass(count: RowSample, name: string, part: Partial<RowCanes>): RowSample {
  const canes = count.canes ?? [];
  const next = without({ ...classOf(count, name), ...part });
  const others = canes.filter((one) => one.class !== name);
  return { ...count, canes: [...others, next] };
}

export type RowSample = NonNullable<NonNullable<CountSurvey['row']>['samples']>[number];

const A_METRE = 1;

/** The counts along a row: its samples, or the one there is. */
export function countsOf(row: CountSurvey['row']): RowSample[] {
  return row?.samples && row.samples.length > 0
    ? row.samples
    : [without({ length_m: row?.length_m, canes: row?.canes ?? [] })];
}

/** A row with these counts; a single one is written as the row's own. */
export function withCounts(row: CountSurvey['row'], counts: readonly RowSample[]): CountSurvey['row'] {
  const [only] = counts;
  return without({
    ...row,
    length_m: counts.length === 1 ? only?.length_m : undefined,
    canes: counts.length === 1 ? (only?.canes ?? []) : undefined,
    samples: counts.length === 1 ? undefined : [...counts],
  });
}

/** One more count of a metre, elsewhere along the row. */
export function withAnotherCount(row: CountSurvey['row']): CountSurvey['row'] {
  return withCounts(row, [...countsOf(row), { length_m: A_METRE, canes: [] }]);
}

/** The names in a list somebody typed, of those there are. */
export function namesIn(typed: string, known: readonly string[]): string[] | undefined {
  const names = typed.split(/[\s,;]+/).filter((name) => known.includes(name));
  return names.length > 0 ? names : undefined;
}
