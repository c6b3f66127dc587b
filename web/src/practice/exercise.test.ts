import { describe, expect, it } from 'vitest';
import type { Mark } from '../api/client';
import { acted, FRESH, marksOf, type Act } from './exercise';

const off = (limb: string): Mark => ({ operation: 'remove', limb });
const take = (mark: Mark): Act => ({ type: 'take', mark, together: {} });
const after = (...acts: Act[]) => acts.reduce(acted, FRESH);

describe('an attempt at an exercise', () => {
  it('points at a limb and takes it back', () => {
    expect(after({ type: 'point', limb: '3' }).pointed).toEqual(['3']);
    expect(after({ type: 'point', limb: '3' }, { type: 'point', limb: '3' }).pointed).toEqual([]);
  });

  it('keeps one mark a limb, and every step back', () => {
    const shorter: Mark = { operation: 'shorten', limb: '1', at_cm: 40 };
    const twice = after(take(off('1')), take(off('2')), take(shorter));
    expect(marksOf(twice)).toEqual([off('2'), shorter]);
    expect(marksOf(acted(twice, { type: 'undo' }))).toEqual([off('1'), off('2')]);
    expect(marksOf(acted(acted(twice, { type: 'undo' }), { type: 'redo' }))).toEqual(marksOf(twice));
  });

  it('forgets what was undone once something else is marked', () => {
    const other = after(take(off('1')), { type: 'undo' }, take(off('2')));
    expect(marksOf(other)).toEqual([off('2')]);
    expect(acted(other, { type: 'redo' })).toEqual(other);
  });

  it('counts hints from the last mark on', () => {
    const hinted = after({ type: 'hint' }, { type: 'hint' });
    expect(hinted.hints).toBe(2);
    expect(acted(hinted, take(off('1'))).hints).toBe(0);
  });

  it('begins anew', () => {
    expect(after(take(off('1')), { type: 'go', to: 'result' }, { type: 'anew' })).toBe(FRESH);
  });
});
