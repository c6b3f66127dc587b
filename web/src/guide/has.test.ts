import { describe, expect, it } from 'vitest';
import { seeking } from './has';

describe('seeking in the guide', () => {
  it('finds all words in any order, in any of the texts, whatever their case', () => {
    const has = seeking(' Collar  CUT ');
    expect(has('Cut outside the collar')).toBe(true);
    expect(has('Cut', 'just outside the collar')).toBe(true);
    expect(has('Cut above a bud')).toBe(false);
  });

  it('hides nothing where nothing is typed', () => {
    expect(seeking('  ')('anything')).toBe(true);
    expect(seeking('')()).toBe(true);
  });
});
