import type { LimbMeasure, SurveyDocument } from '../api/client';
import type { FieldError } from '../api/problem';
import { sentNumber, showNumber } from '../ui/numbers';

/** A limb as it is typed: every cell text, beside the measure it began with; what is not typed over stays as it was. */
export interface LimbRow {
  key: string;
  /** The limb as it was read; empty for a new one. */
  base: Partial<LimbMeasure>;
  id: string;
  parent: string;
  role: string;
  at_cm: string;
  bearing_deg: string;
  angle_deg: string;
  tipAngle_deg: string;
  diameter_mm: string;
  length_cm: string;
  age_y: string;
  lastGrowth_cm: string;
  condition: string;
  disease: string;
  note: string;
  /** Counts by class and attitude, as `pencil/up`; mean lengths by class, as `pencil`. */
  shoots: Record<string, string>;
  lengths: Record<string, string>;
  spurs: string;
  spurAge: string;
  flowerBuds: string;
  /** What the counts cover: empty or `own` the limb itself, `all` everything on it. */
  counted: string;
}

/**
 * The survey as it is typed, beside the document it began with. Only what was typed is written into that document: fields the
 * form does not show, and those nobody touched, stay exactly as they were.
 */
export interface SurveyForm {
  base: SurveyDocument;
  label: string;
  species: string;
  system: string;
  leaf: string;
  cultivar: string;
  habit: string;
  set: string;
  vigour: string;
  stockName: string;
  stock: string;
  inRow: string;
  betweenRows: string;
  rowBearing: string;
  latitude: string;
  elevation: string;
  slope: string;
  uphill: string;
  netShare: string;
  surveyedOn: string;
  trunkDiameter: string;
  trunkDiameterAt: string;
  trunkHeight: string;
  union: string;
  leaderGrowth: string;
  limbs: LimbRow[];
}

export const SHOOT_CLASSES = ['matchstick', 'pencil', 'strong'] as const;
export const ATTITUDES = ['up', 'side', 'out', 'down', 'in'] as const;
export const ROLES = [
  '',
  'scaffold',
  'limb',
  'lateral',
  'leader',
  'shoot',
  'water-sprout',
  'hanger',
  'sucker',
  'unknown',
];
export const CONDITIONS = [
  'sound',
  'dead',
  'broken',
  'damaged',
  'diseased',
  'girdled',
  'splitting',
  'decayed',
];

let nextKey = 0;

function freshKey(): string {
  nextKey += 1;
  // a draft brings its own keys from an earlier visit: a counter alone would meet them again
  return `row-${Date.now().toString(36)}-${nextKey}`;
}

/** Where each field of the form stands in the document; numbers are read and shown in the reader's way of writing. */
const TREE_FIELDS: Record<TreeField, { path: string; number: boolean }> = {
  label: { path: 'tree.label', number: false },
  species: { path: 'tree.species', number: false },
  system: { path: 'tree.system', number: false },
  leaf: { path: 'tree.leaf', number: true },
  cultivar: { path: 'tree.cultivar.name', number: false },
  habit: { path: 'tree.cultivar.habit', number: false },
  set: { path: 'tree.cultivar.set', number: false },
  vigour: { path: 'tree.cultivar.vigour', number: false },
  stockName: { path: 'tree.rootstock.name', number: false },
  stock: { path: 'tree.rootstock.class', number: false },
  inRow: { path: 'tree.spacing_m.inRow', number: true },
  betweenRows: { path: 'tree.spacing_m.betweenRows', number: true },
  rowBearing: { path: 'tree.rowBearing_deg', number: true },
  latitude: { path: 'site.latitude_deg', number: true },
  elevation: { path: 'site.elevation_m', number: true },
  slope: { path: 'site.slope_deg', number: true },
  uphill: { path: 'site.uphill_deg', number: true },
  netShare: { path: 'site.netShare', number: true },
  surveyedOn: { path: 'surveyedOn', number: false },
  trunkDiameter: { path: 'trunk.diameter_mm', number: true },
  trunkDiameterAt: { path: 'trunk.diameterAt_cm', number: true },
  trunkHeight: { path: 'trunk.height_cm', number: true },
  union: { path: 'trunk.unionAt_cm', number: true },
  leaderGrowth: { path: 'trunk.lastGrowth_cm', number: true },
};

const LIMB_FIELDS: Record<LimbField, { path: string; number: boolean }> = {
  id: { path: 'id', number: false },
  parent: { path: 'parent', number: false },
  role: { path: 'role', number: false },
  at_cm: { path: 'at_cm', number: true },
  bearing_deg: { path: 'bearing_deg', number: true },
  angle_deg: { path: 'angle_deg', number: true },
  tipAngle_deg: { path: 'tipAngle_deg', number: true },
  diameter_mm: { path: 'diameter_mm', number: true },
  length_cm: { path: 'length_cm', number: true },
  age_y: { path: 'age_y', number: true },
  lastGrowth_cm: { path: 'lastGrowth_cm', number: true },
  disease: { path: 'disease', number: false },
  note: { path: 'note', number: false },
  spurs: { path: 'wood.spurs.count', number: true },
  spurAge: { path: 'wood.spurs.age_y', number: true },
  flowerBuds: { path: 'wood.flowerBuds', number: true },
  counted: { path: 'wood.counted', number: false },
};

type TreeField = Exclude<keyof SurveyForm, 'base' | 'limbs'>;
type LimbField = Exclude<keyof LimbRow, 'key' | 'base' | 'condition' | 'shoots' | 'lengths'>;
type Json = Record<string, unknown>;
type Shoot = NonNullable<NonNullable<LimbMeasure['wood']>['shoots']>[number];

function valueAt(node: unknown, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>(
      (at, name) => (at !== null && typeof at === 'object' ? (at as Json)[name] : undefined),
      node,
    );
}

/** The document with a value at a path, without it where the value is undefined; parts left empty by that go with it. */
function withValue(node: unknown, names: string[], value: unknown): unknown {
  const [name = '', ...rest] = names;
  const here: Json = node !== null && typeof node === 'object' ? { ...(node as Json) } : {};
  const inside = rest.length === 0 ? value : withValue(here[name], rest, value);
  if (inside === undefined) Reflect.deleteProperty(here, name);
  else here[name] = inside;
  return Object.keys(here).length === 0 ? undefined : here;
}

function shown(value: unknown): string {
  return typeof value === 'number' || typeof value === 'string' ? showNumber(value) : '';
}

function typed(text: string, isNumber: boolean): unknown {
  if (text.trim() === '') return undefined;
  return isNumber ? sentNumber(text) : text;
}

/** Writes the fields that were typed over into a copy of what they began with. */
function written<F extends string>(
  base: unknown,
  fields: Record<F, { path: string; number: boolean }>,
  texts: Record<F, string>,
  shownBefore: (path: string) => string,
): unknown {
  let document: unknown = base;
  for (const [field, { path, number }] of Object.entries<{ path: string; number: boolean }>(fields)) {
    const text = texts[field as F];
    if (text !== shownBefore(path)) {
      document = withValue(document, path.split('.'), typed(text, number)) ?? {};
    }
  }
  return document;
}

function shownAt(base: unknown, path: string): string {
  return shown(valueAt(base, path));
}

const cellOf = (shoot: Shoot) => `${shoot.class ?? 'pencil'}/${shoot.attitude ?? 'side'}`;

function shootsOf(base: Partial<LimbMeasure>): Shoot[] {
  return base.wood?.shoots ?? [];
}

/** Counts as the table shows them, entries of one class and attitude added up. */
function countsShown(base: Partial<LimbMeasure>): Record<string, string> {
  const counts: Record<string, string> = {};
  for (const shoot of shootsOf(base)) {
    counts[cellOf(shoot)] = String(Number(counts[cellOf(shoot)] ?? 0) + (shoot.count ?? 0));
  }
  return counts;
}

/** The usual length of a class, where all its entries have the same. */
function lengthsShown(base: Partial<LimbMeasure>): Record<string, string> {
  const lengths: Record<string, string> = {};
  for (const shootClass of SHOOT_CLASSES) {
    const own = shootsOf(base).filter((shoot) => shoot.class === shootClass);
    const first = own[0]?.length_cm;
    if (first != null && own.every((shoot) => shoot.length_cm === first)) {
      lengths[shootClass] = shown(first);
    }
  }
  return lengths;
}

function conditionShown(base: Partial<LimbMeasure>): string {
  return base.condition?.find((one) => one !== 'sound') ?? 'sound';
}

/** A limb laid out for typing. */
export function rowFrom(base: Partial<LimbMeasure>): LimbRow {
  const texts = Object.fromEntries(
    Object.entries(LIMB_FIELDS).map(([field, { path }]) => [field, shownAt(base, path)]),
  ) as Record<LimbField, string>;
  return {
    key: freshKey(),
    base,
    ...texts,
    condition: conditionShown(base),
    shoots: countsShown(base),
    lengths: lengthsShown(base),
  };
}

/** A survey document laid out for typing. */
export function formFrom(survey: SurveyDocument): SurveyForm {
  const texts = Object.fromEntries(
    Object.entries(TREE_FIELDS).map(([field, { path }]) => [field, shownAt(survey, path)]),
  ) as Record<TreeField, string>;
  return { base: survey, ...texts, limbs: (survey.limbs ?? []).map(rowFrom) };
}

/** The shoots of a limb: entries of cells nobody typed into stay as they were counted, one by one. */
function shootsFrom(row: LimbRow): Shoot[] | undefined {
  const before = countsShown(row.base);
  const lengths = lengthsShown(row.base);
  const cells = new Set([...Object.keys(before), ...Object.keys(row.shoots)]);
  const changed = [...cells].filter((cell) => (row.shoots[cell] ?? '') !== (before[cell] ?? ''));
  const newLengths = SHOOT_CLASSES.filter((one) => (row.lengths[one] ?? '') !== (lengths[one] ?? ''));
  if (changed.length === 0 && newLengths.length === 0) return row.base.wood?.shoots ?? undefined;
  const kept = shootsOf(row.base).filter((shoot) => !changed.includes(cellOf(shoot)));
  const counted = changed
    .filter((cell) => (row.shoots[cell] ?? '').trim() !== '')
    .map((cell): Shoot => {
      const [shootClass = 'pencil', attitude = 'side'] = cell.split('/');
      const old = shootsOf(row.base).find((shoot) => cellOf(shoot) === cell);
      return { ...old, class: shootClass, attitude, count: sentNumber(row.shoots[cell] ?? '') };
    });
  const all = [...kept, ...counted].map((shoot): Shoot => {
    const shootClass = shoot.class ?? 'pencil';
    const length = row.lengths[shootClass] ?? '';
    const isNew = counted.includes(shoot) && shoot.length_cm === undefined;
    if (!newLengths.some((one) => one === shootClass) && !isNew) return shoot;
    return withValue(shoot, ['length_cm'], typed(length, true)) as Shoot;
  });
  return all.length > 0 ? all : undefined;
}

function limbFrom(row: LimbRow): LimbMeasure {
  let limb = written(row.base, LIMB_FIELDS, row, (path) => shownAt(row.base, path)) as Partial<LimbMeasure>;
  if (row.condition !== conditionShown(row.base)) limb = { ...limb, condition: [row.condition] };
  const shoots = shootsFrom(row);
  if (shoots !== (row.base.wood?.shoots ?? undefined)) {
    limb = withValue(limb, ['wood', 'shoots'], shoots) ?? {};
  }
  return limb;
}

/** The document as typed; the very one it began with where nothing was typed. */
export function surveyFrom(form: SurveyForm): SurveyDocument {
  const document = written(form.base, TREE_FIELDS, form, (path) =>
    shownAt(form.base, path),
  ) as SurveyDocument;
  const limbs = form.limbs.map(limbFrom);
  const before = form.base.limbs ?? [];
  const same = limbs.length === before.length && limbs.every((limb, i) => limb === before[i]);
  return same && form.base.limbs !== undefined ? document : { ...document, limbs };
}

/** The limb ids that stand on a limb, and on those again. */
export function branchesOf(id: string, limbs: LimbRow[]): LimbRow[] {
  const own = limbs.filter((limb) => limb.parent === id && limb.id !== id);
  return own.flatMap((limb) => [limb, ...branchesOf(limb.id, limbs)]);
}

/** The limbs without one of them: its branches go too, or stand where it stood. */
export function withoutLimb(limb: LimbRow, limbs: LimbRow[], branches: 'remove' | 'move'): LimbRow[] {
  const gone = new Set([
    limb.key,
    ...(branches === 'remove' ? branchesOf(limb.id, limbs) : []).map((one) => one.key),
  ]);
  return limbs
    .filter((one) => !gone.has(one.key))
    .map((one) => (one.parent === limb.id ? { ...one, parent: limb.parent, at_cm: limb.at_cm } : one));
}

/** The limbs with one renamed; those that stand on it follow. */
export function renamed(row: number, id: string, limbs: LimbRow[]): LimbRow[] {
  const before = limbs[row]?.id ?? '';
  const alone = limbs.filter((limb) => limb.id === before).length === 1;
  return limbs.map((limb, i) => {
    if (i === row) return { ...limb, id };
    return alone && before !== '' && limb.parent === before ? { ...limb, parent: id } : limb;
  });
}

/** Faults by the field they lie in. */
export function byField(errors: FieldError[]): ReadonlyMap<string, string> {
  return new Map(errors.map((error) => [error.field, error.message]));
}
