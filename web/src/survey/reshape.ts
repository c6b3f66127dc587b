import type { Stand, StandAxis } from '../stand/geometry';
import { readNumber, showNumber } from '../ui/numbers';
import type { LimbRow } from './form';

const LEAST_LENGTH_CM = 5;
const LEAST_AT_CM = 1;
const UPRIGHT_MOST_DEG = 180;
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
