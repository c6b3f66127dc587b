import type { Stand, StandAxis } from './geometry';

/** Where something of the season stands on one axis: x, y, z in turn, metres. */
export type Places = readonly number[];

/** A tree's leaf and flowers, by the index of the axis that carries them. */
export interface Foliage {
  /** Sprays of leaf, each for the same area. */
  leaf: ReadonlyMap<number, Places>;
  /** Width of a spray, metres. */
  sprayM: number;
  /** What opens from flower buds, each for so many buds. */
  flowers: ReadonlyMap<number, Places>;
}

/** Leaf of one spray of a small tree, m²; a large tree's sprays are larger, so that there are never more than so many. */
const LEAF_OF_SPRAY = 0.009;
const MOST_SPRAYS = 3400;
const MOST_FLOWERS = 2600;
/** A spray is wider than its leaf laid flat: leaves stand apart. */
const WIDER = 1.75;
const GOLDEN = 0.618034;

/** Places the leaf of the coming summer and the flowers before it on a tree, always the same for the same tree. */
export function foliageOf(stand: Stand): Foliage {
  const wood = stand.axes.filter((axis) => !axis.dead);
  const all = wood.reduce((sum, axis) => sum + axis.leaf, 0);
  const each = Math.max(LEAF_OF_SPRAY, all / MOST_SPRAYS);
  const buds = wood.reduce((sum, axis) => sum + axis.flowerBuds, 0);
  const budsOfOne = Math.max(1, buds / MOST_FLOWERS);
  const leaf = new Map<number, Places>();
  const flowers = new Map<number, Places>();
  // shares of a spray are carried along until they make one
  let [owedLeaf, owedFlowers] = [0.5, 0.5];
  for (const axis of wood) {
    owedLeaf += axis.leaf / each;
    const sprays = Math.floor(owedLeaf);
    owedLeaf -= sprays;
    if (sprays > 0) leaf.set(axis.index, spread(inLeaf(axis, sprays), axis, stand.foliage.spreadM));
    owedFlowers += axis.flowerBuds / budsOfOne;
    const open = Math.floor(owedFlowers);
    owedFlowers -= open;
    if (open > 0) flowers.set(axis.index, inFlower(axis, open));
  }
  return { leaf, sprayM: WIDER * Math.sqrt(each), flowers };
}

/** Half of a growing end's leaf stands on last season's wood, half on the shoot to come; a spur's and a lateral's about them. */
function inLeaf(axis: StandAxis, count: number): number[] {
  const places: number[] = [];
  const [ex = 0, ey = 0, ez = 0] = axis.coming;
  const last = pointOn(axis, 1);
  const begins = lastGrowthFrom(axis);
  for (let k = 0; k < count; k++) {
    const share = (0.5 + k * GOLDEN) % 1;
    if (axis.kind === 'fruiting-lateral') places.push(...onTwigs(axis, k, share));
    else if (axis.kind === 'spur') places.push(...last);
    else if (axis.coming.length === 3 && k % 2 === 1) {
      places.push(
        last[0] + (ex - last[0]) * share,
        last[1] + (ey - last[1]) * share,
        last[2] + (ez - last[2]) * share,
      );
    } else places.push(...pointOn(axis, begins + (1 - begins) * share));
  }
  return places;
}

function inFlower(axis: StandAxis, count: number): number[] {
  const places: number[] = [];
  for (let k = 0; k < count; k++) {
    const share = (0.5 + k * GOLDEN) % 1;
    if (axis.kind === 'spur') places.push(...pointOn(axis, 1));
    else if (axis.kind === 'fruiting-lateral') places.push(...onTwigs(axis, k, share));
    else places.push(...pointOn(axis, 0.15 + 0.85 * share));
  }
  return places;
}

/** Places moved off the wood on their stalks, each its own way, about the kind's usual distance. */
function spread(places: number[], axis: StandAxis, distance: number): number[] {
  for (let k = 0; k < places.length / 3; k++) {
    const turn = 2.39996 * (k + axis.index);
    const up = 1 - 2 * ((0.5 + (k + axis.index) * GOLDEN) % 1);
    const level = Math.sqrt(1 - up * up) * distance;
    const i = 3 * k;
    places[i] = (places[i] ?? 0) + Math.cos(turn) * level;
    places[i + 1] = (places[i + 1] ?? 0) + Math.sin(turn) * level;
    places[i + 2] = (places[i + 2] ?? 0) + up * distance;
  }
  return places;
}

function onTwigs(axis: StandAxis, k: number, share: number): [number, number, number] {
  const branches = axis.twigs.length / 6;
  const line = k % (branches + 1);
  if (line === 0) return pointOn(axis, 0.25 + 0.75 * share);
  const i = 6 * (line - 1);
  const at = (n: number) =>
    (axis.twigs[i + n] ?? 0) +
    ((axis.twigs[i + n + 3] ?? 0) - (axis.twigs[i + n] ?? 0)) * (0.2 + 0.8 * share);
  return [at(0), at(1), at(2)];
}

/** The share of an axis from which it grew last season: its outer part on a limb, all of it on small wood. */
function lastGrowthFrom(axis: StandAxis): number {
  if (axis.kind === 'shoot' || axis.kind === 'lateral') return 0;
  const all = axis.along[axis.along.length - 1] ?? 0;
  for (let i = axis.along.length - 1; i > 0; i--) {
    if ((axis.ages[i] ?? 1) > 1) return all > 0 ? (axis.along[i] ?? 0) / all : 0;
  }
  return 0;
}

/** The point at a share of an axis's length. */
function pointOn(axis: StandAxis, share: number): [number, number, number] {
  const { along, points } = axis;
  const s = share * (along[along.length - 1] ?? 0);
  let i = 0;
  while (i < along.length - 2 && (along[i + 1] ?? 0) < s) i++;
  const [a, b] = [along[i] ?? 0, along[i + 1] ?? 0];
  const t = b > a ? Math.max(0, Math.min(1, (s - a) / (b - a))) : 0;
  const at = (n: number) =>
    (points[4 * i + n] ?? 0) +
    ((points[4 * i + 4 + n] ?? points[4 * i + n] ?? 0) - (points[4 * i + n] ?? 0)) * t;
  return [at(0), at(1), at(2)];
}
