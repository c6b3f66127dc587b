import { term } from '../text/term';
import { say, useSay } from '../text/say';
import type { CheckedSeason } from '../api/client';
import { day } from '../ui/words';

const MEASURES: Record<string, { name: string; show: (value: number) => string }> = {
  extension: {
    get name() {
      return say('checked-season-table.growth-of-the-limbs');
    },
    show: (value) => say('checked-season-table.value-cm', { value: Math.round(value * 100) }),
  },
  shoots: {
    get name() {
      return say('checked-season-table.one-year-shoots');
    },
    show: (value) => `${Math.round(value)}`,
  },
  'flower-buds': {
    get name() {
      return say('checked-season-table.flower-buds');
    },
    show: (value) => `${Math.round(value)}`,
  },
  fruits: {
    get name() {
      return term('fruits');
    },
    show: (value) => `${Math.round(value)}`,
  },
  'new-canes': {
    get name() {
      return say('checked-season-table.new-canes');
    },
    show: (value) => `${Math.round(value)}`,
  },
  'pruning-weight': {
    get name() {
      return say('checked-season-table.weight-of-prunings');
    },
    show: (value) => say('measure.kg', { kg: Math.round(10 * value) / 10 }),
  },
  crop: {
    get name() {
      return say('checked-season-table.crop');
    },
    show: (value) => say('measure.kg', { kg: Math.round(10 * value) / 10 }),
  },
  height: {
    get name() {
      return term('height');
    },
    show: (value) => say('measure.m', { m: Math.round(10 * value) / 10 }),
  },
};

/** One season: what was foretold as a range, what was found, and whether it lay within. */
export function CheckedSeasonTable({
  season,
  withTree = false,
}: {
  season: CheckedSeason;
  withTree?: boolean;
}) {
  const say = useSay();
  return (
    <table className="mt-2 w-full max-w-[560px] text-[14px]">
      <caption className="text-left text-[13px] text-muted">
        {say('checked-season-table.part-earlier-to-later', {
          part: withTree ? `${season.tree}, ` : '',
          earlier: day(season.earlier),
          later: day(season.later),
        })}
      </caption>
      <thead>
        <tr className="border-b border-line text-left text-[12.5px] text-muted">
          <th className="font-normal">{say('checked-season-table.measure')}</th>
          <th className="font-normal">{say('checked-season-table.foretold')}</th>
          <th className="font-normal">{say('checked-season-table.found')}</th>
          <th className="font-normal">{say('checked-season-table.right')}</th>
        </tr>
      </thead>
      <tbody>
        {season.measures.map((one) => {
          const measure = MEASURES[one.measure];
          const show = measure?.show ?? String;
          return (
            <tr key={one.measure} className="border-b border-line">
              <td className="py-1">{measure?.name ?? one.measure}</td>
              <td>
                {say('checked-season-table.show-to-show2', { show: show(one.low), show2: show(one.high) })}
              </td>
              <td className="font-semibold">{show(one.found)}</td>
              <td className={one.right ? 'text-moss' : 'text-lichen'}>
                {one.right ? term('yes') : one.found > one.high ? term('more') : term('less')}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
