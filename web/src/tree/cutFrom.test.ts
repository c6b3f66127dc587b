import { describe, expect, it } from 'vitest';
import type { Picked } from '../stand/paint';
import { cutFrom } from './cutFrom';

function at(along: number, axis: object): Picked {
  return {
    along,
    axis: {
      kind: 'limb',
      id: '3',
      limb: '3',
      length: 2,
      along: Float64Array.from([0, 0.8, 1.4, 2]),
      ages: Uint8Array.from([5, 3, 2, 1]),
      attitude: null,
      ...axis,
    },
  } as unknown as Picked;
}

describe('a cut pointed at', () => {
  it('near the union takes the limb', () => {
    expect(cutFrom(at(0.05, {}))).toEqual({ operation: 'remove', limb: '3' });
    expect(cutFrom(at(0.2, {}))).toEqual({ operation: 'remove', limb: '3' });
  });

  it('in older wood shortens it there, in last season’s growth heads it', () => {
    expect(cutFrom(at(1, {}))).toEqual({ operation: 'shorten', limb: '3', at_cm: 100 });
    expect(cutFrom(at(1.5, {}))).toEqual({ operation: 'shorten', limb: '3', at_cm: 150 });
    expect(cutFrom(at(2, { ages: Uint8Array.from([5, 3, 1, 1]) }))).toEqual({
      operation: 'head',
      limb: '3',
      at_cm: 198,
    });
  });

  it('on a shoot takes the shoots of its limb that point that way', () => {
    expect(cutFrom(at(0.1, { kind: 'shoot', limb: '3', attitude: 'side' }))).toEqual({
      operation: 'remove',
      limb: '3/shoots/side',
    });
    expect(cutFrom(at(0.1, { kind: 'shoot' }))?.limb).toBe('3/shoots/up');
  });

  it('on the trunk lowers the tree, in its upper half only', () => {
    const trunk = { kind: 'trunk', id: 'trunk', limb: 'trunk', length: 3 };
    expect(cutFrom(at(2.1, trunk))).toEqual({ operation: 'shorten', limb: 'trunk', at_cm: 210 });
    expect(cutFrom(at(1, trunk))).toBeNull();
    expect(cutFrom(at(2.99, trunk))).toBeNull();
  });

  it('on fruiting wood that nobody measured is none', () => {
    expect(cutFrom(at(0.1, { kind: 'fruiting-lateral' }))).toBeNull();
  });
});
