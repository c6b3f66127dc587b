import type { FieldError, LimbMeasure, SurveyDocument } from '../api/client';

/** A limb as it is typed: every cell text, so that nothing typed is lost or changed. */
export interface LimbRow {
  key: string;
  id: string;
  parent: string;
  role: string;
  at_cm: string;
  bearing_deg: string;
  angle_deg: string;
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
}

/** The whole survey as it is typed. */
export interface SurveyForm {
  label: string;
  species: string;
  system: string;
  leaf: string;
  cultivar: string;
  habit: string;
  stock: string;
  inRow: string;
  betweenRows: string;
  rowBearing: string;
  latitude: string;
  elevation: string;
  surveyedOn: string;
  trunkDiameter: string;
  trunkDiameterAt: string;
  trunkHeight: string;
  union: string;
  limbs: LimbRow[];
}

export const SHOOT_CLASSES = ['matchstick', 'pencil', 'strong'] as const;
export const ATTITUDES = ['up', 'side', 'out', 'down', 'in'] as const;
export const ROLES = [
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

const BEARING_STEP = 137;
const HEIGHT_STEP = 15;

let nextKey = 0;

function freshKey(): string {
  nextKey += 1;
  // a draft brings its own keys from an earlier visit: a counter alone would meet them again
  return `row-${Date.now().toString(36)}-${nextKey}`;
}

const text = (value: number | string | null | undefined) =>
  value === null || value === undefined ? '' : String(value);

/** What was typed, as a number where it is one; otherwise as it stands, for the checker to name. */
function number(value: string): number | undefined {
  const trimmed = value.trim().replace(',', '.');
  if (trimmed === '') {
    return undefined;
  }
  const parsed = Number(trimmed);
  return Number.isNaN(parsed) ? (trimmed as unknown as number) : parsed;
}

function rowFrom(limb: LimbMeasure): LimbRow {
  const shoots: Record<string, string> = {};
  const lengths: Record<string, string> = {};
  for (const count of limb.wood?.shoots ?? []) {
    const cell = `${count.class ?? 'pencil'}/${count.attitude ?? 'side'}`;
    shoots[cell] = String(Number(shoots[cell] ?? 0) + (count.count ?? 0));
    if (count.length_cm != null) {
      lengths[count.class ?? 'pencil'] = text(count.length_cm);
    }
  }
  return {
    key: freshKey(),
    id: limb.id ?? '',
    parent: limb.parent ?? 'trunk',
    role: limb.role ?? 'unknown',
    at_cm: text(limb.at_cm),
    bearing_deg: text(limb.bearing_deg),
    angle_deg: text(limb.angle_deg),
    diameter_mm: text(limb.diameter_mm),
    length_cm: text(limb.length_cm),
    age_y: text(limb.age_y),
    lastGrowth_cm: text(limb.lastGrowth_cm),
    condition: limb.condition?.find((one) => one !== 'sound') ?? 'sound',
    disease: limb.disease ?? '',
    note: limb.note ?? '',
    shoots,
    lengths,
    spurs: text(limb.wood?.spurs?.count),
    spurAge: text(limb.wood?.spurs?.age_y),
    flowerBuds: text(limb.wood?.flowerBuds),
  };
}

/** A survey document laid out for typing. */
export function formFrom(survey: SurveyDocument): SurveyForm {
  const { tree, site, trunk } = survey;
  return {
    label: tree?.label ?? '',
    species: tree?.species ?? 'apple',
    system: tree?.system ?? '',
    leaf: text(tree?.leaf),
    cultivar: tree?.cultivar?.name ?? '',
    habit: tree?.cultivar?.habit ?? 'standard',
    stock: tree?.rootstock?.class ?? '',
    inRow: text(tree?.spacing_m?.inRow),
    betweenRows: text(tree?.spacing_m?.betweenRows),
    rowBearing: text(tree?.rowBearing_deg),
    latitude: text(site?.latitude_deg),
    elevation: text(site?.elevation_m),
    surveyedOn: survey.surveyedOn ?? '',
    trunkDiameter: text(trunk?.diameter_mm),
    trunkDiameterAt: text(trunk?.diameterAt_cm),
    trunkHeight: text(trunk?.height_cm),
    union: text(trunk?.unionAt_cm),
    limbs: (survey.limbs ?? []).map(rowFrom),
  };
}

function woodOf(row: LimbRow): LimbMeasure['wood'] {
  const counted = Object.entries(row.shoots).filter(([, count]) => count.trim() !== '');
  const wood: NonNullable<LimbMeasure['wood']> = {};
  if (counted.length > 0) {
    wood.shoots = counted.map(([cell, count]) => {
      const [shootClass = 'pencil', attitude = 'side'] = cell.split('/');
      const length = number(row.lengths[shootClass] ?? '');
      return {
        class: shootClass,
        attitude,
        count: number(count) ?? 0,
        ...(length === undefined ? {} : { length_cm: length }),
      };
    });
  }
  const spurs = number(row.spurs);
  if (spurs !== undefined) {
    const age = number(row.spurAge);
    wood.spurs = { count: spurs, ...(age === undefined ? {} : { age_y: age }) };
  }
  const buds = number(row.flowerBuds);
  if (buds !== undefined) {
    wood.flowerBuds = buds;
  }
  return Object.keys(wood).length > 0 ? wood : undefined;
}

function defined<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, one]) => one !== undefined && one !== '')) as T;
}

/** What was typed, as the open format. */
export function surveyFrom(form: SurveyForm): SurveyDocument {
  const inRow = number(form.inRow);
  const betweenRows = number(form.betweenRows);
  return {
    format: 'umbel-survey/1',
    tree: defined({
      label: form.label,
      species: form.species,
      leaf: number(form.leaf),
      system: form.system,
      cultivar: defined({ name: form.cultivar, habit: form.habit }),
      rootstock: form.stock ? { class: form.stock } : undefined,
      spacing_m: inRow !== undefined && betweenRows !== undefined ? { inRow, betweenRows } : undefined,
      rowBearing_deg: number(form.rowBearing),
    }),
    site: defined({
      latitude_deg: number(form.latitude),
      elevation_m: number(form.elevation),
    }),
    ...(form.surveyedOn ? { surveyedOn: form.surveyedOn } : {}),
    trunk: defined({
      diameter_mm: number(form.trunkDiameter),
      diameterAt_cm: number(form.trunkDiameterAt),
      height_cm: number(form.trunkHeight),
      unionAt_cm: number(form.union),
    }),
    limbs: form.limbs.map(
      (row) =>
        defined({
          id: row.id,
          parent: row.parent,
          role: row.role,
          at_cm: number(row.at_cm),
          bearing_deg: number(row.bearing_deg),
          angle_deg: number(row.angle_deg),
          diameter_mm: number(row.diameter_mm),
          length_cm: number(row.length_cm),
          age_y: number(row.age_y),
          lastGrowth_cm: number(row.lastGrowth_cm),
          condition: [row.condition],
          disease: row.disease,
          note: row.note,
          wood: woodOf(row),
        }) as LimbMeasure,
    ),
  };
}

const STRAYS = new Set(['water-sprout', 'sucker', 'hanger']);

/** The next limb, walking up and round: like the last of the frame, a hand higher, a good third of the clock on. */
export function nextLimb(limbs: LimbRow[]): LimbRow {
  const last = [...limbs].reverse().find((limb) => !STRAYS.has(limb.role)) ?? limbs[limbs.length - 1];
  const used = new Set(limbs.map((limb) => limb.id));
  let id = limbs.length + 1;
  while (used.has(String(id))) {
    id += 1;
  }
  const plus = (value: string | undefined, add: number) =>
    value && !Number.isNaN(Number(value)) ? Number(value) + add : undefined;
  return {
    key: freshKey(),
    id: String(id),
    parent: last?.parent ?? 'trunk',
    role: last?.role ?? 'scaffold',
    at_cm: text(plus(last?.at_cm, HEIGHT_STEP) ?? 70),
    bearing_deg: text((plus(last?.bearing_deg, BEARING_STEP) ?? 0) % 360),
    angle_deg: last?.angle_deg ?? '55',
    diameter_mm: last?.diameter_mm ?? '20',
    length_cm: last?.length_cm ?? '80',
    age_y: last?.age_y ?? '',
    lastGrowth_cm: '',
    condition: 'sound',
    disease: '',
    note: '',
    shoots: {},
    lengths: {},
    spurs: '',
    spurAge: '',
    flowerBuds: '',
  };
}

/** A limb like another, under its own number, a little further round. */
export function copyOf(limb: LimbRow, limbs: LimbRow[]): LimbRow {
  const fresh = nextLimb(limbs);
  const bearing = Number(limb.bearing_deg);
  return {
    ...limb,
    key: fresh.key,
    id: fresh.id,
    bearing_deg: Number.isNaN(bearing) ? limb.bearing_deg : String((bearing + 30) % 360),
  };
}

/** Faults by the field they lie in. */
export function byField(errors: FieldError[]): ReadonlyMap<string, string> {
  return new Map(errors.map((error) => [error.field, error.message]));
}
