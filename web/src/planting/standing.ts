import type { BlockLine, PickingLine, PlantingRequest } from '../api/client';
import { FIRST, MOST_OPTIONS, type Planting } from './request';

export type Standing = NonNullable<PlantingRequest['standing']>;

/** What can be done with trees that stand, in the order of how much of them is left. */
export const ACTS = ['keep', 'renovate', 'topwork', 'replant'] as const;
export type Act = (typeof ACTS)[number];

/** Whether an option's trees are those that stand today. */
export function keepsTheTrees(option: Planting | undefined): boolean {
  const act = option?.onStanding?.act;
  return act != null && act !== 'replant';
}

/** What an option does with the standing trees; replanting all at once where nobody says otherwise. */
export function doing(act: string): NonNullable<Planting['onStanding']> {
  return act === 'replant' ? { act, over_y: 1, fallow_y: 0 } : { act };
}

/** A block as the trees that stand on the land, in the leaf they are in in a year. */
export function standingFrom(block: BlockLine, year: number, price: number | undefined): Standing {
  return {
    leaf: Math.max(1, year - block.plantedYear),
    trees: {
      species: block.species,
      system: block.system,
      rootstockClass: block.stock,
      vigour: 'moderate',
      spacing_m: { inRow: block.inRowM, betweenRows: block.betweenRowsM },
      price_perKg: price,
    },
  };
}

const YEARS_WEIGHED = 3;
const M2_PER_HA = 10_000;
/** A mean of harvests is told no finer. */
const TOLD_TO_KG = 100;

/** What a block bore a hectare, the mean of its last whole harvests; nothing where none was weighed to its end. */
export function kgPerHaOf(
  block: Pick<BlockLine, 'treeCount' | 'inRowM' | 'betweenRowsM'>,
  pickings: readonly Pick<PickingLine, 'kind' | 'treeId' | 'kg' | 'pickedOn' | 'lastOne'>[],
): number | undefined {
  const years = new Map<string, { kg: number; whole: boolean }>();
  for (const one of pickings) {
    if (one.kind !== 'harvest' || one.treeId != null || one.kg == null) continue;
    const year = one.pickedOn.slice(0, 4);
    const so = years.get(year) ?? { kg: 0, whole: false };
    years.set(year, { kg: so.kg + one.kg, whole: so.whole || one.lastOne });
  }
  const whole = [...years]
    .filter(([, one]) => one.whole)
    .sort(([one], [other]) => other.localeCompare(one))
    .slice(0, YEARS_WEIGHED);
  const ha = (block.treeCount * block.inRowM * block.betweenRowsM) / M2_PER_HA;
  if (whole.length === 0 || ha <= 0) return undefined;
  const mean = whole.reduce((sum, [, one]) => sum + one.kg, 0) / whole.length / ha;
  return Math.round(mean / TOLD_TO_KG) * TOLD_TO_KG;
}

/** Wide old trees, where nobody has said yet what stands. */
export function usualStanding(): Standing {
  return { leaf: 28, trees: { ...(FIRST.options ?? [])[1], name: undefined } };
}

/** The request without standing trees: options that only make sense with them go, the others are planted on bare land. */
export function withoutStanding(request: PlantingRequest): PlantingRequest {
  const planted = (request.options ?? [])
    .filter((option) => !keepsTheTrees(option))
    .map((option) => ({ ...option, onStanding: undefined }));
  return { ...request, standing: undefined, options: planted.length > 0 ? planted : FIRST.options };
}

/**
 * Everything that can be done with the standing trees, side by side. What is planted anew is what was compared so far, or a slender
 * planting of the same kind; grafts bring the price of what is planted anew.
 */
export function allWays(
  request: PlantingRequest,
  names: Record<Act, string>,
  grafted: boolean,
): PlantingRequest {
  const planted = (request.options ?? []).filter((option) => !keepsTheTrees(option));
  const anew = planted.length > 0 ? planted : [{ ...(FIRST.options ?? [])[0], ...kindOf(request) }];
  const price = anew[0]?.price_perKg;
  const kept = ACTS.filter((act) => act !== 'replant' && (grafted || act !== 'topwork'));
  const options: Planting[] = kept.map((act) => ({
    name: names[act],
    onStanding: doing(act),
    ...(act === 'topwork' ? { price_perKg: price } : {}),
  }));
  anew.slice(0, MOST_OPTIONS - kept.length).forEach((option, i) => {
    options.push({
      ...option,
      name: anew.length === 1 ? names.replant : `${names.replant} ${i + 1}`,
      onStanding: option.onStanding ?? doing('replant'),
    });
  });
  return { ...request, options };
}

function kindOf(request: PlantingRequest): Planting {
  return request.standing?.trees.species ? { species: request.standing.trees.species } : {};
}
