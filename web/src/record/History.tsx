import { named } from '../text/term';
import { useSay } from '../text/say';
import { useState } from 'react';
import type { PhotoLine, RecordLine } from '../api/client';
import { PhotoThumbs, usePhotos } from '../photo/TreePhotos';
import { useMayChange } from '../people/who';
import { Field } from '../survey/Cell';
import { Button } from '../ui/Button';
import { sentNumber, showNumber } from '../ui/numbers';
import { day, minutes, percent } from '../ui/words';
import { toolsRead } from './tools';
import { OUTCOME_WORDS, type Outcome } from './outcomes';
import { OutcomeChoice, useSaveVisit, VisitFactsFields, type VisitFacts } from './visitParts';

/** Every visit to the tree, newest first. */
export function History({ id, records }: { id: number; records: RecordLine[] }) {
  const say = useSay();
  const photos = usePhotos(id).data ?? [];
  return (
    <section aria-labelledby="history">
      <h2 id="history" className="border-b-2 border-ink pb-1 text-[20px] font-bold">
        {say('history.its-history')}
      </h2>
      {records.length === 0 && <p className="py-3 text-muted">{say('history.no-visit-is-recorded-yet')}</p>}
      <ol>
        {records.map((record) => (
          <Past
            key={record.id}
            id={id}
            record={record}
            photos={photos.filter((photo) => photo.recordId === record.id)}
          />
        ))}
      </ol>
    </section>
  );
}

function Past({ id, record, photos }: { id: number; record: RecordLine; photos: PhotoLine[] }) {
  const say = useSay();
  const mayChange = useMayChange();
  const [correcting, setCorrecting] = useState(false);
  const corrected = record.correctedBy != null;
  return (
    <li className={`border-b border-line py-3 ${corrected ? 'text-muted' : ''}`}>
      <p className="flex flex-wrap items-baseline justify-between gap-2">
        <b>{day(record.doneOn)}</b>
        <span className="text-[14px]">
          {record.who}, {minutes(record.minutes)}
          {record.tools !== '' && `, ${toolsRead(record.tools)}`}
          {record.afterwards && record.afterwards.length > 0 && (
            <span className="block text-right text-muted">
              {say('afterwards.looked-after', {
                tasks: record.afterwards.map((kind) => named('afterwards-kind', kind)).join(', '),
              })}
            </span>
          )}
        </span>
      </p>
      {record.corrects != null && (
        <p className="text-[13px] text-muted">{say('history.corrects-an-earlier-entry')}</p>
      )}
      {corrected && <p className="text-[13px] font-semibold">{say('history.corrected-by-a-later-entry')}</p>}
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
      {!record.worked && (
        <p className="text-[13px] font-semibold">{say('history.nothing-was-done-at-this')}</p>
      )}
      {record.alsoBy.map((other) => (
        <p key={other.id} role="status" className="text-[13px] font-semibold text-lichen">
          {say('history.who-recorded-the-same-step', { who: other.who, doneOn: day(other.doneOn) })}
        </p>
      ))}
      {record.outcome && !corrected && record.worked && (
        <p className="mt-1 text-[13px] text-muted">
          {say('history.woodshare-of-the-small-wood', {
            woodShare: percent(record.outcome.after.woodShare),
            woodShare2:
              Math.abs(record.outcome.planned.woodShare - record.outcome.after.woodShare) > 0.005 &&
              say('history.woodshare-planned', { woodShare: percent(record.outcome.planned.woodShare) }),
            under30After: percent(record.outcome.before.under30After),
            under30After2: percent(record.outcome.after.under30After),
          })}
        </p>
      )}
      {record.outcomePending && record.worked && (
        <p role="status" className="mt-1 text-[13px] text-muted">
          {say('history.being-worked-out')}
        </p>
      )}
      {record.note && <p className="mt-1 border-l-[3px] border-line pl-2 text-[14px]">{record.note}</p>}
      <PhotoThumbs id={id} photos={photos} />
      {mayChange && !corrected && !correcting && (
        <Button
          weight="quiet"
          className="mt-1 -ml-3"
          onClick={() => {
            setCorrecting(true);
          }}
        >
          {say('history.correct-this')}
        </Button>
      )}
      {correcting && (
        <Correction
          id={id}
          record={record}
          close={() => {
            setCorrecting(false);
          }}
        />
      )}
    </li>
  );
}

/** A recorded visit as it really was: saved as a new entry that says what it corrects. */
function Correction({ id, record, close }: { id: number; record: RecordLine; close: () => void }) {
  const say = useSay();
  const [note, setNote] = useState(record.note);
  const [facts, setFacts] = useState<VisitFacts>({
    doneOn: record.doneOn,
    who: record.who,
    minutes: showNumber(record.minutes),
  });
  const [steps, setSteps] = useState(record.steps);
  const { save, faults } = useSaveVisit(
    id,
    () => ({
      doneOn: facts.doneOn,
      who: facts.who,
      minutes: sentNumber(facts.minutes),
      note,
      tools: record.tools,
      ...(record.afterwards ? { afterwards: record.afterwards } : {}),
      steps,
      corrects: record.id,
    }),
    close,
  );
  return (
    <form
      className="mt-2 grid grid-cols-2 gap-3 bg-sand p-3"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <ol className="col-span-2">
        {steps.map((step, i) => (
          <li key={i} className="border-b border-line py-1 text-[14px]">
            <span className="flex items-center justify-between gap-2">
              {step.title}
              <OutcomeChoice
                label={say('history.how-step-i-really-went', { i: i + 1 })}
                value={step.outcome}
                change={(outcome) => {
                  setSteps(steps.map((one, j) => (i === j ? { ...one, outcome } : one)));
                }}
              />
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
      <VisitFactsFields facts={facts} faults={faults} change={setFacts} />
      <Field
        name={say('name.note')}
        className="col-span-2"
        value={note}
        fault={faults.get('note')}
        change={setNote}
      />
      {save.isError && (
        <p role="alert" className="col-span-2 font-semibold text-lichen">
          {save.error.message}
        </p>
      )}
      <span className="col-span-2 flex gap-2">
        <Button weight="ink" type="submit" disabled={save.isPending}>
          {say('history.save-as-a-new-entry')}
        </Button>
        <Button onClick={close}>{say('history.cancel')}</Button>
      </span>
    </form>
  );
}
