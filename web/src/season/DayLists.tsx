import { useQuery } from '@tanstack/react-query';
import { Link, useLocation, useSearchParams } from 'react-router';
import { answer, api } from '../api/client';
import type { components } from '../api/schema';
import { say, useSay } from '../text/say';
import { term } from '../text/term';
import { tenthsUnderTen } from '../ui/numbers';
import { Failed, Loading } from '../ui/States';
import { dayName, hours, plusDays, shortDay } from './dates';
import { VERDICTS } from './verdicts';

type CrewDay = components['schemas']['CrewDay'];
type Piece = components['schemas']['PieceOfDay'];

/** A day's list for each person of the crew, in the office, on paper, and on the phone. */
export function DayLists() {
  const say = useSay();
  const [search, setSearch] = useSearchParams();
  const inTheField = useLocation().pathname.startsWith('/field');
  const tomorrow = plusDays(new Date().toLocaleDateString('sv-SE'), 1);
  const date = search.get('date') ?? tomorrow;
  const day = useQuery({
    queryKey: ['crew-day', date],
    networkMode: 'always',
    queryFn: () => answer(api.GET('/api/field/days/{date}', { params: { path: { date } } })),
  });
  const go = (by: number) => {
    setSearch({ date: plusDays(date, by) }, { replace: true });
  };
  if (day.isPending) return <Loading what={say('day-lists.opening')} />;
  if (day.isError) return <Failed error={day.error} retry={() => void day.refetch()} />;
  const { people, waiting, weather, planned } = day.data;
  const at = people.filter((one) => one.pieces.length > 0);
  const next = waiting
    .map((one) => one.plannedFrom)
    .filter((one) => one != null)
    .sort()[0];
  const free = people.filter((one) => one.pieces.length === 0);
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6 max-sm:px-4">
      {inTheField && (
        <Link to="/field" className="text-[16px] font-semibold underline underline-offset-4">
          {say('field-block-page.all-rows')}
        </Link>
      )}
      <div className="flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-[28px] font-bold">{dayName(date)}</h1>
        <div className="no-print flex gap-2">
          {(
            [
              [-1, say('day-lists.day-before')],
              [1, say('day-lists.day-after')],
            ] as const
          ).map(([by, words]) => (
            <button
              key={by}
              type="button"
              className="min-h-11 rounded-md border border-muted/50 px-3 text-[14px] font-semibold hover:bg-sand"
              onClick={() => {
                go(by);
              }}
            >
              {words}
            </button>
          ))}
        </div>
      </div>
      <WeatherWords weather={weather} />
      {!planned && (
        <p className="mt-4 border-l-4 border-ink bg-sand px-4 py-3">
          {say('day-lists.no-schedule')}{' '}
          {!inTheField && (
            <Link to="/season/crew" className="font-semibold underline underline-offset-4">
              {say('app.crew')}
            </Link>
          )}
        </p>
      )}
      {planned && at.length === 0 && (
        <p className="mt-4 text-[16px]">
          {say('day-lists.nobody')}{' '}
          {next !== undefined && (
            <button
              type="button"
              className="min-h-11 font-semibold underline underline-offset-4"
              onClick={() => {
                setSearch({ date: next }, { replace: true });
              }}
            >
              {say('day-lists.next', { day: dayName(next) })}
            </button>
          )}
        </p>
      )}
      <div className="mt-4 grid grid-cols-2 gap-x-8 gap-y-5 max-md:grid-cols-1">
        {at.map((person) => (
          <section
            key={person.personId}
            aria-labelledby={`person-${person.personId}`}
            className="break-inside-avoid"
          >
            <h2
              id={`person-${person.personId}`}
              className="flex items-baseline justify-between border-b-2 border-ink pb-1 text-[20px] font-bold"
            >
              {person.person}
              <span className="text-[14px] font-normal text-muted">
                {say('day-lists.hours-of', {
                  hours: hours(person.hours),
                  most: hours(person.hoursADay),
                })}
              </span>
            </h2>
            <ul>
              {person.pieces.map((piece) => (
                <PieceLine key={`${piece.blockId}-${piece.kind}`} piece={piece} inTheField={inTheField} />
              ))}
            </ul>
          </section>
        ))}
      </div>
      {planned && free.length > 0 && (
        <p className="mt-4 text-[14.5px] text-muted">
          {say('day-lists.free', { people: free.map((one) => one.person).join(', ') })}
        </p>
      )}
      <WaitingBlocks key={date} waiting={waiting} open={at.length === 0} />
    </div>
  );
}

function PieceLine({ piece, inTheField }: { piece: Piece; inTheField: boolean }) {
  const say = useSay();
  const to = inTheField ? `/field/blocks/${piece.blockId}` : `/blocks/${piece.blockId}`;
  return (
    <li className="border-b border-line py-2">
      <p className="flex items-baseline justify-between gap-3 text-[17px]">
        <Link to={to} className="font-semibold underline-offset-4 hover:underline">
          {piece.block}
        </Link>
        <span className="whitespace-nowrap">
          {hours(piece.hours)} {term(piece.kind)}
        </span>
      </p>
      <p className="text-[14.5px] text-muted">
        <b className="text-ink">{VERDICTS[piece.verdict]?.word ?? piece.verdict}</b> {piece.reasons.join(' ')}
      </p>
      {piece.urgentOnly && (
        <p className="text-[14.5px] font-semibold text-lichen">{say('day-lists.urgent-only')}</p>
      )}
      {!piece.ladder && piece.kind === 'ladder' && (
        <p className="text-[14.5px] font-semibold text-lichen">{say('day-lists.no-ladders')}</p>
      )}
    </li>
  );
}

function WeatherWords({ weather }: { weather: CrewDay['weather'] }) {
  return (
    <ul className="mt-1 text-[15px]">
      {weather.map((one) =>
        one.days.map((today) => (
          <li key={one.holdingId}>
            {weather.length > 1 && <b>{one.holding}: </b>}
            {say('day-lists.weather', {
              kind: today.kind,
              min: Math.round(today.min),
              max: Math.round(today.max),
              rain: tenthsUnderTen(today.rain),
              wind: Math.round(today.wind),
            })}
          </li>
        )),
      )}
    </ul>
  );
}

function WaitingBlocks({ waiting, open }: { waiting: CrewDay['waiting']; open: boolean }) {
  const say = useSay();
  if (waiting.length === 0) return null;
  return (
    <details className="no-print mt-6 border-t border-line pt-2" open={open}>
      <summary className="min-h-9 content-center font-semibold">
        {say('day-lists.waiting', { blocks: waiting.length })}
      </summary>
      <ul>
        {waiting.map((one) => (
          <li key={one.blockId} className="border-t border-line py-1 text-[14.5px]">
            <b>{one.block}</b>, {hours(one.hours)}.{' '}
            {one.plannedFrom != null
              ? say('day-lists.planned-from', { day: shortDay(one.plannedFrom) })
              : say('day-lists.not-planned')}{' '}
            <span className="text-muted">
              {VERDICTS[one.verdict]?.word ?? one.verdict}: {one.reasons.join(' ')}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
