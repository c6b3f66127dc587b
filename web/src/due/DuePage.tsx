import { inFarm } from '../api/farm';
import { say, useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type FollowUpLine } from '../api/client';
import { shortDay } from '../season/dates';
import { Failed, Loading } from '../ui/States';

const GROUPS = (): [string, string][] => [
  ['overdue', say('due-page.should-have-been-done')],
  ['due', say('due-page.now')],
  ['coming', say('due-page.to-come')],
  ['done', say('due-page.done-in-the-last-two')],
];

/** What must be come back for: set by what was done, ticked off here, carried along in anybody's calendar. */
export function DuePage() {
  const say = useSay();
  const due = useQuery({ queryKey: ['follow-ups'], queryFn: () => answer(api.GET('/api/follow-ups')) });
  const [sought, setSought] = useState('');
  if (due.isPending) return <Loading what={say('due-page.reading-what-is-due')} />;
  if (due.isError) return <Failed error={due.error} retry={() => void due.refetch()} />;
  const lines = due.data.filter((one) =>
    `${one.tree} ${one.name} ${one.text}`.toLowerCase().includes(sought.toLowerCase()),
  );
  return (
    <div className="mx-auto max-w-[980px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-[28px] font-bold">{say('due-page.to-come-back-for')}</h1>
          <p className="text-muted">{say('due-page.set-by-what-was-cut')}</p>
        </div>
        <div className="flex items-center gap-3">
          <input
            type="search"
            aria-label={say('due-page.search-what-is-due')}
            placeholder={say('due-page.tree-or-work')}
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
            className="min-h-10 w-52 rounded-md border border-muted/50 bg-paper px-3"
          />
          <a
            href={inFarm('/api/follow-ups/calendar.ics')}
            download="umbel.ics"
            className="grid min-h-10 place-items-center rounded-md border border-muted/50 px-3 text-[14px] font-semibold hover:bg-sand"
          >
            {say('due-page.as-a-calendar')}
          </a>
        </div>
      </div>
      {due.data.length === 0 && (
        <p className="mt-8 max-w-prose text-muted">{say('due-page.nothing-yet-record-what-was')}</p>
      )}
      {due.data.length > 0 && lines.length === 0 && (
        <p className="mt-8 text-muted" role="status">
          {say('due-page.nothing-that-is-due-answers')}
        </p>
      )}
      {GROUPS().map(([state, title]) => {
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
  const say = useSay();
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
        aria-label={`${done ? say('due-page.open-again') : say('due-page.done')}: ${line.name}, ${line.tree}`}
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
        <b>{line.name}.</b> {line.text}
      </span>
      <span className="text-right text-[14px] text-muted max-sm:col-start-2 max-sm:text-left">
        {say('due-page.shortday-to-shortday2', {
          shortDay: shortDay(line.from),
          shortDay2: shortDay(line.to),
        })}
        {tick.isError && <span className="block text-lichen">{say('due-page.not-kept-try-again')}</span>}
      </span>
    </li>
  );
}
