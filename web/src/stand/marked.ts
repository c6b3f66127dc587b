import type { Mark } from '../api/client';
import { limbOf } from '../api/marks';
import type { Flag } from './flags';
import type { Moved } from './geometry';
import type { Showing } from './paint';

/** What marks make of a tree, as the server tells it: what is kept of each axis, what stands otherwise, where flags stand. */
export interface MarkedTree {
  cuts: { axis: number; kept: number; mark: number }[];
  moved: (Moved & { axis: number })[];
  effects: { mark: Mark; flag: number[] }[];
}

/** The same map for every tree on which nothing is bent, so that it need not be shaped anew. */
export const NOT_MOVED: ReadonlyMap<number, Moved> = new Map();

/** Axes that stand otherwise, by their index. */
export function movedOf(moved: MarkedTree['moved'] | undefined): ReadonlyMap<number, Moved> {
  return moved && moved.length > 0 ? new Map(moved.map((one) => [one.axis, one])) : NOT_MOVED;
}

/** What is kept of each axis that is cut. */
export function cutsOf(marked: MarkedTree | undefined): Showing['cuts'] {
  return new Map((marked?.cuts ?? []).map((cut) => [cut.axis, { kept: cut.kept, mark: cut.mark }]));
}

/** A numbered flag at each mark; those on the chosen limb stand out. */
export function flagsOf(marked: MarkedTree | undefined, chosen: string | null): Flag[] {
  return (marked?.effects ?? []).map((effect, i) => ({
    label: String(i + 1),
    at: [effect.flag[0] ?? 0, effect.flag[1] ?? 0, effect.flag[2] ?? 0],
    chosen: chosen !== null && limbOf(effect.mark) === chosen,
  }));
}

/** Limbs by their own ids, whatever small wood of theirs was named. */
export function limbsOf(paths: readonly string[]): ReadonlySet<string> {
  return new Set(paths.map((path) => path.split('/')[0] ?? path));
}
