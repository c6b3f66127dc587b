import { describe, expect, it } from 'vitest';
import type { AxisLine, Drawing } from '../api/client';
import { prepare, radiusOf, type StandAxis } from './geometry';

function axis(part: Partial<AxisLine>): AxisLine {
  return {
    id: '',
    limb: '',
    kind: 'limb',
    parent: -1,
    at: 0,
    length: 1,
    points: [],
    ages: [],
    twigs: [],
    conditions: [],
    seen: 'measured',
    shootClass: null,
    attitude: null,
    flowerBuds: 0,
    sites: 0,
    ...part,
  } as unknown as AxisLine;
}

const TRUNK = axis({
  id: 'trunk',
  kind: 'trunk',
  length: 3,
  points: [0, 0, 0, 0.1, 0, 0, 1, 0.08, 0, 0, 2, 0.06, 0, 0, 3, 0.02],
  ages: [8, 6, 4, 1],
});
const LIMB = axis({
  id: '1',
  limb: '1',
  parent: 0,
  at: 1,
  length: 1.2,
  points: [0, 0, 1, 0.03, 0.4, 0, 1.3, 0.025, 0.8, 0, 1.5, 0.02, 1.2, 0, 1.6, 0.01],
  ages: [4, 3, 2, 1],
});

function drawing(...axes: AxisLine[]): Drawing {
  return { top: 3, rowBearingDeg: 90, inRowM: 2, betweenRowsM: 4, axes } as unknown as Drawing;
}

function only(stand: { axes: StandAxis[] }, id: string): StandAxis {
  const found = stand.axes.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
}

describe('a drawing made ready', () => {
  const stand = prepare(drawing(TRUNK, LIMB));

  it('keeps its lines in order from foot to tip, with distances that grow', () => {
    for (const one of stand.axes) {
      expect(one.points.length).toBe(4 * one.along.length);
      for (let i = 1; i < one.along.length; i++) {
        expect(one.along[i] ?? 0).toBeGreaterThanOrEqual(one.along[i - 1] ?? 0);
      }
    }
  });

  it('ends a limb where it was measured to end', () => {
    const { points } = only(stand, '1');
    expect([...points.slice(-4)]).toEqual([1.2, 0, 1.6, 0.01]);
  });

  it('swells a limb where it leaves its parent, never as thick as that', () => {
    const { points } = only(stand, '1');
    const widths = [...points].filter((_, i) => i % 4 === 3);
    expect(Math.max(...widths)).toBeGreaterThan(0.03);
    expect(Math.max(...widths)).toBeLessThanOrEqual(0.08 * 0.92 + 1e-9);
    expect(widths[0]).toBe(Math.max(...widths));
  });

  it('flares the trunk at the ground and leaves its top as measured', () => {
    const { points } = only(stand, 'trunk');
    expect(points[3]).toBeCloseTo(0.1 * 1.55, 6);
    expect(points[points.length - 1]).toBeCloseTo(0.02, 6);
  });

  it('knows how far and how high it reaches', () => {
    expect(stand.radius).toBeGreaterThanOrEqual(1.2);
    expect(stand.top).toBeGreaterThanOrEqual(3);
    expect(radiusOf(drawing(TRUNK, LIMB))).toBeCloseTo(1.2, 9);
    expect(radiusOf(drawing(TRUNK))).toBe(0.5);
    expect(stand.rowBearing).toBeCloseTo(Math.PI / 2, 9);
  });

  it('tells what one can see is wrong with a limb', () => {
    const told = (...conditions: string[]) => {
      const one = prepare(drawing(TRUNK, { ...LIMB, conditions })).axes[1];
      return [one?.dead, one?.injury];
    };
    expect(told()).toEqual([false, null]);
    expect(told('dead')).toEqual([true, null]);
    expect(told('diseased')).toEqual([false, 'diseased']);
    expect(told('diseased', 'broken')).toEqual([false, 'broken']);
  });

  it('stands where a bend has moved it', () => {
    const level = [0, 0, 1, 0.03, 0.4, 0, 1.05, 0.025, 0.8, 0, 1.05, 0.02, 1.2, 0, 1.0, 0.01];
    const bent = prepare(drawing(TRUNK, LIMB), new Map([[1, { points: level, twigs: [] }]]));
    expect([...only(bent, '1').points.slice(-4)]).toEqual([1.2, 0, 1, 0.01]);
    expect([...only(bent, 'trunk').points]).toEqual([...only(stand, 'trunk').points]);
  });
});
