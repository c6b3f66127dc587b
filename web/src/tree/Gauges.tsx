import { fixed, tenthsUnderTen } from '../ui/numbers';
import { useSay } from '../text/say';
import type { Totals, TreePage } from '../api/client';
import { Gauge } from '../ui/Gauge';
import { day, minutes, percent } from '../ui/words';
import { LimitGauges } from './LimitGauges';
import { SaveTrouble } from './SaveNote';
import type { Work } from './useWork';

interface Props {
  reading: TreePage['reading'];
  limits: TreePage['limits'];
  totals: Totals | undefined;
  work: Work;
  /** A count in its block by which its crop is corrected. */
  counted: TreePage['counted'];
}

/** What the marks come to, each against its limit. */
export function Gauges({ reading, limits, totals, work, counted }: Props) {
  const say = useSay();
  const { markError: error } = work;
  const wood = totals?.woodShare ?? 0;
  const big = totals?.bigCuts ?? 0;
  const shadeBefore = reading.light.underFruitLight;
  const shade = totals?.lightAfter.underFruitLight ?? shadeBefore;
  const target = reading.crop.targetFruits;
  const fruits = totals?.expectedFruits ?? reading.crop.expectedFruits;
  const times = target > 0 ? fruits / target : 0;
  return (
    <div
      className="border-b border-line px-5 pt-2.5 pb-2"
      aria-live="polite"
      aria-label={say('gauges.what-the-marks-come-to')}
    >
      <div className="grid grid-cols-2 gap-x-6 gap-y-2">
        <LimitGauges wood={wood} big={big} limits={limits} />
        <Gauge
          name={say('name.fruiting-wood-in-shade')}
          value={
            totals && Math.abs(shade - shadeBefore) > 0.004
              ? `${percent(shadeBefore)} → ${percent(shade)}`
              : percent(shadeBefore)
          }
          full={shade}
          tick={limits.shadeMost}
          over={shade > limits.shadeMost}
        />
        <Gauge
          name={say('name.fruits-these-buds-can-set')}
          value={say('gauges.fruits-for-target', { fruits, target })}
          full={times / (2 * limits.cropMost)}
          tick={0.5}
          over={times > limits.cropMost}
        />
      </div>
      <Harvest reading={reading} totals={totals} />
      {counted && (
        <p className="text-[13px] text-muted">
          {say('crop-count.corrected', { day: day(counted.countedOn), factor: counted.factor })}
        </p>
      )}
      {totals && totals.cuts > 0 && (
        <p className="mt-0.5 text-[13px] text-muted">
          {say('gauges.cuts-cuts-minutes-part-part2', {
            cuts: totals.cuts,
            minutes: minutes(totals.minutes),
            part:
              totals.ladderMinutes >= 0.5
                ? say('gauges.ladderminutes-on-a-ladder', {
                    ladderMinutes: minutes(totals.ladderMinutes),
                  })
                : '',
            part2:
              totals.newSprouts > 0
                ? say('gauges.about-newsprouts-sprouts-to-follow', { newSprouts: totals.newSprouts })
                : '',
          })}
        </p>
      )}
      <SaveTrouble work={work} />
      {error && (
        <p role="alert" className="mt-1 text-[13px] font-semibold text-lichen">
          {error.message}
        </p>
      )}
    </div>
  );
}

/** The orchard's figures: leaf over ground, light caught, and the crop; where marks change them, before and after. */
function Harvest({ reading, totals }: Pick<Props, 'reading' | 'totals'>) {
  const say = useSay();
  const light = totals?.lightAfter ?? reading.light;
  const crop = totals?.cropAfter ?? reading.crop;
  const figures: [string, string, string][] = [
    [say('gauges.leaf-over-ground'), fixed(reading.light.leafOverGround, 1), fixed(light.leafOverGround, 1)],
    [say('gauges.light-caught'), percent(reading.light.interception), percent(light.interception)],
    [
      say('gauges.yield'),
      say('measure.tha', { tha: Math.round(reading.crop.tonnesPerHa) }),
      say('measure.tha', { tha: Math.round(crop.tonnesPerHa) }),
    ],
    [say('gauges.first-class'), firstClass(reading.crop), firstClass(crop)],
  ];
  const changed = (before: string, after: string) => (before === after ? before : `${before} → ${after}`);
  return (
    <details className="mt-1.5 text-[13px]">
      <summary>
        {say('gauges.crop-and-class', {
          crop: changed(
            say('measure.kg', { kg: tenthsUnderTen(reading.crop.kgPerTree) }),
            say('measure.kg', { kg: tenthsUnderTen(crop.kgPerTree) }),
          ),
          share: changed(firstClass(reading.crop), firstClass(crop)),
        })}
      </summary>
      <dl className="mt-1 grid grid-cols-4 gap-x-3">
        {figures.map(([name, before, after]) => (
          <div key={name}>
            <dt className="text-[12px] leading-tight text-muted">{name}</dt>
            <dd className="font-semibold tabular-nums">{changed(before, after)}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

/** Share of the fruits at harvest that size and colour. */
function firstClass(crop: TreePage['reading']['crop']): string {
  const harvested = Math.min(crop.expectedFruits, crop.targetFruits, crop.leafFruits);
  return harvested <= 0 ? '–' : percent(Math.min(1, crop.firstClassFruits / harvested));
}
