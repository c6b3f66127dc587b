import { describe, expect, it } from 'vitest';
import { Camera } from '../stand/camera';
import type { Stand, StandAxis } from '../stand/geometry';
import { formFrom, type LimbRow } from './form';
import { endsOf, gripOf, withBase, withThickness, withTip } from './reshape';

const axis = (id: string, kind: string, points: number[], along: number[]): StandAxis =>
  ({
    id,
    kind,
    points: Float64Array.from(points),
    along: Float64Array.from(along),
  }) as unknown as StandAxis;

// a trunk of two metres and a limb that leaves it level to the east at one metre, one metre long
const STAND = {
  top: 2,
  axes: [
    axis('trunk', 'trunk', [0, 0, 0, 0.08, 0, 0, 1, 0.06, 0, 0, 2, 0.04], [0, 1, 2]),
    axis('3', 'limb', [0, 0, 1, 0.02, 1, 0, 1, 0.01], [0, 1]),
    axis('3a', 'limb', [0.5, 0, 1, 0.01, 0.5, 0.5, 1, 0.005], [0, 0.5]),
  ],
} as unknown as Stand;

function row(limb: object): LimbRow {
  const made = formFrom({ format: 'umbel-survey/1', limbs: [limb] }).limbs[0];
  if (!made) throw new Error('no row');
  return made;
}

const LIMB = row({
  id: '3',
  parent: 'trunk',
  at_cm: 100,
  bearing_deg: 90,
  angle_deg: 90,
  diameter_mm: 20,
  length_cm: 100,
});

describe('a limb reshaped on the drawing', () => {
  const ends = endsOf(STAND, '3');

  it('is found by its name', () => {
    expect(ends).toEqual({ base: [0, 0, 1], tip: [1, 0, 1] });
    expect(endsOf(STAND, 'trunk')).toBeNull();
    expect(endsOf(STAND, '9')).toBeNull();
  });

  it('grows longer, steeper and to another side with its tip', () => {
    if (!ends) throw new Error('no ends');
    // two metres long, 45° from upright, to the north
    const far = withTip(LIMB, ends, [0, Math.SQRT2, 1 + Math.SQRT2]);
    expect([far.length_cm, far.angle_deg, far.bearing_deg]).toEqual(['200', '45', '0']);
  });

  it('keeps its bend and never shrinks to nothing', () => {
    if (!ends) throw new Error('no ends');
    const bent = { ...LIMB, angle_deg: '80', tipAngle_deg: '100', length_cm: '110' };
    const turned = withTip(bent, ends, [Math.SQRT1_2, 0, 1 + Math.SQRT1_2]);
    expect([turned.length_cm, turned.angle_deg, turned.tipAngle_deg]).toEqual(['110', '35', '55']);
    expect(withTip(LIMB, ends, [0, 0, 1]).length_cm).toBe('5');
  });

  it('moves along its trunk or limb with its foot', () => {
    expect(withBase(LIMB, STAND, [0.3, 0.2, 1.9]).at_cm).toBe('200');
    const branch = { ...LIMB, id: '3a', parent: '3' };
    expect(withBase(branch, STAND, [0.9, 0, 1.1]).at_cm).toBe('100');
  });
});

describe('a place on the screen', () => {
  it('is the point that is seen there', () => {
    const camera = new Camera(
      { top: 3, radius: 1.5 },
      { bearing: 2.2, tilt: 0.3, zoom: 1.4, panX: 12, panY: -7 },
      860,
      700,
    );
    const seen = camera.see(0.7, -0.4, 1.8);
    const back = camera.unsee(seen.x, seen.y, seen.depth);
    expect(back[0]).toBeCloseTo(0.7, 9);
    expect(back[1]).toBeCloseTo(-0.4, 9);
    expect(back[2]).toBeCloseTo(1.8, 9);
  });

  it('is taken hold of beside its middle, at right angles to the limb and to the line of sight', () => {
    // the limb heads east: from the south the grip is above it, from the east it cannot be beside it
    const grip = gripOf(STAND, '3', Math.PI);
    if (!grip) throw new Error('no grip');
    expect(grip.away[2]).toBeCloseTo(1, 9);
    expect(grip.at[2]).toBeCloseTo(1 + grip.reach, 9);
    expect(gripOf(STAND, '3', Math.PI / 2)?.away).toEqual([0, 0, 1]);
    expect(gripOf(STAND, '9', 0)).toBeNull();
  });

  it('is twice as thick where its grip is pulled out once as far, and never thinner than a shoot', () => {
    const grip = gripOf(STAND, '3', Math.PI);
    if (!grip) throw new Error('no grip');
    const [x, y, z] = grip.at;
    expect(withThickness(LIMB, grip, [x, y, z + grip.reach]).diameter_mm).toBe('40');
    expect(withThickness(LIMB, grip, [x, y, z - grip.reach / 2]).diameter_mm).toBe('10');
    // along the limb nothing changes
    expect(withThickness(LIMB, grip, [x + 1, y, z]).diameter_mm).toBe('20');
    expect(withThickness({ ...LIMB, diameter_mm: '5' }, grip, [x, y, z - 10]).diameter_mm).toBe('3');
    expect(withThickness({ ...LIMB, diameter_mm: '' }, grip, [x, y, z + 1]).diameter_mm).toBe('');
  });
});
