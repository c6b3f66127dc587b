import { say, useSay } from '../text/say';
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
  {
    get name() {
      return say('years-panel.crop');
    },
    get tells() {
      return say('years-panel.fruits-finished');
    },
    of: (y) => y.fruits,
    say: (v) => `${Math.round(v)}`,
  },
  {
    get name() {
      return say('years-panel.first-class');
    },
    get tells() {
      return say('years-panel.of-them-fruits-that-size');
    },
    of: (y) => y.firstClassFruits,
    say: (v) => `${Math.round(v)}`,
  },
  {
    get name() {
      return say('years-panel.in-shade');
    },
    get tells() {
      return say('years-panel.fruiting-places-with-less-light');
    },
    of: (y) => y.underFruitLight,
    say: percent,
  },
  {
    get name() {
      return say('years-panel.growth');
    },
    get tells() {
      return say('years-panel.mean-length-of-ends-and');
    },
    of: (y) => y.extension_cm,
    say: (v) => say('years-panel.v-cm', { v: Math.round(v) }),
  },
  {
    get name() {
      return say('years-panel.regrowth');
    },
    get tells() {
      return say('years-panel.shoots-from-wounds-and-rank');
    },
    of: (y) => y.sprouts,
    say: (v) => `${Math.round(v)}`,
  },
  {
    get name() {
      return say('years-panel.height');
    },
    get tells() {
      return say('years-panel.top-of-the-tree');
    },
    of: (y) => y.height_m,
    say: (v) => say('measure.m', { m: Math.round(10 * v) / 10 }),
  },
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
  const say = useSay();
  if (come.error) return <Failed error={come.error} />;
  if (!come.years) return <Loading what={say('years-panel.growing-the-tree-on')} />;
  const years = come.years;
  return (
    <div className="px-5 py-3 text-[14px]">
      <p>
        {marks === 0
          ? say('years-panel.nothing-is-marked-yet-both')
          : say('years-panel.the-tree-with-its-marks', { marks })}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
        <label className="flex items-center gap-2">
          {say('years-panel.look-ahead')}
          <select
            value={count}
            onChange={(event) => {
              onCount(Number(event.target.value));
            }}
            className="min-h-8 rounded-md border border-muted/50 bg-paper px-1.5"
          >
            {[1, 2, 3, 4, 5].map((n) => (
              <option key={n} value={n}>
                {n === 1 ? say('years-panel.one-year') : say('years-panel.n-years', { n })}
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
          {say('years-panel.fruit-thinned-by-hand')}
        </label>
      </div>
      <ul className="mt-2 flex gap-5 text-[13px] text-muted">
        <li className="flex items-center gap-1.5">
          <span className="h-[3px] w-5 bg-ink" /> {say('years-panel.as-marked')}
        </li>
        <li className="flex items-center gap-1.5">
          <span className="w-5 border-t-[3px] border-dotted border-muted" /> {say('years-panel.left-alone')}
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
      <p className="mt-3 text-[12.5px] text-muted">{say('years-panel.expected-by-a-growth-model')}</p>
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
  const say = useSay();
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
        aria-label={say('years-panel.name-tells-as-marked-marked', {
          name: curve.name,
          tells: curve.tells,
          marked: marked
            .map((r, i) =>
              say('years-panel.year-i-say-between-say2', {
                i: i + 1,
                say: curve.say(r.middle),
                say2: curve.say(r.low),
                say3: curve.say(r.high),
              }),
            )
            .join('; '),
          alone: alone
            .map((r, i) => say('years-panel.year-i-say', { i: i + 1, say: curve.say(r.middle) }))
            .join('; '),
        })}
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
              {say('years-panel.year-i', { i: i + 1 })}
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
          {say('years-panel.say-to-say2', { say: curve.say(last.low), say2: curve.say(last.high) })}
        </text>
        <text x={WIDE - RIGHT + 6} y={56} className="fill-muted text-[11px]">
          {say('years-panel.alone-say', { say: curve.say(lastAlone.middle) })}
        </text>
      </svg>
    </figure>
  );
}
