import { tenthsUnderTen, showNumber } from '../ui/numbers';
import type { CountAssessment, PlantMarked, PlantPage, Range } from '../api/client';
import { useSay } from '../text/say';
import { useFactor } from '../ui/useFactor';

const one = (value: number) => showNumber(tenthsUnderTen(value));

/** What the marks so far come to, against what is wanted. */
export function PlantGauges({
  assessment,
  marked,
  learned,
}: {
  assessment: CountAssessment;
  marked: PlantMarked | undefined;
  learned: PlantPage['learned'];
}) {
  const say = useSay();
  const factor = useFactor();
  const { canes, nodes } = assessment.reading;
  const row = (canes?.perMetre ?? 0) > 0;
  const metres = row && canes ? canes.count / canes.perMetre : 1;
  const canesAfter = marked ? marked.canesAfter / metres : undefined;
  const canesNow = canes ? (row ? canes.perMetre : canes.count) : 0;
  const now = marked?.cropYears[0]?.middle;
  const third = marked?.cropYears[2]?.middle;
  const alone = marked?.cropYearsAlone[2]?.middle;
  return (
    <>
      <dl className="grid grid-cols-3 gap-x-4 gap-y-2 px-5 py-3 text-[13px]">
        {canes && (
          <Figure
            name={row ? say('plant-figures.canes-a-metre') : say('plant-figures.canes')}
            value={arrow(canesNow, canesAfter)}
            note={say('plant-figures.wanted', { least: one(canes.wantedLeast), most: one(canes.wantedMost) })}
          />
        )}
        {nodes && (
          <Figure
            name={say('plant-figures.nodes')}
            value={arrow(nodes.now, marked?.nodesAfter)}
            note={say('plant-figures.nodes-wanted', {
              wanted: nodes.wanted,
              weight: tenthsUnderTen(nodes.weight_kg),
              weighed: nodes.weightIs,
            })}
          />
        )}
        <Figure
          name={say('plant-figures.crop-this-season')}
          value={now === undefined ? '…' : say('measure.kg', { kg: tenthsUnderTen(now) })}
          note={say('plant-figures.left-alone-kg', {
            kg: tenthsUnderTen(assessment.reading.crop.marketable_kg),
          })}
        />
        <Figure
          name={say('plant-figures.crop-in-three-seasons')}
          value={third === undefined ? '…' : say('measure.kg', { kg: tenthsUnderTen(third) })}
          note={alone === undefined ? '' : say('plant-figures.left-alone-kg', { kg: tenthsUnderTen(alone) })}
        />
      </dl>
      {learned.seasons > 0 && (
        <p className="px-5 pb-2 text-[13px] text-muted">
          {say('plant-figures.learned', {
            seasons: learned.seasons,
            crop: factor(learned.crop),
            renewal: factor(learned.renewal),
          })}
        </p>
      )}
    </>
  );
}

function arrow(now: number, after: number | undefined): string {
  return after === undefined || one(now) === one(after) ? one(now) : `${one(now)} → ${one(after)}`;
}

function Figure({ name, value, note }: { name: string; value: string; note: string }) {
  return (
    <div>
      <dt className="text-muted">{name}</dt>
      <dd className="text-[17px] font-semibold">{value}</dd>
      <dd className="text-[12.5px] text-muted">{note}</dd>
    </div>
  );
}

/** Canes by age, as they are and as they stay by the plan: bars side by side. */
export function Ages({ assessment }: { assessment: CountAssessment }) {
  const say = useSay();
  const canes = assessment.reading.canes;
  if (assessment.reading.form !== 'bush' || !canes) return null;
  const most = Math.max(1, ...canes.now.map((group) => group.count));
  return (
    <section aria-labelledby="ages" className="px-5 pt-4">
      <h3 id="ages" className="text-[14px] font-semibold">
        {say('plant-figures.canes-by-age')}
      </h3>
      <ol className="mt-2 flex items-end gap-2">
        {canes.now.map((group) => {
          const after = canes.after.find((one) => one.name === group.name)?.count ?? 0;
          return (
            <li key={group.name} className="flex flex-col items-center text-[12px]">
              <span className="sr-only">
                {say('plant-figures.age-now-after', { age: group.name, now: group.count, after })}
              </span>
              <span aria-hidden className="flex h-16 items-end gap-0.5">
                <span className="w-3 bg-later/50" style={{ height: `${(100 * group.count) / most}%` }} />
                <span className="w-3 bg-moss" style={{ height: `${(100 * after) / most}%` }} />
              </span>
              <span aria-hidden className="text-muted">
                {say('plant-figures.years', { years: group.name })}
              </span>
              <span aria-hidden>{group.count === after ? group.count : `${group.count}→${after}`}</span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

/** Three seasons under the marks, beside the plant left alone. */
export function Seasons({ marked }: { marked: PlantMarked | undefined }) {
  const say = useSay();
  if (!marked) return null;
  const words = (range: Range) =>
    say('plant-figures.season-crop', {
      middle: tenthsUnderTen(range.middle),
      low: tenthsUnderTen(range.low),
      high: tenthsUnderTen(range.high),
    });
  return (
    <section aria-labelledby="seasons" className="px-5 py-4">
      <h3 id="seasons" className="text-[14px] font-semibold">
        {say('plant-figures.the-next-seasons')}
      </h3>
      <table className="mt-1 w-full text-[13px]">
        <thead className="text-left text-muted">
          <tr>
            <th className="font-normal">{say('plant-figures.season')}</th>
            <th className="font-normal">{say('plant-figures.as-marked')}</th>
            <th className="font-normal">{say('plant-figures.left-alone')}</th>
          </tr>
        </thead>
        <tbody>
          {marked.cropYears.map((range, i) => (
            <tr key={i} className="border-t border-line">
              <td className="py-1">{i + 1}</td>
              <td>{words(range)}</td>
              <td>{words(marked.cropYearsAlone[i] ?? range)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-1 text-[12.5px] text-muted">{say('plant-figures.ranges')}</p>
    </section>
  );
}
