import type { PhotoSurveyAnswer, SurveyDocument } from '../api/client';
import { formFrom, type SurveyForm } from '../survey/form';

/** Thickness by gauge at the tree: what a class is taken for, mm; the last is typed over where it matters. */
export const CLASSES = [
  { upTo: 10, mm: 8 },
  { upTo: 15, mm: 12.5 },
  { upTo: 20, mm: 17.5 },
  { upTo: 25, mm: 22.5 },
  { upTo: 40, mm: 32 },
  { upTo: 60, mm: 50 },
  { upTo: 90, mm: 75 },
] as const;

/** What a limb is taken for whose thickness nobody entered, mm. */
export const USUAL = { over: CLASSES[0].upTo, ...CLASSES[1] };

/** One sigma of a thickness taken by class, as a share of it. */
const CLASS_ERROR_SHARE = 0.1;

/** Strong uprights on a limb: what is asked and what is counted for it. */
export const UPRIGHTS = [0, 1, 2, 4] as const;

/** What pictures do not tell about a limb. */
export interface ByGauge {
  /** mm. */
  thickness?: number | undefined;
  uprights?: number | undefined;
}

/** A limb's key among those measured: its names in both pictures, which stay when the order changes. */
export function keyOf(limb: { first: string; second: string }): string {
  return `${limb.first}/${limb.second}`;
}

/** The survey form with its limbs as measured; what pictures do not show of tree and trunk stays as it was. */
export function formOf(
  form: SurveyForm,
  answer: PhotoSurveyAnswer,
  gauge: Readonly<Record<string, ByGauge>>,
): SurveyForm {
  const limbs: SurveyDocument['limbs'] = answer.limbs.map((limb) => {
    const { thickness = USUAL.mm, uprights } = gauge[keyOf(limb)] ?? {};
    return {
      id: limb.id,
      parent: limb.parent,
      at_cm: limb.at_cm,
      bearing_deg: limb.bearing_deg,
      angle_deg: limb.angle_deg,
      tipAngle_deg: limb.tipAngle_deg,
      length_cm: limb.length_cm,
      diameter_mm: thickness,
      error: { ...limb.error, diameter_mm: Math.round(10 * thickness * CLASS_ERROR_SHARE) / 10 },
      ...(uprights === undefined
        ? {}
        : { wood: { shoots: [{ class: 'strong', attitude: 'up', count: uprights }] } }),
    };
  });
  const measured = formFrom({ ...form.base, limbs });
  return {
    ...form,
    trunkHeight:
      answer.trunkHeight_cm == null
        ? form.trunkHeight
        : formFrom({
            ...form.base,
            trunk: { ...form.base.trunk, height_cm: answer.trunkHeight_cm },
          }).trunkHeight,
    limbs: measured.limbs,
  };
}
