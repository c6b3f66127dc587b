import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Instruction } from '../api/client';
import { Problem } from '../api/problem';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { day } from '../ui/words';

const ALWAYS = 'always';
const BOX = 'min-h-10 rounded-md border border-muted/50 bg-paper px-2 text-[15px]';

/** Finished trees held against the instruction: faults by sentence, a person at a time, and what they tell. */
export function Checks({
  id,
  instruction,
  mayCheck,
}: {
  id: number;
  instruction: Instruction;
  mayCheck: boolean;
}) {
  const say = useSay();
  const name = (form: string) =>
    form === ALWAYS
      ? say('instruction.always')
      : (instruction.sentences.find((one) => one.form === form)?.text ?? form);
  const verdicts: Record<string, string> = {
    good: say('instruction.verdict-good'),
    again: say('instruction.verdict-again'),
    'go-on': say('instruction.verdict-go-on'),
  };
  return (
    <section aria-labelledby="checks" className="mt-8">
      <h2 id="checks" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('instruction.finished-trees')}
      </h2>
      <p className="pt-2 text-[14.5px] text-muted">{say('instruction.how-to-check')}</p>
      {mayCheck && <CheckForm id={id} instruction={instruction} name={name} />}
      {instruction.missedByAll.map((form) => (
        <p key={form} className="mt-3 border-l-4 border-lichen pl-2">
          {say('instruction.missed-by-all', { sentence: name(form) })}
        </p>
      ))}
      {instruction.checks.length > 0 && (
        <ul className="mt-3">
          {instruction.checks.map((one) => (
            <li
              key={one.id}
              className="grid grid-cols-[110px_160px_1fr_auto] gap-3 border-b border-line py-1.5 text-[14.5px] max-sm:grid-cols-2"
            >
              <span>{day(one.checkedOn)}</span>
              <b>
                {one.who}
                {one.row != null && ` · ${say('instruction.row-number', { row: one.row })}`}
              </b>
              <span>
                {say('instruction.faults-on', {
                  faults: Object.values(one.faults).reduce((sum, count) => sum + count, 0),
                  trees: one.trees,
                })}
                {worst(one.faults) !== '' && (
                  <span className="block text-[13.5px] text-muted">{name(worst(one.faults))}</span>
                )}
              </span>
              <b className={one.verdict === 'again' ? 'text-lichen' : 'text-moss'}>{verdicts[one.verdict]}</b>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** The sentence with most faults; empty where there are none. */
function worst(faults: Record<string, number>): string {
  const [most] = Object.entries(faults)
    .filter(([, count]) => count > 0)
    .sort(([, a], [, b]) => b - a);
  return most?.[0] ?? '';
}

function CheckForm({
  id,
  instruction,
  name,
}: {
  id: number;
  instruction: Instruction;
  name: (form: string) => string;
}) {
  const say = useSay();
  const queries = useQueryClient();
  const [who, setWho] = useState('');
  const [row, setRow] = useState('');
  const [trees, setTrees] = useState(1);
  const [faults, setFaults] = useState<Record<string, number>>({});
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/blocks/{id}/instruction/checks', {
          params: { path: { id } },
          body: {
            checkedOn: new Date().toLocaleDateString('sv-SE'),
            who,
            trees,
            faults,
            ...(row === '' ? {} : { row: Number(row) }),
          },
        }),
      ),
    onSuccess: (next) => {
      queries.setQueryData(['instruction', id], next);
      setTrees(1);
      setFaults({});
    },
  });
  const count = (form: string, by: number) => {
    setFaults({ ...faults, [form]: Math.max(0, (faults[form] ?? 0) + by) });
  };
  const problem = save.error instanceof Problem ? save.error : null;
  return (
    <form
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <label className="flex flex-col text-[13px] text-muted">
          {say('instruction.whose-trees')}
          <input
            value={who}
            maxLength={80}
            onChange={(event) => {
              setWho(event.target.value);
            }}
            className={`${BOX} w-40 text-ink`}
          />
        </label>
        <label className="flex flex-col text-[13px] text-muted">
          {say('instruction.row')}
          <input
            inputMode="numeric"
            value={row}
            onChange={(event) => {
              setRow(event.target.value.replace(/\D/g, ''));
            }}
            className={`${BOX} w-16 text-ink`}
          />
        </label>
        <Counter
          name={say('instruction.trees-looked-at')}
          value={trees}
          least={1}
          change={(by) => {
            setTrees(Math.max(1, trees + by));
          }}
        />
      </div>
      <ul className="mt-2 max-w-[760px]">
        {[ALWAYS, ...instruction.sentences.map((one) => one.form)].map((form) => (
          <li key={form} className="flex items-center justify-between gap-3 border-b border-line py-1">
            <span className="text-[14.5px]">{name(form)}</span>
            <Counter
              name={say('instruction.faults-of', { sentence: name(form) })}
              hidden
              value={faults[form] ?? 0}
              least={0}
              change={(by) => {
                count(form, by);
              }}
            />
          </li>
        ))}
      </ul>
      {save.isError && !problem && <Failed error={save.error} />}
      {problem && (
        <p role="alert" className="mt-2 text-lichen">
          {problem.errors.map((one) => one.message).join(' ') || problem.message}
        </p>
      )}
      <Button type="submit" weight="ink" className="mt-3" disabled={save.isPending || who.trim() === ''}>
        {say('instruction.keep-check')}
      </Button>
    </form>
  );
}

/** A number counted up and down with the thumb. */
function Counter({
  name,
  value,
  least,
  hidden = false,
  change,
}: {
  name: string;
  value: number;
  least: number;
  hidden?: boolean;
  change: (by: number) => void;
}) {
  const say = useSay();
  return (
    <span role="group" aria-label={name} className="flex items-center gap-2">
      {!hidden && <span className="text-[13px] text-muted">{name}</span>}
      <Button
        aria-label={say('instruction.one-less', { what: name })}
        disabled={value <= least}
        className="min-h-11 min-w-11"
        onClick={() => {
          change(-1);
        }}
      >
        −
      </Button>
      <b className="w-8 text-center text-[17px]" aria-live="polite">
        {value}
      </b>
      <Button
        aria-label={say('instruction.one-more', { what: name })}
        className="min-h-11 min-w-11"
        onClick={() => {
          change(1);
        }}
      >
        +
      </Button>
    </span>
  );
}
