import type { Beside, Plan, Range, Year } from '../api/client';
import { say, useSay } from '../text/say';
import { term } from '../text/term';
import { LINE_WORDS, minutes, percent } from '../ui/words';

interface Props {
  beside: Beside;
  /** What the plan in force is called, and the other. */
  mine: string;
  other: string;
  onPoint: (limbs: string[]) => void;
}

/** Two plans for the same tree: what comes of each, which cuts differ, because of which setting, and what is done after. */
export function TwoOutcomes({ beside, mine, other, onPoint }: Props) {
  const say = useSay();
  const after = (lines: Beside['mineAfterwards']) => lines.map((line) => line.text).join(' ');
  const otherAfter = after(beside.mineAfterwards) !== after(beside.otherAfterwards);
  return (
    <>
      <table className="mt-2 w-full text-left text-[13px]">
        <thead>
          <tr className="border-b border-line">
            <th className="w-2/5 py-1 font-semibold">{say('schools-beside.outcome')}</th>
            <th className="font-semibold">{mine}</th>
            <th className="font-semibold">{other}</th>
          </tr>
        </thead>
        <tbody>
          {OUTCOMES().map(([words, say]) => (
            <tr key={words} className="border-b border-line">
              <td className="py-1 pr-2 text-muted">{words}</td>
              <td>{say(beside.mine)}</td>
              <td>{say(beside.other)}</td>
            </tr>
          ))}
          {otherAfter && (
            <tr className="border-b border-line align-top">
              <td className="py-1 pr-2 text-muted">{say('beside.after-the-cut')}</td>
              <td className="pr-2">{after(beside.mineAfterwards)}</td>
              <td>{after(beside.otherAfterwards)}</td>
            </tr>
          )}
        </tbody>
      </table>
      {beside.differing.length === 0 ? (
        <p className="mt-2">{say('schools-beside.both-would-make-the-same')}</p>
      ) : (
        <ul className="mt-2">
          {beside.differing.map((one) => (
            <li
              key={one.limb}
              className="border-b border-line py-1.5"
              onMouseEnter={() => {
                onPoint([one.limb]);
              }}
              onMouseLeave={() => {
                onPoint([]);
              }}
            >
              <span className="block">
                <b>{mine}:</b> {(one.mine as string | null) ?? say('schools-beside.leaves-it')}.{' '}
                <b>{other}:</b> {(one.other as string | null) ?? say('schools-beside.leaves-it')}.
              </span>
              <span className="block text-[13px] text-muted">{inWords(one.line, one.because)}</span>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

const OUTCOMES = (): [string, (plan: Plan) => string][] => [
  [say('schools-beside.small-wood-taken'), (plan) => percent(plan.totals.woodShare)],
  [say('schools-beside.in-shade-after'), (plan) => percent(plan.totals.lightAfter.underFruitLight)],
  [say('schools-beside.crop-this-year'), (plan) => percent(plan.totals.cropThisYear)],
  [say('schools-beside.fruits-in-the-third-year'), (plan) => range(plan, (year) => year.fruits)],
  [say('schools-beside.of-them-first-class'), (plan) => range(plan, (year) => year.firstClassFruits)],
  [say('schools-beside.sprouts-next-summer'), (plan) => sprouts(plan)],
  [term('time'), (plan) => minutes(plan.totals.minutes)],
];

/** A figure of the third season as a range. */
function range(plan: Plan, of: (year: Year) => Range): string {
  const third = plan.years[2];
  return third
    ? say('schools-beside.low-to-high', { low: Math.round(of(third).low), high: Math.round(of(third).high) })
    : say('schools-beside.not-told');
}

function sprouts(plan: Plan): string {
  const first = plan.years[0]?.sprouts;
  return first
    ? say('schools-beside.low-to-high', { low: Math.round(first.low), high: Math.round(first.high) })
    : say('schools-beside.not-told');
}

function inWords(line: string | null | undefined, because: string): string {
  return line && LINE_WORDS[line] ? because.replace(line, LINE_WORDS[line]) : because;
}
