import { describe, expect, it } from 'vitest';
import {
  classOf,
  countsOf,
  namesIn,
  nextId,
  withAnotherCount,
  withChanged,
  withClass,
  withCounts,
} from './countForm';

describe('counting on a form', () => {
  it('gives a new cane a name that is free', () => {
    expect(nextId([])).toBe('1');
    expect(nextId(['1', '3'])).toBe('4');
    expect(nextId(['2', '3'])).toBe('4');
    expect(nextId(['c1'], 'c')).toBe('c2');
  });

  it('changes one cane, keeps what it does not know, and leaves out what was emptied', () => {
    const canes = [{ id: '1', age_y: 3, own: 'kept' }, { id: '2' }] as { id: string; age_y?: number }[];
    expect(withChanged(canes, 0, { age_y: 4 })).toEqual([{ id: '1', age_y: 4, own: 'kept' }, { id: '2' }]);
    expect(withChanged(canes, 0, { age_y: undefined })[0]).toEqual({ id: '1', own: 'kept' });
  });

  it('counts a class of a row without losing the others', () => {
    const row = { length_m: 3, canes: [{ class: 'fruited', count: 20 }] };
    expect(classOf(row, 'new')).toEqual({ class: 'new', count: 0 });
    expect(withClass(row, 'new', { count: 40 }).canes).toEqual([
      { class: 'fruited', count: 20 },
      { class: 'new', count: 40 },
    ]);
    expect(withClass(row, 'fruited', { count: 21 }).canes).toEqual([{ class: 'fruited', count: 21 }]);
  });

  it('takes more counts along a row, and writes a single one as its own', () => {
    const row = { width_cm: 60, length_m: 2, canes: [{ class: 'new', count: 30 }] };
    const two = withAnotherCount(row);
    expect(two).toEqual({
      width_cm: 60,
      samples: [
        { length_m: 2, canes: [{ class: 'new', count: 30 }] },
        { length_m: 1, canes: [] },
      ],
    });
    expect(countsOf(two)).toHaveLength(2);
    expect(withCounts(two, countsOf(two).slice(0, 1))).toEqual(row);
    expect(countsOf(undefined)).toEqual([{ canes: [] }]);
  });

  it('reads names that are there from what was typed', () => {
    expect(namesIn('2, 5;9', ['2', '5'])).toEqual(['2', '5']);
    expect(namesIn('x', ['2'])).toBeUndefined();
  });
});
