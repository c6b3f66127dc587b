import { describe, expect, it } from 'vitest';
import type { BlockLine } from '../api/client';
import { FIRST } from './request';
import { allWays, keepsTheTrees, standingFrom, usualStanding, withoutStanding } from './standing';

const NAMES = { keep: 'Keep', renovate: 'Renovate', topwork: 'Topwork', replant: 'Replant' };
const OLD = { ...FIRST, standing: usualStanding() };

describe('standing trees', () => {
  it('are taken from a block in the leaf they are in', () => {
    const block = {
      species: 'pear',
      system: 'vertical-axis',
      stock: 'semi-vigorous',
      plantedYear: 2001,
      inRowM: 3,
      betweenRowsM: 5,
    } as BlockLine;
    expect(standingFrom(block, 2026, 0.7)).toEqual({
      leaf: 25,
      trees: {
        species: 'pear',
        system: 'vertical-axis',
        rootstockClass: 'semi-vigorous',
        vigour: 'moderate',
        spacing_m: { inRow: 3, betweenRows: 5 },
        price_perKg: 0.7,
      },
    });
    expect(standingFrom({ ...block, plantedYear: 2026 }, 2026, undefined).leaf).toBe(1);
  });

  it('can be kept, renovated, topworked and replanted with each option planted so far', () => {
    const ways = allWays(OLD, NAMES, true);
    expect(ways.options?.map((option) => option.name)).toEqual([
      'Keep',
      'Renovate',
      'Topwork',
      'Replant 1',
      'Replant 2',
    ]);
    expect(ways.options?.map((option) => option.onStanding?.act)).toEqual([
      'keep',
      'renovate',
      'topwork',
      'replant',
      'replant',
    ]);
    expect(ways.options?.[2]?.price_perKg).toBe(FIRST.options?.[0]?.price_perKg);
    expect(ways.options?.[3]?.system).toBe('tall-spindle');
  });

  it('are not topworked where their kind is not grafted, and never make more options than there may be', () => {
    expect(allWays(OLD, NAMES, false).options?.some((one) => one.onStanding?.act === 'topwork')).toBe(false);
    const six = { ...OLD, options: Array.from({ length: 6 }, () => FIRST.options?.[0] ?? {}) };
    expect(allWays(six, NAMES, true).options).toHaveLength(6);
  });

  it('asked for twice give the same options', () => {
    const one = { ...OLD, options: FIRST.options?.slice(0, 1) };
    const ways = allWays(one, NAMES, true);
    expect(allWays(ways, NAMES, true)).toEqual(ways);
    expect(ways.options?.at(-1)?.name).toBe('Replant');
  });

  it('keep how far replanting was spread', () => {
    const one = {
      ...OLD,
      options: [{ ...FIRST.options?.[0], onStanding: { act: 'replant', over_y: 3 } }],
    };
    expect(allWays(one, NAMES, true).options?.at(-1)?.onStanding).toEqual({ act: 'replant', over_y: 3 });
  });

  it('take with them what only made sense with them', () => {
    const bare = withoutStanding(allWays(OLD, NAMES, true));
    expect(bare.standing).toBeUndefined();
    expect(bare.options?.map((option) => option.onStanding)).toEqual([undefined, undefined]);
    const none = { ...OLD, options: [{ name: 'Keep', onStanding: { act: 'keep' } }] };
    expect(withoutStanding(none).options).toEqual(FIRST.options);
  });

  it('stay in all that is done with them but replanting', () => {
    expect(keepsTheTrees({ onStanding: { act: 'topwork' } })).toBe(true);
    expect(keepsTheTrees({ onStanding: { act: 'replant' } })).toBe(false);
    expect(keepsTheTrees({})).toBe(false);
    expect(keepsTheTrees(undefined)).toBe(false);
  });
});
