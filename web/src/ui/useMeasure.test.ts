import { describe, expect, it } from 'vitest';
import { inUnits, told, toMetric, unitSign, type Unit } from '../text/units';
import { metricOf, writtenIn } from './useMeasure';

describe('customary units', () => {
  it('turn by the legal definitions', () => {
    expect(inUnits(2.54, 'cm', 'us')).toBe(1);
    expect(inUnits(25.4, 'mm', 'us')).toBe(1);
    expect(inUnits(3.048, 'm', 'us')).toBe(10);
    expect(inUnits(45.359237, 'kg', 'us')).toBe(100);
    expect(toMetric(1, 'cm', 'us')).toBe(2.5);
    expect(toMetric(14, 'm', 'us')).toBe(4.27);
    // 1 t/ha = 0.4461 short tons an acre
    expect(inUnits(10, 'tha', 'us')).toBe(4.5);
  });

  it('leave a figure in metric units as it is', () => {
    expect(inUnits(41.37, 'cm', 'metric')).toBe(41.37);
    expect(writtenIn('41,37', 'cm', 'metric')).toBe('41,37');
    expect(unitSign('m2', 'metric')).toBe('m²');
  });

  it('tell long lengths in feet', () => {
    expect(told(60, 'cm', 'us')).toEqual({ value: 24, sign: 'in' });
    expect(told(250, 'cm', 'us')).toEqual({ value: 8.2, sign: 'ft' });
  });

  it('come back as they were typed, for every figure a hand writes', () => {
    const finest: [Unit, number][] = [
      ['cm', 0.5],
      ['mm', 0.25],
      ['m', 0.5],
      ['kg', 0.5],
    ];
    for (const [unit, step] of finest) {
      for (let typed = step; typed < 60; typed += step) {
        const text = String(typed);
        expect(Number(writtenIn(metricOf(text, unit, 'us'), unit, 'us'))).toBeCloseTo(typed, 1);
      }
    }
  });

  it('leave what is no number for the server to name', () => {
    expect(metricOf('two feet', 'cm', 'us')).toBe('two feet');
    expect(metricOf('', 'cm', 'us')).toBe('');
  });
});
