const DAYS = 365;
const SOME_YEAR = 2027;
const DAY_MS = 86_400_000;

/** The date of a day of the year as it is sent, like <code>--04-28</code>, in some year. */
export function dateOf(day: string): Date {
  const [month = 1, date = 1] = day.split('-').slice(2).map(Number);
  return new Date(Date.UTC(SOME_YEAR, month - 1, date));
}

/** How far through the year a day lies, 0…1. */
export function shareOfYear(day: string): number {
  return (dateOf(day).getTime() - Date.UTC(SOME_YEAR, 0, 1)) / DAY_MS / DAYS;
}

/** A span of days as bars of a year, each from and how long, 0…1; two where it runs over New Year. */
export function bars(from: string, to: string): { from: number; length: number }[] {
  const start = shareOfYear(from);
  const end = shareOfYear(to) + 1 / DAYS;
  return end > start
    ? [{ from: start, length: end - start }]
    : [
        { from: start, length: 1 - start },
        { from: 0, length: end },
      ];
}
