import type { PhotoFigures, PhotoSurveyAnswer, SurveyDocument } from '../api/client';
import { formFrom, type SurveyForm } from '../survey/form';
import type { ByGauge } from './kept';

/** A limb's name in the pictures: in the first where it is seen there, else in the second. */
export function nameOfLimb(limb: { first: string; second: string }): string {
  return limb.first === '' ? limb.second : limb.first;
}

/** The survey form with its limbs as measured; what pictures do not show of tree and trunk stays as it was. */
export function formOf(
  form: SurveyForm,
  answer: PhotoSurveyAnswer,
  gauge: Readonly<Record<string, ByGauge>>,
  figures: PhotoFigures,
): SurveyForm {
  const limbs: SurveyDocument['limbs'] = answer.limbs.map((limb) => {
    const { thickness = figures.usual_mm, uprights } = gauge[nameOfLimb(limb)] ?? {};
    const error_mm = figures.classes.find((one) => one.taken_mm === thickness)?.error_mm;
    return {
      id: limb.id,
      parent: limb.parent,
      at_cm: limb.at_cm,
      bearing_deg: limb.bearing_deg,
      angle_deg: limb.angle_deg,
      tipAngle_deg: limb.tipAngle_deg,
      length_cm: limb.length_cm,
      diameter_mm: thickness,
      error: { ...limb.error, ...(error_mm === undefined ? {} : { diameter_mm: error_mm }) },
      ...(uprights === undefined
        ? {}
        : { wood: { shoots: [{ class: 'strong', attitude: 'up', count: uprights }] } }),
    };
  });
  const trunk = answer.trunkHeight_cm == null ? {} : { height_cm: answer.trunkHeight_cm };
  const measured = formFrom({ ...form.base, trunk: { ...form.base.trunk, ...trunk }, limbs });
  return {
    ...form,
    trunkHeight: answer.trunkHeight_cm == null ? form.trunkHeight : measured.trunkHeight,
    limbs: measured.limbs,
  };
}
