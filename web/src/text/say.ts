import { IntlMessageFormat } from 'intl-messageformat';
import { decimalSign } from '../ui/numbers';
import en from './en.json';
import es from './es.json';
import { language, useLanguage, type Language } from './language';

/** The name of a text, the same in every language. */
export type Code = keyof typeof en;

/** What a text is filled in with: words that are said already, or numbers, which it counts and writes; nothing leaves a gap. */
export type Values = Record<string, string | number | false | null | undefined>;

type Say = (code: Code, values?: Values) => string;

const CATALOGUES: Record<Language, Record<string, string>> = { en, es };
const DECIMAL = /^[+-]?\d+\.\d+$/;
const made = new Map<string, IntlMessageFormat>();

function formatOf(code: Code, where: Language): IntlMessageFormat {
  const key = `${where} ${code}`;
  let format = made.get(key);
  if (!format) {
    const text = CATALOGUES[where][code] ?? CATALOGUES.en[code] ?? code;
    format = new IntlMessageFormat(text, where, undefined, { ignoreTag: true });
    made.set(key, format);
  }
  return format;
}

/** A figure with the reader's own decimal sign; nothing for nothing. */
function written(value: Values[string]): string | number {
  if (typeof value === 'string' && DECIMAL.test(value)) return value.replace('.', decimalSign());
  return value === false ? '' : (value ?? '');
}

function sayIn(where: Language): Say {
  return (code, values = {}) => {
    const filled = Object.entries(values).map(([name, value]) => [name, written(value)]);
    return String(
      formatOf(code, where).format(Object.fromEntries(filled) as Record<string, string | number>),
    );
  };
}

const SPEAKERS: Record<Language, Say> = { en: sayIn('en'), es: sayIn('es') };

/** A text in the language of this moment, for what is no component. */
export const say: Say = (code, values) => SPEAKERS[language()](code, values);

/** Says texts in the language of the moment, in a component that is drawn anew when it changes. */
export function useSay(): Say {
  return SPEAKERS[useLanguage()];
}
