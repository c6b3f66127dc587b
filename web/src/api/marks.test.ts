import { describe, expect, it } from 'vitest';
import { keyOf, limbOf, markFrom } from './marks';

describe('marks', () => {
  it('are the same by what they do and where, whatever else they say', () => {
    expect(keyOf({ operation: 'remove', limb: '2/shoots/up' })).toBe('remove@2/shoots/up');
    expect(keyOf({})).toBe('@');
  });

  it('are on the limb their target begins with', () => {
    expect(limbOf({ limb: '2a/spurs' })).toBe('2a');
    expect(limbOf({ limb: 'trunk' })).toBe('trunk');
    expect(limbOf({})).toBe('');
  });

  it('of a step carry what it needs and nothing that is not said', () => {
    const nothing = { toLimb: null, toAngle_deg: null, keep: null };
    expect(markFrom({ operation: 'remove', limb: '4', at_cm: 0, ...nothing })).toEqual({
      operation: 'remove',
      limb: '4',
    });
    expect(markFrom({ operation: 'shorten', limb: '4', at_cm: 80, ...nothing, toLimb: '4a' })).toEqual({
      operation: 'shorten',
      limb: '4',
      at_cm: 80,
      toLimb: '4a',
    });
    expect(markFrom({ operation: 'bend', limb: '4', at_cm: 0, ...nothing, toAngle_deg: 0 }).toAngle_deg).toBe(
      0,
    );
    expect(markFrom({ operation: 'thin', limb: '4/shoots', at_cm: 0, ...nothing, keep: 0 }).keep).toBe(0);
  });
});
