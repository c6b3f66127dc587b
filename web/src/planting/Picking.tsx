import type { PlantingOption, PlantingsCompared } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { bars, dateOf, shareOfYear } from './picking';

const MONTHS = 12;
const SOME_YEAR = 2027;
const percent = (share: number) => `${100 * share}%`;

/** When each option blooms and is picked, what it needs to set, and when nothing is picked in between. */
export function Picking({ compared }: { compared: PlantingsCompared }) {
  const say = useSay();
  const day = new Intl.DateTimeFormat(locale(), { day: 'numeric', month: 'short', timeZone: 'UTC' });
  const month = new Intl.DateTimeFormat(locale(), { month: 'narrow' });
  const said = (sent: string) => day.format(dateOf(sent));
  return (
    <section className="mt-6 border-t border-line pt-2" aria-label={say('picking-times.title')}>
      <h3 className="font-semibold">{say('picking-times.title')}</h3>
      <div className="mt-1 grid grid-cols-12 text-[12px] text-muted" aria-hidden>
        {Array.from({ length: MONTHS }, (_, i) => (
          <span key={i} className="border-l border-line pl-1">
            {month.format(new Date(SOME_YEAR, i, 1))}
          </span>
        ))}
      </div>
      <ul>
        {compared.options.map((one) => (
          <li key={one.name} className="border-b border-line py-1">
            <Year times={one.times} />
            <p className="text-[14px]">
              <b className="font-display">{one.name}</b>{' '}
              {one.times
                ? say('picking-times.facts', {
                    bloom: said(one.times.bloom),
                    from: said(one.times.pickedFrom),
                    to: said(one.times.pickedTo),
                  })
                : say('picking-times.evergreen')}{' '}
              <span className="text-muted">{one.pollination}</span>
            </p>
          </li>
        ))}
      </ul>
      {compared.gaps.map((gap) => (
        <p key={gap.from} className="mt-1 text-[14px]">
          {say('picking-times.gap', { from: said(gap.from), to: said(gap.to) })}
        </p>
      ))}
      <p className="mt-1 text-[13px] text-muted">{say('picking-times.note')}</p>
    </section>
  );
}

/** A year of an option from January on: a ring for bloom, a bar for picking; empty where no days are told. */
function Year({ times }: { times: PlantingOption['times'] }) {
  return (
    <div className="relative h-5 bg-sand" aria-hidden>
      {times && (
        <>
          {bars(times.pickedFrom, times.pickedTo).map((bar) => (
            <span
              key={bar.from}
              className="absolute top-1 h-3 bg-moss"
              style={{ left: percent(bar.from), width: percent(bar.length) }}
            />
          ))}
          <span
            className="absolute top-1 size-3 -translate-x-1/2 rounded-full border-2 border-ink bg-paper"
            style={{ left: percent(shareOfYear(times.bloom)) }}
          />
        </>
      )}
    </div>
  );
}
