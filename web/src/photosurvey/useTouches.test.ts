import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Touches } from './kept';
import { stepped, type History, type Step } from './useTouches';

const staff = (staff_cm: number): Touches => ({ staff_cm, pictures: [], pairs: [], gauge: {} });
const FIRST: History = { past: [], now: staff(0), future: [] };
const after = (steps: readonly Step[], from = FIRST) => steps.reduce(stepped, from);

describe('undo and redo of touches', () => {
  it('give back what was there, step by step', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 99 }), { minLength: 1, maxLength: 30 }), (lengths) => {
        const done = after(lengths.map((length) => ({ kind: 'set', next: staff(length) })));
        const undone = after(Array<Step>(lengths.length).fill({ kind: 'undo' }), done);
        expect(undone.now).toEqual(FIRST.now);
        expect(after(Array<Step>(lengths.length).fill({ kind: 'redo' }), undone).now).toEqual(done.now);
      }),
    );
  });

  it('have an end on both sides, and a new step leaves nothing to make again', () => {
    expect(stepped(FIRST, { kind: 'undo' })).toBe(FIRST);
    expect(stepped(FIRST, { kind: 'redo' })).toBe(FIRST);
    const other = after([
      { kind: 'set', next: staff(1) },
      { kind: 'undo' },
      { kind: 'set', next: staff(2) },
      { kind: 'redo' },
    ]);
    expect(other.now).toEqual(staff(2));
    expect(after([{ kind: 'begin', from: staff(7) }], other)).toEqual({
      past: [],
      now: staff(7),
      future: [],
    });
  });
});
