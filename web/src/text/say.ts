import { IntlMessageFormat } from 'intl-messageformat';
import en from './en.json';
import es from './es.json';
import { language, locale, useLanguage, type Language } from './language';
import { measureText, withMeasures } from './measures';
import { units, unitSign, useUnits, type UnitSystem } from './units';

/** The name of a text, the same in every language. */
export type Code = keyof typeof en;

/** What a text is filled in with: words that are said already, or numbers, which it counts and writes; nothing leaves a gap. */
export type Values = Record<string, string | number | false | null | undefined>;

type Say = (code: Code, values?: Values) => string;

const CATALOGUES: Record<Language, Record<string, string>> = { en, es };
const MOST_DIGITS = 2;
const made = new Map<string, Made>();

/** A text ready to be filled in. */
interface Made extends ReturnType<typeof withMeasures> {
  format: IntlMessageFormat;
  /** The values that a choice of words depends on. */
  counted: ReadonlySet<string>;
}

type Element = ReturnType<IntlMessageFormat['getAst']>[number];

/** The values of a text that a choice of words depends on, in whatever depth. */
function countedIn(elements: Element[]): string[] {
  return elements.flatMap((one) =>
    'options' in one
      ? [one.value, ...Object.values(one.options).flatMap((option) => countedIn(option.value))]
      : [],
  );
}

function madeOf(code: Code, where: Language): Made {
  const key = `${where} ${code}`;
  let one = made.get(key);
  if (!one) {
    const parts = withMeasures(CATALOGUES[where][code] ?? CATALOGUES.en[code] ?? code);
    const format = new IntlMessageFormat(parts.text, where, undefined, { ignoreTag: true });
    one = { ...parts, format, counted: new Set(countedIn(format.getAst())) };
    made.set(key, one);
  }
  return one;
}

/** The number a figure stands for: itself, or what a text holds that is nothing else. */
function figure(value: Values[string]): string | number {
  if (typeof value === 'string' && value.trim() !== '' && !Number.isNaN(Number(value))) return Number(value);
  return value === false ? '' : (value ?? '');
}

function inDigits(value: number): string {
  return value.toLocaleString(locale(), { maximumFractionDigits: MOST_DIGITS });
}

/** A figure as the reader writes it, but for what a plural counts by; nothing for nothing. */
function written(value: Values[string], counted: boolean): string | number {
  if (typeof value === 'number' && !counted) {
    return value.toLocaleString(locale(), { maximumFractionDigits: MOST_DIGITS, useGrouping: false });
  }
  return value === false ? '' : (value ?? '');
}

function speaker(where: Language, system: UnitSystem): Say {
  return (code, values = {}) => {
    const { format, measures, signs, counted } = madeOf(code, where);
    const filled: Record<string, string | number> = {};
    for (const [name, value] of Object.entries(values)) filled[name] = written(value, counted.has(name));
    for (const { name, unit } of measures) {
      filled[`${name}__${unit}`] = measureText(figure(values[name]), unit, system, inDigits);
    }
    for (const unit of signs) filled[unit] = unitSign(unit, system);
    return String(format.format(filled));
  };
}

const SPEAKERS: Record<Language, Record<UnitSystem, Say>> = {
  en: { metric: speaker('en', 'metric'), us: speaker('en', 'us') },
  es: { metric: speaker('es', 'metric'), us: speaker('es', 'us') },
};

/** A text in the language and units of this moment, for what is no component. */
export const say: Say = (code, values) => SPEAKERS[language()][units()](code, values);

/** A text in another language than that of this moment. */
export function sayIn(where: Language, code: Code): string {
  return SPEAKERS[where][units()](code);
}

/** Says texts in the language and units of the moment, in a component that is drawn anew when they change. */
export function useSay(): Say {
  return SPEAKERS[useLanguage()][useUnits()];
}
