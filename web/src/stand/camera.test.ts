import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Drawing } from '../api/client';
import { Camera, facesRow, FIRST_VIEW, firstViewOf } from './camera';

const STAND = { top: 4, radius: 2 };
const SOUTH = new Camera(STAND, { ...FIRST_VIEW, tilt: 0 }, 900, 700);

function wall(rowBearingDeg: number, across: number): Drawing {
  const row = (rowBearingDeg * Math.PI) / 180;
  const tip = (along: number, out: number) => [
    along * Math.sin(row) + out * Math.cos(row),
    along * Math.cos(row) - out * Math.sin(row),
    1,
    0.01,
  ];
  const limb = (along: number, out: number) => ({
    kind: 'limb',
    points: [0, 0, 1, 0.02, ...tip(along, out)],
  });
  return {
    rowBearingDeg,
    axes: [limb(1.5, 0.1), limb(-1.5, 0), limb(0, across)],
  } as unknown as Drawing;
}

describe('the camera', () => {
  it('sees the east at the right and the west at the left from the south', () => {
    const trunk = SOUTH.see(0, 0, 1);
    expect(SOUTH.see(1, 0, 1).x).toBeGreaterThan(trunk.x);
    expect(SOUTH.see(-1, 0, 1).x).toBeLessThan(trunk.x);
    expect(trunk.x).toBeCloseTo(450, 9);
  });

  it('sees the south nearer and larger than the north', () => {
    const south = SOUTH.see(0, -1, 1);
    const north = SOUTH.see(0, 1, 1);
    expect(south.depth).toBeLessThan(north.depth);
    expect(south.scale).toBeGreaterThan(north.scale);
  });

  it('walks round the tree with the bearing', () => {
    const east = new Camera(STAND, { ...FIRST_VIEW, tilt: 0, bearing: Math.PI / 2 }, 900, 700);
    expect(east.see(0, 1, 1).x).toBeGreaterThan(east.see(0, 0, 1).x);
    expect(east.see(1, 0, 1).depth).toBeLessThan(east.see(-1, 0, 1).depth);
  });

  it('fits the whole tree between its margins', () => {
    for (const [width, height] of [
      [390, 300],
      [900, 700],
      [1280, 800],
    ] as const) {
      const camera = new Camera(STAND, { ...FIRST_VIEW, tilt: 0 }, width, height);
      expect(camera.see(0, 0, STAND.top).y).toBeGreaterThan(0);
      expect(camera.see(0, 0, 0).y).toBeLessThanOrEqual(height);
      expect(camera.see(-STAND.radius, 0, 1).x).toBeGreaterThan(0);
      expect(camera.see(STAND.radius, 0, 1).x).toBeLessThan(width);
    }
  });

  it('finds again in the world what it saw, from wherever it looks', () => {
    const metres = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        metres,
        metres,
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
        fc.double({ min: -0.4, max: 1.2, noNaN: true }),
        fc.double({ min: 0.5, max: 6, noNaN: true }),
        (x, y, z, bearing, tilt, zoom) => {
          const camera = new Camera(STAND, { bearing, tilt, zoom, panX: 30, panY: -20 }, 900, 700);
          const seen = camera.see(x, y, z);
          const found = camera.unsee(seen.x, seen.y, seen.depth);
          expect(found[0]).toBeCloseTo(x, 6);
          expect(found[1]).toBeCloseTo(y, 6);
          expect(found[2]).toBeCloseTo(z, 6);
        },
      ),
    );
  });

  it('enlarges with the zoom and shifts with the pan, and nothing else', () => {
    const near = new Camera(STAND, { ...FIRST_VIEW, tilt: 0, zoom: 2, panX: 40, panY: 10 }, 900, 700);
    const plain = SOUTH.see(1, 0, 2);
    const large = near.see(1, 0, 2);
    expect(large.scale / plain.scale).toBeCloseTo(2, 9);
    expect(large.x - 40 - 450).toBeCloseTo(2 * (plain.x - 450), 6);
    expect(near.heightY(0) - SOUTH.heightY(0)).toBeCloseTo(10, 9);
  });

  it('puts heights on the line of the trunk', () => {
    for (const z of [0, 1, 2.4, 4]) expect(SOUTH.heightY(z)).toBeCloseTo(SOUTH.see(0, 0, z).y, 9);
  });
});

describe('the first look', () => {
  it('is from the south at a tree that grows to all sides', () => {
    expect(firstViewOf(wall(90, 1.4))).toEqual(FIRST_VIEW);
  });

  it('is square on at a tree in one plane, whichever way its row runs', () => {
    for (const bearing of [0, 30, 90, 145]) {
      const view = firstViewOf(wall(bearing, 0.2));
      expect(view.bearing).toBeCloseTo((bearing * Math.PI) / 180 + Math.PI / 2, 9);
      expect(facesRow(view, bearing)).toBe(true);
      expect(facesRow({ ...view, bearing: (bearing * Math.PI) / 180 }, bearing)).toBe(false);
    }
  });
});
