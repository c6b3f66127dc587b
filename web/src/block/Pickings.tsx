import { MeasureInput } from '../ui/MeasureInput';
import { term } from '../text/term';

import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type PickingLine } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';
import { typedNumber } from '../ui/numbers';
import { Failed } from '../ui/States';
import { day } from '../ui/words';

/** What the block yielded and what was thinned off, year by year, and writing it down. */
export function Pickings({ id }: { id: number }) {
  const say = useSay();
  const pickings = useQuery({
    queryKey: ['pickings', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/pickings', { params: { path: { id } } })),
  });
  const lines = pickings.data ?? [];
  return (
    <section aria-labelledby="pickings" className="mt-8">
      <h2 id="pickings" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('pickings.picked-and-thinned')}
      </h2>
      {pickings.isError && <Failed error={pickings.error} />}
      {pickings.data && lines.length === 0 && (
        <p className="pt-3 text-muted">{say('pickings.nothing-is-written-down-yet')}</p>
      )}
      <PickingForm id={id} />
      <ul>
        {lines.slice(0, 12).map((one) => (
          <Line key={one.id} id={id} line={one} />
        ))}
      </ul>
    </section>
  );
}

/** Writing down what was picked or thinned; of one plant where one is named, which may be a kind that is only weighed. */
export function PickingForm({ id, tree, weighed = false }: { id: number; tree?: number; weighed?: boolean }) {
  const say = useSay();
  const [unit, setUnit] = useState<'kg' | 'fruits'>(tree === undefined || weighed ? 'kg' : 'fruits');
  const [kind, setKind] = useState('harvest');
  const [pickedOn, setPickedOn] = useState(() => new Date().toLocaleDateString('sv-SE'));
  const [count, setCount] = useState('');
  const [lastOne, setLastOne] = useState(false);
  const queries = useQueryClient();
  const inKg = kind === 'harvest' && unit === 'kg';
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/blocks/{id}/pickings', {
          params: { path: { id } },
          body: {
            kind,
            pickedOn,
            ...(inKg ? { kg: typedNumber(count) } : { fruits: Math.round(typedNumber(count)) }),
            ...(tree === undefined ? {} : { treeId: tree }),
            lastOne,
            note: '',
          },
        }),
      ),
    onSuccess: () => {
      setCount('');
      setLastOne(false);
      void queries.invalidateQueries({ queryKey: ['pickings', id] });
      void queries.invalidateQueries({ queryKey: ['tree-pickings', tree] });
      void queries.invalidateQueries({ queryKey: ['tree-measures', tree] });
      void queries.invalidateQueries({ queryKey: ['years'] });
      void queries.invalidateQueries({ queryKey: ['season'] });
    },
  });
  const problem = save.error instanceof Problem ? save.error : null;
  const box = 'min-h-9 rounded-md border border-muted/50 bg-paper px-2';
  return (
    <form
      className="flex flex-wrap items-center gap-3 py-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      {!weighed && (
        <select
          aria-label={say('pickings.what-was-done')}
          value={kind}
          onChange={(event) => {
            setKind(event.target.value);
          }}
          className={box}
        >
          <option value="harvest">{say('pickings.picked')}</option>
          <option value="thinning">{say('pickings.thinned-off')}</option>
        </select>
      )}
      <input
        aria-label={say('pickings.on-which-day')}
        type="date"
        value={pickedOn}
        onChange={(event) => {
          setPickedOn(event.target.value);
        }}
        className={box}
      />
      <label className="flex items-center gap-2">
        <MeasureInput
          aria-label={inKg ? say('pickings.kilograms') : say('pickings.fruits')}
          inputMode="decimal"
          value={count}
          unit={inKg ? 'kg' : undefined}
          change={setCount}
          className={`${box} w-24`}
        />
        {weighed ? (
          say('pickings.kg')
        ) : kind === 'harvest' ? (
          <select
            aria-label={say('pickings.counted-in')}
            value={unit}
            onChange={(event) => {
              setUnit(event.target.value as 'kg' | 'fruits');
            }}
            className={box}
          >
            <option value="kg">{say('pickings.kg')}</option>
            <option value="fruits">{say('pickings.fruits-2')}</option>
          </select>
        ) : (
          say('pickings.fruits-2')
        )}
      </label>
      {kind === 'harvest' && tree === undefined && (
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={lastOne}
            onChange={(event) => {
              setLastOne(event.target.checked);
            }}
          />
          {say('pickings.the-last-picking-of-the')}
        </label>
      )}
      <Button type="submit" disabled={!(typedNumber(count) > 0) || save.isPending}>
        {say('pickings.write-it-down')}
      </Button>
      {problem && (
        <span role="alert" className="text-lichen">
          {problem.errors.map((one) => one.message).join(' ') || problem.message}
        </span>
      )}
    </form>
  );
}

function Line({ id, line }: { id: number; line: PickingLine }) {
  const say = useSay();
  const queries = useQueryClient();
  const remove = useMutation({
    mutationFn: () =>
      api.DELETE('/api/blocks/{id}/pickings/{picking}', { params: { path: { id, picking: line.id } } }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['pickings', id] }),
  });
  return (
    <li className="flex items-center gap-4 border-b border-line py-1 text-[14px]">
      <span className="w-32">{day(line.pickedOn)}</span>
      <span className="flex-1">
        {line.tree !== '' && `${line.tree}: `}
        {line.kind === 'harvest' ? term('picked') : say('pickings.thinned-off')}{' '}
        <b>
          {line.kg != null
            ? say('measure.kg', { kg: line.kg })
            : say('pickings.fruits-fruits', { fruits: line.fruits ?? 0 })}
        </b>
        {line.lastOne ? say('pickings.the-last-picking') : ''}
      </span>
      <Button
        weight="quiet"
        aria-label={say('pickings.take-away-what-was-written', { pickedOn: day(line.pickedOn) })}
        onClick={() => {
          remove.mutate();
        }}
      >
        {say('pickings.take-away')}
      </Button>
    </li>
  );
}
