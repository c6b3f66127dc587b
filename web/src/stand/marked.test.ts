import { describe, expect, it } from 'vitest';
import { cutsOf, flagsOf, limbsOf, movedOf, NOT_MOVED, type MarkedTree } from './marked';

const MARKED: MarkedTree = {
  cuts: [
    { axis: 4, kept: 0, mark: 0 },
    { axis: 7, kept: 0.6, mark: 1 },
  ],
  moved: [{ axis: 9, points: [1, 2, 3, 0.02], twigs: [] }],
  effects: [
    { mark: { operation: 'remove', limb: '2' }, flag: [0.1, 0.2, 1.5] },
    { mark: { operation: 'remove', limb: '3/shoots/up' }, flag: [] },
  ],
};

describe('a marked tree', () => {
  it('is the very same where nothing is bent', () => {
    expect(movedOf([])).toBe(NOT_MOVED);
    expect(movedOf(undefined)).toBe(NOT_MOVED);
    expect(movedOf(MARKED.moved).get(9)?.points).toEqual([1, 2, 3, 0.02]);
  });

  it('tells what is kept of each axis', () => {
    expect(cutsOf(undefined).size).toBe(0);
    expect(cutsOf(MARKED).get(7)).toEqual({ kept: 0.6, mark: 1 });
  });

  it('has a flag a mark, the chosen limb standing out, its shoots too', () => {
    expect(flagsOf(undefined, null)).toEqual([]);
    expect(flagsOf(MARKED, '3')).toEqual([
      { label: '1', at: [0.1, 0.2, 1.5], chosen: false },
      { label: '2', at: [0, 0, 0], chosen: true },
    ]);
    expect(flagsOf(MARKED, null).every((flag) => !flag.chosen)).toBe(true);
  });

  it('names limbs by themselves', () => {
    expect([...limbsOf(['3/shoots/up', '3', '1a'])]).toEqual(['3', '1a']);
  });
});
