import { describe, expect, it } from 'vitest';
import { besides } from './useCutWalk';

describe('the side from which a limb is looked at', () => {
  it('is a quarter turn from the limb, by the shorter way', () => {
    expect(besides(0.2, 0)).toBeCloseTo(Math.PI / 2, 9);
    expect(besides(-0.2, 0)).toBeCloseTo(-Math.PI / 2, 9);
    expect(besides(Math.PI, Math.PI / 2)).toBeCloseTo(Math.PI, 9);
  });

  it('goes on from however often the viewer has walked round', () => {
    const twice = besides(4 * Math.PI + 0.1, Math.PI / 2);
    expect(twice).toBeCloseTo(4 * Math.PI, 9);
  });
});
