import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readNumber, showNumber } from './numbers';

describe('numbers as people write them', () => {
  it.each([
    ['12', 12],
    ['12.5', 12.5],
    ['12,5', 12.5],
    [' 0,75 ', 0.75],
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1 234,5', 1234.5],
    ['1’234.5', 1234.5],
    ['1.234.567', 1234567],
    ['-3,5', -3.5],
    ['', undefined],
    ['twelve', NaN],
    ['12 mm', NaN],
  ])('%s is %s', (text, value) => {
    expect(readNumber(text)).toEqual(value);
  });

  it('reads back whatever it shows, in any way of writing', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1e7, max: 1e7 }), fc.constantFrom('en', 'es', 'de'), (n, locale) => {
        const value = n / 1000;
        expect(readNumber(showNumber(value, locale))).toBe(value);
      }),
    );
  });
});
