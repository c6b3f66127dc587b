import type { SeasonsAhead } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { inUnits } from '../text/units';
import { fixed } from '../ui/numbers';
import { percent } from '../ui/words';

/** How a block goes on: season by season its crop and shade under the plans and left alone, and the work before each. */
export function SeasonsToCome({
  seasons,
  planned,
  trees,
}: {
  seasons: SeasonsAhead[];
  planned: number;
  trees: number;
}) {
  const say = useSay();
  if (seasons.length === 0) return null;
  const heading = 'border-b border-line py-1.5 text-[12.5px] font-normal text-muted';
  const head = `${heading} pl-6 text-right`;
  const cell = 'border-b border-line py-1.5 pl-6 text-right align-top';
  const below = 'block text-[12.5px] text-muted';
  const shaded = seasons.some((one) => (one.shade ?? null) !== null);
  const kg = (value: number) => say('measure.kg', { kg: fixed(inUnits(value, 'kg'), 1) });
  const whole = (value: number) =>
    say('measure.kg', { kg: Math.round(inUnits(trees * value, 'kg')).toLocaleString(locale()) });
  const crop = (value: number) => (
    <td className={cell}>
      {kg(value)}
      <span className={below}>{say('seasons-to-come.block', { amount: whole(value) })}</span>
    </td>
  );
  const share = (value: number | null | undefined) => (
    <td className={cell}>{(value ?? null) === null ? '' : percent(value ?? 0)}</td>
  );
  return (
    <div className="mt-5 overflow-x-auto">
      <h3 className="text-[17px] font-bold">{say('seasons-to-come.title')}</h3>
      <p className="max-w-prose text-[14px] text-muted">{say('seasons-to-come.what', { planned, trees })}</p>
      <table className="mt-1 w-full max-w-[820px] text-[14px] tabular-nums">
        <thead>
          <tr>
            <th className={`${heading} text-left`}>{say('seasons-to-come.season')}</th>
            <th className={head}>{say('seasons-to-come.crop-planned')}</th>
            <th className={head}>{say('seasons-to-come.crop-alone')}</th>
            {shaded && <th className={head}>{say('seasons-to-come.shade-planned')}</th>}
            {shaded && <th className={head}>{say('seasons-to-come.shade-alone')}</th>}
            <th className={head}>{say('seasons-to-come.work')}</th>
          </tr>
        </thead>
        <tbody>
          {seasons.map((one) => (
            <tr key={one.season}>
              <th scope="row" className="border-b border-line py-1.5 text-left align-top font-semibold">
                {say('seasons-to-come.number', { season: one.season })}
              </th>
              {crop(one.firstClassKg)}
              {crop(one.firstClassAloneKg)}
              {shaded && share(one.shade)}
              {shaded && share(one.shadeAlone)}
              <td className={cell}>
                {(one.minutes ?? null) !== null && (
                  <>
                    {say('seasons-to-come.minutes', { minutes: Math.round(one.minutes ?? 0) })}
                    <span className={below}>
                      {say('seasons-to-come.hours', { hours: Math.round((trees * (one.minutes ?? 0)) / 60) })}
                    </span>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
