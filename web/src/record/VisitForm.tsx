import { named } from '../text/term';
import { Afterwards, type AfterTask } from '../ui/Afterwards';
import { say, useSay } from '../text/say';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Step, TreePage } from '../api/client';
import { keyOf, markFrom } from '../api/marks';
import { Field } from '../survey/Cell';
import { Button } from '../ui/Button';
import { sentNumber } from '../ui/numbers';
import { minutes } from '../ui/words';
import type { Outcome } from './outcomes';
import { OutcomeChoice, useSaveVisit, VisitFactsFields, type VisitFacts } from './visitParts';

interface Went {
  outcome: Outcome;
  reason: string;
}

/** What the steps of a stage are for. */
const PURPOSES: Record<string, string> = {
  get suckers() {
    return say('visit-form.suckers-off');
  },
  get unsound() {
    return say('visit-form.dead-and-diseased-wood-out');
  },
  get frame() {
    return say('visit-form.the-frame-put-right');
  },
  get uprights() {
    return say('visit-form.uprights-and-hangers-out');
  },
  get renewal() {
    return say('visit-form.old-wood-renewed');
  },
  get detail() {
    return say('visit-form.room-made-for-light');
  },
  get train() {
    return say('visit-form.limbs-brought-to-their-angle');
  },
  get crop() {
    return say('visit-form.the-crop-lightened');
  },
};

/** What the visit was for, by the stages of its steps: so that next year’s pruner does not “correct” it. */
function purposeOf(steps: Step[]): string {
  const stages = [...new Set(steps.map((step) => step.stage))].map((stage) => PURPOSES[stage] ?? stage);
  return stages.length === 0 ? '' : say('visit-form.this-winter-stages', { stages: stages.join('; ') });
}

/** The visit to record: what was marked, and how each step went. */
export function VisitForm({
  id,
  page,
  steps,
  afterwards,
}: {
  id: number;
  page: TreePage;
  steps: Step[];
  afterwards: AfterTask[];
}) {
  const say = useSay();
  const total = steps.reduce((sum, step) => sum + step.minutes, 0);
  const [went, setWent] = useState<Record<string, Went>>({});
  const [facts, setFacts] = useState<VisitFacts>(() => ({
    doneOn: new Date().toISOString().slice(0, 10),
    who: localStorage.getItem('umbel-who') ?? '',
    minutes: String(Math.max(1, Math.round(total))),
  }));
  const [lookedAfter, setLookedAfter] = useState<string[]>([]);
  const [note, setNote] = useState(() => purposeOf(steps));
  const [tools, setTools] = useState(() =>
    [...new Set(steps.map((step) => named('tool', step.tool)))].join(', '),
  );
  const { save, faults } = useSaveVisit(
    id,
    () => ({
      doneOn: facts.doneOn,
      who: facts.who,
      minutes: sentNumber(facts.minutes),
      note,
      tools,
      afterwards: lookedAfter,
      steps: steps.map((step) => {
        const how = went[keyOf(step)];
        return {
          mark: markFrom(step),
          title: step.title,
          outcome: how?.outcome ?? 'as-planned',
          ...(how?.reason ? { reason: how.reason } : {}),
        };
      }),
    }),
    () => {
      localStorage.setItem('umbel-who', facts.who);
    },
  );
  if (steps.length === 0) {
    return (
      <section>
        <h1 className="text-[25px] font-bold">{page.name.label}</h1>
        {save.isSuccess || page.workVersion >= 0 ? null : (
          <p className="mt-1 text-muted">{say('visit-form.nothing-is-marked-on-this')}</p>
        )}
        <p className="mt-4">
          <Link className="font-semibold underline underline-offset-4" to={`/trees/${id}`}>
            {say('visit-form.mark-what-is-to-be')}
          </Link>{' '}
          {say('visit-form.first-then-come-back-and')}
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
      <h1 className="text-[25px] font-bold">
        {say('visit-form.label-how-did-it-go', { label: page.name.label })}
      </h1>
      <p className="text-muted">
        {say('visit-form.length-steps-about-total-planned', { length: steps.length, total: minutes(total) })}
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
                    name={say('name.why-and-what-instead')}
                    className="mt-1.5"
                    value={how.reason}
                    fault={fault}
                    change={(reason) => {
                      setWent({ ...went, [key]: { ...how, reason } });
                    }}
                  />
                )}
              </span>
              <OutcomeChoice
                label={say('visit-form.how-step-i-went', { i: i + 1 })}
                value={how.outcome}
                change={(outcome) => {
                  setWent({ ...went, [key]: { ...how, outcome: outcome as Outcome } });
                }}
              />
            </li>
          );
        })}
      </ol>
      <Afterwards tasks={afterwards} done={lookedAfter} change={setLookedAfter} />
      <div className="mt-4 grid grid-cols-3 gap-4">
        <VisitFactsFields facts={facts} faults={faults} change={setFacts} />
        <Field
          name={say('name.tools')}
          className="col-span-3"
          value={tools}
          fault={faults.get('tools')}
          change={setTools}
        />
      </div>
      <label className="mt-3 block text-[13px] text-muted">
        {say('visit-form.note-for-whoever-comes-next')}
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
        {say('visit-form.save-the-record')}
      </Button>
    </form>
  );
}
