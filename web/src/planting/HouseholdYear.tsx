import { locale } from '../text/language';
import { useSay } from '../text/say';
import { monthsOf, type HouseholdTold } from './household';

const SOME_YEAR = 2027;
const MARKS: Record<string, string> = { gap: '▽', glut: '△' };

/** Fruit of every month against what the house wants, gaps and gluts marked by shape. */
export function HouseholdYear({ told, names }: { told: HouseholdTold; names: readonly string[] }) {
  const say = useSay();
  const short = new Intl.DateTimeFormat(locale(), { month: 'narrow' });
  const long = new Intl.DateTimeFormat(locale(), { month: 'long' });
  const month = (number: number) => long.format(new Date(SOME_YEAR, number - 1, 1));
  const list = (verdict: string) => new Intl.ListFormat(locale()).format(monthsOf(told, verdict).map(month));
  const wanted = told.months[0]?.wanted ?? 0;
  const most = Math.max(1, 1.6 * wanted, ...told.months.map((one) => one.kg)) * 1.08;
  const gaps = list('gap');
  const gluts = list('glut');
  const evergreens = told.trees.flatMap((one, i) => (one.pickedFrom ? [] : [names[i] ?? '']));
  return (
    <section aria-label={say('household.year')}>
      <p className="text-[17px]">
        <b>{say('household.kg-a-year', { amount: told.kgAYear })}</b>{' '}
        {told.wantedAYear != null && say('household.wanted-a-year', { amount: told.wantedAYear })}
      </p>
      <div className="relative mt-3 grid h-56 grid-cols-12 items-end gap-1 border-b-2 border-ink">
        {told.months.map((one) => (
          <div
            key={one.month}
            className="flex h-full flex-col items-center justify-end"
            title={say('household.month', { month: month(one.month), amount: one.kg })}
          >
            <span className="text-[13px] leading-tight font-semibold text-lichen" aria-hidden>
              {MARKS[one.verdict] ?? ''}
            </span>
            {one.kg >= 0.5 && <span className="text-[13px] leading-tight">{Math.round(one.kg)}</span>}
            <span
              className={`w-full ${one.verdict === 'glut' ? 'bg-moss/60' : 'bg-moss'}`}
              style={{ height: `${(86 * one.kg) / most}%` }}
            />
          </div>
        ))}
        <span
          className="pointer-events-none absolute right-0 left-0 border-t-2 border-dashed border-tape"
          style={{ bottom: `${(86 * wanted) / most}%` }}
          aria-hidden
        />
      </div>
      <div className="grid grid-cols-12 gap-1 text-center text-[13px] text-muted" aria-hidden>
        {told.months.map((one) => (
          <span key={one.month}>{short.format(new Date(SOME_YEAR, one.month - 1, 1))}</span>
        ))}
      </div>
      <p className="pt-1 text-[13px] text-muted">{say('household.chart', { amount: wanted })}</p>
      <ul className="pt-2 text-[15px]">
        {gaps && <li>▽ {say('household.gaps', { months: gaps })}</li>}
        {gluts && <li>△ {say('household.gluts', { months: gluts })}</li>}
        {!gaps && !gluts && <li>{say('household.even')}</li>}
        {evergreens.length > 0 && (
          <li className="text-muted">
            {say('household.not-by-month', { names: new Intl.ListFormat(locale()).format(evergreens) })}
          </li>
        )}
      </ul>
    </section>
  );
}
