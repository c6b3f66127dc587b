import { describe, expect, it } from 'vitest';
import { formFrom } from './form';
import { limbAt } from './newLimb';

const limb = (id: string, parent: string, bearing: number, diameter: number) => ({
  id,
  parent,
  at_cm: 60,
  bearing_deg: bearing,
  angle_deg: 70,
  diameter_mm: diameter,
  length_cm: diameter * 5,
  age_y: 4,
});
const tree = (...limbs: object[]) =>
  formFrom({ format: 'umbel-survey/1', trunk: { diameter_mm: 60, height_cm: 300 }, limbs });

describe('a limb begun by touch', () => {
  it('heads into the widest gap round the trunk, like those beside it', () => {
    const form = tree(limb('1', 'trunk', 0, 20), limb('2', 'trunk', 90, 22), limb('3', 'trunk', 180, 18));
    const fourth = limbAt(form, 'trunk', 87.4);
    expect(fourth).toMatchObject({
      id: '4',
      parent: 'trunk',
      at_cm: '87',
      bearing_deg: '270',
      angle_deg: '70',
      diameter_mm: '20',
      length_cm: '100',
      age_y: '4',
    });
  });

  it('on a limb it has a free letter, is thinner than the limb, and heads to the emptier side', () => {
    const form = tree(limb('1', 'trunk', 10, 20), limb('1a', '1', 60, 8));
    const second = limbAt(form, '1', 40);
    expect(second).toMatchObject({ id: '1b', parent: '1', role: 'lateral', bearing_deg: '320' });
    expect(Number(second.diameter_mm)).toBeLessThanOrEqual(8);
    expect(limbAt(tree(limb('1', 'trunk', 10, 20), limb('1a', '1', 320, 8)), '1', 40).bearing_deg).toBe('60');
  });

  it('is the first of a bare trunk, in proportion to it', () => {
    expect(limbAt(tree(), 'trunk', 70)).toMatchObject({
      id: '1',
      bearing_deg: '0',
      diameter_mm: '24',
      role: 'scaffold',
    });
    expect(limbAt(formFrom({ format: 'umbel-survey/1', limbs: [] }), 'trunk', 0).at_cm).toBe('1');
  });
});
