import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { LimbMeasure, SurveyDocument } from '../api/client';
import { branchesOf, formFrom, renamed, surveyFrom, withoutLimb } from './form';
import { copyOf, nextLimb } from './newLimb';

/** A field that may be there, be null, or be missing; and something the form knows nothing of. */
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
const nullable = <T>(value: fc.Arbitrary<T>) => maybe(fc.option(value, { nil: null }));
const whole = (fields: Record<string, fc.Arbitrary<unknown>>) =>
  fc
    .record({ ...fields, 'x-ours': maybe(fc.string()) })
    .map((one) => Object.fromEntries(Object.entries(one).filter(([, value]) => value !== undefined)));

const number = (min: number, max: number) =>
  fc.integer({ min: min * 100, max: max * 100 }).map((n) => n / 100);
const shoot = whole({
  class: fc.constantFrom('matchstick', 'pencil', 'strong'),
  attitude: nullable(fc.constantFrom('up', 'side', 'out', 'down', 'in')),
  count: fc.integer({ min: 0, max: 400 }),
  length_cm: nullable(number(1, 400)),
});
const wood = whole({
  shoots: nullable(fc.array(shoot, { maxLength: 8 })),
  spurs: nullable(whole({ count: fc.integer({ min: 0, max: 1000 }), age_y: nullable(number(1, 60)) })),
  flowerBuds: nullable(fc.integer({ min: 0, max: 5000 })),
});
const limb = whole({
  id: fc.stringMatching(/^[A-Za-z0-9][A-Za-z0-9._-]{0,8}$/),
  parent: fc.constantFrom('trunk', '1', 'a'),
  role: nullable(fc.constantFrom('scaffold', 'limb', 'leader', 'unknown')),
  at_cm: number(0, 2500),
  bearing_deg: number(0, 360),
  angle_deg: number(0, 180),
  tipAngle_deg: nullable(number(0, 180)),
  diameter_mm: number(1, 1000),
  length_cm: number(1, 1500),
  age_y: nullable(fc.integer({ min: 0, max: 200 })),
  lastGrowth_cm: nullable(number(0, 400)),
  condition: nullable(fc.array(fc.constantFrom('sound', 'dead', 'broken', 'diseased', 'splitting'))),
  disease: nullable(fc.string({ maxLength: 80 })),
  note: nullable(fc.string({ maxLength: 200 })),
  wood: nullable(wood),
});
const survey = whole({
  format: fc.constant('umbel-survey/1'),
  tree: whole({
    label: nullable(fc.string({ maxLength: 40 })),
    species: fc.constantFrom('apple', 'pear', 'cherry-sweet'),
    leaf: nullable(fc.integer({ min: 0, max: 200 })),
    system: nullable(fc.constantFrom('tall-spindle', 'espalier')),
    cultivar: nullable(
      whole({
        name: nullable(fc.string({ maxLength: 30 })),
        habit: nullable(fc.constantFrom('spur', 'tip', 'standard')),
        set: nullable(fc.constantFrom('light', 'moderate', 'heavy')),
        vigour: nullable(fc.constantFrom('low', 'moderate', 'high')),
      }),
    ),
    rootstock: nullable(
      whole({ name: nullable(fc.string()), class: nullable(fc.constantFrom('dwarfing', 'seedling')) }),
    ),
    spacing_m: nullable(whole({ inRow: number(1, 30), betweenRows: number(1, 30) })),
    rowBearing_deg: nullable(number(0, 360)),
  }),
  site: nullable(
    whole({
      latitude_deg: nullable(number(-66, 66)),
      elevation_m: nullable(number(-400, 4000)),
      slope_deg: nullable(number(0, 45)),
      uphill_deg: nullable(number(0, 360)),
      netShare: nullable(number(0, 0.9)),
    }),
  ),
  surveyedOn: nullable(fc.constant('2026-02-02')),
  trunk: whole({
    diameter_mm: number(4, 1500),
    diameterAt_cm: nullable(number(0, 200)),
    height_cm: number(20, 2500),
    unionAt_cm: nullable(number(0, 250)),
    lastGrowth_cm: nullable(number(0, 400)),
  }),
  limbs: fc.array(limb, { maxLength: 6 }),
}) as unknown as fc.Arbitrary<SurveyDocument>;

const measured: LimbMeasure = {
  id: '1',
  parent: 'trunk',
  at_cm: 70,
  bearing_deg: 15,
  angle_deg: 62,
  tipAngle_deg: 74,
  diameter_mm: 18,
  length_cm: 95,
  condition: ['broken', 'diseased'],
  wood: {
    shoots: [
      { class: 'pencil', attitude: 'side', count: 4, length_cm: 30 },
      { class: 'pencil', attitude: 'side', count: 2, length_cm: 55 },
      { class: 'strong', attitude: 'up', count: 1, length_cm: 80 },
    ],
  },
};
const one = (limbs: LimbMeasure[] = [measured]) =>
  ({
    format: 'umbel-survey/1',
    tree: { species: 'apple', cultivar: { set: 'heavy', vigour: 'low' } },
    site: { slope_deg: 12, netShare: 0.2 },
    trunk: { diameter_mm: 48, height_cm: 295, lastGrowth_cm: 40 },
    limbs,
  }) as unknown as SurveyDocument;

describe('a survey through the form', () => {
  it('comes out as it went in when nobody touches it', () => {
    fc.assert(
      fc.property(survey, (document) => {
        expect(surveyFrom(formFrom(document))).toEqual(document);
      }),
      { numRuns: 500 },
    );
  });

  it('survives being laid aside as a draft', () => {
    fc.assert(
      fc.property(survey, (document) => {
        const kept = JSON.parse(JSON.stringify(formFrom(document))) as ReturnType<typeof formFrom>;
        expect(surveyFrom(kept)).toEqual(JSON.parse(JSON.stringify(document)));
      }),
    );
  });

  it('holds all that a first survey is begun with', () => {
    const empty = formFrom({ format: 'umbel-survey/1', tree: {}, trunk: {}, limbs: [] });
    const begun = { ...empty, species: 'apple', trunkDiameter: '46', trunkHeight: '280' };
    const first = surveyFrom({ ...begun, limbs: [nextLimb([])] });
    expect(first.tree).toEqual({ species: 'apple' });
    expect(first.trunk).toEqual({ diameter_mm: 46, height_cm: 280 });
    expect(first.limbs).toEqual([
      {
        id: '1',
        parent: 'trunk',
        role: 'scaffold',
        at_cm: 70,
        bearing_deg: 0,
        angle_deg: 55,
        diameter_mm: 20,
        length_cm: 80,
      },
    ]);
  });

  it('changes only the field that was typed', () => {
    const form = formFrom(one());
    const typed = surveyFrom({ ...form, trunkHeight: '301,5' });
    expect(typed).toEqual({ ...one(), trunk: { diameter_mm: 48, height_cm: 301.5, lastGrowth_cm: 40 } });
  });

  it('keeps every entry of a class whose count nobody changed', () => {
    const form = formFrom(one());
    const [row] = form.limbs;
    if (!row) throw new Error('no limb');
    const typed = surveyFrom({ ...form, limbs: [{ ...row, shoots: { ...row.shoots, 'strong/up': '3' } }] });
    expect(typed.limbs?.[0]?.wood?.shoots).toEqual([
      { class: 'pencil', attitude: 'side', count: 4, length_cm: 30 },
      { class: 'pencil', attitude: 'side', count: 2, length_cm: 55 },
      { class: 'strong', attitude: 'up', count: 3, length_cm: 80 },
    ]);
    expect(typed.limbs?.[0]?.condition).toEqual(['broken', 'diseased']);
  });

  it('leaves a field out that was emptied', () => {
    const form = formFrom(one());
    expect(surveyFrom({ ...form, slope: '' }).site).toEqual({ netShare: 0.2 });
  });

  it('sends what is no number as it stands, for its field to be named', () => {
    const form = formFrom(one());
    expect(surveyFrom({ ...form, trunkDiameter: 'thick' }).trunk?.diameter_mm).toBe('thick');
  });
});

describe('limbs on limbs', () => {
  const limb = (id: string, parent: string) => ({ ...measured, id, parent }) as LimbMeasure;
  const rows = () =>
    formFrom(one([limb('1', 'trunk'), limb('2', '1'), limb('3', '2'), limb('4', 'trunk')])).limbs;

  it('are found through all their branches', () => {
    expect(branchesOf('1', rows()).map((row) => row.id)).toEqual(['2', '3']);
  });

  it('go with the limb that is removed, or stand where it stood', () => {
    const all = rows();
    const [first] = all;
    if (!first) throw new Error('no limb');
    expect(withoutLimb(first, all, 'remove').map((row) => row.id)).toEqual(['4']);
    expect(withoutLimb(first, all, 'move').map((row) => [row.id, row.parent])).toEqual([
      ['2', 'trunk'],
      ['3', '2'],
      ['4', 'trunk'],
    ]);
  });

  it('follow a limb that is renamed', () => {
    expect(renamed(0, '1a', rows()).map((row) => row.parent)).toEqual(['trunk', '1a', '2', 'trunk']);
  });

  it('begin like the one before, a hand higher, under a number of their own', () => {
    const next = nextLimb(rows());
    expect([next.id, next.at_cm]).toEqual(['5', '85']);
    const [first] = rows();
    if (!first) throw new Error('no limb');
    expect(copyOf(first, rows()).id).toBe('5');
  });
});
