import type { Mark } from '../api/client';
import type { Picked } from '../stand/paint';

/** Nearer to the union than this share of the limb, a cut takes the whole limb. */
const AT_UNION = 0.12;
/** A cut this near the tip heads the last year's growth, further in it shortens older wood. */
const LAST_CENTIMETRES = 2;

/** The mark that a cut at a place on the drawing stands for; none where nothing can be cut. */
export function cutFrom(hit: Picked): Mark | null {
  const { axis, along } = hit;
  if (axis.kind === 'shoot') {
    return { operation: 'remove', limb: `${axis.limb}/shoots/${axis.attitude ?? 'up'}` };
  }
  if (axis.kind === 'trunk') {
    return along > axis.length * 0.5 && along < axis.length - 0.02
      ? { operation: 'shorten', limb: 'trunk', at_cm: Math.round(along * 100) }
      : null;
  }
  if (axis.kind === 'fruiting-lateral') {
    return null;
  }
  if (axis.kind !== 'limb') {
    return { operation: 'remove', limb: axis.limb };
  }
  if (along < axis.length * AT_UNION || along < 0.1) {
    return { operation: 'remove', limb: axis.id };
  }
  const at = Math.min(along * 100, axis.length * 100 - LAST_CENTIMETRES);
  let age = 1;
  axis.along.forEach((s, i) => {
    if (s <= along) age = axis.ages[i] ?? age;
  });
  return { operation: age <= 1 ? 'head' : 'shorten', limb: axis.id, at_cm: Math.round(at) };
}
