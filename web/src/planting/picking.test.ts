import { describe, expect, it } from 'vitest';
import { bars, dateOf, shareOfYear } from './picking';

describe('days of the year on a bar of twelve months', () => {
  it('reads a day as it is sent', () => {
    expect(dateOf('--04-28').toISOString()).toContain('-04-28');
    expect(shareOfYear('--01-01')).toBe(0);
    expect(shareOfYear('--12-31')).toBeCloseTo(364 / 365);
  });

  it('is one bar, or two where it runs over New Year', () => {
    expect(bars('--07-01', '--07-31')).toHaveLength(1);
    expect(bars('--07-01', '--07-31')[0]?.length).toBeCloseTo(31 / 365);
    const over = bars('--12-22', '--01-10');
    expect(over.map((one) => Math.round(365 * one.length))).toEqual([10, 10]);
    expect(over[1]?.from).toBe(0);
  });
});
