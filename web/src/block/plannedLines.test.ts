import { describe, expect, it } from 'vitest';
import type { PlannedLine } from '../api/client';
import { byGain, summed } from './plannedLines';

const line = (label: string, of: Partial<PlannedLine> = {}): PlannedLine => ({
  tree: 1,
  label,
  counted: false,
  steps: 3,
  minutes: 10,
  gain: 1,
  shadeBefore: 0.3,
  shadeAfter: 0.2,
  cropBefore: 10,
  cropAfter: 12,
  doubts: 0,
  plannedAt: '2026-11-30T02:00:00Z',
  stale: false,
  ...of,
});

const unplanned: PlannedLine = { tree: 2, label: 'K 1-2', counted: false, stale: false };

const LINES = [
  line('K 1-10', { steps: 0, minutes: 0, gain: 0 }),
  line('K 1-9', { gain: 0.5, stale: true }),
  unplanned,
  line('K 1-3', { gain: 2, doubts: 1, minutes: 14 }),
];

describe('the plans of a block', () => {
  it('put first where an hour gains most, and last what is not planned', () => {
    expect(byGain(LINES).map((one) => one.label)).toEqual(['K 1-3', 'K 1-9', 'K 1-10', 'K 1-2']);
  });

  it('go by place where nothing tells them apart', () => {
    const same = [line('K 1-10'), line('K 1-9')];
    expect(byGain(same).map((one) => one.label)).toEqual(['K 1-9', 'K 1-10']);
  });

  it('are added up', () => {
    expect(summed(LINES)).toEqual({
      trees: 2,
      steps: 6,
      minutes: 24,
      bestGain: 2,
      nothing: 1,
      unplanned: 1,
      stale: 1,
      doubtful: 1,
    });
  });
});
