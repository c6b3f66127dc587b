import { term } from '../text/term';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type CrewLine, type PlacedLine } from '../api/client';
import { CrewTable } from '../crew/CrewTable';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { dayName, hours, plusDays, shortDay } from './dates';
import { GiveUp } from './GiveUp';
import { Waits } from './Waits';

const DAYS = 14;
const ASK_EVERY = 700;
const LOOK_EVERY = 20_000;
const KIND_WORDS: Record<string, string> = {
  get saw() {
    return term('saw');
  },
  get ladder() {
    return term('ladder');
  },
  get detail() {
    return term('detail');
  },
};

/** Who does what on which day; made by the program, moved by hand, with what comes of it. */
export function SchedulePage() {
  const say = useSay();
  const queries = useQueryClient();
  const schedule = useQuery({
    queryKey: ['schedule'],
    queryFn: () => answer(api.GET('/api/schedule')),
    refetchInterval: (query) => (query.state.data?.state === 'running' ? ASK_EVERY : LOOK_EVERY),
  });
  const crew = useQuery({ queryKey: ['crew'], queryFn: () => answer(api.GET('/api/crew')) });
  const [start, setStart] = useState<string | null>(null);
  const [held, setHeld] = useState<PlacedLine | null>(null);
  const kept = (page: unknown) => {
    queries.setQueryData(['schedule'], page);
    setHeld(null);
  };
  const make = useMutation({ mutationFn: () => answer(api.POST('/api/schedule')), onSuccess: kept });
  const stop = useMutation({ mutationFn: () => api.DELETE('/api/schedule/run') });
  const move = useMutation({
    mutationFn: ({ id, personId, date }: { id: number; personId: number; date: string }) =>
      answer(api.PUT('/api/schedule/pieces/{id}', { params: { path: { id } }, body: { personId, date } })),
    onSuccess: kept,
    onError: () => void schedule.refetch(),
  });
  const letGo = useMutation({
    mutationFn: (id: number) =>
      answer(api.DELETE('/api/schedule/pieces/{id}/pin', { params: { path: { id } } })),
    onSuccess: kept,
  });
  if (schedule.isPending || crew.isPending)
    return <Loading what={say('schedule-page.reading-the-schedule')} />;
  const failed = schedule.error ?? crew.error;
  if (failed) return <Failed error={failed} retry={() => void schedule.refetch()} />;
  const page = schedule.data;
  const tomorrow = plusDays(new Date().toISOString().slice(0, 10), 1);
  const from = start ?? page?.work[0]?.date ?? tomorrow;
  const days = Array.from({ length: DAYS }, (_, i) => plusDays(from, i));
  const people = (crew.data ?? []).filter((one) => one.active);
  const running = page?.state === 'running';
  const work = page?.work ?? [];
  return (
    <div className="mx-auto max-w-[1360px] px-6 py-5">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <h1 className="text-[28px] font-bold">{say('schedule-page.who-does-it-and-when')}</h1>
          <p className="text-muted">
            {work.length === 0
              ? say('schedule-page.nothing-is-planned-yet')
              : say('schedule-page.hours-planned-until-shortday', {
                  hours: hours(work.reduce((sum, one) => sum + one.hours, 0)),
                  shortDay: shortDay(work[work.length - 1]?.date ?? from),
                })}{' '}
            <Link to="/season" className="font-semibold text-ink underline underline-offset-4">
              {say('schedule-page.the-season')}
            </Link>{' '}
            <Link to="/season/day" className="ml-3 font-semibold text-ink underline underline-offset-4">
              {say('day-lists.tomorrow')}
            </Link>
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          {running ? (
            <>
              <progress
                value={Math.min(page.seconds, page.ofSeconds)}
                max={page.ofSeconds}
                aria-label={say('schedule-page.making-the-schedule')}
                className="h-2 w-44"
              />
              <span role="status">
                {say('schedule-page.better-betterments-times', { betterments: page.betterments })}
              </span>
              <Button
                onClick={() => {
                  stop.mutate();
                }}
              >
                {say('schedule-page.that-will-do')}
              </Button>
            </>
          ) : (
            <Button
              weight={work.length === 0 ? 'ink' : 'plain'}
              disabled={people.length === 0}
              onClick={() => {
                make.mutate();
              }}
            >
              {work.length === 0 ? say('schedule-page.plan-the-work') : say('schedule-page.plan-again')}
            </Button>
          )}
        </div>
      </div>
      {page?.again && (
        <p className="mt-2 text-[13.5px] text-muted" role="status">
          {say('schedule-page.made-again-at-time-because', {
            time: time(page.again.at),
            because: page.again.because,
            part:
              page.again.moved === 0
                ? say('schedule-page.nothing-had-to-move')
                : say('schedule-page.moved-pieces-of-work-moved', { moved: page.again.moved }),
          })}
        </p>
      )}
      {page?.state === 'failed' && <Failed error={new Error(page.trouble)} />}
      {(make.error ?? move.error ?? letGo.error) && (
        <Failed error={make.error ?? move.error ?? letGo.error} />
      )}
      <Waits waits={page?.waits ?? []} />
      <GiveUp />
      <Conflicts conflicts={page?.conflicts ?? []} planned={work.length > 0} />
      <div className="mt-4 flex items-center gap-2">
        <Button
          onClick={() => {
            setStart(plusDays(from, -DAYS));
          }}
        >
          {say('schedule-page.earlier')}
        </Button>
        <Button
          onClick={() => {
            setStart(plusDays(from, DAYS));
          }}
        >
          {say('schedule-page.later')}
        </Button>
        <span className="text-muted">
          {say('schedule-page.dayname-to-dayname2', {
            dayName: dayName(from),
            dayName2: dayName(days[DAYS - 1] ?? from),
          })}
        </span>
      </div>
      {held && (
        <MoveForm
          held={held}
          people={people}
          move={(personId, date) => {
            move.mutate({ id: held.id, personId, date });
          }}
          letGo={() => {
            letGo.mutate(held.id);
          }}
          close={() => {
            setHeld(null);
          }}
        />
      )}
      <div
        className="mt-2 overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label={say('schedule-page.the-crews-days')}
      >
        <table className="w-full min-w-[980px] table-fixed border-collapse text-[13px]">
          <thead>
            <tr className="border-b-2 border-ink">
              <th className="w-[92px] text-left font-normal text-muted">{say('schedule-page.who')}</th>
              {days.map((iso) => (
                <th key={iso} className="py-1 text-left font-normal">
                  {new Date(`${iso}T12:00:00`).toLocaleDateString(locale(), { weekday: 'short' })}{' '}
                  <b>{Number(iso.slice(8))}</b>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {people.map((person) => (
              <tr key={person.id} className="border-b border-line align-top">
                <th scope="row" className="py-1 pr-2 text-left">
                  {person.name}
                  <span className="block font-normal text-muted">
                    {person.hoursADay} h{person.saw ? say('schedule-page.saw') : ''}
                  </span>
                </th>
                {days.map((iso) => (
                  <td
                    key={iso}
                    className="min-h-12 border-l border-line/60 p-0.5"
                    onDragOver={(event) => {
                      event.preventDefault();
                    }}
                    onDrop={(event) => {
                      event.preventDefault();
                      const id = Number(event.dataTransfer.getData('text/plain'));
                      if (id) move.mutate({ id, personId: person.id, date: iso });
                    }}
                  >
                    {work
                      .filter((one) => one.personId === person.id && one.date === iso)
                      .map((one) => (
                        <button
                          key={one.id}
                          type="button"
                          draggable
                          onDragStart={(event) => {
                            event.dataTransfer.setData('text/plain', String(one.id));
                          }}
                          onClick={() => {
                            setHeld(one);
                          }}
                          aria-label={say('schedule-page.block-hours-of-kindwords-work', {
                            block: one.block,
                            hours: hours(one.hours),
                            KINDWORDS: KIND_WORDS[one.kind] ?? one.kind,
                            person: one.person,
                            date: one.date,
                            part: one.pinned ? say('schedule-page.put-by-hand') : '',
                          })}
                          className={`mb-0.5 block w-full cursor-grab rounded-sm px-1 py-0.5 text-left leading-tight ${one.pinned ? 'border-2 border-ink bg-paper' : 'bg-sand'} ${held?.id === one.id ? 'outline-2 outline-ink' : ''}`}
                        >
                          <span className="block truncate font-semibold">{one.block}</span>
                          <span className="block truncate text-[12px]">
                            {hours(one.hours)} {KIND_WORDS[one.kind] ?? one.kind}
                          </span>
                        </button>
                      ))}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {people.length === 0 && (
        <p className="py-3 text-muted">{say('schedule-page.nobody-works-here-yet-add')}</p>
      )}
      <CrewTable crew={crew.data ?? []} />
    </div>
  );
}

function Conflicts({
  conflicts,
  planned,
}: {
  conflicts: { kind: string; blockId: number; text: string }[];
  planned: boolean;
}) {
  const say = useSay();
  if (!planned) return null;
  if (conflicts.length === 0) {
    return <p className="mt-3 text-moss">{say('schedule-page.everything-has-its-day-and')}</p>;
  }
  return (
    <section aria-labelledby="troubles" className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2">
      <h2 id="troubles" className="text-[16px] font-bold">
        {say('schedule-page.what-does-not-work-out')}
      </h2>
      <ul className="text-[14px]">
        {conflicts.map((one) => (
          <li key={one.text}>{one.text}</li>
        ))}
      </ul>
    </section>
  );
}

function MoveForm({
  held,
  people,
  move,
  letGo,
  close,
}: {
  held: PlacedLine;
  people: CrewLine[];
  move: (personId: number, date: string) => void;
  letGo: () => void;
  close: () => void;
}) {
  const say = useSay();
  const [person, setPerson] = useState(held.personId);
  const [date, setDate] = useState(held.date);
  return (
    <form
      className="mt-3 flex flex-wrap items-end gap-3 border-2 border-ink p-3"
      aria-label={say('schedule-page.put-it-elsewhere')}
      onSubmit={(event) => {
        event.preventDefault();
        move(person, date);
      }}
    >
      <p className="mr-4">
        <b>{held.block}</b>
        {say('schedule-page.hours-of-kindwords-work', {
          hours: hours(held.hours),
          KINDWORDS: KIND_WORDS[held.kind] ?? held.kind,
        })}
        <span className="block text-[13px] text-muted">
          {held.pinned
            ? say('schedule-page.put-here-by-hand-it')
            : say('schedule-page.planned-for-person-shortday', {
                person: held.person,
                shortDay: shortDay(held.date),
              })}
        </span>
      </p>
      <label className="text-[13px]">
        <span className="block text-muted">{say('schedule-page.who')}</span>
        <select
          value={person}
          onChange={(event) => {
            setPerson(Number(event.target.value));
          }}
          className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
        >
          {people.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <label className="text-[13px]">
        <span className="block text-muted">{say('schedule-page.day')}</span>
        <input
          type="date"
          value={date}
          required
          onChange={(event) => {
            setDate(event.target.value);
          }}
          className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
        />
      </label>
      <Button type="submit" weight="ink">
        {say('schedule-page.put-it-there')}
      </Button>
      {held.pinned && <Button onClick={letGo}>{say('schedule-page.let-the-plan-decide')}</Button>}
      <Button weight="quiet" onClick={close}>
        {say('schedule-page.leave-it')}
      </Button>
    </form>
  );
}

function time(iso: string): string {
  return new Date(iso).toLocaleTimeString(locale(), { hour: '2-digit', minute: '2-digit' });
}
