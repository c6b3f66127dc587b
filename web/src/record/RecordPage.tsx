import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, Problem, type RecordLine, type Step, type TreePage } from '../api/client';
import { keyOf, markFrom } from '../api/marks';
import { useMayChange } from '../people/who';
import { Button } from '../ui/Button';
import { sentNumber, showNumber } from '../ui/numbers';
import { Failed, Loading } from '../ui/States';
import { day, minutes, percent } from '../ui/words';
import { Timeline } from './Timeline';
import { TreeYield } from './TreeYield';
import { Field } from '../survey/Cell';

type Outcome = 'as-planned' | 'changed' | 'skipped' | 'added' | 'left';

interface Went {
  outcome: Outcome;
  reason: string;
}

const OUTCOME_WORDS: Record<Outcome, string> = {
  'as-planned': 'done as planned',
  changed: 'done otherwise',
  skipped: 'skipped',
  added: 'added at the tree',
  left: 'left for the next',
};

/** What was done to the tree: the visit to record, and every visit before it. */
export function RecordPage() {
  const id = Number(useParams()['id']);
  const page = useQuery({
    queryKey: ['tree', id],
    queryFn: () => answer(api.GET('/api/trees/{id}', { params: { path: { id } } })),
    staleTime: 0,
    gcTime: 0,
  });
  const steps = useQuery({
    queryKey: ['sheet', id, page.data?.decisions],
    enabled: page.data !== undefined,
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/sheet', { params: { path: { id } }, body: page.data?.decisions ?? {} }),
      ),
  });
  const history = useQuery({
    queryKey: ['records', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/records', { params: { path: { id } } })),
  });
  const mayChange = useMayChange();
  const failed = page.error ?? steps.error ?? history.error;
  if (failed) return <Failed error={failed} retry={() => void page.refetch()} />;
  if (!page.data || !steps.data || !history.data) return <Loading what="Opening the record…" />;
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(0,1fr)_420px] gap-10 px-6 py-6 max-lg:grid-cols-1">
      <div>
        {mayChange ? (
          <Visit key={steps.data.map(keyOf).join()} id={id} page={page.data} steps={steps.data} />
        ) : (
          <h1 className="text-[25px] font-bold">{page.data.name.label}</h1>
        )}
        <Timeline id={id} records={history.data} />
        <TreeYield id={id} blockId={page.data.name.blockId} />
      </div>
      <History id={id} records={history.data} />
    </div>
  );
}

/** What the steps of a stage are for. */
const PURPOSES: Record<string, string> = {
  suckers: 'suckers off',
  unsound: 'dead and diseased wood out',
  frame: 'the frame put right',
  uprights: 'uprights and hangers out',
  renewal: 'old wood renewed',
  detail: 'room made for light',
  train: 'limbs brought to their angle',
  crop: 'the crop lightened',
};

/** What the visit was for, by the stages of its steps: so that next year’s pruner does not “correct” it. */
function purposeOf(steps: Step[]): string {
  const stages = [...new Set(steps.map((step) => step.stage))].map((stage) => PURPOSES[stage] ?? stage);
  return stages.length === 0 ? '' : `This winter: ${stages.join('; ')}.`;
}

function Visit({ id, page, steps }: { id: number; page: TreePage; steps: Step[] }) {
  const total = steps.reduce((sum, step) => sum + step.minutes, 0);
  const [went, setWent] = useState<Record<string, Went>>({});
  const [doneOn, setDoneOn] = useState(() => new Date().toISOString().slice(0, 10));
  const [who, setWho] = useState(() => localStorage.getItem('umbel-who') ?? '');
  const [spent, setSpent] = useState(String(Math.max(1, Math.round(total))));
  const [note, setNote] = useState(() => purposeOf(steps));
  const [tools, setTools] = useState(() =>
    [...new Set(steps.map((step) => step.tool.replace('-', ' ')))].join(', '),
  );
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/trees/{id}/records', {
          params: { path: { id } },
          body: {
            doneOn,
            who,
            minutes: sentNumber(spent),
            note,
            tools,
            steps: steps.map((step) => {
              const how = went[keyOf(step)];
              return {
                mark: markFrom(step),
                title: step.title,
                outcome: how?.outcome ?? 'as-planned',
                ...(how?.reason ? { reason: how.reason } : {}),
              };
            }),
          },
        }),
      ),
    onSuccess: () => {
      localStorage.setItem('umbel-who', who);
      void queries.invalidateQueries();
    },
  });
  const faults = new Map(
    (save.error instanceof Problem ? save.error.errors : []).map((error) => [error.field, error.message]),
  );
  if (steps.length === 0) {
    return (
      <section>
        <h1 className="text-[25px] font-bold">{page.name.label}</h1>
        {save.isSuccess || page.workVersion >= 0 ? null : (
          <p className="mt-1 text-muted">Nothing is marked on this tree, so there is nothing to record.</p>
        )}
        <p className="mt-4">
          <Link className="font-semibold underline underline-offset-4" to={`/trees/${id}`}>
            Mark what is to be cut
          </Link>{' '}
          first; then come back and say how it went.
        </p>
      </section>
    );
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <h1 className="text-[25px] font-bold">{page.name.label}: how did it go?</h1>
      <p className="text-muted">
        {steps.length} {steps.length === 1 ? 'step' : 'steps'}, about {minutes(total)} planned. Change only
        what went otherwise.
      </p>
      <ol className="mt-4 border-t-2 border-ink">
        {steps.map((step, i) => {
          const key = keyOf(step);
          const how = went[key] ?? { outcome: 'as-planned', reason: '' };
          const fault = faults.get(`steps[${i}].reason`);
          return (
            <li
              key={key}
              className="grid grid-cols-[34px_1fr_auto] items-start gap-x-3 border-b border-line py-2"
            >
              <span className="grid h-6 w-8 place-items-center bg-tape text-[13px] font-semibold text-paper">
                {i + 1}
              </span>
              <span>
                <b>{step.title}</b>
                <span className="block text-[13px] text-muted">{step.numbers}</span>
                {how.outcome !== 'as-planned' && (
                  <Field
                    name="Why, and what instead"
                    className="mt-1.5"
                    value={how.reason}
                    fault={fault}
                    change={(reason) => {
                      setWent({ ...went, [key]: { ...how, reason } });
                    }}
                  />
                )}
              </span>
              <select
                aria-label={`How step ${i + 1} went`}
                value={how.outcome}
                onChange={(event) => {
                  setWent({ ...went, [key]: { ...how, outcome: event.target.value as Outcome } });
                }}
                className="min-h-9 rounded-md border border-muted/50 bg-paper px-1.5 text-[14px]"
              >
                {Object.entries(OUTCOME_WORDS).map(([outcome, words]) => (
                  <option key={outcome} value={outcome}>
                    {words}
                  </option>
                ))}
              </select>
            </li>
          );
        })}
      </ol>
      <div className="mt-4 grid grid-cols-3 gap-4">
        <Field name="Done on" type="date" value={doneOn} fault={faults.get('doneOn')} change={setDoneOn} />
        <Field name="By whom" value={who} fault={faults.get('who')} change={setWho} />
        <Field
          name="Minutes"
          inputMode="decimal"
          value={spent}
          fault={faults.get('minutes')}
          change={setSpent}
        />
        <Field
          name="Tools"
          className="col-span-3"
          value={tools}
          fault={faults.get('tools')}
          change={setTools}
        />
      </div>
      <label className="mt-3 block text-[13px] text-muted">
        Note for whoever comes next year
        <textarea
          value={note}
          rows={2}
          maxLength={2000}
          onChange={(event) => {
            setNote(event.target.value);
          }}
          className="mt-0.5 block w-full rounded-sm border border-muted/45 bg-paper px-2 py-1.5 text-[15px] text-ink"
        />
      </label>
      {save.isError && (
        <p role="alert" className="mt-2 font-semibold text-lichen">
          {save.error.message}
        </p>
      )}
      <Button weight="ink" type="submit" className="mt-4" disabled={save.isPending}>
        Save the record
      </Button>
    </form>
  );
}

function History({ id, records }: { id: number; records: RecordLine[] }) {
  return (
    <section aria-labelledby="history">
      <h2 id="history" className="border-b-2 border-ink pb-1 text-[20px] font-bold">
        Its history
      </h2>
      {records.length === 0 && <p className="py-3 text-muted">No visit is recorded yet.</p>}
      <ol>
        {records.map((record) => (
          <Past key={record.id} id={id} record={record} />
        ))}
      </ol>
    </section>
  );
}

function Past({ id, record }: { id: number; record: RecordLine }) {
  const mayChange = useMayChange();
  const [correcting, setCorrecting] = useState(false);
  const [note, setNote] = useState(record.note);
  const [who, setWho] = useState(record.who);
  const [spent, setSpent] = useState(showNumber(record.minutes));
  const [doneOn, setDoneOn] = useState(record.doneOn);
  const [steps, setSteps] = useState(record.steps);
  const queries = useQueryClient();
  const correct = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/trees/{id}/records', {
          params: { path: { id } },
          body: {
            doneOn,
            who,
            minutes: sentNumber(spent),
            note,
            tools: record.tools,
            steps,
            corrects: record.id,
          },
        }),
      ),
    onSuccess: () => {
      setCorrecting(false);
      void queries.invalidateQueries();
    },
  });
  const faults = new Map(
    (correct.error instanceof Problem ? correct.error.errors : []).map((error) => [
      error.field,
      error.message,
    ]),
  );
  const corrected = record.correctedBy != null;
  return (
    <li className={`border-b border-line py-3 ${corrected ? 'text-muted' : ''}`}>
      <p className="flex flex-wrap items-baseline justify-between gap-2">
        <b>{day(record.doneOn)}</b>
        <span className="text-[14px]">
          {record.who}, {minutes(record.minutes)}
          {record.tools !== '' && `, ${record.tools}`}
        </span>
      </p>
      {record.corrects != null && <p className="text-[13px] text-muted">Corrects an earlier entry.</p>}
      {corrected && <p className="text-[13px] font-semibold">Corrected by a later entry.</p>}
      <ul className="mt-1 text-[14px]">
        {record.steps.map((step, i) => (
          <li key={i} className={corrected ? 'line-through' : ''}>
            {step.title}
            {step.outcome !== 'as-planned' && (
              <span className="font-semibold text-lichen">
                {' '}
                {OUTCOME_WORDS[step.outcome as Outcome]}
                {step.reason ? `: ${step.reason}` : ''}
              </span>
            )}
          </li>
        ))}
      </ul>
      {!record.worked && <p className="text-[13px] font-semibold">Nothing was done at this visit.</p>}
      {record.alsoBy.map((other) => (
        <p key={other.id} role="status" className="text-[13px] font-semibold text-lichen">
          {other.who} recorded the same step on {day(other.doneOn)}: correct one of the two.
        </p>
      ))}
      {record.outcome && !corrected && record.worked && (
        <p className="mt-1 text-[13px] text-muted">
          {percent(record.outcome.after.woodShare)} of the small wood off
          {Math.abs(record.outcome.planned.woodShare - record.outcome.after.woodShare) > 0.005 &&
            ` (${percent(record.outcome.planned.woodShare)} planned)`}
          , shade {percent(record.outcome.before.under30After)} to{' '}
          {percent(record.outcome.after.under30After)}
        </p>
      )}
      {record.note && <p className="mt-1 border-l-[3px] border-line pl-2 text-[14px]">{record.note}</p>}
      {mayChange && !corrected && !correcting && (
        <Button
          weight="quiet"
          className="mt-1 -ml-3"
          onClick={() => {
            setCorrecting(true);
          }}
        >
          Correct this
        </Button>
      )}
      {correcting && (
        <form
          className="mt-2 grid grid-cols-2 gap-3 bg-sand p-3"
          onSubmit={(event) => {
            event.preventDefault();
            correct.mutate();
          }}
        >
          <ol className="col-span-2">
            {steps.map((step, i) => (
              <li key={i} className="border-b border-line py-1 text-[14px]">
                <span className="flex items-center justify-between gap-2">
                  {step.title}
                  <select
                    aria-label={`How step ${i + 1} really went`}
                    value={step.outcome}
                    onChange={(event) => {
                      setSteps(
                        steps.map((one, j) => (i === j ? { ...one, outcome: event.target.value } : one)),
                      );
                    }}
                    className="min-h-9 rounded-md border border-muted/50 bg-paper px-1.5 text-[14px]"
                  >
                    {Object.entries(OUTCOME_WORDS).map(([outcome, words]) => (
                      <option key={outcome} value={outcome}>
                        {words}
                      </option>
                    ))}
                  </select>
                </span>
                {(step.outcome === 'skipped' || step.outcome === 'changed') && (
                  <Field
                    name="Why"
                    value={step.reason}
                    fault={faults.get(`steps[${i}].reason`)}
                    change={(reason) => {
                      setSteps(steps.map((one, j) => (i === j ? { ...one, reason } : one)));
                    }}
                  />
                )}
              </li>
            ))}
          </ol>
          <Field name="Done on" type="date" value={doneOn} fault={faults.get('doneOn')} change={setDoneOn} />
          <Field name="By whom" value={who} fault={faults.get('who')} change={setWho} />
          <Field
            name="Minutes"
            inputMode="decimal"
            value={spent}
            fault={faults.get('minutes')}
            change={setSpent}
          />
          <Field
            name="Note"
            className="col-span-2"
            value={note}
            fault={faults.get('note')}
            change={setNote}
          />
          {correct.isError && (
            <p role="alert" className="col-span-2 font-semibold text-lichen">
              {correct.error.message}
            </p>
          )}
          <span className="col-span-2 flex gap-2">
            <Button weight="ink" type="submit" disabled={correct.isPending}>
              Save as a new entry
            </Button>
            <Button
              onClick={() => {
                setCorrecting(false);
              }}
            >
              Cancel
            </Button>
          </span>
        </form>
      )}
    </li>
  );
}
