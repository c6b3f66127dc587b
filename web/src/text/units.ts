import { useSyncExternalStore } from 'react';

/** The systems of units figures can be shown and typed in; everything is sent and stored in metric units. */
export const UNIT_SYSTEMS = ['metric', 'us'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** The metric units figures come in; <code>perHa</code> and <code>perKg</code> are sums or counts for one of them. */
export type Unit = 'cm' | 'mm' | 'm' | 'kg' | 'm2' | 'ha' | 'tha' | 'perHa' | 'perKg' | 'degC';

interface Customary {
  /** How many of the metric unit one of it is. */
  metric: number;
  /** What is added to it where the scales begin elsewhere. */
  shift?: number;
  sign: string;
  digits: number;
}

const INCH_CM = 2.54;
const FOOT_M = 0.3048;
const POUND_KG = 0.45359237;
const ACRE_HA = 0.40468564224;
const SHORT_TON_T = 0.90718474;
/** Longer lengths are told in feet. */
const FEET_FROM_INCHES = 36;

const SIGNS: Record<Unit, string> = {
  cm: 'cm',
  mm: 'mm',
  m: 'm',
  kg: 'kg',
  m2: 'm²',
  ha: 'ha',
  tha: 't/ha',
  perHa: '/ha',
  perKg: '/kg',
  degC: '°C',
};

const CUSTOMARY: Record<Unit, Customary> = {
  cm: { metric: INCH_CM, sign: 'in', digits: 1 },
  mm: { metric: INCH_CM * 10, sign: 'in', digits: 2 },
  m: { metric: FOOT_M, sign: 'ft', digits: 1 },
  kg: { metric: POUND_KG, sign: 'lb', digits: 1 },
  m2: { metric: FOOT_M * FOOT_M, sign: 'ft²', digits: 0 },
  ha: { metric: ACRE_HA, sign: 'ac', digits: 2 },
  tha: { metric: SHORT_TON_T / ACRE_HA, sign: 'ton/ac', digits: 1 },
  perHa: { metric: 1 / ACRE_HA, sign: '/ac', digits: 1 },
  perKg: { metric: 1 / POUND_KG, sign: '/lb', digits: 3 },
  degC: { metric: 5 / 9, shift: 32, sign: '°F', digits: 0 },
};

/** How finely a typed figure is stored, in the metric unit. */
const STORED_DIGITS: Record<Unit, number> = {
  cm: 1,
  mm: 1,
  m: 2,
  kg: 2,
  m2: 2,
  ha: 3,
  tha: 1,
  perHa: 0,
  perKg: 3,
  degC: 1,
};

const CHOSEN = 'umbel.units';
const listeners = new Set<() => void>();
let now: UnitSystem = chosen();

function chosen(): UnitSystem {
  return typeof localStorage !== 'undefined' && localStorage.getItem(CHOSEN) === 'us' ? 'us' : 'metric';
}

/** The system of units of this moment. */
export function units(): UnitSystem {
  return now;
}

/** Shows everything in other units; this device remembers it, and what is being entered stays. */
export function chooseUnits(next: UnitSystem): void {
  localStorage.setItem(CHOSEN, next);
  now = next;
  listeners.forEach((tell) => {
    tell();
  });
}

/** Tells whenever the units change; gives what ends that. */
export function onUnits(tell: () => void): () => void {
  listeners.add(tell);
  return () => {
    listeners.delete(tell);
  };
}

/** The units, for a component that is drawn anew when they change. */
export function useUnits(): UnitSystem {
  return useSyncExternalStore(onUnits, units);
}

/** Whether a word behind a field's name is a unit that has another in customary units. */
export function isUnit(word: string | undefined): word is Unit {
  return word !== undefined && word in SIGNS;
}

/** The unit a field of a document is in, by the ending of its name, as <code>length_cm</code>. */
export function unitOfField(name: string): Unit | undefined {
  const ending = /_(cm|mm|m2|m|kg|ha)$/.exec(name)?.[1];
  return ending as Unit | undefined;
}

/** The sign of a unit, or of what stands for it in the system shown. */
export function unitSign(unit: Unit, system = now): string {
  return system === 'us' ? CUSTOMARY[unit].sign : SIGNS[unit];
}

/** A metric figure in the system shown, rounded as it is typed there. */
export function inUnits(metric: number, unit: Unit, system = now): number {
  if (system === 'metric') return metric;
  const { metric: factor, shift = 0, digits } = CUSTOMARY[unit];
  return rounded(metric / factor + shift, digits);
}

/** A figure typed in the system shown, in the metric unit. */
export function toMetric(typed: number, unit: Unit, system = now): number {
  return system === 'metric'
    ? typed
    : rounded((typed - (CUSTOMARY[unit].shift ?? 0)) * CUSTOMARY[unit].metric, STORED_DIGITS[unit]);
}

/** How a figure is told: its number in words of the system, and the sign. Long lengths go over to feet. */
export function told(metric: number, unit: Unit, system = now): { value: number; sign: string } {
  const { metric: factor, shift = 0, sign } = CUSTOMARY[unit];
  if (system === 'metric') return { value: metric, sign: SIGNS[unit] };
  const value = metric / factor + shift;
  if (unit === 'cm') {
    return value < FEET_FROM_INCHES
      ? { value: Math.round(value), sign }
      : { value: rounded(value / 12, 1), sign: 'ft' };
  }
  const whole = unit === 'degC' || (unit === 'kg' && value >= 10);
  return { value: rounded(value, whole ? 0 : 1), sign };
}

function rounded(value: number, digits: number): number {
  return Math.round(value * 10 ** digits) / 10 ** digits;
}
