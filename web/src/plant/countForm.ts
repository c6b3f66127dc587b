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

/** The canes of a class in a row, an empty count where nobody counted them. */
export function classOf(row: CountSurvey['row'], name: string): RowCanes {
  return row?.canes?.find((canes) => canes.class === name) ?? { class: name, count: 0 };
}

/** A row with the canes of a class counted anew; the other classes stay. */
export function withClass(
  row: CountSurvey['row'],
  name: string,
  part: Partial<RowCanes>,
): CountSurvey['row'] {
  const canes = row?.canes ?? [];
  const next = without({ ...classOf(row, name), ...part });
  const others = canes.filter((one) => one.class !== name);
  return { ...row, canes: [...others, next] };
}

/** A bush a year later: every cane a year older, what was marked unsound still to be looked at. */
export function yearLater(survey: CountSurvey): CountSurvey {
  return survey.canes
    ? {
        ...survey,
        plant: { ...survey.plant, leaf: (survey.plant?.leaf ?? 0) + 1 },
        canes: survey.canes.map((cane) => (cane.age_y == null ? cane : { ...cane, age_y: cane.age_y + 1 })),
      }
    : survey;
}
