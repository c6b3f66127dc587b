import { locale } from '../text/language';
import { apart, short } from './labels';
import { ticks } from './request';

const WIDTH = 420;
const HEIGHT = 200;
const LEFT = 48;
const TOP = 12;
const BOTTOM = 26;
const LONGEST_NAME = 14;
const LETTER = 8;
const NAME_GAP = 13;
const DASHES = ['', '7 4', '2 3', '10 3 2 3', '4 2', '1 4'];

/** Several courses over the years, told apart by their strokes and by their names at the end, not by colour alone. */
export function Lines({
  title,
  lines,
}: {
  title: string;
  lines: readonly { name: string; values: readonly number[] }[];
}) {
  const all = lines.flatMap((one) => one.values);
  const low = Math.min(0, ...all);
  const high = Math.max(1, ...all);
  const years = Math.max(1, ...lines.map((one) => one.values.length - 1));
  const names = lines.map((one) => short(one.name, LONGEST_NAME));
  const right = 12 + LETTER * Math.max(1, ...names.map((name) => name.length));
  const x = (year: number) => LEFT + ((WIDTH - LEFT - right) * year) / years;
  const y = (value: number) => TOP + ((HEIGHT - TOP - BOTTOM) * (high - value)) / (high - low);
  const nameAt = apart(
    lines.map((one) => y(one.values.at(-1) ?? 0)),
    NAME_GAP,
    TOP,
    HEIGHT - BOTTOM,
  );
  return (
    <figure className="min-w-0">
      <figcaption className="text-[15px] font-semibold">{title}</figcaption>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} role="img" aria-label={title} className="w-full">
        {ticks(low, high).map((mark) => (
          <g key={mark}>
            <line
              x1={LEFT}
              x2={WIDTH - right}
              y1={y(mark)}
              y2={y(mark)}
              className={mark === 0 ? 'stroke-ink' : 'stroke-line'}
              strokeWidth={mark === 0 ? 1.2 : 1}
            />
            <text x={LEFT - 6} y={y(mark) + 4} textAnchor="end" className="fill-muted text-[12px]">
              {mark.toLocaleString(locale(), { notation: 'compact' })}
            </text>
          </g>
        ))}
        {ticks(0, years, 6).map((year) => (
          <text key={year} x={x(year)} y={HEIGHT - 8} textAnchor="middle" className="fill-muted text-[12px]">
            {year}
          </text>
        ))}
        {lines.map((one, i) => (
          <g key={one.name}>
            <polyline
              points={one.values.map((value, year) => `${x(year)},${y(value)}`).join(' ')}
              fill="none"
              className={i === 0 ? 'stroke-moss' : i === 1 ? 'stroke-lichen' : 'stroke-ink'}
              strokeWidth={2.4}
              strokeDasharray={DASHES[i % DASHES.length]}
            />
            <text x={WIDTH - right + 5} y={(nameAt[i] ?? 0) + 4} className="fill-ink text-[13px] font-bold">
              {names[i]}
            </text>
          </g>
        ))}
      </svg>
    </figure>
  );
}
