import { say } from '../text/say';
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
    asked.push(say('odd.this-limb-starts-above-the', { top }));
  }
  if (limb.parent === 'trunk' && trunk > 0 && thick > trunk) {
    asked.push(say('odd.this-limb-is-thicker-than', { trunk }));
  }
  if (limb.parent === 'trunk' && at < typedNumber(form.union) && limb.role !== 'sucker') {
    asked.push(say('odd.it-starts-below-the-graft'));
  }
  if (long > 0 && thick > 0 && long / thick > 16) {
    asked.push(say('odd.long-cm-is-long-for', { long, thick }));
  }
  if (long > 0 && thick > 0 && thick > 8 && long / thick < 1) {
    asked.push(say('odd.long-cm-is-short-for', { long, thick }));
  }
  if (thick > 0 && thick < 5 && long > 60) {
    asked.push(say('odd.thick-mm-is-thin-for', { thick, long }));
  }
  if (angle > 125) {
    asked.push(say('odd.it-hangs-steeply-90-is'));
  }
  const parent = form.limbs.find((one) => one.id === limb.parent);
  if (parent && thick > typedNumber(parent.diameter_mm)) {
    asked.push(say('odd.it-is-thicker-than-limb', { id: parent.id }));
  }
  const twin = form.limbs.find(
    (one) =>
      one.key !== limb.key &&
      one.parent === limb.parent &&
      Math.abs(typedNumber(one.at_cm) - at) < 3 &&
      near(typedNumber(one.bearing_deg), typedNumber(limb.bearing_deg)) < 12,
  );
  if (twin) {
    asked.push(say('odd.limb-id-stands-at-the', { id: twin.id }));
  }
  return asked;
}
