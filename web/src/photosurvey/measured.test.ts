import { describe, expect, it } from 'vitest';
import type { PhotoFigures, PhotoSurveyAnswer } from '../api/client';
import { formFrom, surveyFrom } from '../survey/form';
import { formOf, nameOfLimb } from './measured';

const ERROR = { at_cm: 1, bearing_deg: 2, angle_deg: 1.2, length_cm: 2.5 };
const ANSWER: PhotoSurveyAnswer = {
  trunkHeight_cm: 288.4,
  between_deg: 92,
  cameras: [],
  limbs: [
    {
      id: '1',
      parent: 'trunk',
      first: '2',
      second: 'a',
      at_cm: 62.4,
      bearing_deg: 118.5,
      angle_deg: 66,
      tipAngle_deg: 80,
      length_cm: 74.2,
      error: ERROR,
      residual_cm: 0.6,
      sure: true,
    },
    {
      id: '2',
      parent: '1',
      first: '3',
      second: '',
      at_cm: 30,
      bearing_deg: 90,
      angle_deg: 70,
      tipAngle_deg: 70,
      length_cm: 31,
      error: ERROR,
      residual_cm: 0,
      sure: true,
    },
  ],
  unsure: [],
  left: [],
  notes: [],
  statements: [],
};

const FIGURES: PhotoFigures = {
  staff_cm: 200,
  focal35_mm: 26,
  bestFrom_m: 3,
  bestTo_m: 5,
  classes: [
    { from_mm: 10, to_mm: 15, taken_mm: 12.5, error_mm: 1.4 },
    { from_mm: 20, to_mm: 25, taken_mm: 22.5, error_mm: 1.4 },
  ],
  usual_mm: 12.5,
  uprights: [0, 1, 2, 4],
};

const BEGUN = {
  ...formFrom({
    format: 'umbel-survey/1',
    tree: { species: 'apple', system: 'tall-spindle', label: 'Wall 3-4' },
    trunk: { diameter_mm: 51, height_cm: 250 },
    limbs: [],
  }),
  surveyedOn: '2026-01-10',
};

describe('a survey from photographs', () => {
  it('is the survey that was begun, with the limbs and the trunk’s top as measured', () => {
    const sent = surveyFrom(formOf(BEGUN, ANSWER, { '2': { thickness: 22.5, uprights: 4 } }, FIGURES));
    expect(sent.tree).toMatchObject({ species: 'apple', label: 'Wall 3-4' });
    expect(sent.surveyedOn).toBe('2026-01-10');
    expect(sent.trunk).toMatchObject({ diameter_mm: 51, height_cm: 288.4 });
    expect(sent.limbs).toHaveLength(2);
    expect(sent.limbs?.[0]).toMatchObject({
      id: '1',
      parent: 'trunk',
      at_cm: 62.4,
      bearing_deg: 118.5,
      tipAngle_deg: 80,
      diameter_mm: 22.5,
      error: { ...ERROR, diameter_mm: 1.4 },
      wood: { shoots: [{ class: 'strong', attitude: 'up', count: 4 }] },
    });
    expect(sent.limbs?.[1]).toMatchObject({ parent: '1', diameter_mm: 12.5 });
    expect(sent.limbs?.[1]?.wood).toBeUndefined();
  });

  it('keeps a top that no picture shows, and knows limbs by their names in the pictures', () => {
    const unseen: PhotoSurveyAnswer = { ...ANSWER };
    delete unseen.trunkHeight_cm;
    expect(surveyFrom(formOf(BEGUN, unseen, {}, FIGURES)).trunk?.height_cm).toBe(250);
    expect(ANSWER.limbs.map(nameOfLimb)).toEqual(['2', '3']);
  });
});
