import { describe, expect, it } from 'vitest';
import { outlineOf } from './outline';

describe('the outline of wood on paper', () => {
  it('is as wide as the wood at both ends of a straight limb', () => {
    const points = outlineOf([
      { x: 0, y: 0, width: 8 },
      { x: 100, y: 0, width: 2 },
    ]);
    expect(points).toBe('0.0,4.0 100.0,1.0 100.0,-1.0 0.0,-4.0');
  });

  it('keeps a line without length', () => {
    expect(outlineOf([{ x: 5, y: 5, width: 2 }])).toBe('5.0,5.0 5.0,5.0');
    expect(outlineOf([])).toBe('');
  });
});
