import type { CheckedSeason } from '../api/client';
import { day } from '../ui/words';

const MEASURES: Record<string, { name: string; show: (value: number) => string }> = {
  extension: { name: 'growth of the limbs', show: (value) => `${Math.round(value * 100)} cm` },
  shoots: { name: 'one-year shoots', show: (value) => `${Math.round(value)}` },
  'flower-buds': { name: 'flower buds', show: (value) => `${Math.round(value)}` },
  fruits: { name: 'fruits', show: (value) => `${Math.round(value)}` },
  height: { name: 'height', show: (value) => `${value.toFixed(1)} m` },
};

/** One season: what was foretold as a range, what was found, and whether it lay within. */
export function CheckedSeasonTable({
  season,
  withTree = false,
}: {
  season: CheckedSeason;
  withTree?: boolean;
}) {
  return (
    <table className="mt-2 w-full max-w-[560px] text-[14px]">
      <caption className="text-left text-[13px] text-muted">
        {withTree ? `${season.tree}, ` : ''}
        {day(season.earlier)} to {day(season.later)}
      </caption>
      <thead>
        <tr className="border-b border-line text-left text-[12.5px] text-muted">
          <th className="font-normal">Measure</th>
          <th className="font-normal">Foretold</th>
          <th className="font-normal">Found</th>
          <th className="font-normal">Right?</th>
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
                {show(one.low)} to {show(one.high)}
              </td>
              <td className="font-semibold">{show(one.found)}</td>
              <td className={one.right ? 'text-moss' : 'text-lichen'}>
                {one.right ? 'yes' : one.found > one.high ? 'more' : 'less'}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
