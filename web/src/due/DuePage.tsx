import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type FollowUpLine } from '../api/client';
import { shortDay } from '../season/dates';
import { Failed, Loading } from '../ui/States';

const GROUPS: [string, string][] = [
  ['overdue', 'Should have been done'],
  ['due', 'Now'],
  ['coming', 'To come'],
  ['done', 'Done in the last two weeks'],
];

const KINDS: Record<string, string> = {
  'rub-sprouts': 'Rub sprouts',
  'check-ties': 'Check ties',
  'take-off-ties': 'Take ties off',
  'short-spur-again': 'Short-spur again',
  'thin-fruit': 'Thin fruit',
  scout: 'Look before harvest',
  'next-stage': 'Next stage',
};

/** What must be come back for: set by what was done, ticked off here, carried along in anybody's calendar. */
export function DuePage() {
  const due = useQuery({ queryKey: ['follow-ups'], queryFn: () => answer(api.GET('/api/follow-ups')) });
  const [sought, setSought] = useState('');
  if (due.isPending) return <Loading what="Reading what is due…" />;
  if (due.isError) return <Failed error={due.error} retry={() => void due.refetch()} />;
  const lines = due.data.filter((one) =>
    `${one.tree} ${KINDS[one.kind] ?? one.kind} ${one.text}`.toLowerCase().includes(sought.toLowerCase()),
  );
  return (
    <div className="mx-auto max-w-[980px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-[28px] font-bold">To come back for</h1>
          <p className="text-muted">Set by what was cut and bent, by each block’s own season.</p>
        </div>
        <div className="flex items-center gap-3">
          <input
            type="search"
            aria-label="Search what is due"
            placeholder="Tree or work"
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
            className="min-h-10 w-52 rounded-md border border-muted/50 bg-paper px-3"
          />
          <a
            href="/api/follow-ups/calendar.ics"
            download="umbel.ics"
            className="grid min-h-10 place-items-center rounded-md border border-muted/50 px-3 text-[14px] font-semibold hover:bg-sand"
          >
            As a calendar
          </a>
        </div>
      </div>
      {due.data.length === 0 && (
        <p className="mt-8 max-w-prose text-muted">
          Nothing yet. Record what was done at a tree, and Umbel sets the visits that follow from it: sprouts
          to rub, ties to look at, fruit to thin, the next stage of a renewal.
        </p>
      )}
      {due.data.length > 0 && lines.length === 0 && (
        <p className="mt-8 text-muted" role="status">
          Nothing that is due answers to that.
        </p>
      )}
      {GROUPS.map(([state, title]) => {
        const group = lines.filter((one) => one.state === state);
        return group.length === 0 ? null : (
          <section key={state} className="mt-6" aria-label={title}>
            <h2 className="border-b-2 border-ink pb-1 text-[20px] font-bold">{title}</h2>
            <ul>
              {group.map((one) => (
                <DueRow key={one.id} line={one} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

function DueRow({ line }: { line: FollowUpLine }) {
  const queries = useQueryClient();
  const done = line.state === 'done';
  const tick = useMutation({
    mutationFn: () =>
      answer(api.PUT('/api/follow-ups/{id}', { params: { path: { id: line.id } }, body: { done: !done } })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['follow-ups'] }),
  });
  return (
    <li className="grid grid-cols-[44px_170px_1fr_150px] items-center gap-3 border-b border-line py-1.5 max-sm:grid-cols-[44px_1fr]">
      <button
        type="button"
        aria-label={`${done ? 'Open again' : 'Done'}: ${KINDS[line.kind] ?? line.kind}, ${line.tree}`}
        aria-pressed={done}
        disabled={tick.isPending}
        onClick={() => {
          tick.mutate();
        }}
        className="grid h-11 w-11 place-items-center rounded-md border-2 border-ink text-[20px] font-bold"
      >
        {done ? '✓' : ''}
      </button>
      <Link to={`/trees/${line.treeId}`} className="font-semibold underline-offset-4 hover:underline">
        {line.tree}
      </Link>
      <span className={`max-sm:col-start-2 ${done ? 'text-muted line-through' : ''}`}>
        <b>{KINDS[line.kind] ?? line.kind}.</b> {line.text}
      </span>
      <span className="text-right text-[14px] text-muted max-sm:col-start-2 max-sm:text-left">
        {shortDay(line.from)} to {shortDay(line.to)}
        {tick.isError && <span className="block text-lichen">not kept, try again</span>}
      </span>
    </li>
  );
}
