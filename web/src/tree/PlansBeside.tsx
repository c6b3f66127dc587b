import { term } from '../text/term';
import { say, useSay } from '../text/say';
import type { Plan, Step } from '../api/client';
import { keyOf } from '../api/marks';
import { minutes, percent } from '../ui/words';

/** So many steps are named; the rest is counted. */
const MOST_NAMED = 4;

interface Props {
  plans: Plan[];
  words: Record<string, string>;
}

/** What each way comes to, column by column, and which cuts make the difference. */
export function PlansBeside({ plans, words }: Props) {
  const say = useSay();
  const first = plans[0];
  if (!first || plans.length < 2) return null;
  const rows = ROWS().filter(([, say]) => plans.every((plan) => say(plan) !== undefined));
  return (
    <details className="border-b border-line px-5 py-2 text-[13.5px]">
      <summary className="cursor-pointer font-semibold underline underline-offset-4">
        {say('plans-beside.what-each-way-comes-to')}
      </summary>
      <div
        className="overflow-x-auto"
        tabIndex={0}
        role="region"
        aria-label={say('plans-beside.the-plans-side-by-side')}
      >
        <table className="mt-2 w-full text-right text-[12.5px] tabular-nums">
          <thead>
            <tr className="border-b border-line">
              <td />
              {plans.map((plan) => (
                <th key={plan.name} scope="col" className="py-1 pl-2 font-semibold">
                  {words[plan.name]}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([name, say]) => (
              <tr key={name} className="border-b border-line">
                <th scope="row" className="py-1 text-left font-normal text-muted">
                  {name}
                </th>
                {plans.map((plan) => (
                  <td key={plan.name} className="py-1 pl-2">
                    {say(plan)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {plans
        .filter((plan) => plan.name === 'gentler' || plan.name === 'firmer')
        .map((plan) => (
          <Difference key={plan.name} plan={plan} recommended={first} word={words[plan.name] ?? plan.name} />
        ))}
    </details>
  );
}

/** Figures of a plan in words; nothing while its seasons are still to come. */
const ROWS = (): [string, (plan: Plan) => string | undefined][] => [
  [say('plans-beside.small-wood'), (plan) => percent(plan.totals.woodShare)],
  [say('plans-beside.big-cuts'), (plan) => String(plan.totals.bigCuts)],
  [term('time'), (plan) => (plan.totals.minutes < 0.5 ? term('none') : minutes(plan.totals.minutes))],
  [say('plans-beside.in-shade-now'), (plan) => percent(plan.totals.lightAfter.underFruitLight)],
  [say('plans-beside.crop-this-year'), (plan) => percent(plan.totals.cropThisYear)],
  [say('plans-beside.sprouts-to-come'), (plan) => range(plan, 0, (year) => year.sprouts)],
  [say('plans-beside.fruits-season-1'), (plan) => range(plan, 0, (year) => year.fruits)],
  [say('plans-beside.fruits-season-3'), (plan) => range(plan, 2, (year) => year.fruits)],
  [say('plans-beside.first-class-season-3'), (plan) => range(plan, 2, (year) => year.firstClassFruits)],
];

type Year = Plan['years'][number];

function range(plan: Plan, year: number, of: (year: Year) => { low: number; high: number }) {
  const seen = plan.years[year];
  if (!seen) return undefined;
  const { low, high } = of(seen);
  return Math.round(low) === Math.round(high)
    ? String(Math.round(low))
    : `${Math.round(low)}–${Math.round(high)}`;
}

function Difference({ plan, recommended, word }: { plan: Plan; recommended: Plan; word: string }) {
  const say = useSay();
  const leaves = missingIn(plan, recommended);
  const adds = missingIn(recommended, plan);
  const thinned = thinnedOtherwise(plan, recommended);
  if (leaves.length + adds.length + thinned === 0) return null;
  return (
    <p className="pt-1.5">
      <b>{word}</b>
      {adds.length > 0 && say('plans-beside.also-named', { named: named(adds) })}
      {leaves.length > 0 && say('plans-beside.leaves-named', { named: named(leaves) })}
      {thinned > 0 &&
        say('plans-beside.takes-part-shoots-on-thinned', {
          part: plan.name === 'gentler' ? 'fewer' : 'more',
          thinned: String(thinned),
          thinned2: thinned,
        })}
    </p>
  );
}

/** Limbs on which both plans thin shoots, but leave not as many. */
function thinnedOtherwise(plan: Plan, recommended: Plan): number {
  const left = new Map(
    recommended.steps.filter((step) => step.year === 0).map((step) => [keyOf(step), step.keep]),
  );
  return plan.steps.filter(
    (step) => step.year === 0 && left.has(keyOf(step)) && left.get(keyOf(step)) !== step.keep,
  ).length;
}

/** Steps of this visit that one plan has and another has not. */
function missingIn(plan: Plan, other: Plan): Step[] {
  const there = new Set(plan.steps.filter((step) => step.year === 0).map(keyOf));
  return other.steps.filter((step) => step.year === 0 && !there.has(keyOf(step)));
}

function named(steps: Step[]): string {
  const titles = steps
    .slice(0, MOST_NAMED)
    .map((step) => step.title.charAt(0).toLowerCase() + step.title.slice(1));
  const more = steps.length - titles.length;
  return titles.join(', ') + (more > 0 ? say('plans-beside.and-more-more', { more: String(more) }) : '');
}
