import { describe, expect, it } from 'vitest';
import { measureText, withMeasures } from './measures';

const plain = String;

describe('measures of a text', () => {
  it('are a figure and the unit that follows it', () => {
    const { text, measures, signs } = withMeasures('{long} {cm} is long for {thick} {mm}.');
    expect(text).toBe('{long__cm} is long for {thick__mm}.');
    expect(measures).toEqual([
      { name: 'long', unit: 'cm' },
      { name: 'thick', unit: 'mm' },
    ]);
    expect(signs).toEqual([]);
  });

  it('may be called like their unit', () => {
    expect(withMeasures('{cm} {cm}').measures).toEqual([{ name: 'cm', unit: 'cm' }]);
  });

  it('leave a unit by itself a sign', () => {
    const { text, measures, signs } = withMeasures('Length, {cm}');
    expect(text).toBe('Length, {cm}');
    expect(measures).toEqual([]);
    expect(signs).toEqual(['cm']);
  });

  it('do not disturb choices and plurals', () => {
    const message = '{count, plural, one {# limb} other {# limbs}} of {top} {m}';
    expect(withMeasures(message).text).toBe('{count, plural, one {# limb} other {# limbs}} of {top__m}');
  });

  it('are told in the reader’s units', () => {
    expect(measureText(42, 'cm', 'metric', plain)).toBe('42 cm');
    expect(measureText(42, 'cm', 'us', plain)).toBe('17 in');
    expect(measureText(19, 'mm', 'us', plain)).toBe('0.7 in');
    expect(measureText(4.2, 'm', 'us', plain)).toBe('13.8 ft');
    expect(measureText(128, 'kg', 'us', plain)).toBe('282 lb');
    expect(measureText(-29, 'degC', 'us', plain)).toBe('-20 °F');
  });

  it('turn both ends of a range', () => {
    expect(measureText('30–60', 'cm', 'metric', plain)).toBe('30–60 cm');
    expect(measureText('30–60', 'cm', 'us', plain)).toBe('11.8–23.6 in');
  });

  it('are nothing where there is no figure', () => {
    expect(measureText('', 'kg', 'us', plain)).toBe('');
  });
});
