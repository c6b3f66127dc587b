import { afterAll, describe, expect, it, vi } from 'vitest';
import { setLanguage } from '../text/language';
import { dayName, daysBetween, hours, monthStarts, plusDays, shortDay } from './dates';

vi.stubGlobal('document', { documentElement: { lang: '' } });

describe('days', () => {
  afterAll(() => {
    setLanguage('en');
  });

  it('are counted over months, leap days and changes of the clock', () => {
    expect(daysBetween('2026-02-27', '2026-03-02')).toBe(3);
    expect(daysBetween('2028-02-27', '2028-03-02')).toBe(4);
    expect(daysBetween('2026-03-20', '2026-04-10')).toBe(21);
    expect(daysBetween('2026-10-30', '2026-10-20')).toBe(-10);
    expect(plusDays('2026-12-31', 1)).toBe('2027-01-01');
    expect(plusDays('2026-03-30', -2)).toBe('2026-03-28');
  });

  it('are named as their reader writes them', () => {
    setLanguage('en');
    expect(shortDay('2026-11-23')).toMatch(/Nov/);
    expect(dayName('2026-11-23')).toMatch(/^Mon/);
    setLanguage('es');
    expect(shortDay('2026-11-23')).toBe('23 nov');
    expect(dayName('2026-11-23')).toMatch(/^lunes/);
  });

  it('mark the months that begin within a stretch, its first day too', () => {
    setLanguage('es');
    const starts = monthStarts('2026-12-01', '2027-02-10');
    expect(starts).toEqual([
      { at: 0, name: 'dic' },
      { at: 31, name: 'ene' },
      { at: 62, name: 'feb' },
    ]);
    expect(monthStarts('2026-12-02', '2026-12-20')).toEqual([]);
  });
});

describe('hours', () => {
  it('are told in tenths under ten, with the reader’s own sign', () => {
    setLanguage('en');
    expect(hours(1.14)).toBe('1.1 h');
    expect(hours(26.4)).toBe('26 h');
    setLanguage('es');
    expect(hours(1.14)).toBe('1,1 h');
    expect(hours(4)).toBe('4 h');
  });
});
