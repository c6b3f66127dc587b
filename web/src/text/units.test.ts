import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import {
  chooseUnits,
  inUnits,
  isUnit,
  onUnits,
  told,
  toMetric,
  unitOfField,
  units,
  unitSign,
  type Unit,
} from './units';

const UNITS: Unit[] = ['cm', 'mm', 'm', 'kg', 'm2', 'ha', 'tha', 'perHa', 'perKg', 'degC'];
/** Half a step of what is typed, in the metric unit: what a figure may be off after it went there and back. */
const OFF: Record<Unit, number> = {
  cm: 0.18,
  mm: 0.18,
  m: 0.021,
  kg: 0.03,
  m2: 0.06,
  ha: 0.003,
  tha: 0.17,
  perHa: 0.7,
  perKg: 0.002,
  degC: 0.35,
};

describe('units', () => {
  it('come back as they were typed, within what is typed', () => {
    fc.assert(
      fc.property(fc.constantFrom(...UNITS), fc.double({ min: 0, max: 500, noNaN: true }), (unit, metric) => {
        expect(Math.abs(toMetric(inUnits(metric, unit, 'us'), unit, 'us') - metric)).toBeLessThan(OFF[unit]);
        expect(toMetric(inUnits(metric, unit, 'metric'), unit, 'metric')).toBe(metric);
      }),
    );
  });

  it('are those of the tables', () => {
    expect(inUnits(25.4, 'mm', 'us')).toBe(1);
    expect(inUnits(254, 'cm', 'us')).toBe(100);
    expect(inUnits(1, 'm', 'us')).toBe(3.3);
    expect(inUnits(100, 'kg', 'us')).toBe(220.5);
    expect(inUnits(10, 'm2', 'us')).toBe(108);
    expect(inUnits(40, 'tha', 'us')).toBe(17.8);
    expect(inUnits(1, 'ha', 'us')).toBe(2.47);
    expect(inUnits(1000, 'perHa', 'us')).toBe(404.7);
    expect(inUnits(1, 'perKg', 'us')).toBe(0.454);
    expect(inUnits(0, 'degC', 'us')).toBe(32);
    expect(inUnits(-40, 'degC', 'us')).toBe(-40);
  });

  it('tell long lengths in feet and heavy things in whole pounds', () => {
    expect(told(80, 'cm', 'us')).toEqual({ value: 31, sign: 'in' });
    expect(told(300, 'cm', 'us')).toEqual({ value: 9.8, sign: 'ft' });
    expect(told(3, 'kg', 'us')).toEqual({ value: 6.6, sign: 'lb' });
    expect(told(128.3, 'kg', 'us')).toEqual({ value: 283, sign: 'lb' });
    expect(told(300, 'cm', 'metric')).toEqual({ value: 300, sign: 'cm' });
  });

  it('are known by the ending of a field and by their word', () => {
    expect(unitOfField('length_cm')).toBe('cm');
    expect(unitOfField('canopy_m2')).toBe('m2');
    expect(unitOfField('age_y')).toBeUndefined();
    expect(isUnit('kg')).toBe(true);
    expect(isUnit('years')).toBe(false);
    expect(isUnit(undefined)).toBe(false);
    expect(unitSign('degC', 'us')).toBe('°F');
  });

  it('are chosen once for all who show them', () => {
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', { setItem: (key: string, value: string) => kept.set(key, value) });
    const tell = vi.fn();
    const leave = onUnits(tell);
    chooseUnits('us');
    expect(units()).toBe('us');
    expect([...kept.values()]).toEqual(['us']);
    leave();
    chooseUnits('metric');
    expect(tell).toHaveBeenCalledTimes(1);
  });
});
