import { Link } from 'react-router';
import type { PracticeStep, PracticeVerdict, PracticeYears } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { minutes, percent } from '../ui/words';
import type { Practising } from './practising';

const WIDEST = 1.2;

/** The marked answer: what the cuts do to the tree, what was missed, and the one thing to do better. */
export function Outcome({
  act,
  attempt,
  verdict,
  point,
  again,
}: Practising & { verdict: PracticeVerdict; point: (limbs: string[]) => void; again: () => void }) {
  const say = useSay();
  const cleared = verdict.faults.filter((one) => one.fate === 'cleared');
  const pointedAt = (limbs: string[]) => ({
    onMouseEnter: () => {
      point(limbs);
    },
    onMouseLeave: () => {
      point([]);
    },
  });
  return (
    <div className="min-h-0 flex-1 overflow-auto pb-4" aria-live="polite">
      <div className="px-5 pt-4">
        <h2 className="text-[22px] font-bold">
          {verdict.passed ? say('outcome.passed') : say('outcome.not-yet')}
        </h2>
        <p className="text-[15px]">
          {say('outcome.reaches', { mark: percent(Math.max(0, verdict.mark)) })}
          {verdict.withinLimits ? '' : ` ${say('outcome.over-limits')}`}
          {verdict.mark < 0 ? ` ${say('outcome.worse')}` : ''}
        </p>
        <div className="relative mt-2 h-3 bg-sand" aria-hidden>
          <div
            className="h-3 bg-ink"
            style={{ width: `${(100 * Math.max(0, Math.min(WIDEST, verdict.mark))) / WIDEST}%` }}
          />
          <div
            className="absolute -top-1 h-5 w-0.5 bg-tape"
            style={{ left: `${(100 * verdict.passMark) / WIDEST}%` }}
          />
        </div>
        <p className="pt-1 text-[13px] text-muted">{say('outcome.by-school', { school: verdict.school })}</p>
      </div>
      {verdict.next && (
        <section className="mx-5 mt-3 border-l-4 border-ink bg-sand px-3 py-2 text-[15px]">
          <h3 className="text-[13.5px] font-semibold text-muted">{say('outcome.do-better')}</h3>
          <p>
            <b>{verdict.next.title}</b>
            {' – '}
            {verdict.next.does === 'harms' ? say('outcome.better-left') : say('outcome.would-help')}
          </p>
          {verdict.next.does !== 'harms' && verdict.next.reason && (
            <p className="text-[14px]">{verdict.next.reason}</p>
          )}
        </section>
      )}
      <h3 className="px-5 pt-4 pb-1 text-[13.5px] font-semibold text-muted">
        {say('outcome.faults', {
          cleared: cleared.length,
          of: verdict.faults.filter((one) => one.fate !== 'brought').length,
        })}
      </h3>
      <ul>
        {verdict.faults.map((fault, i) => (
          <li key={i} className="border-b border-line px-5 py-1.5 text-[14.5px]" {...pointedAt(fault.limbs)}>
            <span className="flex items-baseline justify-between gap-3">
              <Link to={`/guide?rule=${fault.rule}`} className="font-semibold underline underline-offset-4">
                {fault.name}
              </Link>
              <span className={`text-[13px] ${fault.fate === 'cleared' ? 'text-moss' : 'text-lichen'}`}>
                {fault.fate === 'cleared'
                  ? say('outcome.cleared')
                  : fault.fate === 'left'
                    ? say('outcome.left')
                    : say('outcome.brought')}
                {attempt.pointed.length > 0 && fault.fate !== 'brought'
                  ? fault.seen
                    ? `, ${say('outcome.seen')}`
                    : `, ${say('outcome.not-seen')}`
                  : ''}
              </span>
            </span>
            <span className="block text-[13.5px]">{fault.reason}</span>
          </li>
        ))}
      </ul>
      <StepList title={say('outcome.your-steps')} steps={verdict.steps} point={point} />
      <StepList title={say('outcome.missed')} steps={verdict.missed} point={point} reasons />
      <Years verdict={verdict} />
      <div className="flex flex-wrap gap-2 px-5 pt-4">
        <Button weight="ink" className="min-h-11" onClick={again}>
          {say('outcome.try-again')}
        </Button>
        <Button
          className="min-h-11"
          onClick={() => {
            act({ type: 'anew' });
          }}
        >
          {say('outcome.start-over')}
        </Button>
        <Link
          to="/practice"
          className="grid min-h-11 place-items-center rounded-md border border-muted/50 px-3 text-[14px] font-semibold hover:bg-sand"
        >
          {say('outcome.another')}
        </Link>
      </div>
    </div>
  );
}

/** Steps with what each brings. */
function StepList({
  title,
  steps,
  point,
  reasons = false,
}: {
  title: string;
  steps: PracticeStep[];
  point: (limbs: string[]) => void;
  reasons?: boolean;
}) {
  const say = useSay();
  if (steps.length === 0) return null;
  const words = {
    helps: say('outcome.helps'),
    'hardly-matters': say('outcome.hardly-matters'),
    harms: say('outcome.harms'),
  } as Record<string, string>;
  return (
    <>
      <h3 className="px-5 pt-4 pb-1 text-[13.5px] font-semibold text-muted">{title}</h3>
      <ul>
        {steps.map((step, i) => (
          <li
            key={i}
            className="border-b border-line px-5 py-1.5 text-[14.5px]"
            onMouseEnter={() => {
              point([step.mark.limb ?? '']);
            }}
            onMouseLeave={() => {
              point([]);
            }}
          >
            <span className="flex items-baseline justify-between gap-3">
              <b>{step.title}</b>
              <span
                className={`text-[13px] whitespace-nowrap ${step.does === 'harms' ? 'text-lichen' : 'text-muted'}`}
              >
                {reasons ? '' : `${words[step.does] ?? ''} `}
                {step.gain > 0 ? '+' : step.gain < 0 ? '−' : ''}
                {percent(Math.abs(step.gain))}
              </span>
            </span>
            {reasons && step.reason && <span className="block text-[13.5px]">{step.reason}</span>}
          </li>
        ))}
      </ul>
    </>
  );
}

/** The tree in the next years: as cut here, as the program would, and left alone. */
function Years({ verdict }: { verdict: PracticeVerdict }) {
  const say = useSay();
  const number = (value: number | undefined) => (value ?? 0).toLocaleString(locale());
  const columns: [string, PracticeYears, number | null][] = [
    [say('outcome.yours'), verdict.answer, verdict.minutes],
    [say('outcome.program'), verdict.program, verdict.planMinutes],
    [say('outcome.alone'), verdict.nothing, null],
  ];
  const rows: [string, (years: PracticeYears, spent: number | null) => string][] = [
    [say('outcome.first-class-1'), (years) => number(years.firstClass[0])],
    [say('outcome.first-class-3'), (years) => number(years.firstClass[2])],
    [say('outcome.shaded'), (years) => percent(years.shaded)],
    [say('outcome.sprouts'), (years) => number(years.sprouts)],
    [say('outcome.time'), (_, spent) => (spent === null ? '–' : minutes(spent))],
  ];
  return (
    <table className="mx-5 mt-4 w-[calc(100%-40px)] text-[14px]">
      <caption className="pb-1 text-left text-[13.5px] font-semibold text-muted">
        {say('outcome.next-years')}
      </caption>
      <thead>
        <tr className="border-b-2 border-ink">
          <td />
          {columns.map(([name]) => (
            <th key={name} className="pl-2 text-right">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, tell]) => (
          <tr key={name} className="border-b border-line">
            <th className="py-1 pr-2 text-left font-normal text-muted">{name}</th>
            {columns.map(([column, years, spent]) => (
              <td key={column} className="pl-2 text-right font-semibold">
                {tell(years, spent)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
