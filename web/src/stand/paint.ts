import { Camera } from './camera';
import type { Stand, StandAxis } from './geometry';
import { lightOf, mixed, woodOf, type Palette } from './palette';

/** What the drawing tells: wood by age, light, flower buds, fruit at harvest, or how much of it was measured. */
export type Layer = 'wood' | 'light' | 'crop' | 'harvest' | 'seen';

/** How the tree is shown. */
export interface Showing {
  layer: Layer;
  /** found: nothing is marked; marks: what goes is in tape; after: what goes is gone. */
  stage: 'found' | 'marks' | 'after';
  /** Metres kept of each axis that is cut, and the mark that took it. */
  cuts: ReadonlyMap<number, { kept: number; mark: number }>;
  /** Limbs held out from the rest. */
  lit: ReadonlySet<string>;
}

interface Drawn {
  axis: StandAxis;
  xs: Float64Array;
  ys: Float64Array;
  ws: Float64Array;
  depth: number;
}

function project(camera: Camera, axis: StandAxis): Drawn {
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
  return { axis, xs, ys, ws, depth: depth / count };
}

/** Paints every axis, far ones first, and returns where they stand for picking. */
export function paintTree(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  showing: Showing,
  colours: Palette,
): Drawn[] {
  const drawn = stand.axes.map((axis) => project(camera, axis)).sort((a, b) => b.depth - a.depth);
  g.lineCap = 'round';
  g.lineJoin = 'round';
  if (showing.lit.size > 0) {
    halo(g, drawn, showing, colours);
  }
  for (const one of drawn) {
    const cut = showing.stage === 'found' ? undefined : showing.cuts.get(one.axis.index);
    const fog = Math.max(0, Math.min(0.5, 0.22 + (one.depth / Math.max(1, stand.radius)) * 0.28));
    if (!cut) {
      wood(g, one, 0, one.axis.length, fog, showing, colours);
      continue;
    }
    if (cut.kept > 0) {
      wood(g, one, 0, cut.kept, fog, showing, colours);
    }
    if (showing.stage === 'marks') {
      taped(g, one, cut.kept, fog, colours);
    } else {
      face(g, one, cut.kept, stand, colours);
    }
  }
  return drawn;
}

/** A light rim round held-out limbs, under everything, so they part from the tangle behind. */
function halo(g: CanvasRenderingContext2D, drawn: Drawn[], showing: Showing, colours: Palette): void {
  g.strokeStyle = colours.paper;
  for (const one of drawn) {
    if (!showing.lit.has(one.axis.limb) || one.axis.kind === 'spur') {
      continue;
    }
    const small = one.axis.kind === 'shoot' || one.axis.kind === 'lateral';
    g.globalAlpha = small ? 0.55 : 0.95;
    g.lineWidth = (one.ws[1] ?? 1) + (small ? 4 : 11);
    trace(g, one, 0, one.axis.length);
    g.stroke();
  }
  g.globalAlpha = 1;
}

function trace(g: CanvasRenderingContext2D, one: Drawn, from: number, to: number): void {
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

/** The screen point and width at a distance along an axis. */
function between(one: Drawn, s: number): [number, number, number] {
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

function wood(
  g: CanvasRenderingContext2D,
  one: Drawn,
  from: number,
  to: number,
  fog: number,
  showing: Showing,
  colours: Palette,
): void {
  const { axis } = one;
  const dim = showing.lit.size > 0 && !showing.lit.has(axis.limb) && axis.kind !== 'trunk' ? 0.3 : 0;
  const haze = Math.min(0.75, fog + dim);
  if (showing.layer === 'light') {
    lightWood(g, one, to, haze, colours);
    return;
  }
  if (showing.layer === 'crop') {
    cropWood(g, one, to, haze, colours);
    return;
  }
  if (showing.layer === 'seen') {
    seenWood(g, one, to, haze, colours);
    return;
  }
  if (axis.kind === 'spur') {
    spur(g, one, haze, colours);
    return;
  }
  const base = axis.dead ? colours.dead : null;
  if ((one.ws[0] ?? 0) < 2.6) {
    thin(g, one, to, haze, base, colours);
  } else {
    solid(g, one, from, to, haze, base, colours);
  }
  if (axis.kind === 'shoot' && (one.ws[0] ?? 0) > 2.2) {
    shootBuds(g, one, to, haze, colours);
  }
}

function colourAt(axis: StandAxis, i: number, base: [number, number, number] | null, colours: Palette) {
  return base ?? colours.wood[woodOf(axis.ages[i] ?? 1)] ?? [90, 76, 64];
}

/** Wood too thin for a body: one stroke for each age. */
function thin(
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
function solid(
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
function shoulder(g: CanvasRenderingContext2D, one: Drawn, colour: string): void {
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
function ribbon(
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
function bark(
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

/** A spur: stout, ringed, with a fat flower bud or a pointed leaf bud; a mere dash when far. */
function spur(g: CanvasRenderingContext2D, one: Drawn, haze: number, colours: Palette): void {
  const x0 = one.xs[0] ?? 0;
  const y0 = one.ys[0] ?? 0;
  const x1 = one.xs[one.xs.length - 1] ?? 0;
  const y1 = one.ys[one.ys.length - 1] ?? 0;
  const thick = Math.max(1.1, one.ws[0] ?? 1);
  g.strokeStyle = mixed(one.axis.dead ? colours.dead : colours.spur, colours.fog, haze);
  g.lineWidth = thick * 0.8;
  g.beginPath();
  g.moveTo(x0, y0);
  g.lineTo(x1, y1);
  g.stroke();
  const fat = one.axis.flowerBuds >= 0.4;
  const size = thick * (fat ? 0.95 : 0.55);
  g.globalAlpha = 1 - haze * 0.8;
  g.fillStyle = fat ? colours.bud : colours.leafBud;
  if (thick < 2) {
    g.fillRect(x1 - size * 0.6, y1 - size * 0.6, size * 1.2, size * 1.2);
  } else {
    const angle = Math.atan2(y1 - y0, x1 - x0);
    g.beginPath();
    g.ellipse(
      x1 + Math.cos(angle) * size * 0.6,
      y1 + Math.sin(angle) * size * 0.6,
      size * (fat ? 1.25 : 1.4),
      size * (fat ? 0.85 : 0.5),
      angle,
      0,
      2 * Math.PI,
    );
    g.fill();
  }
  g.globalAlpha = 1;
}

function shootBuds(
  g: CanvasRenderingContext2D,
  one: Drawn,
  to: number,
  haze: number,
  colours: Palette,
): void {
  const perMetre = one.axis.flowerBuds / Math.max(0.1, one.axis.length);
  g.globalAlpha = 1 - haze;
  let side = 1;
  for (let s = 0.04; s < to; s += 0.028) {
    const [x, y, w] = between(one, s);
    const [x2, y2] = between(one, s + 0.01);
    const long = Math.hypot(x2 - x, y2 - y) || 1;
    const fat = perMetre > 5 && s < one.axis.length * 0.75;
    g.fillStyle = fat ? colours.bud : colours.leafBud;
    g.beginPath();
    g.arc(
      x + (-(y2 - y) / long) * w * 0.6 * side,
      y + ((x2 - x) / long) * w * 0.6 * side,
      Math.max(0.8, w * (fat ? 0.42 : 0.26)),
      0,
      2 * Math.PI,
    );
    g.fill();
    side = -side;
  }
  g.globalAlpha = 1;
}

/** The light layer: wood stands back in grey, every fruiting place shows its light by colour and by shape. */
function lightWood(
  g: CanvasRenderingContext2D,
  one: Drawn,
  to: number,
  haze: number,
  colours: Palette,
): void {
  const { axis } = one;
  if (axis.kind !== 'spur' && axis.kind !== 'shoot') {
    solid(g, one, 0, to, Math.min(0.85, haze + 0.3), [128, 124, 118], colours);
    return;
  }
  const step = axis.light === null ? null : lightOf(axis.light);
  const colour = step === null ? null : (colours.light[step] ?? null);
  if (axis.kind === 'shoot') {
    g.strokeStyle = colour
      ? mixed(colour, colours.fog, haze * 0.5)
      : mixed([150, 146, 140], colours.fog, haze);
    g.lineWidth = Math.max(colour ? 1.6 : 0.8, one.ws[0] ?? 1);
    trace(g, one, 0, to);
    g.stroke();
    return;
  }
  if (!colour || step === null) {
    return;
  }
  const x = one.xs[one.xs.length - 1] ?? 0;
  const y = one.ys[one.ys.length - 1] ?? 0;
  const size = Math.max(2.1, (one.ws[0] ?? 1) * 0.8);
  g.fillStyle = mixed(colour, colours.fog, haze * 0.5);
  g.beginPath();
  if (step === 0) {
    g.rect(x - size, y - size, 2 * size, 2 * size);
  } else if (step === 1) {
    g.moveTo(x, y - size * 1.3);
    g.lineTo(x + size * 1.2, y + size);
    g.lineTo(x - size * 1.2, y + size);
  } else {
    g.arc(x, y, size * 1.1, 0, 2 * Math.PI);
  }
  g.fill();
}

/** The crop layer: wood stands back, every flower bud shows where it is by the size of its disc. */
function cropWood(g: CanvasRenderingContext2D, one: Drawn, to: number, haze: number, colours: Palette): void {
  const { axis } = one;
  if (axis.kind !== 'spur' && axis.kind !== 'shoot') {
    solid(g, one, 0, to, Math.min(0.85, haze + 0.25), [128, 118, 110], colours);
    return;
  }
  if (axis.kind === 'shoot') {
    g.strokeStyle = mixed([150, 140, 132], colours.fog, haze);
    g.lineWidth = Math.max(0.8, (one.ws[0] ?? 1) * 0.7);
    trace(g, one, 0, to);
    g.stroke();
  }
  if (axis.flowerBuds <= 0.02) {
    return;
  }
  const places = axis.kind === 'spur' ? 1 : Math.max(1, Math.min(4, Math.round(axis.flowerBuds / 3)));
  const size = 1.5 + 2.2 * Math.sqrt(Math.min(3, axis.flowerBuds / places));
  g.fillStyle = mixed(colours.blossom, colours.fog, haze * 0.6);
  g.strokeStyle = mixed(colours.blossomEdge, colours.fog, haze * 0.6);
  g.lineWidth = 0.8;
  for (let k = 0; k < places; k++) {
    const at = axis.kind === 'spur' ? axis.length : (to * (k + 1)) / (places + 0.4);
    const [x, y] = between(one, at);
    g.beginPath();
    g.arc(x, y, size, 0, 2 * Math.PI);
    g.fill();
    g.stroke();
  }
}

/** What was measured in ink, what was counted in brown, what is only expected in pale broken lines. */
function seenWood(g: CanvasRenderingContext2D, one: Drawn, to: number, haze: number, colours: Palette): void {
  const { seen } = one.axis;
  if (seen === 'measured') {
    solid(g, one, 0, to, haze, colours.measured, colours);
    return;
  }
  const counted = seen === 'counted';
  g.strokeStyle = mixed(counted ? colours.counted : colours.expected, colours.fog, haze);
  g.lineWidth = Math.max(1.1, (one.ws[0] ?? 1) * 0.8);
  g.setLineDash(counted ? [] : [4, 3]);
  trace(g, one, 0, to);
  g.stroke();
  g.setLineDash([]);
}

/** Fruit where it hangs at harvest: near ones over far ones, a number of fruits as one disc of their size together. */
export function paintFruit(
  g: CanvasRenderingContext2D,
  camera: Camera,
  fruit: { fruits: number; place: number[] }[],
  diameter: number,
  colours: Palette,
): void {
  const seen = fruit
    .map((one) => ({ one, at: camera.see(one.place[0] ?? 0, one.place[1] ?? 0, one.place[2] ?? 0) }))
    .sort((a, b) => b.at.depth - a.at.depth);
  for (const { one, at } of seen) {
    const size = Math.max(
      1.6,
      (diameter / 2) * at.scale * Math.sqrt(Math.min(6, Math.max(0.25, one.fruits))),
    );
    g.fillStyle = colours.fruit;
    g.strokeStyle = colours.fruitEdge;
    g.lineWidth = 0.8;
    g.beginPath();
    g.arc(at.x, at.y + size * 0.8, size, 0, 2 * Math.PI);
    g.fill();
    g.stroke();
  }
}

/** Wood marked to go, in tape: clear on the frame, faint on twigs, fainter behind. */
function taped(g: CanvasRenderingContext2D, one: Drawn, from: number, fog: number, colours: Palette): void {
  const frame = one.axis.kind === 'limb' || one.axis.kind === 'trunk';
  if (one.axis.kind === 'spur') {
    return;
  }
  g.globalAlpha = (frame ? 0.92 : one.axis.kind === 'shoot' ? 0.5 : 0.45) * (1 - fog * 0.8);
  if (frame && (one.ws[0] ?? 0) > 4) {
    ribbon(
      g,
      one,
      firstAfter(one, from),
      one.xs.length - 1,
      one.axis.length + 1,
      -0.5,
      0.5,
      colours.tapeDark,
    );
    ribbon(g, one, firstAfter(one, from), one.xs.length - 1, one.axis.length + 1, -0.46, 0.2, colours.tape);
  } else {
    g.strokeStyle = colours.tape;
    g.lineWidth = Math.max(frame ? 2 : 1, (one.ws[0] ?? 1) * 0.85);
    trace(g, one, from, one.axis.length);
    g.stroke();
  }
  g.globalAlpha = 1;
}

/** Index of the first point beyond a distance along an axis, with the one before it. */
function firstAfter(one: Drawn, distance: number): number {
  let i = 0;
  while (i < one.xs.length - 2 && (one.axis.along[i] ?? 0) < distance) {
    i++;
  }
  return i;
}

/** The pale face a saw leaves, where a limb or leader was cut. */
function face(g: CanvasRenderingContext2D, one: Drawn, kept: number, stand: Stand, colours: Palette): void {
  const { axis } = one;
  const alone = axis.kind === 'limb' || axis.kind === 'trunk';
  const parent = stand.axes[axis.parent];
  if (!alone || (one.ws[1] ?? 0) < 3 || (kept <= 0 && !parent)) {
    return;
  }
  const [x, y, w] = between(one, Math.max(kept, 0.02));
  const [x2, y2] = between(one, Math.max(kept, 0.02) + 0.04);
  g.fillStyle = colours.cutFace;
  g.strokeStyle = mixed([70, 54, 42], colours.fog, 0.1);
  g.lineWidth = 1.2;
  g.beginPath();
  g.ellipse(x, y, w * 0.3, w * 0.5, Math.atan2(y2 - y, x2 - x), 0, 2 * Math.PI);
  g.fill();
  g.stroke();
}

/** What lies under a point of the screen. */
export interface Picked {
  axis: StandAxis;
  /** Metres from the axis's origin. */
  along: number;
  x: number;
  y: number;
  width: number;
  angle: number;
}

/** The nearest axis within reach of a finger or pointer, nearer the viewer and thicker preferred. */
export function pick(drawn: Drawn[], x: number, y: number, reach: number): Picked | null {
  let best: Picked | null = null;
  let bestScore = reach;
  for (const one of drawn) {
    if (one.axis.kind === 'spur') {
      continue;
    }
    for (let i = 0; i < one.xs.length - 1; i++) {
      const ax = one.xs[i] ?? 0;
      const ay = one.ys[i] ?? 0;
      const dx = (one.xs[i + 1] ?? 0) - ax;
      const dy = (one.ys[i + 1] ?? 0) - ay;
      const t = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
      const px = ax + dx * t;
      const py = ay + dy * t;
      const width = one.ws[i] ?? 1;
      const frame = one.axis.kind === 'limb' ? 3 : one.axis.kind === 'trunk' ? 1 : 0;
      const score = Math.max(0, Math.hypot(x - px, y - py) - width / 2) - frame + one.depth * 0.3;
      if (score < bestScore && Math.hypot(x - px, y - py) - width / 2 < reach) {
        bestScore = score;
        const s = (one.axis.along[i] ?? 0) + ((one.axis.along[i + 1] ?? 0) - (one.axis.along[i] ?? 0)) * t;
        best = { axis: one.axis, along: Math.max(0, s), x: px, y: py, width, angle: Math.atan2(dy, dx) };
      }
    }
  }
  return best;
}

export type { Drawn };
