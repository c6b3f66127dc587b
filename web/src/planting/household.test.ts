import { describe, expect, it } from 'vitest';
import {
  FIRST_HOUSEHOLD,
  householdOf,
  monthsOf,
  MOST_LINES,
  withAnother,
  withoutTree,
  withTree,
  type HouseholdTold,
} from './household';

describe('trees wished for a house', () => {
  it('are read from an address that holds them', () => {
    expect(householdOf(JSON.stringify(FIRST_HOUSEHOLD))).toEqual(FIRST_HOUSEHOLD);
    for (const broken of [null, '', '{', 'null', '{"trees":3}']) expect(householdOf(broken)).toBeNull();
  });

  it('are changed a line at a time', () => {
    const changed = withTree(FIRST_HOUSEHOLD, 1, { count: 3 });
    expect(changed.trees?.map((one) => one.count)).toEqual([1, 3, 2, 1]);
    expect(withoutTree(changed, 0).trees?.map((one) => one.count)).toEqual([3, 2, 1]);
  });

  it('get another cultivar that ripens at another time, up to a limit', () => {
    const more = withAnother(FIRST_HOUSEHOLD);
    expect(more.trees?.at(-1)).toMatchObject({ species: 'pear', ripens: 'late', count: 1 });
    expect(withAnother(more).trees?.at(-1)?.ripens).toBe('early');
    let many = FIRST_HOUSEHOLD;
    for (let i = 0; i < 40; i++) many = withAnother(many);
    expect(many.trees).toHaveLength(MOST_LINES);
    expect(withAnother({ trees: [] }).trees).toHaveLength(1);
  });

  it('tell the months of a verdict', () => {
    const months = ['gap', 'glut', 'gap'].map((verdict, i) => ({ month: i + 5, kg: 1, wanted: 2, verdict }));
    expect(monthsOf({ months } as HouseholdTold, 'gap')).toEqual([5, 7]);
  });
});
