import { say, useSay } from '../text/say';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Decisions, Mark, Plan, Step, TreePage } from '../api/client';
import { keyOf, limbOf, markFrom } from '../api/marks';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { capital, day, minutes, percent, STAGE_WORDS } from '../ui/words';
import { PlanChoices } from './PlanChoices';
import { PlansBeside } from './PlansBeside';
import { Questions } from './Questions';
import { SchoolsBeside } from './SchoolsBeside';
import { StepList } from './StepList';
import { Stop } from './Stop';
import type { Plans } from './usePlans';
import type { Work } from './useWork';
import { Winters } from './Winters';

/** Four commands side by side in a narrow column. */
const SMALL = 'px-2! text-[13px]!';

interface Props {
  id: number;
  /** The kind of tree, by id. */
  species: string;
  limits: TreePage['limits'];
  /** Day of the last visit since the survey; empty where there was none. */
  workedOn: string;
  work: Work;
  plans: Plans | undefined;
  pending: boolean;
  thinking: boolean;
  error: Error | null;
  onPoint: (limbs: string[]) => void;
  onSelect: (limb: string) => void;
  onRethink: () => void;
  /** Goes through the recommended steps one at a time. */
  onWalk: () => void;
}

const PLAN_WORDS: Record<string, string> = {
  get recommended() {
    return say('plan-panel.recommended');
  },
  get gentler() {
    return say('plan-panel.gentler');
  },
  get firmer() {
    return say('plan-panel.firmer');
  },
  get 'in-one-winter'() {
    return say('plan-panel.one-winter');
  },
  get nothing() {
    return say('plan-panel.no-cuts');
  },
};
/** The plans beside the recommended one, named before they are thought out. */
const STILL_TO_COME = ['gentler', 'firmer', 'nothing'];
/** So many steps of later winters are shown at once; more are folded. */
const FEW_LATER = 6;

/** The proposed work in its order; each step can be taken, changed or left. */
export function PlanPanel({
  id,
  species,
  limits,
  workedOn,
  work,
  plans,
  pending,
  thinking,
  error,
  onPoint,
  onSelect,
  onRethink,
  onWalk,
}: Props) {
  const say = useSay();
  const [name, setName] = useState('recommended');
  const [open, setOpen] = useState<string | null>(null);
  if (pending) return <Loading what={say('plan-panel.weighing-the-cuts')} />;
  if (error) return <Failed error={error} />;
  if (!plans) return null;
  const choices = withOneWinter(plans.plans, plans.inOneWinter);
  const plan = choices.find((one) => one.name === name) ?? choices[0];
  if (!plan) return null;
  const taken = new Map(work.marks.map((mark, i) => [keyOf(mark), i + 1]));
  const now = plan.steps.filter((step) => step.year === 0);
  const later = plan.steps.filter((step) => step.year > 0);
  const planned = new Set(plan.steps.map((step) => step.limb));
  const own = work.marks.filter((mark) => !planned.has(mark.limb ?? ''));
  const stages = [...new Set(now.map((step) => step.stage))];
  const stops = new Set(plans.stops);
  const missing = now.filter((step) => !taken.has(keyOf(step)));
  const same = now.length > 0 && sameAsRecommended(plan, choices[0]);
  return (
    <div className="pb-4">
      <div
        className="flex border-b border-line px-3 text-[13px]"
        role="group"
        aria-label={say('plan-panel.how-far-to-go')}
      >
        {choices.map((one) => (
          <button
            key={one.name}
            type="button"
            aria-pressed={plan.name === one.name}
            onClick={() => {
              setName(one.name);
            }}
            className={`flex-1 px-1 py-1 leading-tight ${plan.name === one.name ? 'bg-sand font-semibold' : 'text-muted hover:bg-sand'}`}
          >
            {PLAN_WORDS[one.name]}
            <Sum plan={one} known={!plans.following || one.name === 'recommended'} />
          </button>
        ))}
        {choices.length === 1 &&
          STILL_TO_COME.map((one) => (
            <span key={one} className="flex-1 px-1 py-1 text-center leading-tight text-muted">
              {PLAN_WORDS[one]}
              <span className="block text-[12px]">…</span>
            </span>
          ))}
      </div>
      {workedOn !== '' && (
        <p className="bg-lichen-wash px-5 py-2 text-[13.5px]">
          {say('plan-panel.worked-on-since-it-was', { workedOn: day(workedOn) })}{' '}
          <Link to={`/trees/${id}/survey`} className="font-semibold underline underline-offset-4">
            {say('plan-panel.confirm-the-tree-as-it')}
          </Link>
          {say('plan-panel.and-the-next-stage-is')}
        </p>
      )}
      <PlanChoices decisions={work.decisions} limits={limits} timing={plans.timing} onChange={work.change} />
      {plan.name === 'nothing' ? (
        <p className="px-5 py-4">
          {say('plan-panel.left-alone-underfruitlight-of-its', {
            underFruitLight: percent(plan.totals.lightAfter.underFruitLight),
          })}
        </p>
      ) : (
        <div className="flex flex-wrap items-center gap-1.5 px-5 pt-1.5">
          <Button
            weight="ink"
            className={SMALL}
            disabled={missing.length === 0}
            onClick={() => {
              const all: Mark[] = [
                ...work.marks.filter((mark) => !now.some((step) => step.limb === mark.limb)),
                ...now.map(markFrom),
              ];
              work.change({ ...work.decisions, marks: all });
            }}
          >
            {missing.length === now.length
              ? say('plan-panel.take-all-length', { length: now.length })
              : missing.length === 0
                ? say('plan-panel.all-taken')
                : say('plan-panel.take-the-other-length', { length: missing.length })}
          </Button>
          {plan === choices[0] && now.length > 0 && (
            <Button className={SMALL} onClick={onWalk}>
              {say('cut-walk.one-at-a-time')}
            </Button>
          )}
          {work.marks.length > 0 && (
            <>
              <Button
                className={SMALL}
                onClick={onRethink}
                disabled={thinking}
                title={say('plan-panel.plan-again-round-what-is')}
              >
                {thinking ? say('plan-panel.thinking') : say('plan-panel.think-again')}
              </Button>
              <Button className={SMALL} weight="quiet" onClick={work.clear}>
                {say('plan-panel.clear')}
              </Button>
            </>
          )}
        </div>
      )}
      {same && <p className="px-5 pt-3 text-[13.5px] text-muted">{same}</p>}
      {now.length === 0 && plan.name !== 'nothing' && (
        <p className="px-5 py-4">{say('plan-panel.nothing-is-worth-cutting-this')}</p>
      )}
      {stages.map((stage) => (
        <section key={stage} aria-label={STAGE_WORDS[stage] ?? stage}>
          <h3 className="px-5 pt-2 text-[13px] font-semibold text-muted">{STAGE_WORDS[stage] ?? stage}</h3>
          <StepList
            steps={now.filter((step) => step.stage === stage)}
            taken={taken}
            stops={stops}
            open={open}
            onOpen={setOpen}
            onPoint={onPoint}
            onSelect={onSelect}
            work={work}
          />
        </section>
      ))}
      <Own marks={own} work={work} onSelect={onSelect} />
      <Winters plan={plan} atOnce={plan.name === 'in-one-winter' ? undefined : plans.inOneWinter} />
      <Later steps={later} onPoint={onPoint} onSelect={onSelect} />
      <Refused decisions={work.decisions} work={work} />
      {plan.thirdYear && <p className="mx-5 mt-3 text-[14px]">{plan.thirdYear}</p>}
      <LeftAlone plan={plan} onPoint={onPoint} />
      {/* below the steps, so that nothing moves under the pointer when the rest arrives */}
      {plans.following && (
        <p className="px-5 pt-2 text-[13px] text-muted" role="status">
          {say('plan-panel.gentler-and-firmer-ways-and')}
        </p>
      )}
      <PlansBeside plans={choices} words={PLAN_WORDS} />
      <SchoolsBeside id={id} decisions={work.decisions} onPoint={onPoint} />
      <Questions
        id={id}
        species={species}
        decisions={work.decisions}
        onChange={work.change}
        onPoint={onPoint}
      />
    </div>
  );
}

/** Why a gentler or firmer plan makes the cuts the recommended one makes; nothing where it does not. */
function sameAsRecommended(plan: Plan, recommended: Plan | undefined): string | undefined {
  const cuts = (one: Plan | undefined) =>
    one?.steps
      .filter((step) => step.year === 0)
      .map((step) => `${keyOf(step)} ${String(step.keep ?? '')}`)
      .sort()
      .join();
  if (plan === recommended || cuts(plan) !== cuts(recommended)) return undefined;
  return plan.name === 'gentler'
    ? say('plan-panel.the-same-cuts-as-recommended')
    : say('plan-panel.the-same-cuts-as-recommended-2');
}

/** What a plan comes to, in a short line; dots while it is searched again. */
function Sum({ plan, known }: { plan: Plan; known: boolean }) {
  const say = useSay();
  const sum =
    plan.name === 'nothing'
      ? say('plan-panel.underfruitlight-in-shade', {
          underFruitLight: percent(plan.totals.lightAfter.underFruitLight),
        })
      : say('plan-panel.cuts-and-minutes', {
          cuts: plan.totals.cuts,
          minutes: minutes(plan.totals.minutes),
        });
  return <span className="block text-[12px] font-normal">{known ? sum : '…'}</span>;
}

/** The plans to choose from: a renovation in one winter stands before no cuts. */
function withOneWinter(plans: Plan[], atOnce: Plan | undefined): Plan[] {
  return atOnce ? [...plans.slice(0, -1), atOnce, ...plans.slice(-1)] : plans;
}

function Own({ marks, work, onSelect }: { marks: Mark[]; work: Work; onSelect: (limb: string) => void }) {
  const say = useSay();
  if (marks.length === 0) return null;
  return (
    <section aria-label={say('plan-panel.your-own-marks')}>
      <h3 className="px-5 pt-4 pb-1 text-[13.5px] font-semibold text-muted">
        {say('plan-panel.your-own-marks')}
      </h3>
      <ul>
        {marks.map((mark) => {
          const i = work.marks.indexOf(mark);
          const effect = work.marked?.effects[i];
          return (
            <li key={keyOf(mark)} className="flex items-center gap-3 border-b border-line px-5 py-2">
              <span className="grid h-6 min-w-8 place-items-center bg-tape px-1.5 text-[13px] font-semibold text-paper">
                {i + 1}
              </span>
              <button
                type="button"
                className="flex-1 text-left hover:underline"
                onClick={() => {
                  onSelect(limbOf(mark));
                }}
              >
                <b>{effect?.title ?? keyOf(mark)}</b>
                {effect?.stop && <Stop />}
                <span className="block text-[13px] text-muted">{effect?.numbers}</span>
              </button>
              <Button
                weight="quiet"
                onClick={() => {
                  work.unmark(keyOf(mark));
                }}
              >
                {say('plan-panel.take-off')}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Later({
  steps,
  onPoint,
  onSelect,
}: {
  steps: Step[];
  onPoint: (limbs: string[]) => void;
  onSelect: (limb: string) => void;
}) {
  const say = useSay();
  if (steps.length === 0) return null;
  return (
    <section aria-label={say('plan-panel.for-later-winters')}>
      <h3 className="px-5 pt-4 pb-1 text-[13.5px] font-semibold text-muted">
        {say('plan-panel.for-later-winters-on-the')}
      </h3>
      <details open={steps.length <= FEW_LATER}>
        <summary className="px-5 py-1 text-[13.5px]">
          {steps.length} {say('plan-panel.steps', { length: steps.length })}
        </summary>
        <ul>
          {steps.map((step) => (
            <li key={`${step.year} ${keyOf(step)}`} className="border-b border-line">
              <button
                type="button"
                className="flex w-full items-baseline gap-3 px-5 py-2 text-left hover:bg-sand"
                onMouseEnter={() => {
                  onPoint([step.limb]);
                }}
                onMouseLeave={() => {
                  onPoint([]);
                }}
                onClick={() => {
                  onSelect(limbOf(step));
                }}
              >
                <span className="min-w-[74px] border border-later px-1 text-center text-[12.5px] text-muted">
                  {step.year === 1
                    ? say('plan-panel.next-winter')
                    : say('plan-panel.winter-year', { year: step.year + 1 })}
                </span>
                <span>
                  {step.title} <span className="text-[13px] text-muted">{step.numbers}</span>
                </span>
              </button>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

function Refused({ decisions, work }: { decisions: Decisions; work: Work }) {
  const say = useSay();
  const refused = decisions.refused ?? [];
  if (refused.length === 0) return null;
  return (
    <section aria-label={say('plan-panel.left-on-your-word')}>
      <h3 className="px-5 pt-4 pb-1 text-[13.5px] font-semibold text-muted">
        {say('plan-panel.left-on-your-word')}
      </h3>
      <ul>
        {refused.map((key) => (
          <li
            key={key}
            className="flex items-center justify-between border-b border-line px-5 py-1.5 text-[14px]"
          >
            {key.replace('@', ' ').replace(/-/g, ' ')}
            <Button
              weight="quiet"
              onClick={() => {
                work.allow(key);
              }}
            >
              {say('plan-panel.propose-again')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function LeftAlone({ plan, onPoint }: { plan: Plan; onPoint: (limbs: string[]) => void }) {
  const say = useSay();
  if (plan.leftAlone.length === 0 || plan.name === 'nothing') return null;
  return (
    <details className="mx-5 mt-4 text-[14px]">
      <summary className="text-muted">
        {say('plan-panel.length-findings-this-plan-leaves', { length: plan.leftAlone.length })}
      </summary>
      <ul className="mt-1.5">
        {plan.leftAlone.map((left) => (
          <li
            key={left.rule + left.limbs.join()}
            className="border-b border-line py-1.5"
            onMouseEnter={() => {
              onPoint(left.limbs);
            }}
            onMouseLeave={() => {
              onPoint([]);
            }}
          >
            {left.reason} <span className="text-muted">{capital(left.why)}.</span>
          </li>
        ))}
      </ul>
    </details>
  );
}
