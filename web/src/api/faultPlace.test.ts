import { describe, expect, it } from 'vitest';
import { faultPlace } from './faultPlace';

describe('where a fault lies', () => {
  it('names the cell of a table', () => {
    expect(faultPlace('line 7, angle_deg')).toBe('line 7, column angle_deg');
    expect(faultPlace('line 1')).toBe('line 1');
  });

  it('names the plant of a file', () => {
    expect(faultPlace('tree 2, limbs[3].angle_deg')).toBe('tree 2, limbs[3].angle_deg');
  });

  it('leaves other fields as they are', () => {
    expect(faultPlace('limbs[3].angle_deg')).toBe('limbs[3].angle_deg');
    expect(faultPlace('')).toBe('');
  });
});
