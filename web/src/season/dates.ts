import { tenthsUnderTen, showNumber } from '../ui/numbers';
import { locale } from '../text/language';
const DAY = 86_400_000;

/** Days from one ISO date to another. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY);
}

/** An ISO date so many days on. */
export function plusDays(iso: string, days: number): string {
  return new Date(Date.parse(iso) + days * DAY).toISOString().slice(0, 10);
}

/** Monday 23 Nov, in the reader's own way of writing. */
export function dayName(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString(locale(), {
    weekday: 'long',
    day: 'numeric',
    month: 'short',
  });
}

/** 23 Nov. */
export function shortDay(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString(locale(), { day: 'numeric', month: 'short' });
}

/** The first days of the months in a stretch of time, with the month's short name. */
export function monthStarts(from: string, to: string): { at: number; name: string }[] {
  const starts: { at: number; name: string }[] = [];
  const span = daysBetween(from, to);
  for (let day = 0; day <= span; day++) {
    const iso = plusDays(from, day);
    if (iso.endsWith('-01')) {
      starts.push({
        at: day,
        name: new Date(`${iso}T12:00:00`).toLocaleDateString(locale(), { month: 'short' }),
      });
    }
  }
  return starts;
}

/** Hours as a person says them. */
export function hours(count: number): string {
  return `${showNumber(tenthsUnderTen(count))} h`;
}
