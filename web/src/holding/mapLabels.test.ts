import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeLabels, withLabels } from './mapLabels';

describe('labels of a map', () => {
  it('stay where they would where nothing is in the way', () => {
    const wishes = [
      { x: 10, y: 10, width: 40, height: 14 },
      { x: 200, y: 10, width: 40, height: 14 },
      { x: 10, y: 90, width: 40, height: 14 },
    ];
    expect(placeLabels(wishes)).toEqual(wishes.map(({ x, y }) => ({ x, y, moved: false })));
  });

  it('have room in the drawing wherever they stand', () => {
    const wishes = [{ x: 10, y: 90, width: 40, height: 14 }];
    expect(withLabels(300, 200, wishes, [{ x: 60, y: 90, moved: true }])).toEqual({
      left: 0,
      top: 0,
      width: 300,
      height: 200,
    });
    expect(withLabels(300, 200, wishes, [{ x: 10, y: 230, moved: true }])).toEqual({
      left: -10,
      top: 0,
      width: 310,
      height: 237,
    });
    expect(withLabels(300, 200, [], [])).toEqual({ left: 0, top: 0, width: 300, height: 200 });
  });

  it('never stand on one another, and never move sideways', () => {
    const label = fc.record({
      x: fc.integer({ min: 0, max: 300 }),
      y: fc.integer({ min: 0, max: 200 }),
      width: fc.integer({ min: 20, max: 120 }),
      height: fc.constant(28),
    });
    fc.assert(
      fc.property(fc.array(label, { maxLength: 14 }), (wishes) => {
        const placed = placeLabels(wishes);
        placed.forEach((one, i) => {
          expect(one.x).toBe(wishes[i]?.x);
          placed.slice(i + 1).forEach((other, j) => {
            const [a, b] = [wishes[i], wishes[i + 1 + j]];
            if (!a || !b) return;
            const apart =
              Math.abs(one.x - other.x) * 2 >= a.width + b.width ||
              Math.abs(one.y - other.y) * 2 >= a.height + b.height;
            expect(apart).toBe(true);
          });
        });
      }),
    );
  });
});
