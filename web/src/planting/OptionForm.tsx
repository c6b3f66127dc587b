import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { ChoiceField, NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { Button } from '../ui/Button';
import type { Planting } from './request';

const STOCKS = ['very-dwarfing', 'dwarfing', 'semi-dwarfing', 'semi-vigorous', 'seedling'] as const;
const VIGOURS = ['low', 'moderate', 'high'] as const;

/** One option: what, on what, how far apart, at what price. */
export function OptionForm({
  option,
  set,
  copy,
  drop,
}: {
  option: Planting;
  set: (part: Partial<Planting>) => void;
  copy: (() => void) | undefined;
  drop: (() => void) | undefined;
}) {
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
    <fieldset className="mt-4 border-t-2 border-ink pt-2">
      <legend className="pr-2 font-display text-[20px] font-bold">{option.name}</legend>
      <div className="flex flex-wrap gap-2">
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
        <NumberField
          name={say('plantings.price-a-kg')}
          unit="perKg"
          width="w-16"
          value={option.price_perKg}
          set={(price_perKg) => {
            set({ price_perKg });
          }}
        />
        <NumberField
          name={say('plantings.trend')}
          width="w-16"
          value={option.priceTrend == null ? undefined : Math.round(1000 * option.priceTrend) / 10}
          set={(percentage) => {
            set({ priceTrend: percentage == null ? undefined : percentage / 100 });
          }}
        />
        <NumberField
          name={say('plantings.life')}
          width="w-16"
          value={option.cultivarLife_y}
          set={(cultivarLife_y) => {
            set({ cultivarLife_y });
          }}
        />
      </div>
      <div className="mt-2 flex gap-2">
        {copy && (
          <Button onClick={copy} weight="plain">
            {say('plantings.copy')}
          </Button>
        )}
        {drop && (
          <Button onClick={drop} weight="quiet">
            {say('plantings.delete')}
          </Button>
        )}
      </div>
    </fieldset>
  );
}
