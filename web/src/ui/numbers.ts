import { locale } from '../text/language';

const signs = new Map<string, ',' | '.'>();

/** The sign that parts whole numbers from decimals in the reader's way of writing. */
export function decimalSign(written = locale()): ',' | '.' {
  let sign = signs.get(written);
  if (!sign) {
    const parts = new Intl.NumberFormat(written).formatToParts(1.5);
    sign = parts.find((part) => part.type === 'decimal')?.value === ',' ? ',' : '.';
    signs.set(written, sign);
  }
  return sign;
}

/**
 * A number as people write it: with a decimal comma or point, and with signs between thousands where they can only be that.
 * Undefined where nothing is written; NaN where it is no number.
 */
export function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(/[\s\u00a0\u202f'’]/g, '');
  if (plain === '') return undefined;
  if (!/^[+-]?[\d.,]+(e[+-]?\d+)?$/i.test(plain)) return NaN;
  const comma = plain.lastIndexOf(',');
  const point = plain.lastIndexOf('.');
  if (comma >= 0 && point >= 0) {
    const thousands = comma > point ? /\./g : /,/g;
    return Number(plain.replace(thousands, '').replace(',', '.'));
  }
  const sign = comma >= 0 ? ',' : '.';
  const groups = plain.split(sign);
  return groups.length > 2 ? Number(groups.join('')) : Number(plain.replace(',', '.'));
}

/** A figure with so many decimals, as the reader writes it. */
export function fixed(value: number, decimals: number): string {
  return value.toLocaleString(locale(), {
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
    useGrouping: false,
  });
}

/** A figure as it is told: tenths under ten, whole from there. */
export function tenthsUnderTen(value: number): number {
  return value < 10 ? Math.round(10 * value) / 10 : Math.round(value);
}

/** A number as the reader writes it, without signs between thousands; nothing for nothing. */
export function showNumber(value: number | string | null | undefined, written = locale()): string {
  if (value === null || value === undefined) return '';
  const text = String(value);
  return typeof value === 'number' && decimalSign(written) === ',' ? text.replace('.', ',') : text;
}

/** A number that must be there to be sent: what cannot be read is sent as it stands, for the server to name its field. */
export function sentNumber(text: string): number {
  const value = readNumber(text);
  return value === undefined || Number.isNaN(value) ? (text.trim() as unknown as number) : value;
}

/** A number typed into a field, NaN where it is none; nothing counts as 0. */
export function typedNumber(text: string): number {
  return readNumber(text) ?? 0;
}
