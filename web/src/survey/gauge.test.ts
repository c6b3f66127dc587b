import { describe, expect, it } from 'vitest';
import { pointing } from './gauge';

describe('a phone laid along a limb', () => {
  it('tells the angle from upright', () => {
    expect(pointing({ beta: 90 } as never)?.angle).toBeCloseTo(0, 6);
    expect(pointing({ beta: 0 } as never)?.angle).toBeCloseTo(90, 6);
    expect(pointing({ beta: 30 } as never)?.angle).toBeCloseTo(60, 6);
    expect(pointing({ beta: -60 } as never)?.angle).toBeCloseTo(150, 6);
  });

  it('tells the bearing by its compass where it has one', () => {
    expect(pointing({ beta: 20, alpha: 270 } as never)?.bearing).toBe(90);
    expect(pointing({ beta: 20, alpha: 270, webkitCompassHeading: 12 } as never)?.bearing).toBe(12);
    expect(pointing({ beta: 20 } as never)?.bearing).toBeNull();
    expect(pointing({ beta: 160, alpha: 0 } as never)?.bearing).toBe(180);
  });

  it('tells nothing where there is no sensor', () => {
    expect(pointing({} as never)).toBeNull();
  });
});
