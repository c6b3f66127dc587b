import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, sendPicture, type MeasureLine } from '../api/client';
import { Problem } from '../api/problem';
import { useMayChange } from '../people/who';
import { Button } from '../ui/Button';
import { MeasureInput } from '../ui/MeasureInput';
import { typedNumber } from '../ui/numbers';
import { Failed } from '../ui/States';
import { day, percent } from '../ui/words';

type Kind = MeasureLine['kind'];
type Expected = NonNullable<MeasureLine['expected']>;

/** Prunings weighed, sky photographed and crops picked, against what was expected: they teach what its block is taken to be. */
export function TreeMeasures({ id }: { id: number }) {
  const say = useSay();
  const mayChange = useMayChange();
  const measures = useQuery({
    queryKey: ['tree-measures', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/measures', { params: { path: { id } } })),
  });
  const crops = measures.data?.crops ?? [];
  const lines = measures.data?.measures ?? [];
  return (
    <section aria-labelledby="tree-measures" className="mt-8">
      <h2 id="tree-measures" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('tree-measures.measured-against-expected')}
      </h2>
      {measures.isError && <Failed error={measures.error} retry={() => void measures.refetch()} />}
      {measures.data && crops.length + lines.length === 0 && (
        <p className="pt-2 text-[14px] text-muted">{say('tree-measures.none-yet')}</p>
      )}
      {crops.length + lines.length > 0 && (
        <table className="mt-2 w-full text-[14px]">
          <thead>
            <tr className="border-b border-line text-left text-[12.5px] text-muted">
              <th className="font-normal">{say('tree-measures.day')}</th>
              <th className="font-normal">{say('checked-season-table.measure')}</th>
              <th className="font-normal">{say('tree-measures.expected')}</th>
              <th className="font-normal">{say('checked-season-table.found')}</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {crops.map((one) => (
              <tr key={one.surveyedOn} className="border-b border-line">
                <td className="py-1">{say('tree-measures.after-survey', { day: day(one.surveyedOn) })}</td>
                <td>{say('tree-measures.crop')}</td>
                <Against kind="prunings" amount={one.kg} expected={one.expected} />
                <td />
              </tr>
            ))}
            {lines.map((one) => (
              <Line key={one.id} tree={id} line={one} mayChange={mayChange} />
            ))}
          </tbody>
        </table>
      )}
      {mayChange && <MeasureForm tree={id} />}
    </section>
  );
}

function useShown() {
  const say = useSay();
  return (kind: Kind, value: number) =>
    kind === 'sky' ? percent(value) : say('measure.kg', { kg: Math.round(10 * value) / 10 });
}

/** The cells of what was expected and what was found. */
function Against({
  kind,
  amount,
  expected,
}: {
  kind: Kind;
  amount: number;
  expected: Expected | null | undefined;
}) {
  const say = useSay();
  const shown = useShown();
  return (
    <>
      <td>
        {expected
          ? say('checked-season-table.show-to-show2', {
              show: shown(kind, expected.low),
              show2: shown(kind, expected.high),
            })
          : say('tree-measures.nothing-to-compare')}
      </td>
      <td>
        <b>{shown(kind, amount)}</b>
        {expected && !expected.right && (
          <span className="text-lichen">
            {' '}
            {say(amount > expected.high ? 'tree-measures.more' : 'tree-measures.less')}
          </span>
        )}
      </td>
    </>
  );
}

/** Whatever rests on what a block was measured to be is asked for again. */
function useChanged(tree: number) {
  const queries = useQueryClient();
  return () => {
    for (const key of [['tree-measures', tree], ['learned'], ['tree', tree], ['marks', tree]])
      void queries.invalidateQueries({ queryKey: key });
  };
}

function Line({ tree, line, mayChange }: { tree: number; line: MeasureLine; mayChange: boolean }) {
  const say = useSay();
  const changed = useChanged(tree);
  const remove = useMutation({
    mutationFn: () =>
      answer(
        api.DELETE('/api/trees/{id}/measures/{measure}', {
          params: { path: { id: tree, measure: line.id } },
        }),
      ),
    onSuccess: changed,
  });
  return (
    <tr className="border-b border-line">
      <td className="py-1">{day(line.measuredOn)}</td>
      <td>{say(line.kind === 'sky' ? 'tree-measures.open-sky' : 'tree-measures.prunings')}</td>
      <Against kind={line.kind} amount={line.amount} expected={line.expected} />
      <td className="text-right">
        {mayChange && (
          <Button
            weight="quiet"
            disabled={remove.isPending}
            aria-label={say('tree-measures.delete-of-day', { day: day(line.measuredOn) })}
            onClick={() => {
              remove.mutate();
            }}
          >
            {say('tree-measures.delete')}
          </Button>
        )}
        {remove.isError && <span role="alert">{remove.error.message}</span>}
      </td>
    </tr>
  );
}

function MeasureForm({ tree }: { tree: number }) {
  const say = useSay();
  const changed = useChanged(tree);
  const [kind, setKind] = useState<Kind>('prunings');
  const [measuredOn, setMeasuredOn] = useState(() => new Date().toLocaleDateString('sv-SE'));
  const [amount, setAmount] = useState('');
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/trees/{id}/measures', {
          params: { path: { id: tree } },
          body: { kind, measuredOn, amount: typedNumber(amount) / (kind === 'sky' ? 100 : 1), note: '' },
        }),
      ),
    onSuccess: () => {
      setAmount('');
      changed();
    },
  });
  const look = useMutation({
    mutationFn: (picture: File) => sendPicture<{ share: number }>('/api/measures/sky', picture),
    onSuccess: (seen) => {
      setAmount(`${Math.round(seen.share * 100)}`);
    },
  });
  const trouble = keep.error ?? look.error;
  const wrong =
    trouble instanceof Problem
      ? trouble.errors.map((one) => one.message).join(' ') || trouble.message
      : trouble?.message;
  const box = 'min-h-9 rounded-md border border-muted/50 bg-paper px-2';
  return (
    <form
      className="py-3"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div className="flex flex-wrap items-center gap-3">
        <select
          aria-label={say('checked-season-table.measure')}
          value={kind}
          onChange={(event) => {
            setKind(event.target.value as Kind);
            setAmount('');
          }}
          className={box}
        >
          <option value="prunings">{say('tree-measures.prunings')}</option>
          <option value="sky">{say('tree-measures.open-sky')}</option>
        </select>
        <input
          aria-label={say('pickings.on-which-day')}
          type="date"
          value={measuredOn}
          onChange={(event) => {
            setMeasuredOn(event.target.value);
          }}
          className={box}
        />
        <label className="flex items-center gap-2">
          <MeasureInput
            aria-label={say(kind === 'sky' ? 'tree-measures.share-of-sky' : 'pickings.kilograms')}
            inputMode="decimal"
            value={amount}
            unit={kind === 'sky' ? undefined : 'kg'}
            change={setAmount}
            className={`${box} w-24`}
          />
          {kind === 'sky' ? '%' : say('pickings.kg')}
        </label>
        <Button
          type="submit"
          disabled={!(amount !== '' && typedNumber(amount) >= 0) || keep.isPending || look.isPending}
        >
          {say('tree-measures.save')}
        </Button>
      </div>
      {kind === 'sky' && (
        <label className="mt-2 flex flex-wrap items-center gap-2 text-[14px]">
          {say('tree-measures.from-photograph')}
          <input
            type="file"
            accept="image/jpeg,image/png"
            disabled={look.isPending}
            onChange={(event) => {
              const picture = event.target.files?.[0];
              if (picture) look.mutate(picture);
            }}
          />
          {look.isPending && <span role="status">{say('tree-measures.reading-photograph')}</span>}
        </label>
      )}
      <p className="mt-2 text-[13.5px] text-muted">
        {say(kind === 'sky' ? 'tree-measures.how-sky' : 'tree-measures.how-prunings')}
      </p>
      {wrong && (
        <p role="alert" className="mt-1 text-lichen">
          {wrong}
        </p>
      )}
    </form>
  );
}
