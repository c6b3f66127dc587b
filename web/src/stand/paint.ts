import { Camera } from './camera';
import type { Stand, StandAxis } from './geometry';
import { paintInjury } from './injuries';
import { foliageOf, type Foliage } from './foliage';
import { isDrawn, tells, type Haste } from './haste';
import { cropWood, lightWood, seenWood } from './layers';
import { paintFlowers, paintLeaf } from './sprays';
import { mixed, type Palette } from './palette';
import { between, placesOn, project, ribbon, solid, thin, trace, traceTwigs, type Drawn } from './strokes';

/**
 * What the drawing tells: wood by age, light, flower buds, how much of it was measured; or the tree in bloom, in the leaf of
 * summer, and with its fruit at harvest.
 */
export type Layer = 'wood' | 'light' | 'crop' | 'seen' | 'bloom' | 'summer' | 'harvest';

const IN_SEASON: ReadonlySet<Layer> = new Set(['bloom', 'summer', 'harvest']);

/** Layers in which small wood tells something by itself. */
const TELLING: ReadonlySet<Layer> = new Set(['light', 'crop', 'seen']);

/** How the tree is shown. */
export interface Showing {
  layer: Layer;
  /** found: nothing is marked; marks: what goes is in tape; after: what goes is gone. */
  stage: 'found' | 'marks' | 'after';
  /** Metres kept of each axis that is cut, and the mark that took it. */
  cuts: ReadonlyMap<number, { kept: number; mark: number }>;
  /** Limbs held out from the rest. */
  lit: ReadonlySet<string>;
  /** Shares of open light that fruit and flower buds need, by the school; wherever the layer of light is shown. */
  lightLines?: readonly [number, number];
}

/** Wood under so many pixels is one stroke, over it a body with light and shade. */
const THIN = 2.6;
const THIN_WHILE_TURNING = 8;
/** Limbs over so many pixels show the collar that is kept. */
const COLLAR_SHOWS = 5;
/** Of many buds on a lateral, so many are drawn. */
const MOST_BUDS = 30;
/** A limb's own wood is picked before the laterals about it, within so many pixels. */
const LATERAL_STANDS_BACK = 5;

/**
 * Paints every axis, far ones first, and returns where they stand for picking.
 *
 * @param haste how much is left out while the tree is being turned; middling wood is then drawn in one stroke
 */
export function paintTree(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  showing: Showing,
  colours: Palette,
  haste: Haste = 0,
): Drawn[] {
  const drawn = stand.axes.map((axis) => project(camera, axis)).sort((a, b) => b.depth - a.depth);
  const season = hidesWood(showing) ? foliageFor(stand) : null;
  g.lineCap = 'round';
  g.lineJoin = 'round';
  if (showing.lit.size > 0) {
    halo(g, drawn, showing, colours);
  }
  for (const one of drawn) {
    const cut = showing.stage === 'found' ? undefined : showing.cuts.get(one.axis.index);
    const fog = Math.max(0, Math.min(0.5, 0.22 + (one.depth / Math.max(1, stand.radius)) * 0.28));
    if (!cut) {
      wood(g, one, 0, one.axis.length, fog, showing, colours, haste);
      if (showing.layer === 'wood') paintInjury(g, one, colours);
      if (season) inSeason(g, camera, one, stand, season, showing, fog, haste);
      continue;
    }
    if (cut.kept > 0) {
      wood(g, one, 0, cut.kept, fog, showing, colours, haste);
    }
    if (showing.stage === 'marks') {
      taped(g, one, cut.kept, fog, colours);
      if (cut.kept <= 0) collar(g, one, stand, colours);
    } else {
      face(g, one, cut.kept, stand, colours);
    }
  }
  return drawn;
}

/** Whether leaf or flowers stand before the wood, and before what is drawn behind it. */
export function hidesWood(showing: Showing): boolean {
  return IN_SEASON.has(showing.layer);
}

const placed = new WeakMap<Stand, Foliage>();

function foliageFor(stand: Stand): Foliage {
  const before = placed.get(stand);
  const foliage = before ?? foliageOf(stand);
  if (!before) placed.set(stand, foliage);
  return foliage;
}

/** Leaf or flowers of one axis, over its wood and under what stands nearer. */
function inSeason(
  g: CanvasRenderingContext2D,
  camera: Camera,
  one: Drawn,
  stand: Stand,
  foliage: Foliage,
  showing: Showing,
  fog: number,
  haste: Haste,
): void {
  const dim = showing.lit.size > 0 && !showing.lit.has(one.axis.limb) ? 0.6 : 0;
  const haze = Math.min(0.9, Math.max(0, fog - 0.1) + dim);
  if (showing.layer === 'bloom') paintFlowers(g, camera, one.axis, foliage, stand.foliage, haze, haste);
  else paintLeaf(g, camera, one.axis, foliage, stand.foliage.leaf, haze, haste);
}

/** A light rim round held-out limbs, under everything, so they part from the tangle behind. */
function halo(g: CanvasRenderingContext2D, drawn: Drawn[], showing: Showing, colours: Palette): void {
  g.strokeStyle = colours.paper;
  for (const one of drawn) {
    if (!showing.lit.has(one.axis.limb) || one.axis.kind === 'spur') {
      continue;
    }
    const small = one.axis.kind !== 'limb' && one.axis.kind !== 'trunk';
    g.globalAlpha = small ? 0.55 : 0.95;
    g.lineWidth = (one.ws[1] ?? 1) + (small ? 4 : 11);
    trace(g, one, 0, one.axis.length);
    g.stroke();
  }
  g.globalAlpha = 1;
}

function wood(
  g: CanvasRenderingContext2D,
  one: Drawn,
  from: number,
  to: number,
  fog: number,
  showing: Showing,
  colours: Palette,
  haste: Haste,
): void {
  const { axis } = one;
  const dim = showing.lit.size > 0 && !showing.lit.has(axis.limb) && axis.kind !== 'trunk' ? 0.3 : 0;
  const haze = Math.min(0.75, fog + dim);
  const small = axis.kind === 'spur' || axis.kind === 'fruiting-lateral';
  if (TELLING.has(showing.layer) && small && !tells(axis.index, haste)) return;
  if (showing.layer === 'light') {
    lightWood(g, one, to, haze, showing.lightLines, colours);
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
    if (haste === 0) spur(g, one, haze, colours);
    return;
  }
  const base = axis.dead ? colours.dead : null;
  if (axis.kind === 'fruiting-lateral') {
    // while the tree turns, one stands for several, and leaf hides them all
    const drawn = haste === 0 || (!hidesWood(showing) && isDrawn(axis.index, haste));
    if (drawn) lateral(g, one, haze, colours, haste);
    return;
  }
  if ((one.ws[0] ?? 0) < (haste > 0 ? THIN_WHILE_TURNING : THIN)) {
    if (haste === 3 && axis.kind === 'shoot') return;
    thin(g, one, to, haze, base, colours);
  } else {
    solid(g, one, from, to, haze, base, colours);
  }
  if (haste === 0 && axis.kind === 'shoot' && (one.ws[0] ?? 0) > 2.2) {
    shootBuds(g, one, to, haze, colours);
  }
}

/** A fruiting lateral that nobody measured: its line, its side branches and the buds of its spurs. */
function lateral(
  g: CanvasRenderingContext2D,
  one: Drawn,
  haze: number,
  colours: Palette,
  haste: Haste,
): void {
  const { axis } = one;
  thin(g, one, axis.length, haze, axis.dead ? colours.dead : null, colours);
  if (haste > 0) return;
  const foot = one.ws[0] ?? 1;
  g.strokeStyle = mixed(colours.wood[2] ?? colours.spur, colours.fog, haze);
  g.lineWidth = Math.max(0.6, foot * 0.45);
  g.beginPath();
  traceTwigs(g, one);
  g.stroke();
  const sites = Math.min(MOST_BUDS, Math.round(axis.sites));
  const fat = axis.sites <= 0 ? 0 : Math.min(1, axis.flowerBuds / axis.sites);
  const size = Math.max(0.7, foot * 0.32);
  g.globalAlpha = 1 - haze * 0.8;
  placesOn(one, sites).forEach(([x, y], k) => {
    // so many of them flower, spread evenly among the others
    const flowers = Math.floor((k + 1) * fat) > Math.floor(k * fat);
    const s = flowers ? size * 1.35 : size;
    g.fillStyle = flowers ? colours.bud : colours.leafBud;
    g.fillRect(x - s, y - s, 2 * s, 2 * s);
  });
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
    traceTwigs(g, one);
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

/** The swollen ring at a limb's foot that stays on the tree, and beside it the line of the cut that takes the limb. */
function collar(g: CanvasRenderingContext2D, one: Drawn, stand: Stand, colours: Palette): void {
  const { axis } = one;
  const parent = stand.axes[axis.parent];
  if (axis.kind !== 'limb' || !parent || (one.ws[1] ?? 0) < COLLAR_SHOWS) {
    return;
  }
  const foot = barkAt(parent, axis);
  if (foot >= axis.length) {
    return;
  }
  const [x, y, w] = between(one, foot);
  const [x2, y2, w2] = between(one, foot + 0.5 * (axis.points[3] ?? 0));
  const along = Math.atan2(y2 - y, x2 - x);
  g.lineWidth = 2.2;
  g.strokeStyle = colours.ink;
  g.fillStyle = colours.cutFace;
  g.beginPath();
  g.ellipse(x, y, Math.max(2, w * 0.24), w * 0.66, along, 0, 2 * Math.PI);
  g.fill();
  g.stroke();
  const out = [Math.cos(along + Math.PI / 2) * w2 * 0.95, Math.sin(along + Math.PI / 2) * w2 * 0.95] as const;
  g.setLineDash([4, 3]);
  g.beginPath();
  g.moveTo(x2 - out[0], y2 - out[1]);
  g.lineTo(x2 + out[0], y2 + out[1]);
  g.stroke();
  g.setLineDash([]);
}

/** How far along an axis the bark of its parent ends, metres: half the parent's thickness there, aslant. */
function barkAt(parent: StandAxis, axis: StandAxis): number {
  const [x, y, z] = [axis.points[0] ?? 0, axis.points[1] ?? 0, axis.points[2] ?? 0];
  let near = Infinity;
  let thick = 0;
  for (let i = 0; i < parent.along.length; i++) {
    const away = Math.hypot(
      (parent.points[4 * i] ?? 0) - x,
      (parent.points[4 * i + 1] ?? 0) - y,
      (parent.points[4 * i + 2] ?? 0) - z,
    );
    if (away < near) {
      near = away;
      thick = parent.points[4 * i + 3] ?? 0;
    }
  }
  return 0.6 * thick;
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

/** Pixels by which a kind of wood is preferred over another. */
const PREFERRED: Record<string, number> = { limb: 3, trunk: 1, 'fruiting-lateral': -LATERAL_STANDS_BACK };

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
      const frame = PREFERRED[one.axis.kind] ?? 0;
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
