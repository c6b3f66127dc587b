import { describe, expect, it } from 'vitest';
import { FIRST, fromAddress, nextName, ticks, withCopy, withOption } from './request';

describe('a comparison of plantings', () => {
  it('comes back from its own address', () => {
    expect(fromAddress(JSON.stringify(FIRST))).toEqual(FIRST);
    expect(fromAddress(null)).toBeNull();
    expect(fromAddress('{"options":3}')).toBeNull();
    expect(fromAddress('nonsense')).toBeNull();
  });

  it('changes one option and leaves out what was emptied', () => {
    const changed = withOption(FIRST, 1, { price_perKg: 0.8, rootstockClass: undefined });
    expect(changed.options?.[0]).toEqual(FIRST.options?.[0]);
    expect(changed.options?.[1]?.price_perKg).toBe(0.8);
    expect(JSON.stringify(changed.options?.[1])).not.toContain('rootstockClass');
  });

  it('copies an option under a free name, up to six', () => {
    let request = withCopy(FIRST, 0);
    expect(request.options?.map((one) => one.name)).toEqual(['A', 'B', 'C']);
    for (let i = 0; i < 6; i += 1) request = withCopy(request, 0);
    expect(request.options).toHaveLength(6);
    expect(nextName(['A', 'C'])).toBe('B');
  });

  it('marks scales with round figures', () => {
    expect(ticks(0, 100)).toEqual([0, 20, 40, 60, 80, 100]);
    expect(ticks(-50_000, 120_000)).toEqual([-50_000, 0, 50_000, 100_000]);
    expect(ticks(3, 3)).toEqual([3]);
  });
});
