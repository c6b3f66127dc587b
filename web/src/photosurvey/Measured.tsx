import type { PhotoFigures, PhotoSurveyAnswer } from '../api/client';
import { Problem } from '../api/problem';
import { useSay } from '../text/say';
import { inUnits, unitSign, useUnits } from '../text/units';
import { locale } from '../text/language';
import type { ByGauge } from './kept';
import { nameOfLimb } from './measured';
import type { Picture } from './tracing';

const FIELD =
  'min-h-9 max-w-[68px] max-sm:max-w-[58px] rounded-md border border-muted/50 bg-paper px-0.5 text-[14px]';

type Pairs = { first: string; second: string | null }[];

/** The limbs as measured, with what pictures do not tell to be entered beside them. */
export function Measured({
  waiting,
  pictures,
  measured,
  spent_ms,
  error,
  figures,
  gauge,
  setGauge,
  pairs,
  setPairs,
  chosen,
  choose,
}: {
  /** Whether too little is touched to measure by. */
  waiting: boolean;
  pictures: readonly Picture[];
  measured: PhotoSurveyAnswer | undefined;
  /** Time of work on the pictures so far. */
  spent_ms: number;
  error: Error | null;
  figures: PhotoFigures;
  gauge: Readonly<Record<string, ByGauge>>;
  setGauge: (gauge: Record<string, ByGauge>) => void;
  pairs: Pairs;
  setPairs: (pairs: Pairs) => void;
  chosen: string | null;
  choose: (limb: string) => void;
}) {
  const say = useSay();
  const units = useUnits();
  const cm = (value: number) =>
    inUnits(value, 'cm', units).toLocaleString(locale(), { maximumFractionDigits: units === 'us' ? 1 : 0 });
  if (waiting) {
    return (
      <p className="mt-3 text-[14px] text-muted">
        {say(pictures.length > 1 ? 'photosurvey.touch-first-two' : 'photosurvey.touch-first-one')}
      </p>
    );
  }
  if (error) {
    return (
      <ul role="alert" className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
        {(error instanceof Problem && error.errors.length > 0
          ? error.errors.map((one) => one.message)
          : [error.message]
        ).map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
    );
  }
  if (!measured) return <p className="mt-3 text-muted">{say('photosurvey.measuring')}</p>;
  const usual = figures.classes.find((one) => one.taken_mm === figures.usual_mm);
  const letters = pictures[1]?.limbs.filter((limb) => limb.tip) ?? [];
  return (
    <section aria-label={say('photosurvey.measured')} className="mt-3">
      <h2 className="text-[18px] font-bold">
        {say('photosurvey.measured-limbs', { count: measured.limbs.length })}
      </h2>
      <p className="text-[13.5px] text-muted">
        {measured.trunkHeight_cm != null &&
          say('photosurvey.trunk-height', { height: Math.round(measured.trunkHeight_cm) })}{' '}
        {spent_ms > 0 &&
          measured.limbs.length > 0 &&
          say('photosurvey.time-a-limb', { seconds: Math.round(spent_ms / 1000 / measured.limbs.length) })}
      </p>
      {measured.notes.length > 0 && (
        <ul className="mt-1 list-disc border-l-4 border-lichen bg-lichen-wash py-1 pr-2 pl-7 text-[14px]">
          {measured.notes.map((note) => (
            <li key={note}>{note}</li>
          ))}
        </ul>
      )}
      {measured.unsure.map(({ first, second }) => (
        <label key={first} className="mt-2 flex flex-wrap items-center gap-2 text-[14px] font-semibold">
          {say('photosurvey.which', { limb: first })}
          <select
            className={FIELD}
            value={pairs.find((pair) => pair.first === first)?.second ?? ''}
            onChange={(event) => {
              setPairs([
                ...pairs.filter((pair) => pair.first !== first && pair.second !== event.target.value),
                { first, second: event.target.value === '-' ? null : event.target.value },
              ]);
            }}
          >
            <option value="" disabled>
              {say('photosurvey.choose-limb')}
            </option>
            {[...second, ...letters.map((limb) => limb.id).filter((id) => !second.includes(id))].map((id) => (
              <option key={id} value={id}>
                {id}
              </option>
            ))}
            <option value="-">{say('photosurvey.not-seen')}</option>
          </select>
        </label>
      ))}
      <table className="mt-2 w-full text-[14px]">
        <thead>
          <tr className="border-b-2 border-ink text-left text-[12.5px] text-muted">
            <th className="py-1 font-normal">{say('photosurvey.column-limb')}</th>
            <th className="px-1 text-right font-normal">
              {say('photosurvey.column-at')} {unitSign('cm', units)}
            </th>
            <th className="px-1 text-right font-normal">{say('photosurvey.column-bearing')} °</th>
            <th className="px-1 text-right font-normal">{say('photosurvey.column-angle')} °</th>
            <th className="px-1 text-right font-normal">
              {say('photosurvey.column-length')} {unitSign('cm', units)}
            </th>
            <th className="px-1 font-normal">{say('photosurvey.column-thickness')}</th>
            <th className="font-normal">{say('photosurvey.column-uprights')}</th>
          </tr>
        </thead>
        <tbody>
          {measured.limbs.map((limb) => {
            const key = nameOfLimb(limb);
            const own = gauge[key] ?? {};
            const set = (part: ByGauge) => {
              setGauge({ ...gauge, [key]: { ...own, ...part } });
            };
            const lit = chosen !== null && chosen === limb.first;
            return (
              <tr key={key} className={`border-b border-line ${lit ? 'bg-sand' : ''}`}>
                <td className="py-0.5 whitespace-nowrap">
                  <button
                    type="button"
                    className="font-semibold underline-offset-4 hover:underline"
                    onClick={() => {
                      choose(limb.first);
                    }}
                  >
                    {limb.id}
                  </button>{' '}
                  <span className="text-[12.5px] text-muted max-sm:block">
                    {[limb.first, limb.second].filter((id) => id !== '').join('·')}
                    {limb.sure ? '' : ' ?'}
                  </span>
                </td>
                <td className="px-1 text-right whitespace-nowrap">{cm(limb.at_cm)}</td>
                <td className="px-1 text-right whitespace-nowrap">
                  {Math.round(limb.bearing_deg)}
                  <Sigma value={limb.error.bearing_deg} />
                </td>
                <td className="px-1 text-right whitespace-nowrap">
                  {Math.round(limb.angle_deg)}
                  <Sigma value={limb.error.angle_deg} />
                </td>
                <td className="px-1 text-right whitespace-nowrap">
                  {cm(limb.length_cm)}
                  <Sigma value={inUnits(limb.error.length_cm ?? 0, 'cm', units)} />
                </td>
                <td className="px-1">
                  <select
                    aria-label={say('photosurvey.thickness-of', { limb: limb.id })}
                    className={FIELD}
                    value={own.thickness ?? ''}
                    onChange={(event) => {
                      set({ thickness: Number(event.target.value) });
                    }}
                  >
                    <option value="" disabled>
                      –
                    </option>
                    {figures.classes.map(({ from_mm, to_mm, taken_mm }) => (
                      <option key={taken_mm} value={taken_mm}>
                        {say('photosurvey.class', {
                          from: inUnits(from_mm, 'mm', units),
                          to: inUnits(to_mm, 'mm', units),
                        })}
                      </option>
                    ))}
                  </select>
                </td>
                <td>
                  <select
                    aria-label={say('photosurvey.uprights-of', { limb: limb.id })}
                    className={FIELD}
                    value={own.uprights ?? ''}
                    onChange={(event) => {
                      set({ uprights: Number(event.target.value) });
                    }}
                  >
                    <option value="" disabled>
                      –
                    </option>
                    {figures.uprights.map((count, i) => (
                      <option key={count} value={count}>
                        {i === figures.uprights.length - 1 ? say('photosurvey.more-uprights') : count}
                      </option>
                    ))}
                  </select>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-muted">
        {say('photosurvey.errors-note', { range: usual ? `${usual.from_mm}–${usual.to_mm}` : '' })}
      </p>
    </section>
  );
}

/** One sigma of a measure, small behind it. */
function Sigma({ value }: { value: number | null | undefined }) {
  return value == null ? null : (
    <span className="text-[12px] text-muted max-sm:hidden"> ±{Math.max(1, Math.round(value))}</span>
  );
}
