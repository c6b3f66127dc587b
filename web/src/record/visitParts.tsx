import { useSay } from '../text/say';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answer, api, type RecordEntry } from '../api/client';
import { Problem } from '../api/problem';
import { Field } from '../survey/Cell';
import { OUTCOME_WORDS } from './outcomes';

/** Saves a visit to a tree; what is wrong with it is told by field. */
export function useSaveVisit(id: number, entry: () => RecordEntry, saved: () => void) {
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/trees/{id}/records', { params: { path: { id } }, body: entry() })),
    onSuccess: () => {
      saved();
      void queries.invalidateQueries();
    },
  });
  const faults = new Map(
    (save.error instanceof Problem ? save.error.errors : []).map((error) => [error.field, error.message]),
  );
  return { save, faults };
}

/** How one step went. */
export function OutcomeChoice({
  label,
  value,
  change,
}: {
  label: string;
  value: string;
  change: (outcome: string) => void;
}) {
  return (
    <select
      aria-label={label}
      value={value}
      onChange={(event) => {
        change(event.target.value);
      }}
      className="min-h-9 rounded-md border border-muted/50 bg-paper px-1.5 text-[14px]"
    >
      {Object.entries(OUTCOME_WORDS).map(([outcome, words]) => (
        <option key={outcome} value={outcome}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** When, who and how long. */
export interface VisitFacts {
  doneOn: string;
  who: string;
  minutes: string;
}

export function VisitFactsFields({
  facts,
  faults,
  change,
}: {
  facts: VisitFacts;
  faults: ReadonlyMap<string, string>;
  change: (facts: VisitFacts) => void;
}) {
  const say = useSay();
  const set = (field: keyof VisitFacts) => (value: string) => {
    change({ ...facts, [field]: value });
  };
  return (
    <>
      <Field
        name={say('name.done-on')}
        type="date"
        value={facts.doneOn}
        fault={faults.get('doneOn')}
        change={set('doneOn')}
      />
      <Field name={say('name.by-whom')} value={facts.who} fault={faults.get('who')} change={set('who')} />
      <Field
        name={say('name.minutes')}
        inputMode="decimal"
        value={facts.minutes}
        fault={faults.get('minutes')}
        change={set('minutes')}
      />
    </>
  );
}
