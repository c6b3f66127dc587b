import type { AxisLine, Drawing } from '../api/client';

/** One axis ready to draw: a smooth line of points with thickness and age, metres. */
export interface StandAxis {
  index: number;
  id: string;
  limb: string;
  kind: string;
  parent: number;
  length: number;
  /** x, y, z, diameter of each point in turn. */
  points: Float64Array;
  /** Distance of each point from the axis's origin; what a cut is measured in. */
  along: Float64Array;
  ages: Uint8Array;
  dead: boolean;
  /** What is wrong with it that one can see. */
  injury: 'broken' | 'diseased' | null;
  /** How much of it somebody saw: measured, counted or estimated. */
  seen: string;
  shootClass: string | null;
  attitude: string | null;
  flowerBuds: number;
  light: number | null;
  /** Fruiting sites on it. */
  sites: number;
  /** Side branches of a fruiting lateral: x, y, z of foot and end in turn. */
  twigs: Float64Array;
  /** Leaf it carries in the coming summer, m². */
  leaf: number;
  /** Where the shoot that grows on from its end will end; empty where none does. */
  coming: readonly number[];
}

/** Where an axis and its side branches stand after a bend. */
export interface Moved {
  points: number[];
  twigs: number[];
}

/** A tree ready to draw. */
export interface Stand {
  axes: StandAxis[];
  top: number;
  radius: number;
  inRow: number;
  betweenRows: number;
  rowBearing: number;
  /** How leaf, flowers and fruit of its kind look. */
  foliage: Drawing['foliage'];
}

type Vec = [number, number, number];

const FRAME = new Set(['limb', 'lateral']);

function pointAt(line: AxisLine, distance: number): { at: Vec; direction: Vec; diameter: number } {
  const p = line.points;
  const count = p.length / 4;
  let gone = 0;
  for (let i = 1; i < count; i++) {
    const a: Vec = [p[4 * i - 4] ?? 0, p[4 * i - 3] ?? 0, p[4 * i - 2] ?? 0];
    const b: Vec = [p[4 * i] ?? 0, p[4 * i + 1] ?? 0, p[4 * i + 2] ?? 0];
    const step = Math.hypot(b[0] - a[0], b[1] - a[1], b[2] - a[2]) || 1e-9;
    if (gone + step >= distance || i === count - 1) {
      const share = Math.min(1, Math.max(0, (distance - gone) / step));
      return {
        at: [a[0] + (b[0] - a[0]) * share, a[1] + (b[1] - a[1]) * share, a[2] + (b[2] - a[2]) * share],
        direction: [(b[0] - a[0]) / step, (b[1] - a[1]) / step, (b[2] - a[2]) / step],
        diameter: (p[4 * i - 1] ?? 0) + ((p[4 * i + 3] ?? 0) - (p[4 * i - 1] ?? 0)) * share,
      };
    }
    gone += step;
  }
  return { at: [p[0] ?? 0, p[1] ?? 0, p[2] ?? 0], direction: [0, 0, 1], diameter: p[3] ?? 0 };
}

interface Bead {
  x: number;
  y: number;
  z: number;
  d: number;
  s: number;
  age: number;
}

function beads(line: AxisLine, points: number[]): Bead[] {
  const out: Bead[] = [];
  let s = 0;
  for (let i = 0; i < points.length / 4; i++) {
    const x = points[4 * i] ?? 0;
    const y = points[4 * i + 1] ?? 0;
    const z = points[4 * i + 2] ?? 0;
    const before = out[out.length - 1];
    if (before) {
      s += Math.hypot(x - before.x, y - before.y, z - before.z);
    }
    out.push({ x, y, z, d: points[4 * i + 3] ?? 0, s, age: line.ages[i] ?? 1 });
  }
  return out;
}

/** A limb does not leave like a spoke: its line comes out of the parent's own and swells where they join. */
function joined(line: AxisLine, parent: AxisLine, own: Bead[]): Bead[] {
  const first = own[0];
  const second = own[1];
  if (!first || !second) {
    return own;
  }
  const union = pointAt(parent, line.at);
  const thick = union.diameter / 2;
  const step = Math.hypot(second.x - first.x, second.y - first.y, second.z - first.z) || 1e-9;
  const out: Vec = [(second.x - first.x) / step, (second.y - first.y) / step, (second.z - first.z) / step];
  const swell = (distance: number, wider: number, sunk: number): Bead => ({
    x: first.x + out[0] * distance - union.direction[0] * sunk,
    y: first.y + out[1] * distance - union.direction[1] * sunk,
    z: first.z + out[2] * distance - union.direction[2] * sunk,
    d: Math.min(union.diameter * 0.92, first.d * wider),
    s: distance,
    age: first.age,
  });
  const collar = [
    swell(thick * 0.55, 1.7, thick * 0.3),
    swell(thick * 0.95, 1.42, thick * 0.12),
    swell(thick * 1.6, 1.14, 0),
  ];
  const rest = own.slice(1).filter((bead) => bead.s > thick * 2);
  return rest.length > 0 ? [...collar, ...rest] : own;
}

/** Catmull–Rom through the beads, so that a limb of ten centimetre pieces looks grown. */
function smooth(beadsIn: Bead[], parts: number): Bead[] {
  const out: Bead[] = [];
  for (let i = 0; i < beadsIn.length - 1; i++) {
    const b = beadsIn[i];
    const c = beadsIn[i + 1];
    if (!b || !c) {
      continue;
    }
    const a = beadsIn[i - 1] ?? b;
    const d = beadsIn[i + 2] ?? c;
    for (let k = 0; k < parts; k++) {
      const t = k / parts;
      const curve = (p0: number, p1: number, p2: number, p3: number) =>
        0.5 *
        (2 * p1 +
          (p2 - p0) * t +
          (2 * p0 - 5 * p1 + 4 * p2 - p3) * t * t +
          (3 * p1 - p0 - 3 * p2 + p3) * t * t * t);
      out.push({
        x: curve(a.x, b.x, c.x, d.x),
        y: curve(a.y, b.y, c.y, d.y),
        z: curve(a.z, b.z, c.z, d.z),
        d: b.d + (c.d - b.d) * t,
        s: b.s + (c.s - b.s) * t,
        age: t < 0.5 ? b.age : c.age,
      });
    }
  }
  const last = beadsIn[beadsIn.length - 1];
  return last ? [...out, last] : out;
}

function ready(line: AxisLine, index: number, lines: AxisLine[], moved: Moved): StandAxis {
  let own = beads(line, moved.points);
  const parent = lines[line.parent];
  if (parent && FRAME.has(line.kind)) {
    own = smooth(joined(line, parent, own), line.kind === 'limb' ? 2 : 1);
  } else if (line.kind === 'shoot' && line.length > 0.45) {
    own = smooth(own, 2);
  } else if (line.kind === 'trunk') {
    own = smooth(own, 2).map((bead) => ({ ...bead, d: bead.d * (1 + 0.55 * Math.exp(-bead.z / 0.09)) }));
  }
  const flat = new Float64Array(own.length * 4);
  const along = new Float64Array(own.length);
  const ages = new Uint8Array(own.length);
  own.forEach((bead, i) => {
    flat.set([bead.x, bead.y, bead.z, bead.d], 4 * i);
    along[i] = bead.s;
    ages[i] = bead.age;
  });
  return {
    index,
    id: line.id,
    limb: line.limb,
    kind: line.kind,
    parent: line.parent,
    length: line.length,
    points: flat,
    along,
    ages,
    dead: line.conditions.includes('dead'),
    injury: line.conditions.includes('broken')
      ? 'broken'
      : line.conditions.includes('diseased')
        ? 'diseased'
        : null,
    seen: line.seen,
    shootClass: line.shootClass,
    attitude: line.attitude,
    flowerBuds: line.flowerBuds,
    light: line.light ?? null,
    sites: line.sites,
    twigs: Float64Array.from(moved.twigs),
    leaf: line.leaf,
    coming: line.coming,
  };
}

/** How far a drawing reaches from its trunk, metres. */
export function radiusOf(drawing: Drawing): number {
  let radius = 0.5;
  for (const axis of drawing.axes) {
    for (let i = 0; i < axis.points.length; i += 4) {
      radius = Math.max(radius, Math.hypot(axis.points[i] ?? 0, axis.points[i + 1] ?? 0));
    }
  }
  return radius;
}

/**
 * Makes a drawing ready.
 *
 * @param moved lines of axes that a bend has moved, by index
 */
export function prepare(drawing: Drawing, moved: ReadonlyMap<number, Moved> = new Map()): Stand {
  const axes = drawing.axes.map((line, i) => ready(line, i, drawing.axes, moved.get(i) ?? line));
  let radius = 0.5;
  let top = drawing.top;
  for (const axis of axes) {
    for (let i = 0; i < axis.along.length; i++) {
      radius = Math.max(radius, Math.hypot(axis.points[4 * i] ?? 0, axis.points[4 * i + 1] ?? 0));
      top = Math.max(top, axis.points[4 * i + 2] ?? 0);
    }
  }
  return {
    axes,
    top,
    radius,
    inRow: drawing.inRowM,
    betweenRows: drawing.betweenRowsM,
    rowBearing: (drawing.rowBearingDeg * Math.PI) / 180,
    foliage: drawing.foliage,
  };
}
