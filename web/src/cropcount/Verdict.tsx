import type { components } from '../api/schema';
import { NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { percent } from '../ui/words';

type Answer = components['schemas']['CropCountAnswer'];

const LOOK: Record<string, string> = {
  right: 'border-moss',
  'too-many': 'border-lichen',
  'far-too-many': 'border-lichen',
  'too-few': 'border-lichen',
  'far-too-few': 'border-lichen',
};
/** A count that changes the forecast by less is not told. */
const TOLD_FROM = 0.03;

/** What a count says: how much hangs, whether it is too much, what is left to thin, next spring, and the forecast corrected. */
export function Verdict({
  said,
  pay,
  onPay,
}: {
  said: Answer;
  pay: { wagePerHour?: number; fruitsPerHour?: number };
  onPay: (next: { wagePerHour?: number; fruitsPerHour?: number }) => void;
}) {
  const say = useSay();
  const { fruits, thinning, nextBloom } = said;
  const more = said.limbsWanted - said.limbs;
  return (
    <section aria-label={say('crop-count.answer')}>
      <div className={`border-l-4 bg-sand px-4 py-3 ${LOOK[said.verdict] ?? 'border-ink'}`}>
        <h2 className="text-[22px] leading-tight font-bold">
          {say('crop-count.verdict', { verdict: said.verdict.replaceAll('-', '') })}
        </h2>
        <p className="text-[15.5px]">
          {say('crop-count.fruits', { middle: fruits.middle, low: fruits.low, high: fruits.high })}{' '}
          {say('crop-count.can-carry', { fruits: said.canCarry })}
        </p>
        <p className="mt-1 text-[14.5px]">
          {more > 0 ? say('crop-count.more-limbs', { more }) : say('crop-count.limbs-enough')}
        </p>
      </div>
      <Bars said={said} />
      <dl className="mt-3 divide-y divide-line text-[15px]">
        {said.thins && (
          <div className="py-2">
            <dt className="font-bold">{say('crop-count.thinning')}</dt>
            <dd>
              {thinning.perTree > 0
                ? say('crop-count.thinning-left', {
                    tree: thinning.perTree,
                    fruits: thinning.fruits,
                    trees: said.trees,
                    hours: thinning.hours,
                    money: thinning.money,
                  })
                : say('crop-count.no-thinning')}
              <details className="mt-1 text-[14px]">
                <summary>{say('crop-count.reckoned-with')}</summary>
                <div className="flex gap-3 pt-1">
                  <NumberField
                    name={say('crop-count.pay')}
                    width="w-24"
                    value={pay.wagePerHour ?? said.wagePerHour}
                    set={(wage) => {
                      onPay({ ...pay, ...(wage === undefined ? {} : { wagePerHour: wage }) });
                    }}
                  />
                  <NumberField
                    name={say('crop-count.pace')}
                    width="w-24"
                    value={pay.fruitsPerHour ?? said.fruitsPerHour}
                    set={(pace) => {
                      onPay({ ...pay, ...(pace === undefined ? {} : { fruitsPerHour: pace }) });
                    }}
                  />
                </div>
              </details>
            </dd>
          </div>
        )}
        <div className="py-2">
          <dt className="font-bold">{say('crop-count.next-spring')}</dt>
          <dd>
            {nextBloom.thinned - nextBloom.unthinned > TOLD_FROM
              ? say('crop-count.next-bloom-both', {
                  unthinned: percent(nextBloom.unthinned),
                  thinned: percent(nextBloom.thinned),
                })
              : say('crop-count.next-bloom', { unthinned: percent(nextBloom.unthinned) })}
          </dd>
        </div>
        <div className="py-2">
          <dt className="font-bold">{say('crop-count.forecast')}</dt>
          <dd>
            {Math.abs(said.factor - 1) > TOLD_FROM
              ? say('crop-count.corrects', { expected: said.expected, factor: said.factor })
              : say('crop-count.as-expected', { expected: said.expected })}
          </dd>
        </div>
      </dl>
      <p className="mt-2 text-[13px] text-muted">
        {say('crop-count.judged-by', { surveyed: said.surveyed, density: said.perCm2.middle })}
      </p>
    </section>
  );
}

/** What hangs, with its interval, beside what the tree can carry. */
function Bars({ said }: { said: Answer }) {
  const say = useSay();
  const most = Math.max(said.fruits.high, said.canCarry, 1) * 1.05;
  const at = (fruits: number) => `${(100 * fruits) / most}%`;
  return (
    <div className="mt-3" aria-hidden>
      <div className="relative h-7 bg-line/50">
        <div className="h-full bg-moss/70" style={{ width: at(said.fruits.middle) }} />
        <div
          className="absolute top-1/2 h-[3px] -translate-y-1/2 bg-ink"
          style={{ left: at(said.fruits.low), width: at(said.fruits.high - said.fruits.low) }}
        />
        <div className="absolute -top-1 h-9 w-[3px] bg-tape" style={{ left: at(said.canCarry) }} />
      </div>
      <p className="mt-1 text-[13px] text-muted">{say('crop-count.bars')}</p>
    </div>
  );
}
