import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type PlantedField, type PlantingOption } from '../api/client';
import { Choice, Field } from '../survey/Cell';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { readNumber } from '../ui/numbers';
import type { Planting } from './request';

/** From the decision to trees: an option becomes a block with its rows, ready to be surveyed and worked. */
export function PlantThis({
  option,
  result,
  field,
}: {
  option: Planting;
  result: PlantingOption;
  /** The field with this option's rows; not there before it was filled. */
  field: PlantedField | undefined;
}) {
  const say = useSay();
  const go = useNavigate();
  const queries = useQueryClient();
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  const [holding, setHolding] = useState('');
  const [name, setName] = useState('');
  const trees = Math.max(1, field?.trees ?? 0);
  const [count, setCount] = useState(String(trees));
  const [year, setYear] = useState(String(new Date().getFullYear()));
  const [bearing, setBearing] = useState(String(Math.round(field?.rowBearing_deg ?? 0)));
  const inRow = option.spacing_m?.inRow ?? 0;
  const betweenRows = option.spacing_m?.betweenRows ?? 0;
  const chosen = holding || String(holdings.data?.[0]?.id ?? '');
  const number = (text: string) => readNumber(text) ?? Number.NaN;
  const plant = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/blocks', {
          body: {
            holdingId: Number(chosen),
            name,
            species: option.species ?? '',
            system: option.system ?? '',
            cultivar: '',
            stock: option.rootstockClass ?? 'semi-dwarfing',
            plantedYear: number(year),
            treeCount: number(count),
            inRowM: inRow,
            betweenRowsM: betweenRows,
            rowBearingDeg: number(bearing),
            eastM: 0,
            northM: 0,
            note: '',
          },
        }),
      ),
    onSuccess: (block) => {
      void queries.invalidateQueries();
      void go(`/blocks/${block.id}`);
    },
  });
  const ready =
    name.trim() !== '' &&
    chosen !== '' &&
    [count, year, bearing].every((text) => !Number.isNaN(number(text)));
  return (
    <details className="mt-2 border border-line px-3 py-1.5">
      <summary className="min-h-9 content-center font-semibold">
        {say('plantings.plant-this', { option: result.name })}
      </summary>
      <p className="text-[14px] text-muted">
        {say('plantings.what-planting-takes', {
          trees,
          metres: Math.round(field?.rowLength_m ?? 0),
          ha: Math.round(100 * (field?.area_ha ?? 0)) / 100,
        })}
      </p>
      <form
        className="mt-2 grid grid-cols-3 gap-3 max-sm:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          plant.mutate();
        }}
      >
        <Field name={say('look.name-of-block')} value={name} fault={undefined} change={setName} />
        {(holdings.data?.length ?? 0) > 1 && (
          <Choice
            name={say('plantings.holding')}
            value={chosen}
            options={(holdings.data ?? []).map((one) => ({ id: String(one.id), name: one.name }))}
            fault={undefined}
            change={setHolding}
          />
        )}
        <Field
          name={say('plantings.trees')}
          inputMode="numeric"
          value={count}
          fault={undefined}
          change={setCount}
        />
        <Field
          name={say('plantings.year-planted')}
          inputMode="numeric"
          value={year}
          fault={undefined}
          change={setYear}
        />
        <Field
          name={say('tree-facts.row-bearing')}
          unit="°"
          inputMode="decimal"
          value={bearing}
          fault={undefined}
          change={setBearing}
        />
        <Button className="self-end" weight="ink" type="submit" disabled={!ready || plant.isPending}>
          {say('plantings.make-block')}
        </Button>
      </form>
      {plant.isError && (
        <p role="alert" className="mt-1 text-[14px] text-lichen">
          {plant.error.message}
        </p>
      )}
      <p className="mt-1 text-[13px] text-muted">{say('plantings.what-follows')}</p>
    </details>
  );
}
