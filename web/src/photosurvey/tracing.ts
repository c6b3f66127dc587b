import type { PhotoSurveyRequest } from '../api/client';

/** A point of a picture, in pixels of the original: columns from the left, rows from the top. */
export interface Point {
  x: number;
  y: number;
}

/** A limb as it is touched; the base comes first, the tip last. */
export interface Trace {
  id: string;
  parent: string;
  base: Point;
  bend?: Point | undefined;
  tip?: Point | undefined;
  /** Whether the place of the bend was passed over because the limb is straight. */
  straight?: boolean | undefined;
  bearing_deg?: number | undefined;
}

/** One picture and what was touched in it. */
export interface Picture {
  width: number;
  height: number;
  focal35_mm?: number | undefined;
  cameraHeight_cm?: number | undefined;
  bearing_deg: number;
  foot?: Point | undefined;
  head?: Point | undefined;
  top?: Point | undefined;
  /** Whether the trunk's top cannot be seen. */
  noTop?: boolean | undefined;
  limbs: Trace[];
}

/** What the next touch in a picture means. */
export type Wanted = 'foot' | 'head' | 'top' | 'base' | 'bend' | 'tip';

const TRUNK = 'trunk';
const LETTERS = 26;

/** A picture in which nothing was touched. */
export function untouched(width: number, height: number, bearing_deg: number): Picture {
  return { width, height, bearing_deg, limbs: [] };
}

/** What the next touch means: the staff, the trunk's top, then limb after limb. */
export function wanted(picture: Picture): Wanted {
  if (!picture.foot) return 'foot';
  if (!picture.head) return 'head';
  if (!picture.top && !picture.noTop) return 'top';
  const last = picture.limbs.at(-1);
  if (!last || last.tip) return 'base';
  return last.bend || last.straight ? 'tip' : 'bend';
}

/** A limb's name: numbers in the first picture, letters in the second, so that nobody takes them for the same. */
export function nameOf(view: number, count: number): string {
  if (view === 0) return String(count + 1);
  const letter = String.fromCharCode(97 + (count % LETTERS));
  return count < LETTERS ? letter : `${letter}${Math.floor(count / LETTERS)}`;
}

function freeName(view: number, limbs: readonly Trace[]): string {
  let count = limbs.length;
  while (limbs.some((limb) => limb.id === nameOf(view, count))) count += 1;
  return nameOf(view, count);
}

/** The picture after a touch. */
export function touched(picture: Picture, view: number, at: Point): Picture {
  const next = wanted(picture);
  if (next === 'foot' || next === 'head' || next === 'top') return { ...picture, [next]: at };
  if (next === 'base') {
    const limb = { id: freeName(view, picture.limbs), parent: TRUNK, base: at };
    return { ...picture, limbs: [...picture.limbs, limb] };
  }
  return { ...picture, limbs: picture.limbs.map((limb) => (limb.tip ? limb : { ...limb, [next]: at })) };
}

/** The picture where what is wanted cannot be seen: no top, or a limb without a bend. */
export function passedOver(picture: Picture): Picture {
  const next = wanted(picture);
  if (next === 'top') return { ...picture, noTop: true };
  if (next !== 'bend') return picture;
  return { ...picture, limbs: picture.limbs.map((limb) => (limb.tip ? limb : { ...limb, straight: true })) };
}

/** A point that can be moved: of the staff or trunk by its name, of a limb by the limb's and its own. */
export interface Handle {
  limb?: string;
  part: Wanted;
  at: Point;
}

/** Every point of a picture. */
export function handlesOf(picture: Picture): Handle[] {
  const handles: Handle[] = [];
  for (const part of ['foot', 'head', 'top'] as const) {
    const at = picture[part];
    if (at) handles.push({ part, at });
  }
  for (const limb of picture.limbs) {
    for (const part of ['base', 'bend', 'tip'] as const) {
      const at = limb[part];
      if (at) handles.push({ limb: limb.id, part, at });
    }
  }
  return handles;
}

/** The point nearest to a place, if one is within reach. */
export function nearestHandle(picture: Picture, at: Point, reach: number): Handle | undefined {
  const away = (handle: Handle) => Math.hypot(handle.at.x - at.x, handle.at.y - at.y);
  const near = handlesOf(picture).filter((handle) => away(handle) <= reach);
  return near.sort((one, other) => away(one) - away(other))[0];
}

/** The picture with a point elsewhere. */
export function moved(picture: Picture, handle: Handle, to: Point): Picture {
  if (handle.limb === undefined) return { ...picture, [handle.part]: to };
  return {
    ...picture,
    limbs: picture.limbs.map((limb) => (limb.id === handle.limb ? { ...limb, [handle.part]: to } : limb)),
  };
}

/** The picture with a limb told otherwise. */
export function told(picture: Picture, id: string, part: Partial<Trace>): Picture {
  return { ...picture, limbs: picture.limbs.map((limb) => (limb.id === id ? { ...limb, ...part } : limb)) };
}

/** A limb and all that stand on it, by whatever way. */
export function withAllOn(picture: Picture, id: string): ReadonlySet<string> {
  const all = new Set([id]);
  for (let more = true; more;) {
    const found = picture.limbs.find((limb) => all.has(limb.parent) && !all.has(limb.id));
    if (found) all.add(found.id);
    more = found !== undefined;
  }
  return all;
}

/** The picture without a limb, and without those that stood on it. */
export function without(picture: Picture, id: string): Picture {
  const gone = withAllOn(picture, id);
  return { ...picture, limbs: picture.limbs.filter((limb) => !gone.has(limb.id)) };
}

/** Whether enough was touched to measure by: the staff, and one limb from its base to its tip. */
export function isMeasurable(picture: Picture): boolean {
  return Boolean(picture.foot && picture.head && picture.limbs.some((limb) => limb.tip));
}

/** The parts that are there. */
function known<T extends object>(parts: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(parts).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
}

/** What is sent to be measured. A limb that is not finished is left out, and what stands on it. */
export function requestOf(
  pictures: readonly Picture[],
  staff_cm: number,
  pairs: readonly { first: string; second: string | null }[],
): PhotoSurveyRequest {
  const views = pictures.flatMap((picture) => {
    const { foot, head } = picture;
    if (!foot || !head || !isMeasurable(picture)) return [];
    const open = picture.limbs.filter((limb) => !limb.tip);
    const whole = open.reduce((rest, limb) => without(rest, limb.id), picture);
    return {
      width_px: picture.width,
      height_px: picture.height,
      bearing_deg: picture.bearing_deg,
      staff: { foot, head },
      limbs: whole.limbs.flatMap(({ id, parent, base, bend, tip, bearing_deg }) =>
        tip ? [{ id, parent, base, tip, ...known({ bend, bearing_deg }) }] : [],
      ),
      ...known({
        focal35_mm: picture.focal35_mm,
        cameraHeight_cm: picture.cameraHeight_cm,
        trunkTop: picture.top,
      }),
    };
  });
  const isTouched = (at: number, id: string | null) =>
    id === null || Boolean(views[at]?.limbs.some((limb) => limb.id === id));
  return {
    format: 'umbel-photo-survey/1',
    staff_cm,
    views,
    pairs:
      views.length < 2
        ? []
        : pairs
            .filter((pair) => isTouched(0, pair.first) && isTouched(1, pair.second))
            .map(({ first, second }) => ({ first, ...(second === null ? {} : { second }) })),
  };
}
