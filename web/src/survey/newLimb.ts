import { readNumber, showNumber } from '../ui/numbers';
import { rowFrom, type LimbRow, type SurveyForm } from './form';

const BEARING_STEP = 137;
const HEIGHT_STEP = 15;
const LEAST_NEW_MM = 5;
const LETTERS = 'abcdefghijklmnopqrstuvwxyz'.split('');
const STRAYS = new Set(['water-sprout', 'sucker', 'hanger']);

/** The next limb, walking up and round: like the last of the frame, a hand higher, a good third of the clock on. */
export function nextLimb(limbs: LimbRow[]): LimbRow {
  const last = [...limbs].reverse().find((limb) => !STRAYS.has(limb.role)) ?? limbs[limbs.length - 1];
  const used = new Set(limbs.map((limb) => limb.id));
  let id = limbs.length + 1;
  while (used.has(String(id))) {
    id += 1;
  }
  const plus = (value: string | undefined, add: number) => {
    const number = readNumber(value ?? '');
    return number === undefined || Number.isNaN(number) ? undefined : number + add;
  };
  return {
    ...rowFrom({}),
    id: String(id),
    parent: last?.parent ?? 'trunk',
    role: last?.role ?? 'scaffold',
    at_cm: showNumber(plus(last?.at_cm, HEIGHT_STEP) ?? 70),
    bearing_deg: showNumber((plus(last?.bearing_deg, BEARING_STEP) ?? 0) % 360),
    angle_deg: last?.angle_deg ?? '55',
    diameter_mm: last?.diameter_mm ?? '20',
    length_cm: last?.length_cm ?? '80',
    age_y: last?.age_y ?? '',
  };
}

const USUAL_RATIO = 0.4;
const USUAL_ANGLE = 60;
const USUAL_THICKNESS_MM = 15;
const USUAL_CM_PER_MM = 4;
/** How far a branch of a limb turns aside from it, degrees. */
const ASIDE = 50;

function numberIn(text: string): number | undefined {
  const number = readNumber(text);
  return number === undefined || Number.isNaN(number) ? undefined : number;
}

function median(values: (number | undefined)[]): number | undefined {
  const sorted = values.filter((value) => value !== undefined).sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}

/** The middle of the widest gap between bearings; north where there are none. */
function widestGap(bearings: number[]): number {
  const sorted = [...bearings].sort((a, b) => a - b);
  let [middle, widest] = [0, 0];
  sorted.forEach((bearing, i) => {
    const next = sorted[i + 1] ?? (sorted[0] ?? 0) + 360;
    if (next - bearing > widest) {
      widest = next - bearing;
      middle = bearing + widest / 2;
    }
  });
  return Math.round(middle) % 360;
}

/**
 * A limb begun at a place of the trunk or of another limb: like those beside it, into the widest gap round the trunk or to the emptier
 * side of its limb; thinner than what it grows from.
 */
export function limbAt(form: SurveyForm, parent: string, atCm: number): LimbRow {
  const { limbs } = form;
  const bearer = limbs.find((limb) => limb.id === parent);
  const beside = limbs.filter((limb) => limb.parent === parent && !STRAYS.has(limb.role));
  const thickBearer = numberIn(bearer ? bearer.diameter_mm : form.trunkDiameter);
  const thick = Math.round(
    Math.min(
      median(beside.map((limb) => numberIn(limb.diameter_mm))) ?? Infinity,
      thickBearer === undefined ? USUAL_THICKNESS_MM : Math.max(USUAL_RATIO * thickBearer, LEAST_NEW_MM),
    ),
  );
  const perMm = median(
    limbs.map((limb) => {
      const [length, diameter] = [numberIn(limb.length_cm), numberIn(limb.diameter_mm)];
      return length === undefined || !diameter ? undefined : length / diameter;
    }),
  );
  const bearings = beside.map((limb) => numberIn(limb.bearing_deg)).filter((value) => value !== undefined);
  const heading = bearer ? (numberIn(bearer.bearing_deg) ?? 0) : 0;
  const left = bearings.filter((bearing) => (bearing - heading + 360) % 360 > 180).length;
  const aside = left * 2 > bearings.length ? ASIDE : -ASIDE;
  const age = median(beside.map((limb) => numberIn(limb.age_y)));
  return {
    ...rowFrom({}),
    id: freeId(limbs, parent),
    parent,
    role: beside.find((limb) => limb.role !== '')?.role ?? (bearer ? 'lateral' : 'scaffold'),
    at_cm: showNumber(Math.max(1, Math.round(atCm))),
    bearing_deg: showNumber(bearer ? (heading + aside + 360) % 360 : widestGap(bearings)),
    angle_deg: showNumber(Math.round(median(beside.map((limb) => numberIn(limb.angle_deg))) ?? USUAL_ANGLE)),
    diameter_mm: showNumber(thick),
    length_cm: showNumber(Math.round(thick * (perMm ?? USUAL_CM_PER_MM))),
    age_y: age === undefined ? '' : showNumber(age),
  };
}

/** A free name: the next number on the trunk, the limb's name with a letter on a limb. */
function freeId(limbs: LimbRow[], parent: string): string {
  const used = new Set(limbs.map((limb) => limb.id));
  const own = limbs.some((limb) => limb.id === parent)
    ? LETTERS.map((letter) => parent + letter).find((id) => !used.has(id))
    : undefined;
  return own ?? nextLimb(limbs).id;
}

/** A limb like another, under its own number, a little further round. */
export function copyOf(limb: LimbRow, limbs: LimbRow[]): LimbRow {
  const fresh = nextLimb(limbs);
  const bearing = readNumber(limb.bearing_deg);
  return {
    ...limb,
    key: fresh.key,
    id: fresh.id,
    bearing_deg:
      bearing === undefined || Number.isNaN(bearing) ? limb.bearing_deg : showNumber((bearing + 30) % 360),
  };
}
