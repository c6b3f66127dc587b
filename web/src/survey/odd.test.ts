import { describe, expect, it } from 'vitest';
import type { LimbRow, SurveyForm } from './form';
import { pointing } from './gauge';
import { oddities } from './odd';

function limb(part: Partial<LimbRow>): LimbRow {
  return {
    key: part.id ?? 'k',
    id: '1',
    parent: 'trunk',
    role: 'scaffold',
    at_cm: '80',
    bearing_deg: '90',
    angle_deg: '60',
    diameter_mm: '30',
    length_cm: '150',
    ...part,
  } as LimbRow;
}

function form(...limbs: LimbRow[]): SurveyForm {
  return { trunkDiameter: '90', trunkHeight: '300', union: '10', limbs } as unknown as SurveyForm;
}

function asked(part: Partial<LimbRow>, ...others: LimbRow[]): string[] {
  const one = limb(part);
  return oddities(form(one, ...others), one, []);
}

describe('what is odd about a limb', () => {
  it('is nothing on an ordinary one', () => {
    expect(asked({})).toEqual([]);
  });

  it('is where it starts', () => {
    expect(asked({ at_cm: '320' })).toEqual(['This limb starts above the trunk’s top (300 cm).']);
    expect(asked({ at_cm: '4' })[0]).toContain('graft union');
    expect(asked({ at_cm: '4', role: 'sucker' })).toEqual([]);
  });

  it('is how thick it is for its length, its trunk and its parent', () => {
    expect(asked({ diameter_mm: '95', length_cm: '300' })[0]).toContain('thicker than the trunk');
    expect(asked({ diameter_mm: '6', length_cm: '150' })).toHaveLength(1);
    expect(asked({ diameter_mm: '40', length_cm: '20' })).toHaveLength(1);
    expect(asked({ diameter_mm: '4', length_cm: '62' })).toHaveLength(1);
    const parent = limb({ id: '7', at_cm: '60', bearing_deg: '200', diameter_mm: '20' });
    expect(asked({ parent: '7', diameter_mm: '25' }, parent)[0]).toContain('7');
    expect(asked({ parent: '7', diameter_mm: '15' }, parent)).toEqual([]);
  });

  it('is that it hangs, or stands where another does', () => {
    expect(asked({ angle_deg: '140' })[0]).toContain('hangs steeply');
    const twin = limb({ id: '2', at_cm: '81', bearing_deg: '95' });
    expect(asked({}, twin)).toEqual(['Limb 2 stands at the same place: is it the same one?']);
    expect(asked({ bearing_deg: '355' }, limb({ id: '2', bearing_deg: '4' }))).toHaveLength(1);
    expect(asked({}, limb({ id: '2', bearing_deg: '270' }))).toEqual([]);
  });

  it('is what the server asks about its counts', () => {
    const one = limb({});
    const queries = [
      { limb: '1', text: 'Forty spurs on so thin a limb?' },
      { limb: '2', text: 'Not this one.' },
    ] as never;
    expect(oddities(form(one), one, queries)).toEqual(['Forty spurs on so thin a limb?']);
  });

  it('reads figures as their writer writes them', () => {
    expect(asked({ at_cm: '320,5' })).toHaveLength(1);
  });
});

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
