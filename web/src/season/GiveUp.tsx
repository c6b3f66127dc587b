import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api } from '../api/client';
import { useSay } from '../text/say';
import { tenthsUnderTen } from '../ui/numbers';
import { Failed } from '../ui/States';
import { percent } from '../ui/words';
import { hours } from './dates';

const ASK_EVERY = 1500;
const MOST_DAYS = 15;

/** What to leave first where days are lost: the work whose hours lose least light and crop. */
export function GiveUp() {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const [days, setDays] = useState(3);
  const capacity = useQuery({
    queryKey: ['give-up', 0],
    enabled: open,
    queryFn: () => answer(api.GET('/api/schedule/give-up', { params: { query: { hours: 0 } } })),
  });
  const missing = Math.round(days * (capacity.data?.crewHoursADay ?? 0));
  const page = useQuery({
    queryKey: ['give-up', missing],
    enabled: open && capacity.data !== undefined,
    queryFn: () => answer(api.GET('/api/schedule/give-up', { params: { query: { hours: missing } } })),
    placeholderData: keepPreviousData,
    refetchInterval: (query) =>
      query.state.data && query.state.data.weighed < query.state.data.toWeigh ? ASK_EVERY : false,
  });
  const shown = page.data ?? capacity.data;
  const failed = page.error ?? capacity.error;
  return (
    <details
      className="mt-3 border-b border-line pb-2"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="min-h-9 content-center font-semibold">{say('give-up.title')}</summary>
      <p className="max-w-prose text-[14px] text-muted">{say('give-up.what-it-is')}</p>
      <label className="mt-2 flex items-center gap-3 text-[14.5px]">
        {say('give-up.days-lost')}
        <input
          type="range"
          min={0}
          max={MOST_DAYS}
          value={days}
          onChange={(event) => {
            setDays(Number(event.target.value));
          }}
          className="w-48"
        />
        <output className="tabular-nums">{say('give-up.days-and-hours', { days, hours: missing })}</output>
      </label>
      {failed && <Failed error={failed} />}
      {shown && shown.weighed < shown.toWeigh && (
        <p role="status" className="mt-1 text-[14px] text-muted">
          {say('give-up.weighing', { done: shown.weighed, all: shown.toWeigh })}
        </p>
      )}
      {shown && (
        <div className="mt-2 overflow-x-auto" tabIndex={0} role="region" aria-label={say('give-up.title')}>
          <table className="w-full min-w-[760px] border-collapse text-[14px]">
            <thead>
              <tr className="border-b border-ink text-left text-[12.5px] text-muted">
                <th className="py-1 pr-3 font-normal">{say('give-up.leave')}</th>
                <th className="py-1 pr-3 font-normal">{say('give-up.block')}</th>
                <th className="py-1 pr-3 font-normal">{say('give-up.loss')}</th>
                <th className="py-1 pr-3 font-normal">{say('give-up.shade')}</th>
                <th className="py-1 font-normal">{say('give-up.first-class')}</th>
              </tr>
            </thead>
            <tbody>
              {shown.blocks.map((one) => (
                <tr
                  key={one.blockId}
                  className={`border-b border-line ${one.leaveHours > 0 ? 'bg-sand' : ''}`}
                >
                  <td className="py-1 pr-3 font-semibold">
                    {one.leaveHours <= 0
                      ? ''
                      : one.whole
                        ? say('give-up.all', { hours: hours(one.leaveHours) })
                        : hours(one.leaveHours)}
                  </td>
                  <td className="py-1 pr-3">
                    <Link to={`/blocks/${one.blockId}`} className="underline-offset-4 hover:underline">
                      {one.block}
                    </Link>{' '}
                    <span className="text-muted">{hours(one.hours)}</span>
                  </td>
                  {one.trees === 0 ? (
                    <td colSpan={3} className="py-1 text-muted">
                      {say('give-up.not-judged')}
                    </td>
                  ) : (
                    <>
                      <td className="py-1 pr-3">
                        <span className="inline-block h-[8px] w-24 bg-line/70 align-middle" aria-hidden>
                          <span
                            className="block h-full bg-moss"
                            style={{ width: `${100 * one.lossPerHour}%` }}
                          />
                        </span>{' '}
                        {percent(one.lossPerHour)}
                      </td>
                      <td className="py-1 pr-3 tabular-nums">
                        {typeof one.shadeUndone === 'number' && typeof one.shadeDone === 'number'
                          ? say('give-up.left-and-done', {
                              left: percent(one.shadeUndone),
                              done: percent(one.shadeDone),
                            })
                          : '–'}
                      </td>
                      <td className="py-1 tabular-nums">
                        {say('give-up.left-and-done', {
                          left: say('measure.kg', { kg: tenthsUnderTen(one.firstClassUndoneKg) }),
                          done: say('measure.kg', { kg: tenthsUnderTen(one.firstClassDoneKg) }),
                        })}
                      </td>
                    </>
                  )}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </details>
  );
}
