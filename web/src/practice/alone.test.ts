import { describe, expect, it } from 'vitest';
import type { Mark, PracticeKit, UnderMarks } from '../api/client';
import { aloneOn, together } from './alone';

const remove = (limb: string): Mark => ({ operation: 'remove', limb });

function alone(mark: Mark, minutes: number, wood: number, big: number, cuts: [number, number][]): UnderMarks {
  return {
    totals: { minutes, woodShare: wood, bigCuts: big },
    cuts: cuts.map(([axis, kept]) => ({ axis, kept, mark: 0 })),
    moved: [],
    effects: [{ mark, title: `${mark.operation ?? ''} ${mark.limb ?? ''}` }],
  } as unknown as UnderMarks;
}

const head: Mark = { operation: 'head', limb: '1' };
const kit = {
  alone: {
    '1': [
      alone(remove('1'), 2, 0.1, 1, [
        [3, 0],
        [4, 0],
      ]),
      alone(head, 0.5, 0.02, 0, [[3, 0.4]]),
    ],
    '2': [
      alone(remove('2'), 1, 0.05, 0, [
        [7, 0],
        [4, 0.2],
      ]),
    ],
  },
} as unknown as PracticeKit;

describe('an exercise without signal', () => {
  it('offers for a limb what can be done to it', () => {
    expect(aloneOn(kit, '1').map((one) => one.title)).toEqual(['remove 1', 'head 1']);
    expect(aloneOn(kit, '9')).toEqual([]);
  });

  it('adds up what marks do, and keeps of an axis what the lowest cut leaves', () => {
    const both = together(kit, [remove('1'), remove('2')]);
    expect(both.totals).toEqual({ minutes: 3, woodShare: expect.closeTo(0.15, 9) as number, bigCuts: 1 });
    expect(both.effects.map((one) => one.title)).toEqual(['remove 1', 'remove 2']);
    expect(both.cuts).toEqual([
      { axis: 3, kept: 0, mark: 0 },
      { axis: 4, kept: 0, mark: 0 },
      { axis: 7, kept: 0, mark: 1 },
    ]);
    expect(together(kit, [remove('2'), remove('1')]).cuts).toContainEqual({ axis: 4, kept: 0, mark: 1 });
    expect(together(kit, []).totals).toEqual({ minutes: 0, woodShare: 0, bigCuts: 0 });
  });
});
