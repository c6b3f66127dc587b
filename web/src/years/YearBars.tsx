import { useSay } from '../text/say';
/** One measure over the years as bars, each with its figure; a year without it is left open. */
export function YearBars({
  name,
  tells,
  years,
  of,
  write,
  tone = 'bg-moss',
}: {
  name: string;
  tells: string;
  years: number[];
  of: (year: number) => number | null;
  write: (value: number) => string;
  tone?: string;
}) {
  const say = useSay();
  const values = years.map(of);
  const most = Math.max(0, ...values.map((value) => value ?? 0));
  if (values.every((value) => value === null) || most <= 0) return null;
  return (
    <figure className="min-w-0">
      <figcaption className="text-[14px]">
        <b>{name}</b> <span className="text-[13px] text-muted">{tells}</span>
      </figcaption>
      <ol
        className="mt-1 flex h-[104px] items-end gap-2 border-b border-ink"
        aria-label={say('year-bars.name-by-year', { name })}
      >
        {years.map((year, i) => {
          const value = values[i] ?? null;
          return (
            <li key={year} className="flex min-w-0 flex-1 flex-col items-center justify-end text-[12.5px]">
              <span className="whitespace-nowrap tabular-nums">{value === null ? '–' : write(value)}</span>
              <span
                className={`block w-full max-w-[44px] ${value === null ? '' : tone}`}
                style={{ height: `${value === null ? 0 : Math.max(2, (70 * value) / most)}px` }}
              />
            </li>
          );
        })}
      </ol>
      <p className="flex gap-2 text-[12.5px] text-muted" aria-hidden>
        {years.map((year) => (
          <span key={year} className="min-w-0 flex-1 text-center">
            {year}
          </span>
        ))}
      </p>
    </figure>
  );
}
