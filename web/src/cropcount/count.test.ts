import { describe, expect, it } from 'vitest';
import { begun, complete, enough, typedAgain, withLimb, withoutLimb } from './count';

describe('a count as it is typed', () => {
  it('always has an empty line to go on in', () => {
    const one = withLimb(begun('set'), 0, { thick: '24' });
    expect(one.limbs).toEqual([
      { thick: '24', count: '' },
      { thick: '', count: '' },
    ]);
    const counted = withLimb(one, 0, { count: '31' });
    expect(counted.limbs).toHaveLength(2);
    expect(withoutLimb(withoutLimb(counted, 0), 0).limbs).toEqual([{ thick: '', count: '' }]);
  });

  it('takes only limbs that are whole, and none is counted as none', () => {
    const typed = {
      ...begun(),
      limbs: [
        { thick: '24', count: '0' },
        { thick: '30', count: '' },
        { thick: 'thick', count: '3' },
        { thick: '-4', count: '3' },
        { thick: '18.5', count: '12' },
      ],
    };
    expect(complete(typed)).toEqual([
      { diameterMm: 24, count: 0 },
      { diameterMm: 18.5, count: 12 },
    ]);
    expect(enough(typed)).toBe(true);
    expect(enough(begun())).toBe(false);
  });

  it('is typed again as it was when it was refused', () => {
    const limbs = [
      { diameterMm: 24.5, count: 31 },
      { diameterMm: 18, count: 0 },
    ];
    const again = typedAgain({ stage: 'set', limbs, clientId: 'count-123' });
    expect(again.stage).toBe('set');
    expect(again.clientId).toBe('count-123');
    expect(complete(again)).toEqual(limbs);
    expect(again.limbs).toHaveLength(3);
  });
});
