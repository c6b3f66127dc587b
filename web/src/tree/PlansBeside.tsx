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
  const first = plans[0];
  if (!first || plans.length < 2) return null;
  const rows = ROWS.filter(([, say]) => plans.every((plan) => say(plan) !== undefined));
  return (
    <details className="border-b border-line px-5 py-2 text-[13.5px]">
      <summary className="cursor-pointer font-semibold underline underline-offset-4">
        What each way comes to
      </summary>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="The plans side by side">
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
const ROWS: [string, (plan: Plan) => string | undefined][] = [
  ['small wood', (plan) => percent(plan.totals.woodShare)],
  ['big cuts', (plan) => String(plan.totals.bigCuts)],
  ['time', (plan) => (plan.totals.minutes < 0.5 ? 'none' : minutes(plan.totals.minutes))],
  ['in shade now', (plan) => percent(plan.totals.lightAfter.underFruitLight)],
  ['crop this year', (plan) => percent(plan.totals.cropThisYear)],
  ['sprouts to come', (plan) => range(plan, 0, (year) => year.sprouts)],
  ['fruits, season 1', (plan) => range(plan, 0, (year) => year.fruits)],
  ['fruits, season 3', (plan) => range(plan, 2, (year) => year.fruits)],
  ['first class, season 3', (plan) => range(plan, 2, (year) => year.firstClassFruits)],
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
  const leaves = missingIn(plan, recommended);
  const adds = missingIn(recommended, plan);
  const thinned = thinnedOtherwise(plan, recommended);
  if (leaves.length + adds.length + thinned === 0) return null;
  return (
    <p className="pt-1.5">
      <b>{word}</b>
      {adds.length > 0 && ` also: ${named(adds)}.`}
      {leaves.length > 0 && ` leaves: ${named(leaves)}.`}
      {thinned > 0 &&
        ` takes ${plan.name === 'gentler' ? 'fewer' : 'more'} shoots on ${String(thinned)} ${thinned === 1 ? 'limb' : 'limbs'}.`}
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
  return titles.join(', ') + (more > 0 ? ` and ${String(more)} more` : '');
}
