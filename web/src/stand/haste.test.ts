import { describe, expect, it } from 'vitest';
import { firstHaste, isDrawn, nextHaste, sharpness, tells, type Haste } from './haste';

describe('what is left out while a tree is turned', () => {
  it('grows while pictures take long, until they fit a task, and shrinks where there is time', () => {
    // pictures that take 80, 55, 40 and 30 ms by how much is left out
    const took = [80, 55, 40, 30];
    let haste: Haste = 0;
    const seen: number[] = [];
    for (let i = 0; i < 6; i++) {
      haste = nextHaste(haste, took[haste] ?? 0);
      seen.push(haste);
    }
    expect(seen).toEqual([1, 2, 3, 3, 3, 3]);
    expect(nextHaste(3, 5)).toBe(2);
    expect(nextHaste(1, 5)).toBe(1);
    expect(nextHaste(2, 20)).toBe(2);
  });

  it('halves the laterals with each step and draws none at last', () => {
    const drawn = ([0, 1, 2, 3] as const).map(
      (haste) => Array.from({ length: 100 }, (_, i) => i).filter((i) => isDrawn(i, haste)).length,
    );
    expect(drawn).toEqual([100, 50, 25, 0]);
  });

  it('draws some of the small wood that tells something, however hasty', () => {
    const told = ([0, 1, 2, 3] as const).map(
      (haste) => Array.from({ length: 96 }, (_, i) => i).filter((i) => tells(i, haste)).length,
    );
    expect(told).toEqual([96, 48, 24, 12]);
  });

  it('begins with what the still picture took, and is coarser only when most is left out', () => {
    expect([30, 100, 157].map(firstHaste)).toEqual([1, 2, 3]);
    expect(([0, 1, 2, 3] as const).map(sharpness)).toEqual([1, 1, 1, 0.7]);
  });
});
