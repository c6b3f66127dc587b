import { say, useSay } from '../text/say';
import type { Plan } from '../api/client';
import { minutes, percent } from '../ui/words';

const WINTER = () => [
  say('winters.this-winter'),
  say('winters.next-winter'),
  say('winters.the-winter-after'),
  say('winters.the-fourth-winter'),
];

/** A plan by its winters: what each is for, what it takes, and what the season after it brings. */
export function Winters({ plan, atOnce }: { plan: Plan; atOnce: Plan | undefined }) {
  const say = useSay();
  const stages = plan.stages.filter((stage) => stage.steps + stage.smallSteps > 0);
  if (stages.length < 2) return null;
  return (
    <section
      aria-label={say('winters.winter-by-winter')}
      className="mx-5 mt-4 border border-line text-[14px]"
    >
      <h3 className="border-b border-line bg-sand px-3 py-1.5 text-[13.5px] font-semibold">
        {say('winters.winter-by-winter')}
      </h3>
      <ol>
        {stages.map((stage) => (
          <li key={stage.year} className="border-b border-line px-3 py-1.5 last:border-b-0">
            <p>
              <b>{WINTER()[stage.year]}.</b> {stage.purpose}
            </p>
            <p className="text-[13px] text-muted">
              {say('winters.woodshare-of-the-small-wood', {
                woodShare: percent(stage.woodShare),
                part: stage.bigCuts > 0 ? say('winters.bigcuts-big-cuts', { bigCuts: stage.bigCuts }) : '',
                part2:
                  stage.smallSteps > 0
                    ? say('winters.smallsteps-small-steps-judged-then', { smallSteps: stage.smallSteps })
                    : '',
                minutes: minutes(stage.minutes),
                part3:
                  stage.fruits && stage.sprouts
                    ? say('winters.then-middle-fruits-low-to', {
                        middle: Math.round(stage.fruits.middle),
                        low: Math.round(stage.fruits.low),
                        high: Math.round(stage.fruits.high),
                        middle2: Math.round(stage.sprouts.middle),
                      })
                    : '',
              })}
            </p>
            {stage.summer && <p className="text-[13px] text-muted">{stage.summer}</p>}
          </li>
        ))}
      </ol>
      {atOnce && <AtOnce plan={plan} atOnce={atOnce} />}
      <p className="border-t border-line px-3 py-1.5 text-[12.5px] text-muted">
        {say('winters.later-winters-are-planned-on')}
      </p>
    </section>
  );
}

function AtOnce({ plan, atOnce }: { plan: Plan; atOnce: Plan }) {
  const say = useSay();
  const first = plan.years[0];
  const other = atOnce.years[0];
  const last = plan.years[plan.years.length - 1];
  const otherLast = atOnce.years[atOnce.years.length - 1];
  if (!first || !other || !last || !otherLast) return null;
  return (
    <div className="border-t border-line px-3 py-1.5">
      <p className="font-semibold">{say('winters.all-in-one-winter-instead')}</p>
      <table className="mt-1 w-full text-[13px]">
        <thead>
          <tr className="text-left text-muted">
            <th className="font-normal">{say('winters.expected')}</th>
            <th className="text-right font-normal">{say('winters.over-winters')}</th>
            <th className="text-right font-normal">{say('winters.in-one')}</th>
          </tr>
        </thead>
        <tbody>
          <Line
            name={say('name.small-wood-taken-this-winter')}
            a={percent(plan.totals.woodShare)}
            b={percent(atOnce.totals.woodShare)}
          />
          <Line
            name={say('name.sprouts-next-summer')}
            a={whole(first.sprouts.middle)}
            b={whole(other.sprouts.middle)}
          />
          <Line
            name={say('name.fruits-next-season')}
            a={whole(first.fruits.middle)}
            b={whole(other.fruits.middle)}
          />
          <Line
            name={say('winters.fruits-in-season', { season: plan.years.length })}
            a={whole(last.fruits.middle)}
            b={whole(otherLast.fruits.middle)}
          />
          <Line
            name={say('winters.in-shade-after-season', { season: plan.years.length })}
            a={percent(last.underFruitLight.middle)}
            b={percent(otherLast.underFruitLight.middle)}
          />
        </tbody>
      </table>
      <p className="mt-1 text-[12.5px] text-muted">{say('winters.a-single-winter-renewal-can')}</p>
    </div>
  );
}

function Line({ name, a, b }: { name: string; a: string; b: string }) {
  return (
    <tr>
      <th scope="row" className="py-0.5 text-left font-normal">
        {name}
      </th>
      <td className="text-right tabular-nums">{a}</td>
      <td className="text-right tabular-nums">{b}</td>
    </tr>
  );
}

function whole(value: number): string {
  return String(Math.round(value));
}
