import { inUnits, type Unit } from '../text/units';
import { locale } from '../text/language';
import { say, useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { fixed, typedNumber } from '../ui/numbers';
import { useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type BlockYear, type YearsOfBlock } from '../api/client';
import { Failed } from '../ui/States';
import { percent } from '../ui/words';
import { YearBars } from './YearBars';

/** A figure in the reader's units; null where there is none. */
function inReaders(metric: number | null | undefined, unit: Unit): number | null {
  return metric == null ? null : inUnits(metric, unit);
}

const COST_KEY = 'umbel.cost-of-an-hour';
const SHOWN = 6;

/** What an hour of work costs here; kept in this browser, since wages are nobody else's business. */
function useCost() {
  const [cost, set] = useState(() => localStorage.getItem(COST_KEY) ?? '');
  return {
    text: cost,
    anHour: typedNumber(cost) || 0,
    set: (next: string) => {
      set(next);
      localStorage.setItem(COST_KEY, next);
    },
  };
}

function CostField({ cost }: { cost: ReturnType<typeof useCost> }) {
  const say = useSay();
  return (
    <label className="flex items-center gap-2 text-[14px]">
      {say('years-parts.an-hour-costs')}
      <input
        inputMode="decimal"
        value={cost.text}
        onChange={(event) => {
          cost.set(event.target.value);
        }}
        className="min-h-9 w-20 rounded-md border border-muted/50 bg-paper px-2"
      />
    </label>
  );
}

/** A block's work, light, growth and crop over the years. */
export function YearsOfABlock({ id }: { id: number }) {
  const say = useSay();
  const cost = useCost();
  const years = useQuery({
    queryKey: ['years', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/years', { params: { path: { id } } })),
  });
  return (
    <section aria-labelledby="years" className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
        <h2 id="years" className="text-[20px] font-bold">
          {say('years-parts.over-the-years')}
        </h2>
        <CostField cost={cost} />
      </div>
      {years.isPending && <p className="py-3 text-muted">{say('years-parts.adding-up')}</p>}
      {years.isError && <Failed error={years.error} retry={() => void years.refetch()} />}
      {years.data?.years.length === 0 && (
        <p className="py-3 text-muted">{say('years-parts.nothing-yet-visits-surveys-and')}</p>
      )}
      {years.data && <Plots years={years.data.years} anHour={cost.anHour} />}
    </section>
  );
}

interface Plot {
  name: string;
  tells: string;
  of: (year: BlockYear) => number | null | undefined;
  say: (value: number) => string;
  tone: string;
}

const whole = (value: number) => Math.round(value).toLocaleString(locale());

/** What a year came to, as bars; cost only where an hour's cost is told. */
function plots(anHour: number): Plot[] {
  const hours = (year: BlockYear) => (year.visits > 0 ? year.minutes / 60 : null);
  const cost = (year: BlockYear) => (hours(year) ?? 0) * anHour;
  const work: Plot[] = [
    {
      name: say('years-parts.crop'),
      tells: say('years-parts.kilograms-picked'),
      of: (year) => inReaders(year.crop_kg, 'kg'),
      say: whole,
      tone: 'bg-moss',
    },
    {
      name: say('years-parts.work'),
      tells: say('years-parts.hours-recorded'),
      of: hours,
      say: (value) => fixed(value, 1),
      tone: 'bg-ink',
    },
  ];
  const money: Plot[] = [
    {
      name: say('years-parts.cost'),
      tells: say('years-parts.of-that-work'),
      of: (year) => (year.visits > 0 ? cost(year) : null),
      say: whole,
      tone: 'bg-ink',
    },
    {
      name: say('years-parts.cost-of-the-crop'),
      tells: say('years-parts.pruning-for-100-kg'),
      of: (year) => (year.visits > 0 && year.crop_kg ? (100 * cost(year)) / year.crop_kg : null),
      say: (value) => fixed(value, 2),
      tone: 'bg-ink',
    },
  ];
  const trees: Plot[] = [
    {
      name: say('years-parts.shade-before'),
      tells: say('years-parts.fruiting-wood-under-30-light'),
      of: (year) => year.shadeBefore,
      say: percent,
      tone: 'bg-lichen',
    },
    {
      name: say('years-parts.shade-after'),
      tells: say('years-parts.the-same-once-cut'),
      of: (year) => year.shadeAfter,
      say: percent,
      tone: 'bg-lichen',
    },
    {
      name: say('years-parts.growth'),
      tells: say('years-parts.cm-of-last-season-on'),
      of: (year) => inReaders(year.extension_cm, 'cm'),
      say: whole,
      tone: 'bg-tape',
    },
    {
      name: say('years-parts.thinned'),
      tells: say('years-parts.fruits-taken-off'),
      of: (year) => year.thinned,
      say: whole,
      tone: 'bg-moss',
    },
  ];
  return [...work, ...(anHour > 0 ? money : []), ...trees];
}

function Plots({ years, anHour }: { years: BlockYear[]; anHour: number }) {
  const shown = years.slice(-SHOWN);
  const by = new Map(shown.map((one) => [one.year, one]));
  return (
    <div className="grid grid-cols-3 gap-x-8 gap-y-5 pt-3 max-lg:grid-cols-2 max-sm:grid-cols-1">
      {plots(anHour).map((plot) => (
        <YearBars
          key={plot.name}
          name={plot.name}
          tells={plot.tells}
          years={shown.map((one) => one.year)}
          of={(year) => {
            const one = by.get(year);
            return one ? (plot.of(one) ?? null) : null;
          }}
          write={plot.say}
          tone={plot.tone}
        />
      ))}
    </div>
  );
}

/** The holding over the years; added up only when somebody looks, since a large one takes a while. */
export function YearsOfTheHolding() {
  const say = useSay();
  const [open, setOpen] = useState(false);
  return (
    <details
      className="mt-8"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="font-display text-[20px] font-bold">
        {say('years-parts.the-holding-over-the-years')}
      </summary>
      {open && <AllYears />}
    </details>
  );
}

/** Its work, crop and cost by year, and its blocks in the year that is chosen. */
function AllYears() {
  const say = useSay();
  const cost = useCost();
  const years = useQuery({ queryKey: ['years'], queryFn: () => answer(api.GET('/api/years')) });
  const [chosen, setChosen] = useState<number | null>(null);
  const blocks = years.data ?? [];
  const all = [...new Set(blocks.flatMap((block) => block.years.map((one) => one.year)))].sort(
    (a, b) => a - b,
  );
  const shown = all.slice(-SHOWN);
  const year = chosen ?? shown[shown.length - 1];
  const sum = (of: (one: BlockYear) => number) => (name: number) => {
    const found = blocks.flatMap((block) => block.years.filter((one) => one.year === name)).map(of);
    const total = found.reduce((a, b) => a + b, 0);
    return total > 0 ? total : null;
  };
  if (years.isError) return <Failed error={years.error} retry={() => void years.refetch()} />;
  if (years.isPending) return <p className="py-3 text-muted">{say('years-parts.adding-up')}</p>;
  if (all.length === 0)
    return <p className="py-3 text-muted">{say('years-parts.nothing-is-written-down-yet')}</p>;
  return (
    <section
      aria-label={say('years-parts.the-holding-over-the-years')}
      className="border-t-2 border-ink pt-2"
    >
      <CostField cost={cost} />
      <div className="grid grid-cols-3 gap-x-8 gap-y-5 pt-3 max-lg:grid-cols-2 max-sm:grid-cols-1">
        <YearBars
          name={say('name.crop')}
          tells={say('years-parts.kilograms-picked')}
          years={shown}
          of={sum((one) => inUnits(one.crop_kg ?? 0, 'kg'))}
          write={(value) => Math.round(value).toLocaleString(locale())}
        />
        <YearBars
          name={say('name.work')}
          tells={say('years-parts.hours-recorded')}
          years={shown}
          of={sum((one) => one.minutes / 60)}
          write={(value) => fixed(value, 1)}
          tone="bg-ink"
        />
        {cost.anHour > 0 && (
          <YearBars
            name={say('name.cost')}
            tells={say('years-parts.of-that-work')}
            years={shown}
            of={sum((one) => (one.minutes / 60) * cost.anHour)}
            write={(value) => Math.round(value).toLocaleString(locale())}
            tone="bg-ink"
          />
        )}
      </div>
      <label className="mt-4 flex items-center gap-2 text-[14px]">
        {say('years-parts.block-by-block-in')}
        <select
          value={year}
          onChange={(event) => {
            setChosen(Number(event.target.value));
          }}
          className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
        >
          {all.map((one) => (
            <option key={one} value={one}>
              {one}
            </option>
          ))}
        </select>
      </label>
      <ByBlock blocks={blocks} year={year ?? 0} anHour={cost.anHour} />
    </section>
  );
}

function ByBlock({ blocks, year, anHour }: { blocks: YearsOfBlock[]; year: number; anHour: number }) {
  const say = useSay();
  const rows = blocks
    .map((block) => ({ block, of: block.years.find((one) => one.year === year) }))
    .filter((row) => row.of !== undefined);
  const cell = 'py-1 pr-4 text-right tabular-nums';
  return (
    <table className="mt-2 w-full max-w-[820px] text-[14px]">
      <thead>
        <tr className="border-b border-line text-right text-[12.5px] text-muted">
          <th className="text-left font-normal">{say('years-parts.block')}</th>
          <th className="pr-4 font-normal">{say('years-parts.trees-visited')}</th>
          <th className="pr-4 font-normal">{say('years-parts.hours')}</th>
          {anHour > 0 && <th className="pr-4 font-normal">{say('years-parts.cost-2')}</th>}
          <th className="pr-4 font-normal">{say('years-parts.crop-kg')}</th>
          <th className="pr-4 font-normal">{say('years-parts.shade-before-after')}</th>
          <th className="pr-4 font-normal">{say('years-parts.growth-cm')}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ block, of }) => (
          <tr key={block.blockId} className="border-b border-line">
            <th scope="row" className="text-left font-normal">
              <Link to={`/blocks/${block.blockId}`} className="underline underline-offset-4">
                {block.block}
              </Link>
            </th>
            <td className={cell}>{of?.trees === 0 ? '–' : of?.trees}</td>
            <td className={cell}>{of && of.visits > 0 ? fixed(of.minutes / 60, 1) : '–'}</td>
            {anHour > 0 && (
              <td className={cell}>
                {of && of.visits > 0 ? Math.round((of.minutes / 60) * anHour).toLocaleString(locale()) : '–'}
              </td>
            )}
            <td className={cell}>
              {of?.crop_kg == null ? '–' : Math.round(inUnits(of.crop_kg, 'kg')).toLocaleString(locale())}
            </td>
            <td className={cell}>
              {of?.shadeBefore == null || of.shadeAfter == null
                ? '–'
                : `${percent(of.shadeBefore)} → ${percent(of.shadeAfter)}`}
            </td>
            <td className={cell}>
              {of?.extension_cm == null ? '–' : Math.round(inUnits(of.extension_cm, 'cm'))}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
