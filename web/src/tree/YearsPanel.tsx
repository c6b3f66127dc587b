import type { Range, Year, Years } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { percent } from '../ui/words';
import type { Ahead, YearsToCome } from './useYears';

interface Curve {
  name: string;
  tells: string;
  of: (year: Year) => Range;
  say: (value: number) => string;
}

const CURVES: Curve[] = [
  { name: 'Crop', tells: 'fruits finished', of: (y) => y.fruits, say: (v) => `${Math.round(v)}` },
  {
    name: 'First class',
    tells: 'of them, fruits that size and colour',
    of: (y) => y.firstClassFruits,
    say: (v) => `${Math.round(v)}`,
  },
  {
    name: 'In shade',
    tells: 'fruiting places with less light than fruit needs',
    of: (y) => y.underFruitLight,
    say: percent,
  },
  {
    name: 'Growth',
    tells: 'mean length of ends and new shoots',
    of: (y) => y.extension_cm,
    say: (v) => `${Math.round(v)} cm`,
  },
  {
    name: 'Regrowth',
    tells: 'shoots from wounds, and rank uprights',
    of: (y) => y.sprouts,
    say: (v) => `${Math.round(v)}`,
  },
  { name: 'Height', tells: 'top of the tree', of: (y) => y.height_m, say: (v) => `${v.toFixed(1)} m` },
];

interface Props {
  come: YearsToCome;
  marks: number;
  count: number;
  onCount: (count: number) => void;
  thinned: boolean;
  onThinned: (on: boolean) => void;
  ahead: Ahead | null;
  onAhead: (ahead: Ahead | null) => void;
}

/** What the tree is expected to do: as marked and left alone, year by year, each figure as a range. */
export function YearsPanel({ come, marks, count, onCount, thinned, onThinned, ahead, onAhead }: Props) {
  if (come.error) return <Failed error={come.error} />;
  if (!come.years) return <Loading what="Growing the tree on…" />;
  const years = come.years;
  return (
    <div className="px-5 py-3 text-[14px]">
      <p>
        {marks === 0
          ? 'Nothing is marked yet: both lines are the tree left alone.'
          : `The tree with its ${marks} ${marks === 1 ? 'mark' : 'marks'}, beside the same tree left alone.`}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <label className="flex items-center gap-2">
          Look ahead
          <select
            value={count}
            onChange={(event) => {
              onCount(Number(event.target.value));
            }}
            className="min-h-8 rounded-md border border-muted/50 bg-paper px-1.5"
          >
            {[1, 2, 3, 4, 5].map((n) => (
              <option key={n} value={n}>
                {n === 1 ? 'one year' : `${n} years`}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            checked={thinned}
            onChange={(event) => {
              onThinned(event.target.checked);
            }}
          />
          fruit thinned by hand
        </label>
      </div>
      <ul className="mt-2 flex gap-5 text-[13px] text-muted">
        <li className="flex items-center gap-1.5">
          <span className="h-[3px] w-5 bg-ink" /> as marked
        </li>
        <li className="flex items-center gap-1.5">
          <span className="w-5 border-t-[3px] border-dotted border-muted" /> left alone
        </li>
      </ul>
      <div className={come.waiting ? 'opacity-60' : ''} aria-busy={come.waiting}>
        {CURVES.map((curve) => (
          <Chart
            key={curve.name}
            curve={curve}
            years={years}
            chosen={ahead?.year ?? null}
            onYear={(year) => {
              onAhead({ year, alone: ahead?.alone ?? false });
            }}
          />
        ))}
      </div>
      <p className="mt-3 text-[12.5px] text-muted">
        Expected by a growth model, not measured. The shaded band is between a harder and a kinder run of
        seasons. It does not know hail, frost, drought or disease.
      </p>
    </div>
  );
}

const WIDE = 350;
const TALL = 74;
const LEFT = 6;
const RIGHT = 96;

function Chart({
  curve,
  years,
  chosen,
  onYear,
}: {
  curve: Curve;
  years: Years;
  chosen: number | null;
  onYear: (year: number) => void;
}) {
  const marked = years.marked.map(curve.of);
  const alone = years.alone.map(curve.of);
  const most = Math.max(1e-6, ...marked.map((r) => r.high), ...alone.map((r) => r.high));
  const x = (i: number) => LEFT + ((i + 0.5) * (WIDE - LEFT - RIGHT)) / marked.length;
  const y = (value: number) => TALL - 16 - (value / most) * (TALL - 24);
  const line = (ranges: Range[]) => ranges.map((r, i) => `${x(i)},${y(r.middle)}`).join(' ');
  const band = [
    ...marked.map((r, i) => `${x(i)},${y(r.high)}`),
    ...marked.map((r, i) => `${x(i)},${y(r.low)}`).reverse(),
  ].join(' ');
  const last = marked[marked.length - 1];
  const lastAlone = alone[alone.length - 1];
  if (!last || !lastAlone) return null;
  return (
    <figure className="mt-2 border-t border-line pt-1.5">
      <figcaption className="flex items-baseline justify-between">
        <b>{curve.name}</b>
        <span className="text-[12.5px] text-muted">{curve.tells}</span>
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDE} ${TALL}`}
        className="block w-full"
        role="img"
        aria-label={`${curve.name}, ${curve.tells}. As marked: ${marked.map((r, i) => `year ${i + 1} ${curve.say(r.middle)}, between ${curve.say(r.low)} and ${curve.say(r.high)}`).join('; ')}. Left alone: ${alone.map((r, i) => `year ${i + 1} ${curve.say(r.middle)}`).join('; ')}.`}
      >
        {marked.map((_, i) => (
          <g
            key={i}
            onClick={() => {
              onYear(i + 1);
            }}
            className="cursor-pointer"
          >
            <rect
              x={x(i) - (WIDE - LEFT - RIGHT) / marked.length / 2}
              y={0}
              width={(WIDE - LEFT - RIGHT) / marked.length}
              height={TALL}
              className={chosen === i + 1 ? 'fill-sand' : 'fill-transparent'}
            />
            <text x={x(i)} y={TALL - 3} textAnchor="middle" className="fill-muted text-[10.5px]">
              year {i + 1}
            </text>
          </g>
        ))}
        <polygon points={band} className="pointer-events-none fill-ink opacity-15" />
        <polyline
          points={line(alone)}
          fill="none"
          strokeDasharray="1 5"
          strokeLinecap="round"
          className="pointer-events-none stroke-muted"
          strokeWidth={3}
        />
        <polyline
          points={line(marked)}
          fill="none"
          className="pointer-events-none stroke-ink"
          strokeWidth={2.2}
        />
        {marked.map((r, i) => (
          <circle key={i} cx={x(i)} cy={y(r.middle)} r={3} className="pointer-events-none fill-ink" />
        ))}
        <text x={WIDE - RIGHT + 6} y={26} className="fill-ink text-[14px] font-semibold">
          {curve.say(last.middle)}
        </text>
        <text x={WIDE - RIGHT + 6} y={41} className="fill-muted text-[11px]">
          {curve.say(last.low)} to {curve.say(last.high)}
        </text>
        <text x={WIDE - RIGHT + 6} y={56} className="fill-muted text-[11px]">
          alone {curve.say(lastAlone.middle)}
        </text>
      </svg>
    </figure>
  );
}
