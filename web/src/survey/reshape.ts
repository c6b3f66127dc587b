import type { Stand, StandAxis } from '../stand/geometry';
import { readNumber, showNumber } from '../ui/numbers';
import type { LimbRow } from './form';

const LEAST_LENGTH_CM = 5;
const LEAST_AT_CM = 1;
const UPRIGHT_MOST_DEG = 180;
const LEAST_THICKNESS_MM = 3;
/** A limb becomes at most so many times as thick or as thin by one pull. */
const MOST_THICKER = 4;
/** How far beside its limb the thickness is taken hold of, as a share of the tree's height. */
const BESIDE = 0.055;
const MIDDLE = 0.45;
const CM = 100;

type Point = [number, number, number];

function pointOf(axis: StandAxis, i: number): Point {
  return [axis.points[4 * i] ?? 0, axis.points[4 * i + 1] ?? 0, axis.points[4 * i + 2] ?? 0];
}

/** Foot and tip of a limb as it is drawn; null where it is not. */
export function endsOf(stand: Stand, limb: string): { base: Point; tip: Point } | null {
  const axis = stand.axes.find((one) => one.id === limb && one.kind === 'limb');
  if (!axis) return null;
  return { base: pointOf(axis, 0), tip: pointOf(axis, axis.points.length / 4 - 1) };
}

function chordOf(base: Point, tip: Point) {
  const [x, y, z] = [tip[0] - base[0], tip[1] - base[1], tip[2] - base[2]];
  const length = Math.hypot(x, y, z);
  return {
    length,
    angle: length === 0 ? 0 : (Math.acos(Math.max(-1, Math.min(1, z / length))) * 180) / Math.PI,
    bearing: ((Math.atan2(x, y) * 180) / Math.PI + 360) % 360,
  };
}

function rounded(value: number): string {
  return showNumber(Math.round(value));
}

/**
 * A limb whose tip was dragged: it leaves as much steeper or flatter, and grows as much longer or shorter, as the straight line
 * from its foot does, so that its bend stays.
 */
export function withTip(row: LimbRow, ends: { base: Point; tip: Point }, to: Point): LimbRow {
  const before = chordOf(ends.base, ends.tip);
  const after = chordOf(ends.base, to);
  const length = readNumber(row.length_cm) ?? before.length * CM;
  const angle = readNumber(row.angle_deg) ?? before.angle;
  const turned = after.angle - before.angle;
  const within = (value: number) => Math.max(0, Math.min(UPRIGHT_MOST_DEG, value));
  const tipAngle = readNumber(row.tipAngle_deg);
  return {
    ...row,
    length_cm: rounded(
      Math.max(LEAST_LENGTH_CM, before.length === 0 ? length : (length * after.length) / before.length),
    ),
    angle_deg: rounded(within(angle + turned)),
    tipAngle_deg: tipAngle == null ? row.tipAngle_deg : rounded(within(tipAngle + turned)),
    bearing_deg: rounded(after.bearing),
  };
}

/** A limb whose foot was dragged along what it grows from. */
export function withBase(row: LimbRow, stand: Stand, to: Point): LimbRow {
  const parent = stand.axes.find((one) => one.id === (row.parent === 'trunk' ? 'trunk' : row.parent));
  if (!parent) return row;
  let best = 0;
  let nearest = Infinity;
  for (let i = 0; i < parent.points.length / 4; i += 1) {
    const [x, y, z] = pointOf(parent, i);
    // along the trunk only the height counts: a limb's foot is dragged beside it
    const away = row.parent === 'trunk' ? Math.abs(z - to[2]) : Math.hypot(x - to[0], y - to[1], z - to[2]);
    if (away < nearest) {
      nearest = away;
      best = parent.along[i] ?? 0;
    }
  }
  return { ...row, at_cm: rounded(Math.max(LEAST_AT_CM, best * CM)) };
}

/** Where the thickness of a limb is taken hold of: beside its middle, as far as one pull doubles it. */
export interface Grip {
  at: Point;
  /** Unit vector away from the limb, as the viewer sees it. */
  away: Point;
  /** Metres from the limb. */
  reach: number;
}

/** The grip of a limb for a viewer at a bearing (radians from north); null where the limb is not drawn. */
export function gripOf(stand: Stand, limb: string, viewer: number): Grip | null {
  const axis = stand.axes.find((one) => one.id === limb && one.kind === 'limb');
  if (!axis) return null;
  const count = axis.points.length / 4;
  const middle = pointOf(axis, Math.round(MIDDLE * (count - 1)));
  const base = pointOf(axis, 0);
  const tip = pointOf(axis, count - 1);
  const [dx, dy, dz] = [tip[0] - base[0], tip[1] - base[1], tip[2] - base[2]];
  const [fx, fy] = [-Math.sin(viewer), -Math.cos(viewer)];
  // at right angles to the limb and to the line of sight
  const across: Point = [-dz * fy, dz * fx, dx * fy - dy * fx];
  const size = Math.hypot(...across);
  const length = Math.hypot(dx, dy, dz);
  const towardsViewer = size < 0.05 * length;
  const sign = across[2] < 0 ? -1 : 1;
  const away: Point = towardsViewer
    ? [0, 0, 1]
    : [(sign * across[0]) / size, (sign * across[1]) / size, (sign * across[2]) / size];
  const reach = BESIDE * stand.top;
  return {
    at: [middle[0] + away[0] * reach, middle[1] + away[1] * reach, middle[2] + away[2] * reach],
    away,
    reach,
  };
}

/** A limb whose grip was pulled: twice as thick a reach further out, thinner towards the limb. */
export function withThickness(row: LimbRow, grip: Grip, to: Point): LimbRow {
  const thick = readNumber(row.diameter_mm);
  if (thick === undefined || Number.isNaN(thick)) return row;
  const pulled =
    (to[0] - grip.at[0]) * grip.away[0] +
    (to[1] - grip.at[1]) * grip.away[1] +
    (to[2] - grip.at[2]) * grip.away[2];
  const times = Math.max(1 / MOST_THICKER, Math.min(MOST_THICKER, 1 + pulled / grip.reach));
  return { ...row, diameter_mm: rounded(Math.max(LEAST_THICKNESS_MM, thick * times)) };
}
