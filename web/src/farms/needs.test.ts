import { describe, expect, it } from 'vitest';
import type { FarmLine } from '../api/client';
import { byNeed, matching } from './needs';

const farm = (name: string, counts: Partial<FarmLine> = {}): FarmLine => ({
  code: name,
  name,
  role: 'adviser',
  surveyed: 0,
  due: 0,
  overdue: 0,
  suggested: 0,
  doubtful: 0,
  ...counts,
});

describe('farms at a glance', () => {
  it('puts what is overdue before what is due, and that before what waits', () => {
    const order = byNeed([
      farm('Waiting', { suggested: 9 }),
      farm('Quiet'),
      farm('Due', { due: 2 }),
      farm('Late', { overdue: 1, due: 1 }),
      farm('Doubtful', { doubtful: 30 }),
    ]);
    expect(order.map((one) => one.name)).toEqual(['Late', 'Due', 'Waiting', 'Doubtful', 'Quiet']);
  });

  it('goes by name where nothing tells them apart', () => {
    expect(byNeed([farm('Elm'), farm('Ash')]).map((one) => one.name)).toEqual(['Ash', 'Elm']);
  });

  it('finds farms by all words of a search', () => {
    const farms = [farm('Halden Combe'), farm('Combe Bank')];
    expect(matching(farms, 'combe').length).toBe(2);
    expect(matching(farms, 'bank COMBE').map((one) => one.name)).toEqual(['Combe Bank']);
    expect(matching(farms, '  ').length).toBe(2);
  });
});
