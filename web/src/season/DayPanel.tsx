import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type PlacedBlock } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { dayName, hours, shortDay } from './dates';
import { PHASES } from '../ui/phases';
import { VERDICTS } from './verdicts';

/** What to do on a day, and why not elsewhere. */
export function DayPanel({ day, today }: { day: string; today: string }) {
  const say = useSay();
  const page = useQuery({
    queryKey: ['season-day', day],
    queryFn: () => answer(api.GET('/api/season/days/{date}', { params: { path: { date: day } } })),
  });
  if (page.isPending) return <Loading what={say('day-panel.looking-at-the-day')} />;
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  const go = page.data.blocks.filter((one) => one.go);
  const wait = page.data.blocks.filter((one) => !one.go && one.verdict !== 'not' && one.hours > 0);
  const not = page.data.blocks.filter((one) => !one.go && one.verdict === 'not' && one.hours > 0);
  const done = page.data.blocks.filter((one) => one.hours <= 0);
  return (
    <section aria-labelledby="the-day" aria-live="polite">
      <h2 id="the-day" className="text-[20px] font-bold">
        {day === today ? say('day-panel.today', { day: dayName(day) }) : dayName(day)}
      </h2>
      <p className="text-[14px] text-muted">
        {say('day-panel.hours-of-hands-part', {
          hours: hours(page.data.crewHours),
          part: page.data.scheduled
            ? say('day-panel.where-to-go-is-what')
            : say('day-panel.nothing-is-scheduled-yet-this'),
        })}
      </p>
      <Group
        title={say('day-panel.go-to')}
        empty={
          page.data.scheduled
            ? say('day-panel.the-schedule-sends-nobody-anywhere')
            : say('day-panel.no-block-suits')
        }
        blocks={go}
        strong
      />
      {wait.length > 0 && <Group title={say('day-panel.could-be-done-but')} blocks={wait} />}
      {not.length > 0 && <NotToday blocks={not} />}
      {done.length > 0 && (
        <p className="mt-3 text-[14px] text-moss">
          {say('day-panel.done-done', { done: done.map((one) => one.name).join(', ') })}
        </p>
      )}
    </section>
  );
}

/** The blocks that must wait, by what keeps them. */
function NotToday({ blocks }: { blocks: PlacedBlock[] }) {
  const say = useSay();
  const reasons = [...new Set(blocks.map((one) => one.why))];
  return (
    <div className="mt-3">
      <h3 className="border-b-2 border-ink pb-1 text-[15px] font-bold">{say('day-panel.not-this-day')}</h3>
      <ul>
        {reasons.map((why) => {
          const kept = blocks.filter((one) => one.why === why);
          return (
            <li key={why} className="border-b border-line py-1.5 text-[14px]">
              <p>{why}</p>
              <p className="text-[13px]">
                {kept.map((one, i) => (
                  <span key={one.id}>
                    {i > 0 && ', '}
                    <Link
                      to={`/blocks/${one.id}`}
                      className="font-semibold underline-offset-4 hover:underline"
                    >
                      {one.name}
                    </Link>
                  </span>
                ))}
                {kept.some((one) => one.urgent) && (
                  <span className="ml-1 text-muted">{say('day-panel.dead-broken-and-diseased-wood')}</span>
                )}
              </p>
            </li>
          );
        })}
      </ul>
    </div>
  );
}

function Group({
  title,
  empty,
  blocks,
  strong = false,
}: {
  title: string;
  empty?: string;
  blocks: PlacedBlock[];
  strong?: boolean;
}) {
  const say = useSay();
  return (
    <div className="mt-3">
      <h3 className="border-b-2 border-ink pb-1 text-[15px] font-bold">{title}</h3>
      {blocks.length === 0 && empty && <p className="py-2 text-[14px]">{empty}</p>}
      <ul>
        {blocks.map((one) => (
          <li key={one.id} className="border-b border-line py-1.5 text-[14px]">
            <div className="flex items-baseline justify-between gap-3">
              <Link
                to={`/blocks/${one.id}`}
                className={`underline-offset-4 hover:underline ${strong ? 'text-[16px] font-bold' : 'font-semibold'}`}
              >
                {one.name}
              </Link>
              <span className="text-[13px] whitespace-nowrap text-muted">
                {PHASES[one.phase] ?? one.phase}, {VERDICTS[one.verdict]?.word}
              </span>
            </div>
            <p>{one.plannedOn && !one.go ? one.reasons[0]?.text : one.why}</p>
            {!one.go && one.plannedOn && (
              <p className="text-[13px] font-semibold">
                {say('day-panel.scheduled-for-shortday', { shortDay: shortDay(one.plannedOn) })}
              </p>
            )}
            {strong && (
              <p className="text-[13px] text-muted">
                {say('day-panel.hours-left-daysleft-suitable-days', {
                  hours: hours(one.hours),
                  daysLeft: one.daysLeft,
                  part: one.windowEnd
                    ? say('day-panel.until-shortday', { shortDay: shortDay(one.windowEnd) })
                    : '',
                  part2: one.ladder ? '' : say('day-panel.no-ladders'),
                })}
              </p>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}
