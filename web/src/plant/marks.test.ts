import { describe, expect, it } from 'vitest';
import { markOf } from './marks';

describe('a mark on a counted plant', () => {
  it('holds what stays: canes, flower buds or nodes', () => {
    expect(markOf({ operation: 'thin', limb: 'canes/new', at_cm: 0, keepCount: 31, count: 9 })).toEqual({
      operation: 'thin',
      limb: 'canes/new',
      keep: 31,
      count: 9,
    });
    expect(markOf({ operation: 'keep-nodes', limb: 'c1', at_cm: 0, nodes: 14, count: 1 })).toEqual({
      operation: 'keep-nodes',
      limb: 'c1',
      keep: 14,
    });
  });

  it('holds the height only where there is one', () => {
    expect(markOf({ operation: 'tip', limb: 'canes/new', at_cm: 158, count: 31 })).toEqual({
      operation: 'tip',
      limb: 'canes/new',
      at_cm: 158,
      count: 31,
    });
    expect(markOf({ operation: 'remove', limb: '4', at_cm: 0 })).toEqual({ operation: 'remove', limb: '4' });
  });
});
