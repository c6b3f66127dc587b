import { describe, expect, it } from 'vitest';
import { inChoices } from './useInAddress';

describe('a choice in the address', () => {
  it('is one of the choices, or the first', () => {
    expect(inChoices('light', 'wood', ['wood', 'light'])).toBe('light');
    expect(inChoices('nonsense', 'wood', ['wood', 'light'])).toBe('wood');
    expect(inChoices('4b', '')).toBe('4b');
  });
});
