import { describe, expect, it } from 'vitest';
import type { BlockLine } from '../api/client';
import { FIRST } from './request';
import { allWays, keepsTheTrees, standingFrom, usualStanding, withoutStanding, kgPerHaOf } from './standing';

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

describe('what a standing block bore', () => {
  const block = { treeCount: 120, inRowM: 5, betweenRowsM: 6 };
  const picked = (
    pickedOn: string,
    kg: number | undefined,
    lastOne = true,
    treeId?: number,
    kind = 'harvest',
  ) => ({
    kind,
    pickedOn,
    lastOne,
    kg,
    treeId,
  });

  it('is the mean of its last three whole harvests a hectare', () => {
    // 0.36 ha
    const all = [
      picked('2026-09-24', 4_000),
      picked('2026-09-10', 5_000, false),
      picked('2025-09-24', 12_600),
      picked('2024-09-24', 7_200),
      picked('2023-09-24', 90_000),
    ];
    expect(kgPerHaOf(block, all)).toBe(26_700);
  });

  it('leaves out years that are not over, single trees and thinnings', () => {
    const all = [
      picked('2026-08-01', 4_000, false),
      picked('2025-09-01', 3_600),
      picked('2025-09-01', 50, true, 7),
      picked('2024-06-01', 900, true, undefined, 'thinning'),
      picked('2024-09-01', undefined),
    ];
    expect(kgPerHaOf(block, all)).toBe(10_000);
    expect(kgPerHaOf(block, [])).toBeUndefined();
  });
});
