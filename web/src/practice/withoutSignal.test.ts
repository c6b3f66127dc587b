import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Mark, PracticeKit, UnderMarks } from '../api/client';
import { Problem } from '../api/problem';
import { aloneOn, together } from './alone';
import { forgetAnswer, layAnswerBy, sendAnswers, waitingAnswers } from './handedIn';

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

describe('answers handed in without signal', () => {
  beforeEach(() => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
    });
  });

  const handed = (who: string, code: string, limb: string) => ({
    who,
    code,
    marks: [remove(limb)],
    pointed: [],
  });

  it('keeps the last answer to an exercise, of each person', () => {
    layAnswerBy(handed('ana', 'a', '1'));
    layAnswerBy(handed('ben', 'a', '2'));
    layAnswerBy(handed('ana', 'a', '3'));
    expect(waitingAnswers()).toEqual([handed('ben', 'a', '2'), handed('ana', 'a', '3')]);
    forgetAnswer('ana', 'a');
    expect(waitingAnswers()).toEqual([handed('ben', 'a', '2')]);
  });

  it('sends those of one person, stops where there is no signal, and drops what is refused for good', async () => {
    layAnswerBy(handed('ana', 'refused', '1'));
    layAnswerBy(handed('ben', 'other', '1'));
    layAnswerBy(handed('ana', 'taken', '1'));
    layAnswerBy(handed('ana', 'no-signal', '1'));
    layAnswerBy(handed('ana', 'not-reached', '1'));
    const asked: string[] = [];
    await sendAnswers('ana', ({ code }) => {
      asked.push(code);
      if (code === 'refused') return Promise.reject(new Problem('no such tree', 404, []));
      if (code === 'no-signal') return Promise.reject(new TypeError('Failed to fetch'));
      return Promise.resolve();
    });
    expect(asked).toEqual(['refused', 'taken', 'no-signal']);
    expect(waitingAnswers().map((one) => one.code)).toEqual(['other', 'no-signal', 'not-reached']);
  });
});
