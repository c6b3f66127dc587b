import type { Camera } from './camera';
import type { StandAxis } from './geometry';
import { mixed, woodOf, type Palette } from './palette';

/** One axis as it falls on the screen. */
export interface Drawn {
  axis: StandAxis;
  xs: Float64Array;
  ys: Float64Array;
  ws: Float64Array;
  /** Side branches of a fruiting lateral: x, y of foot and end in turn. */
  twigs: Float64Array;
  depth: number;
}

export function project(camera: Camera, axis: StandAxis): Drawn {
  const count = axis.along.length;
  const xs = new Float64Array(count);
  const ys = new Float64Array(count);
  const ws = new Float64Array(count);
  let depth = 0;
  for (let i = 0; i < count; i++) {
    const at = camera.see(axis.points[4 * i] ?? 0, axis.points[4 * i + 1] ?? 0, axis.points[4 * i + 2] ?? 0);
    xs[i] = at.x;
    ys[i] = at.y;
    ws[i] = (axis.points[4 * i + 3] ?? 0) * at.scale;
    depth += at.depth;
  }
  const ends = axis.twigs.length / 3;
  const twigs = new Float64Array(ends * 2);
  for (let i = 0; i < ends; i++) {
    const at = camera.see(axis.twigs[3 * i] ?? 0, axis.twigs[3 * i + 1] ?? 0, axis.twigs[3 * i + 2] ?? 0);
    twigs[2 * i] = at.x;
    twigs[2 * i + 1] = at.y;
  }
  return { axis, xs, ys, ws, twigs, depth: depth / count };
}

export function trace(g: CanvasRenderingContext2D, one: Drawn, from: number, to: number): void {
  g.beginPath();
  let begun = false;
  for (let i = 0; i < one.xs.length; i++) {
    const s = one.axis.along[i] ?? 0;
    if (s < from - 1e-6 && (one.axis.along[i + 1] ?? Infinity) <= from) {
      continue;
    }
    if (s > to) {
      const [x, y] = between(one, to);
      g.lineTo(x, y);
      break;
    }
    const [x, y] = s < from ? between(one, from) : [one.xs[i] ?? 0, one.ys[i] ?? 0];
    if (begun) g.lineTo(x, y);
    else g.moveTo(x, y);
    begun = true;
  }
}

/** The side branches of a fruiting lateral as lines of the path that is open. */
export function traceTwigs(g: CanvasRenderingContext2D, one: Drawn): void {
  const { twigs } = one;
  for (let i = 0; i < twigs.length; i += 4) {
    g.moveTo(twigs[i] ?? 0, twigs[i + 1] ?? 0);
    g.lineTo(twigs[i + 2] ?? 0, twigs[i + 3] ?? 0);
  }
}

/** Screen points spread over a lateral's own line and its side branches, from its tip inward; always the same. */
export function placesOn(one: Drawn, count: number): [number, number][] {
  const branches = one.twigs.length / 4;
  const places: [number, number][] = [];
  for (let k = 0; k < count; k++) {
    // steps of the golden section fill a line evenly however many there are
    const share = (0.5 + k * 0.618034) % 1;
    const line = k % (branches + 1);
    if (line === 0) {
      const [x, y] = between(one, one.axis.length * (0.25 + 0.75 * share));
      places.push([x, y]);
    } else {
      const i = 4 * (line - 1);
      const at = (from: number) =>
        (one.twigs[from] ?? 0) + ((one.twigs[from + 2] ?? 0) - (one.twigs[from] ?? 0)) * (0.2 + 0.8 * share);
      places.push([at(i), at(i + 1)]);
    }
  }
  return places;
}

/** The screen point and width at a distance along an axis. */
export function between(one: Drawn, s: number): [number, number, number] {
  const along = one.axis.along;
  let i = 0;
  while (i < along.length - 2 && (along[i + 1] ?? 0) < s) {
    i++;
  }
  const a = along[i] ?? 0;
  const b = along[i + 1] ?? a;
  const t = b > a ? Math.max(0, Math.min(1, (s - a) / (b - a))) : 0;
  const mix = (v: Float64Array) => (v[i] ?? 0) + ((v[i + 1] ?? v[i] ?? 0) - (v[i] ?? 0)) * t;
  return [mix(one.xs), mix(one.ys), mix(one.ws)];
}

export function colourAt(
  axis: StandAxis,
  i: number,
  base: [number, number, number] | null,
  colours: Palette,
) {
  return base ?? colours.wood[woodOf(axis.ages[i] ?? 1)] ?? [90, 76, 64];
}

/** Wood too thin for a body: one stroke for each age. */
export function thin(
  g: CanvasRenderingContext2D,
  one: Drawn,
  to: number,
  haze: number,
  base: [number, number, number] | null,
  colours: Palette,
): void {
  const { axis } = one;
  g.lineWidth = Math.max(0.7, ((one.ws[0] ?? 1) + (one.ws[one.ws.length - 1] ?? 1)) / 2);
  let i = 0;
  while (i < one.xs.length - 1 && (axis.along[i] ?? 0) < to) {
    const age = woodOf(axis.ages[i + 1] ?? 1);
    g.strokeStyle = mixed(colourAt(axis, i + 1, base, colours), colours.fog, haze);
    g.beginPath();
    g.moveTo(one.xs[i] ?? 0, one.ys[i] ?? 0);
    while (i < one.xs.length - 1 && (axis.along[i] ?? 0) < to && woodOf(axis.ages[i + 1] ?? 1) === age) {
      const next = axis.along[i + 1] ?? 0;
      const [x, y] = next > to ? between(one, to) : [one.xs[i + 1] ?? 0, one.ys[i + 1] ?? 0];
      g.lineTo(x, y);
      i++;
    }
    g.stroke();
  }
}

/** Wood with a body: a dark edge, a mid tone and a lit side, each a tapering ribbon, and bark on what is thick. */
export function solid(
  g: CanvasRenderingContext2D,
  one: Drawn,
  from: number,
  to: number,
  haze: number,
  base: [number, number, number] | null,
  colours: Palette,
): void {
  const { axis } = one;
  const dark: [number, number, number] = [34, 28, 24];
  const pale: [number, number, number] = [214, 200, 178];
  if (axis.kind !== 'trunk' && from <= 0) {
    shoulder(g, one, mixed(colourAt(axis, 0, base, colours), colours.fog, haze));
  }
  let i = 0;
  while (i < one.xs.length - 1 && (axis.along[i] ?? 0) < to) {
    const start = i;
    const age = woodOf(axis.ages[i + 1] ?? 1);
    while (i < one.xs.length - 1 && (axis.along[i] ?? 0) < to && woodOf(axis.ages[i + 1] ?? 1) === age) {
      i++;
    }
    const colour = colourAt(axis, start + 1, base, colours);
    const tone = (other: [number, number, number], share: number): [number, number, number] => [
      colour[0] + (other[0] - colour[0]) * share,
      colour[1] + (other[1] - colour[1]) * share,
      colour[2] + (other[2] - colour[2]) * share,
    ];
    const wide = (one.ws[start] ?? 0) > 7;
    ribbon(g, one, start, i, to, -0.5, 0.5, mixed(tone(dark, 0.5), colours.fog, haze));
    if (wide) ribbon(g, one, start, i, to, -0.48, 0.36, mixed(tone(dark, 0.26), colours.fog, haze));
    ribbon(g, one, start, i, to, -0.46, 0.2, mixed(tone(dark, 0.05), colours.fog, haze));
    if (wide) ribbon(g, one, start, i, to, -0.42, 0.02, mixed(tone(pale, 0.1), colours.fog, haze));
    ribbon(g, one, start, i, to, -0.36, -0.12, mixed(tone(pale, 0.19), colours.fog, haze));
  }
  if ((one.ws[1] ?? 0) > 9) {
    bark(g, one, from, to, haze, colours);
  }
}

/** The rounded foot of a limb, where its collar sits on the parent. */
export function shoulder(g: CanvasRenderingContext2D, one: Drawn, colour: string): void {
  const radius = (one.ws[0] ?? 0) * 0.5;
  if (radius < 2) {
    return;
  }
  g.fillStyle = colour;
  g.beginPath();
  g.arc(one.xs[0] ?? 0, one.ys[0] ?? 0, radius * 0.96, 0, 2 * Math.PI);
  g.fill();
}

/** A strip along an axis between two shares of its width; negative is the lit, left side. */
export function ribbon(
  g: CanvasRenderingContext2D,
  one: Drawn,
  start: number,
  end: number,
  to: number,
  low: number,
  high: number,
  colour: string,
): void {
  const left: [number, number][] = [];
  const right: [number, number][] = [];
  for (let i = start; i <= end; i++) {
    const s = one.axis.along[i] ?? 0;
    const past = s > to;
    const [x, y, w] = past ? between(one, to) : [one.xs[i] ?? 0, one.ys[i] ?? 0, one.ws[i] ?? 0];
    const a = Math.max(0, i - 1);
    const b = Math.min(one.xs.length - 1, i + 1);
    let nx = -((one.ys[b] ?? 0) - (one.ys[a] ?? 0));
    let ny = (one.xs[b] ?? 0) - (one.xs[a] ?? 0);
    const long = Math.hypot(nx, ny) || 1;
    nx /= long;
    ny /= long;
    // the lit side is screen-left, or the upper side of a level limb
    const sign = nx * 0.8 + ny * 0.6 > 0 ? -1 : 1;
    const width = Math.max(0.9, w);
    left.push([x + nx * low * width * sign * -1, y + ny * low * width * sign * -1]);
    right.push([x + nx * high * width * sign * -1, y + ny * high * width * sign * -1]);
    if (past) {
      break;
    }
  }
  const first = left[0];
  if (!first) {
    return;
  }
  g.fillStyle = colour;
  g.beginPath();
  g.moveTo(first[0], first[1]);
  for (const [x, y] of left) g.lineTo(x, y);
  for (const [x, y] of right.reverse()) g.lineTo(x, y);
  g.closePath();
  g.fill();
}

/** Short broken lines along thick wood, always the same for the same limb. */
export function bark(
  g: CanvasRenderingContext2D,
  one: Drawn,
  from: number,
  to: number,
  haze: number,
  colours: Palette,
): void {
  g.strokeStyle = mixed([46, 38, 32], colours.fog, haze + 0.1);
  g.lineWidth = 0.8;
  g.globalAlpha = 0.5;
  let seed = one.axis.index * 97 + 13;
  const random = () => {
    seed = (seed * 16807) % 2147483647;
    return seed / 2147483647;
  };
  const marks = Math.min(90, Math.floor(one.axis.length * 26));
  for (let k = 0; k < marks; k++) {
    const s = from + random() * one.axis.length * 0.85;
    const off = random() - 0.5;
    const long = 0.02 + 0.06 * random();
    if (s + long > to) {
      continue;
    }
    const [x0, y0, w] = between(one, s);
    const [x1, y1] = between(one, s + long);
    if (w < 7) {
      continue;
    }
    const across = Math.hypot(x1 - x0, y1 - y0) || 1;
    const nx = (-(y1 - y0) / across) * w * off * 0.85;
    const ny = ((x1 - x0) / across) * w * off * 0.85;
    g.beginPath();
    g.moveTo(x0 + nx, y0 + ny);
    g.lineTo(x1 + nx, y1 + ny);
    g.stroke();
  }
  g.globalAlpha = 1;
}
