import { term } from '../text/term';
import { inUnits } from '../text/units';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import type { SeasonPage, WeatherLine } from '../api/client';
import { daysBetween, plusDays } from './dates';
import { VERDICTS } from './verdicts';

const DAYS = 14;
const WET = 1;

interface Props {
  page: SeasonPage;
  start: string;
  chosen: string;
  choose: (day: string) => void;
}

/** Two weeks day by day: the weather of each holding, and what each block may have done. */
export function Fortnight({ page, start, chosen, choose }: Props) {
  const say = useSay();
  const days = Array.from({ length: DAYS }, (_, i) => plusDays(start, i));
  return (
    <div
      className="overflow-x-auto"
      tabIndex={0}
      role="region"
      aria-label={say('fortnight.two-weeks-day-by-day')}
    >
      <table className="w-full min-w-[720px] border-collapse text-[13px]">
        <thead>
          <tr>
            <th className="w-[112px] text-left font-normal text-muted">{say('fortnight.day-by-day')}</th>
            {days.map((iso) => (
              <th key={iso} className="p-0 font-normal">
                <button
                  type="button"
                  aria-pressed={iso === chosen}
                  aria-label={say('fortnight.choose-iso', { iso })}
                  onClick={() => {
                    choose(iso);
                  }}
                  className={`w-full rounded-t-md py-1 leading-tight ${iso === chosen ? 'bg-ink text-paper' : 'hover:bg-sand'}`}
                >
                  <span className="block text-[12px]">
                    {new Date(`${iso}T12:00:00`).toLocaleDateString(locale(), { weekday: 'short' })}
                  </span>
                  <b>{Number(iso.slice(8))}</b>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        {page.weather.map((holding) => (
          <tbody key={holding.holdingId}>
            <tr className="border-t-2 border-ink align-bottom">
              <th scope="row" className="pr-2 py-1 text-left font-semibold">
                {holding.holding.split(' ').slice(0, 2).join(' ')}
              </th>
              {days.map((iso) => (
                <td key={iso} className={`px-0.5 py-1 text-center ${iso === chosen ? 'bg-sand' : ''}`}>
                  <DayWeather day={holding.days.find((one) => one.date === iso)} />
                </td>
              ))}
            </tr>
            {page.blocks
              .filter((block) => block.holdingId === holding.holdingId)
              .map((block) => (
                <tr key={block.id} className="border-t border-line">
                  <th scope="row" className="truncate py-0.5 pr-2 text-left font-normal">
                    {block.name}
                  </th>
                  {days.map((iso) => {
                    const span = block.spans.find(
                      (one) => daysBetween(one.from, iso) >= 0 && daysBetween(iso, one.to) >= 0,
                    );
                    const look = VERDICTS[span?.verdict ?? 'not'];
                    return (
                      <td
                        key={iso}
                        className={`px-0.5 text-center ${iso === chosen ? 'bg-sand' : ''}`}
                        title={span ? `${iso}: ${span.reason}` : iso}
                      >
                        <svg
                          viewBox="0 0 20 16"
                          className="mx-auto h-4 w-5"
                          role="img"
                          aria-label={look?.word}
                        >
                          <rect
                            x={4}
                            width={12}
                            y={15 - (look?.height ?? 0) * 14}
                            height={(look?.height ?? 0) * 14}
                            className={look?.fill}
                          />
                        </svg>
                      </td>
                    );
                  })}
                </tr>
              ))}
          </tbody>
        ))}
      </table>
    </div>
  );
}

function DayWeather({ day }: { day: WeatherLine | undefined }) {
  const say = useSay();
  if (!day) return <span className="text-muted">·</span>;
  const guess = day.kind === 'usual';
  return (
    <span className={`block leading-tight ${guess ? 'text-muted' : ''}`}>
      <span className="block">
        {Math.round(inUnits(day.max, 'degC'))}°{' '}
        <span className="text-muted">{Math.round(inUnits(day.min, 'degC'))}°</span>
      </span>
      <span className={`block text-[12px] ${day.rain >= WET ? 'font-semibold' : 'text-muted'}`}>
        {guess
          ? ''
          : day.rain >= WET
            ? say('fortnight.rain-mm', { rain: Math.round(day.rain) })
            : term('dry')}
      </span>
    </span>
  );
}
