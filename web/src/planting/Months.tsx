import type { PlantingOption } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { inUnits } from '../text/units';

const TALLEST_PX = 56;
const SOME_YEAR = 2027;

/** Hours of a full year by month, a bar a month with its figure. */
export function Months({ option }: { option: PlantingOption }) {
  const say = useSay();
  const hoursByMonth = option.hoursByMonth.map((hours) => inUnits(hours, 'perHa'));
  const most = Math.max(1, ...hoursByMonth);
  const month = new Intl.DateTimeFormat(locale(), { month: 'narrow' });
  return (
    <section aria-label={say('plantings.hours-by-month')} className="mt-3">
      <h4 className="text-[13.5px] text-muted">{say('plantings.hours-by-month')}</h4>
      <ol className="flex items-end gap-1">
        {hoursByMonth.map((hours, i) => (
          <li key={i} className="flex-1 text-center text-[12px]">
            {hours >= 0.5 && Math.round(hours).toLocaleString(locale())}
            <span
              aria-hidden
              className="mx-auto block w-full bg-moss"
              style={{ height: (TALLEST_PX * hours) / most }}
            />
            <span className="text-muted">{month.format(new Date(SOME_YEAR, i, 1))}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
