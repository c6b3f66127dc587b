import { describe, expect, it } from 'vitest';
import { inForce, settingLine } from './schoolLine';

const school = { id: 'classic', name: '', why: '', lines: { bench: 0, renovationWinters: 3 }, switches: [] };

describe('a line of the school on a tree', () => {
  it('stands as the school says until it is set for the tree', () => {
    expect(inForce({}, school, 'bench')).toBe(0);
    expect(inForce({ schoolLines: { bench: 1 } }, school, 'bench')).toBe(1);
    expect(inForce({}, undefined, 'bench')).toBeUndefined();
  });

  it('keeps the others that were set', () => {
    expect(settingLine({ schoolLines: { bench: 1 }, winters: 2 }, 'headLeader', 0)).toEqual({
      schoolLines: { bench: 1, headLeader: 0 },
      winters: 2,
    });
  });

  it('is not held up by winters that were chosen for the plan before', () => {
    expect(inForce({ winters: 4 }, school, 'renovationWinters')).toBe(4);
    const set = settingLine({ winters: 4 }, 'renovationWinters', 1);
    expect(set.winters).toBeUndefined();
    expect(inForce(set, school, 'renovationWinters')).toBe(1);
  });
});
