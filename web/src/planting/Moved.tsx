import type { PlantingOption } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { inUnits } from '../text/units';

/** What one thing moved at a time does to the value: the widest first. */
export function Moved({ option }: { option: PlantingOption }) {
  const say = useSay();
  const names: Record<string, string> = {
    price: say('plantings.price'),
    yield: say('plantings.yield'),
    wage: say('plantings.wage'),
    capital: say('plantings.capital'),
    interest: say('plantings.interest'),
    delay: say('plantings.a-year-late'),
  };
  const ends = option.sensitivity.flatMap((one) => [one.npvLow, one.npvHigh]);
  const low = Math.min(0, option.npv, ...ends);
  const high = Math.max(0, option.npv, ...ends);
  const at = (value: number) => (100 * (value - low)) / Math.max(1, high - low);
  return (
    <section aria-label={say('plantings.what-moves', { name: option.name })}>
      <h3 className="text-[15px] font-semibold">{say('plantings.what-moves', { name: option.name })}</h3>
      <ul>
        {option.sensitivity.map((one) => {
          const from = Math.min(one.npvLow, one.npvHigh);
          const to = Math.max(one.npvLow, one.npvHigh);
          return (
            <li key={one.what} className="grid grid-cols-[120px_1fr_150px] items-center gap-2 text-[13.5px]">
              <span>{names[one.what] ?? one.what}</span>
              <span className="relative h-4 bg-sand" aria-hidden>
                <span
                  className="absolute inset-y-0.5 bg-moss"
                  style={{ left: `${at(from)}%`, width: `${Math.max(0.5, at(to) - at(from))}%` }}
                />
                <span className="absolute inset-y-0 w-px bg-ink" style={{ left: `${at(option.npv)}%` }} />
              </span>
              <span className="text-right">
                {say('instruction.range', { low: compact(from), high: compact(to) })}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function compact(value: number): string {
  return inUnits(value, 'perHa').toLocaleString(locale(), { notation: 'compact', maximumFractionDigits: 1 });
}
