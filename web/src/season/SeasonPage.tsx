import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { DayPanel } from './DayPanel';
import { daysBetween, hours, monthStarts, plusDays, shortDay } from './dates';
import { Fortnight } from './Fortnight';
import { VERDICTS } from './verdicts';
import { WeatherTable } from './WeatherTable';
import { YearStrip } from './YearStrip';

/** The year of every block: when it may be cut, what is left to do, and where to go on a day. */
export function SeasonPage() {
  const say = useSay();
  const season = useQuery({ queryKey: ['season'], queryFn: () => answer(api.GET('/api/season')) });
  const schedule = useQuery({ queryKey: ['schedule'], queryFn: () => answer(api.GET('/api/schedule')) });
  const [picked, setPicked] = useState<string | null>(null);
  if (season.isPending) return <Loading what={say('season-page.reading-the-season')} />;
  if (season.isError) return <Failed error={season.error} retry={() => void season.refetch()} />;
  const page = season.data;
  const chosen = picked ?? plusDays(page.today, 1);
  const days = daysBetween(page.from, page.to) + 1;
  const dayAt = (share: number) =>
    plusDays(page.from, Math.max(0, Math.min(days - 1, Math.floor(share * days))));
  const step = (by: number) => {
    const next = plusDays(chosen, by);
    if (daysBetween(page.today, next) >= 0) setPicked(next);
  };
  const short = page.blocks.filter(
    (one) => one.daysNeeded !== undefined && one.daysLeft < (one.daysNeeded ?? 0),
  );
  if (page.blocks.length === 0) {
    return <p className="p-8 text-muted">{say('season-page.there-is-no-block-yet')}</p>;
  }
  return (
    <div
      className="mx-auto grid max-w-[1360px] grid-cols-[minmax(0,1fr)_330px] gap-8 px-6 py-5 max-lg:grid-cols-1"
      onKeyDown={(event) => {
        if (event.target instanceof HTMLInputElement) return;
        if (event.key === 'ArrowRight') step(1);
        if (event.key === 'ArrowLeft') step(-1);
      }}
    >
      <div className="min-w-0">
        <div className="flex flex-wrap items-end justify-between gap-4">
          <h1 className="text-[28px] font-bold">{say('season-page.the-season')}</h1>
          <ul
            className="flex flex-wrap gap-x-4 gap-y-1 text-[13px]"
            aria-label={say('season-page.what-the-strips-mean')}
          >
            {Object.entries(VERDICTS).map(([key, look]) => (
              <li key={key} className="flex items-end gap-1.5">
                <svg viewBox="0 0 12 16" className="h-4 w-3" aria-hidden>
                  <rect
                    width={12}
                    y={16 - look.height * 16}
                    height={look.height * 16}
                    className={look.fill}
                  />
                </svg>
                {look.word}
              </li>
            ))}
            <li className="flex items-center gap-1.5">
              <span className="inline-block h-3 w-[3px] bg-tape" aria-hidden /> {say('season-page.bloom')}
            </li>
            <li className="flex items-center gap-1.5">
              <span className="inline-block h-2 w-[3px] bg-ink" aria-hidden />{' '}
              {say('season-page.work-planned')}
            </li>
          </ul>
        </div>
        {short.length > 0 && (
          <p role="status" className="mt-2 border-l-4 border-lichen bg-lichen-wash px-3 py-1.5 text-[14px]">
            {say('season-page.too-few-days-for-the', { short: short.map((one) => one.name).join(', ') })}
          </p>
        )}
        <div className="mt-3 grid grid-cols-[150px_minmax(0,1fr)_118px] gap-x-3 max-sm:grid-cols-[96px_minmax(0,1fr)]">
          <span />
          <Months from={page.from} to={page.to} days={days} />
          <span className="text-right text-[12.5px] text-muted max-sm:hidden">
            {say('season-page.work-and-days-left')}
          </span>
          {page.blocks.map((block) => (
            <div key={block.id} className="contents">
              <div className="min-w-0 border-t border-line py-1">
                <Link
                  to={`/blocks/${block.id}`}
                  className="block truncate font-semibold underline-offset-4 hover:underline"
                >
                  {block.name}
                </Link>
                <span className="block truncate text-[12.5px] text-muted">
                  {say('season-page.speciesname-leaf-leaf-part', {
                    speciesName: block.speciesName,
                    leaf: block.leaf,
                    part: block.diseases.length > 0 ? `, ${block.diseases.join(', ')}` : '',
                  })}
                </span>
              </div>
              <div className="border-t border-line pt-1">
                <YearStrip
                  block={block}
                  from={page.from}
                  days={days}
                  today={page.today}
                  chosen={chosen}
                  choose={setPicked}
                  dayAt={dayAt}
                  worked={
                    new Set(
                      (schedule.data?.work ?? [])
                        .filter((one) => one.blockId === block.id)
                        .map((one) => one.date),
                    )
                  }
                />
              </div>
              <div className="border-t border-line py-1 text-right text-[13px] max-sm:hidden">
                <b>{hours(block.hours)}</b>
                <span className="text-muted"> {block.counted ? '' : 'usual'}</span>
                <span className="block text-muted">
                  {block.windowEnd
                    ? say('season-page.daysleft-days-to-shortday', {
                        daysLeft: block.daysLeft,
                        shortDay: shortDay(block.windowEnd),
                      })
                    : say('season-page.no-day-this-year')}
                </span>
              </div>
            </div>
          ))}
        </div>
        <div className="mt-6">
          <Fortnight
            page={page}
            start={daysBetween(page.today, chosen) < 14 ? page.today : plusDays(chosen, -3)}
            chosen={chosen}
            choose={setPicked}
          />
        </div>
        <WeatherTable page={page} />
      </div>
      <div>
        <div className="mb-2 flex gap-2">
          <label className="sr-only" htmlFor="day">
            {say('season-page.day')}
          </label>
          <input
            id="day"
            type="date"
            value={chosen}
            min={page.today}
            onChange={(event) => {
              if (event.target.value) setPicked(event.target.value);
            }}
            className="min-h-9 flex-1 rounded-md border border-muted/50 bg-paper px-2"
          />
          <Link
            to="/season/crew"
            className="grid min-h-9 place-items-center rounded-md border border-muted/50 px-3 text-[14px] font-semibold hover:bg-sand"
          >
            {say('season-page.who-does-it')}
          </Link>
        </div>
        <DayPanel day={chosen} today={page.today} />
      </div>
    </div>
  );
}

function Months({ from, to, days }: { from: string; to: string; days: number }) {
  return (
    <div className="relative h-[18px] text-[12.5px] text-muted" aria-hidden>
      {monthStarts(from, to).map((month) => (
        <span key={month.at} className="absolute" style={{ left: `${(100 * month.at) / days}%` }}>
          {month.name}
        </span>
      ))}
    </div>
  );
}
