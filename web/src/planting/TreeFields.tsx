import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { ChoiceField, NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { term } from '../text/term';
import type { Planting } from './request';

const STOCKS = ['very-dwarfing', 'dwarfing', 'semi-dwarfing', 'semi-vigorous', 'seedling'] as const;
const VIGOURS = ['low', 'moderate', 'high'] as const;

/** What trees are, on what, how far apart, and what a kilogram brings. */
export function TreeFields({ option, set }: { option: Planting; set: (part: Partial<Planting>) => void }) {
  const say = useSay();
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const species = (known.data?.species ?? []).map((one) => [one.id, one.name] as const);
  const systems = (known.data?.systems ?? [])
    .filter((one) => one.species.includes(option.species ?? ''))
    .map((one) => [one.id, one.name] as const);
  const others = (known.data?.systems ?? [])
    .filter((one) => !one.species.includes(option.species ?? ''))
    .map((one) => [one.id, one.name] as const);
  return (
    <>
      <ChoiceField
        name={say('plantings.kind')}
        value={option.species}
        options={species}
        set={(next) => {
          set({ species: next });
        }}
      />
      <ChoiceField
        name={say('plantings.system')}
        value={option.system}
        options={[...systems, ...others]}
        set={(next) => {
          set({ system: next });
        }}
      />
      <ChoiceField
        name={say('plantings.stock')}
        value={option.rootstockClass}
        options={STOCKS.map((one) => [one, term(one)] as const)}
        set={(next) => {
          set({ rootstockClass: next });
        }}
      />
      <ChoiceField
        name={say('plantings.vigour')}
        value={option.vigour}
        options={VIGOURS.map((one) => [one, term(one)] as const)}
        set={(next) => {
          set({ vigour: next });
        }}
      />
      <NumberField
        name={say('plantings.in-row')}
        unit="m"
        width="w-16"
        value={option.spacing_m?.inRow}
        set={(inRow) => {
          set({ spacing_m: { ...option.spacing_m, inRow } });
        }}
      />
      <NumberField
        name={say('plantings.between-rows')}
        unit="m"
        width="w-16"
        value={option.spacing_m?.betweenRows}
        set={(betweenRows) => {
          set({ spacing_m: { ...option.spacing_m, betweenRows } });
        }}
      />
      <PriceField option={option} set={set} />
    </>
  );
}

/** What a kilogram of first class brings. */
export function PriceField({ option, set }: { option: Planting; set: (part: Partial<Planting>) => void }) {
  const say = useSay();
  return (
    <NumberField
      name={say('plantings.price-a-kg')}
      unit="perKg"
      width="w-16"
      value={option.price_perKg}
      set={(price_perKg) => {
        set({ price_perKg });
      }}
    />
  );
}
