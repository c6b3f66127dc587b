import { inUnits, told, unitSign, type Unit, type UnitSystem } from './units';

const MEASURE = /\{(\w+)\}\s?\{(cm|mm|m2|m|kg|ha|tha|degC)\}/g;
const SIGN = /\{(cm|mm|m2|m|kg|ha|tha|degC)\}/g;
const NUMBER = /\d+(?:\.\d+)?/g;

/** A measure of a text: the placeholder of its figure, and the unit the figure comes in. */
interface Measure {
  name: string;
  unit: Unit;
}

/**
 * A text whose measures are one placeholder each: a figure's placeholder that a unit's follows, as in
 * <code>{long} {cm}</code>, belongs to it.
 */
export function withMeasures(text: string): { text: string; measures: Measure[]; signs: Unit[] } {
  const measures: Measure[] = [];
  const joined = text.replace(MEASURE, (_, name: string, unit: Unit) => {
    measures.push({ name, unit });
    return `{${name}__${unit}}`;
  });
  const signs = [...joined.matchAll(SIGN)].map((found) => found[1] as Unit);
  return { text: joined, measures, signs };
}

/** A figure with its unit, in the reader's system; of a range or another text, every number in it. */
export function measureText(
  value: string | number,
  unit: Unit,
  system: UnitSystem,
  write: (value: number) => string,
): string {
  if (typeof value === 'number') {
    const one = told(value, unit, system);
    return `${write(one.value)} ${one.sign}`;
  }
  const figures = value.replace(NUMBER, (number) => write(inUnits(Number(number), unit, system)));
  return value === '' ? '' : `${figures} ${unitSign(unit, system)}`;
}
