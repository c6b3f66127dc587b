import { MeasureInput } from '../ui/MeasureInput';
import type { Unit } from '../text/units';
import { say, useSay } from '../text/say';
import { term } from '../text/term';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type BlockEntry, type BlockLine } from '../api/client';
import { sentNumber, showNumber } from '../ui/numbers';
import { BOX, Labelled, SetupSheet } from './SetupSheet';

const STOCKS = (): [string, string][] => [
  ['very-dwarfing', say('block-form.very-dwarfing')],
  ['dwarfing', term('dwarfing')],
  ['semi-dwarfing', term('semi-dwarfing')],
  ['semi-vigorous', term('semi-vigorous')],
  ['seedling', term('seedling')],
];

const FIRST = {
  name: '',
  species: 'apple',
  system: '',
  cultivar: '',
  stock: 'semi-dwarfing',
  planted: String(new Date().getFullYear()),
  trees: '',
  inRow: '',
  betweenRows: '',
  bearing: '0',
  east: '0',
  north: '0',
  note: '',
  rows: '',
  places: '',
};

function textsOf(block: BlockLine): typeof FIRST {
  return {
    name: block.name,
    species: block.species,
    system: block.system,
    cultivar: block.cultivar,
    stock: block.stock,
    planted: showNumber(block.plantedYear),
    trees: showNumber(block.treeCount),
    inRow: showNumber(block.inRowM),
    betweenRows: showNumber(block.betweenRowsM),
    bearing: showNumber(block.rowBearingDeg),
    east: showNumber(block.eastM),
    north: showNumber(block.northM),
    note: block.note,
    rows: showNumber(block.rows),
    places: showNumber(block.placesPerRow),
  };
}

/** A block's facts as they are sent, as when a correction is undone. */
export function entryOf(block: BlockLine, holdingId: number): BlockEntry {
  return {
    holdingId,
    name: block.name,
    species: block.species,
    system: block.system,
    cultivar: block.cultivar,
    stock: block.stock,
    plantedYear: block.plantedYear,
    treeCount: block.treeCount,
    inRowM: block.inRowM,
    betweenRowsM: block.betweenRowsM,
    rowBearingDeg: block.rowBearingDeg,
    eastM: block.eastM,
    northM: block.northM,
    note: block.note,
    rows: block.rows,
    placesPerRow: block.placesPerRow,
  };
}

/** A block as it is to be: a new one, or one whose facts are corrected. */
export function BlockForm({
  holdings,
  block,
  done,
}: {
  holdings: { id: number; name: string }[];
  block: BlockLine | null;
  done?: (before: BlockLine) => void;
}) {
  const say = useSay();
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const [chosen, setHolding] = useState<number | null>(null);
  const holding = chosen ?? holdings[0]?.id ?? 0;
  const [form, setForm] = useState(() => (block ? textsOf(block) : FIRST));
  const queries = useQueryClient();
  const systems = known.data?.systems ?? [];
  const usual = systems.filter((one) => one.species.includes(form.species));
  const counted = known.data?.counted.find((one) => one.id === form.species);
  const system = counted ? counted.system : form.system || (usual[0]?.id ?? '');
  const save = useMutation({
    mutationFn: () => {
      const body = {
        holdingId: holding,
        name: form.name,
        species: form.species,
        system,
        cultivar: form.cultivar,
        stock: form.stock,
        plantedYear: sentNumber(form.planted),
        treeCount: sentNumber(form.trees),
        inRowM: sentNumber(form.inRow),
        betweenRowsM: sentNumber(form.betweenRows),
        rowBearingDeg: sentNumber(form.bearing),
        eastM: sentNumber(form.east),
        northM: sentNumber(form.north),
        note: form.note,
        ...(form.rows.trim() === '' ? {} : { rows: sentNumber(form.rows) }),
        ...(form.places.trim() === '' ? {} : { placesPerRow: sentNumber(form.places) }),
      };
      return block
        ? answer(api.PUT('/api/blocks/{id}', { params: { path: { id: block.id } }, body }))
        : answer(api.POST('/api/blocks', { body }));
    },
    onSuccess: () => {
      if (block) done?.(block);
      else setForm(FIRST);
      for (const key of ['holding', 'blocks', 'season', 'geo']) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
    },
  });
  const text = (key: keyof typeof FIRST, name: string, decimal = true, unit?: Unit) => (
    <Labelled name={name}>
      <MeasureInput
        className={BOX}
        inputMode={decimal ? 'decimal' : 'text'}
        value={form[key]}
        unit={unit}
        change={(value) => {
          setForm({ ...form, [key]: value });
        }}
      />
    </Labelled>
  );
  const choice = (name: string, value: string, options: [string, string][], set: (value: string) => void) => (
    <Labelled name={name}>
      <select
        className={BOX}
        value={value}
        onChange={(event) => {
          set(event.target.value);
        }}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </Labelled>
  );
  return (
    <SetupSheet
      title={block ? block.name : say('block-form.a-block')}
      action={block ? say('block-form.save') : say('block-form.add-the-block')}
      busy={save.isPending}
      ready={[form.name, form.trees, form.inRow, form.betweenRows].every((one) => one.trim() !== '')}
      error={save.error}
      submit={() => {
        save.mutate();
      }}
    >
      {text('name', say('block-form.name-of-the-block'), false)}
      {block === null &&
        holdings.length > 1 &&
        choice(
          say('block-form.holding'),
          String(holding),
          holdings.map((one) => [String(one.id), one.name]),
          (value) => {
            setHolding(Number(value));
          },
        )}
      {choice(
        say('block-form.kind-of-tree'),
        form.species,
        [...(known.data?.species ?? []), ...(known.data?.counted ?? [])].map((one) => [one.id, one.name]),
        (species) => {
          setForm({ ...form, species, system: '' });
        },
      )}
      {!counted &&
        choice(
          say('block-form.trained-as'),
          system,
          (usual.length > 0 && usual.some((one) => one.id === system) ? usual : systems).map((one) => [
            one.id,
            one.name,
          ]),
          (value) => {
            setForm({ ...form, system: value });
          },
        )}
      {text('cultivar', say('block-form.cultivars'), false)}
      {choice(say('block-form.rootstock'), form.stock, STOCKS(), (stock) => {
        setForm({ ...form, stock });
      })}
      {text('planted', say('block-form.planted-in'))}
      {text('trees', say('block-form.trees'))}
      {text('rows', say('block-form.rows'))}
      {text('places', say('block-form.places-in-the-longest-row'))}
      {text('inRow', say('block-form.in-the-row-m'), true, 'm')}
      {text('betweenRows', say('block-form.between-rows-m'), true, 'm')}
      {text('bearing', say('block-form.rows-run-towards'))}
      {text('east', say('block-form.first-tree-east-of-zero'), true, 'm')}
      {text('north', say('block-form.and-north-m'), true, 'm')}
      {text('note', say('block-form.note'), false)}
    </SetupSheet>
  );
}
