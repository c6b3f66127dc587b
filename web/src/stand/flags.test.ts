import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Camera, FIRST_VIEW } from './camera';
import { flagAt, placeFlags, type Flag, type Placed } from './flags';
import { lineWords } from './staff';

const CAMERA = new Camera({ top: 4, radius: 2 }, FIRST_VIEW, 900, 700);

function flag(label: string, at: [number, number, number]): Flag {
  return { label, at, chosen: false };
}

function named(placed: Placed[], label: string): Placed {
  const one = placed.find((other) => other.flag.label === label);
  if (!one) throw new Error(label);
  return one;
}

/** Whether two strips of tape of 30 by 20 pixels lie over one another. */
function overlap(a: Placed, b: Placed): boolean {
  const left = (one: Placed) => (one.right ? one.x : one.x - 30);
  return Math.abs(left(a) - left(b)) < 30 && Math.abs(a.y - b.y) < 20 - 1e-6;
}

describe('flags at cuts', () => {
  it('hang to the side of the tree their cut is on, and are tied at it', () => {
    const placed = placeFlags([flag('1', [1, 0, 2]), flag('2', [-1, 0, 2])], CAMERA);
    const tie = CAMERA.see(1, 0, 2);
    expect(named(placed, '1')).toMatchObject({ right: true, tieX: tie.x, tieY: tie.y });
    expect(named(placed, '1').x).toBeGreaterThan(tie.x);
    expect(named(placed, '2').right).toBe(false);
    expect(named(placed, '2').x).toBeLessThan(CAMERA.see(-1, 0, 2).x);
  });

  it('do not hide one another, however close two cuts are', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 1.8, noNaN: true }),
        fc.double({ min: 0.5, max: 3.5, noNaN: true }),
        fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        fc.double({ min: -0.02, max: 0.02, noNaN: true }),
        (x, z, dx, dz) => {
          const [one, other] = placeFlags([flag('1', [x, 0, z]), flag('2', [x + dx, 0, z + dz])], CAMERA);
          expect(one && other && overlap(one, other)).toBe(false);
        },
      ),
    );
  });

  it('of a row of cuts on one limb keep the order of their cuts', () => {
    const placed = placeFlags(
      [0, 1, 2, 3].map((i) => flag(String(i), [1, 0, 2 + 0.03 * i])),
      CAMERA,
    );
    const heights = placed.map((one) => one.y);
    expect(heights).toEqual([...heights].sort((a, b) => b - a));
  });

  it('give way to the words of a height line at the left', () => {
    const at: [number, number, number] = [-1.9, 0, 2.5];
    const alone = placeFlags([flag('1', at)], CAMERA);
    const words = [named(alone, '1').y + 2];
    const [moved] = placeFlags([flag('1', at)], CAMERA, words);
    expect(named(alone, '1').x).toBeLessThan(240);
    expect(Math.abs((moved?.y ?? 0) - (words[0] ?? 0))).toBeGreaterThanOrEqual(20);
  });

  it('are found under the pointer, the later one on top', () => {
    const placed = placeFlags([flag('1', [1, 0, 2]), flag('2', [-1, 0, 1])], CAMERA);
    const second = named(placed, '2');
    expect(flagAt(placed, second.x - 15, second.y)).toBe(placed.indexOf(second));
    expect(flagAt(placed, second.x + 15, second.y)).toBeNull();
    expect(flagAt([], 10, 10)).toBeNull();
  });
});

describe('words of height lines', () => {
  it('are given way to only where they stand at the left, under the name of the tree', () => {
    const low = { at: 1, text: 'reach from the ground' };
    const high = { at: 4, text: 'too high to stand beside the name' };
    const words = lineWords(CAMERA, [low, high]);
    expect(words).toEqual([CAMERA.heightY(1) - 9]);
  });
});
