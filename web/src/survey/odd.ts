import { typedNumber } from '../ui/numbers';
import type { SurveyQuery } from '../api/client';
import type { LimbRow, SurveyForm } from './form';

const near = (a: number, b: number) => {
  const turn = Math.abs(a - b) % 360;
  return Math.min(turn, 360 - turn);
};

/**
 * What is legal but odd about a limb, asked rather than refused.
 *
 * @param queries what the server asked about counts
 */
export function oddities(form: SurveyForm, limb: LimbRow, queries: SurveyQuery[]): string[] {
  const asked = queries.filter((query) => query.limb === limb.id).map((query) => query.text);
  const at = typedNumber(limb.at_cm);
  const thick = typedNumber(limb.diameter_mm);
  const long = typedNumber(limb.length_cm);
  const angle = typedNumber(limb.angle_deg);
  const top = typedNumber(form.trunkHeight);
  const trunk = typedNumber(form.trunkDiameter);
  if (limb.parent === 'trunk' && top > 0 && at > top) {
    asked.push(`This limb starts above the trunk’s top (${top} cm).`);
  }
  if (limb.parent === 'trunk' && trunk > 0 && thick > trunk) {
    asked.push(`This limb is thicker than the trunk (${trunk} mm).`);
  }
  if (limb.parent === 'trunk' && at < typedNumber(form.union) && limb.role !== 'sucker') {
    asked.push('It starts below the graft union: is it a rootstock shoot?');
  }
  if (long > 0 && thick > 0 && long / thick > 16) {
    asked.push(`${long} cm is long for ${thick} mm: most limbs are stouter.`);
  }
  if (long > 0 && thick > 0 && thick > 8 && long / thick < 1) {
    asked.push(`${long} cm is short for ${thick} mm: was it cut back?`);
  }
  if (thick > 0 && thick < 5 && long > 60) {
    asked.push(`${thick} mm is thin for ${long} cm: was it measured in inches?`);
  }
  if (angle > 125) {
    asked.push('It hangs steeply: 90 is level, 180 straight down.');
  }
  const parent = form.limbs.find((one) => one.id === limb.parent);
  if (parent && thick > typedNumber(parent.diameter_mm)) {
    asked.push(`It is thicker than limb ${parent.id} that carries it.`);
  }
  const twin = form.limbs.find(
    (one) =>
      one.key !== limb.key &&
      one.parent === limb.parent &&
      Math.abs(typedNumber(one.at_cm) - at) < 3 &&
      near(typedNumber(one.bearing_deg), typedNumber(limb.bearing_deg)) < 12,
  );
  if (twin) {
    asked.push(`Limb ${twin.id} stands at the same place: is it the same one?`);
  }
  return asked;
}
