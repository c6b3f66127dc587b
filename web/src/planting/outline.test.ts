import { describe, expect, it } from 'vitest';
import { edgeOf, moved, rectangle, sides, windowOf, withCorner, withEdge, withoutCorner } from './outline';

describe('the outline of a field as it is drawn', () => {
  it('begins as a rectangle of the area', () => {
    const lengths = sides(rectangle(1.5)).map((one) => one.length);
    expect(lengths[0]).toBe(150);
    expect(lengths[1]).toBe(100);
    expect(lengths).toHaveLength(4);
  });

  it('is sent with what is left out, and read without the corner that closes it', () => {
    const hole = [
      [1, 1],
      [2, 1],
      [2, 2],
    ];
    const rings = [
      [
        [0, 0],
        [9, 0],
        [9, 9],
        [0, 0],
      ],
      hole,
    ];
    expect(edgeOf(rings)).toEqual([
      [0, 0],
      [9, 0],
      [9, 9],
    ]);
    expect(withEdge(rings, [[0, 0]])).toEqual([[[0, 0]], hole]);
    expect(edgeOf(undefined)).toEqual([]);
  });

  it('has its corners moved, added in the middle of a side, and taken away down to three', () => {
    const square = rectangle(0.0001).slice(0, 3);
    expect(moved(square, 1, [3.14159, -2])[1]).toEqual([3.14, -2]);
    const added = withCorner(
      [
        [0, 0],
        [4, 0],
        [4, 4],
      ],
      2,
    );
    expect(added).toHaveLength(4);
    expect(added[3]).toEqual([2, 2]);
    expect(withoutCorner(added, 3)).toHaveLength(3);
    expect(withoutCorner(withoutCorner(added, 3), 0)).toHaveLength(3);
  });

  it('is seen whole with room about it', () => {
    const seen = windowOf([
      [10, 0],
      [110, 0],
      [110, 50],
    ]);
    expect(seen.size).toBeCloseTo(140);
    expect(seen.left).toBeCloseTo(-10);
    expect(seen.top).toBeCloseTo(95);
  });
});
