import { useState } from 'react';
import type { CountedPlan, CountedStep } from '../api/client';
import { keyOf } from '../api/marks';
import { useSay } from '../text/say';
import { StepHead } from '../tree/StepHead';
import type { DecidingWork } from '../tree/useDeciding';
import { Button } from '../ui/Button';
import { STAGE_WORDS, sureness } from '../ui/words';
import { markOf } from './marks';

/** The steps of a plan in the order of the work; each opens to why, where, and what could be done instead. */
export function PlantSteps({
  plan,
  names,
  work,
  chosen,
  onPoint,
}: {
  plan: CountedPlan;
  /** What rules are called, by id. */
  names: Record<string, string>;
  work: DecidingWork;
  /** The cane that was picked in the drawing. */
  chosen: string;
  onPoint: (cane: string) => void;
}) {
  const say = useSay();
  const [open, setOpen] = useState('');
  const refused = new Set(work.decisions.refused ?? []);
  const steps = plan.steps.filter((step) => !refused.has(keyOf(step)));
  const stages = [...new Set(steps.map((step) => step.stage))];
  if (plan.steps.length === 0) {
    return <p className="px-5 py-4 text-muted">{say('plant-steps.nothing-to-do')}</p>;
  }
  return (
    <>
      {stages.map((stage) => (
        <section key={stage} aria-label={STAGE_WORDS[stage] ?? stage}>
          <h3 className="px-5 pt-3 pb-1 text-[13px] font-semibold text-muted">
            {STAGE_WORDS[stage] ?? stage}
          </h3>
          <ol>
            {steps
              .filter((step) => step.stage === stage)
              .map((step) => (
                <StepLine
                  key={keyOf(step)}
                  step={step}
                  names={names}
                  number={numberOf(work, step)}
                  open={open === keyOf(step) || (chosen !== '' && chosen === step.limb)}
                  onOpen={() => {
                    setOpen(open === keyOf(step) ? '' : keyOf(step));
                  }}
                  onPoint={onPoint}
                  work={work}
                />
              ))}
          </ol>
        </section>
      ))}
      {plan.steps
        .filter((step) => refused.has(keyOf(step)))
        .map((step) => (
          <p
            key={keyOf(step)}
            className="flex items-center justify-between px-5 py-1.5 text-[13px] text-muted"
          >
            {say('plant-steps.left-title', { title: step.title })}
            <Button
              weight="quiet"
              onClick={() => {
                work.allow(keyOf(step));
              }}
            >
              {say('plant-steps.propose-again')}
            </Button>
          </p>
        ))}
    </>
  );
}

function numberOf(work: DecidingWork, step: CountedStep): number | undefined {
  const at = work.marks.findIndex((mark) => keyOf(mark) === keyOf(step));
  return at < 0 ? undefined : at + 1;
}

function StepLine({
  step,
  names,
  number,
  open,
  onOpen,
  onPoint,
  work,
}: {
  step: CountedStep;
  names: Record<string, string>;
  number: number | undefined;
  open: boolean;
  onOpen: () => void;
  onPoint: (cane: string) => void;
  work: DecidingWork;
}) {
  const say = useSay();
  const other = step.alternative;
  return (
    <li
      className={`border-b border-line ${open ? 'bg-tape-wash' : ''}`}
      onMouseEnter={() => {
        onPoint(step.limb);
      }}
      onMouseLeave={() => {
        onPoint('');
      }}
    >
      <StepHead
        number={number}
        order={step.order}
        title={step.title}
        numbers={step.numbers}
        open={open}
        onOpen={onOpen}
        stands={
          <span className={number !== undefined ? 'font-semibold text-moss' : 'text-muted'}>
            {number !== undefined
              ? say('step-row.taken')
              : step.closeCall
                ? say('step-row.close-call')
                : sureness(step.confidence)}
          </span>
        }
      />
      {open && (
        <div className="px-5 pb-3 pl-[64px] text-[14px]">
          <p>{step.reason}</p>
          <p className="mt-1 text-muted">{step.place}</p>
          {step.skipped && (
            <p className="mt-1 text-muted">{say('plant-steps.if-it-is-left', { skipped: step.skipped })}</p>
          )}
          {step.cautions.map((caution) => (
            <p key={caution} className="mt-1.5 border-l-[3px] border-lichen pl-2 text-[13.5px]">
              {caution}
            </p>
          ))}
          {step.rules.length > 0 && (
            <p className="mt-1 text-[13px] text-muted">
              {say('step-row.why')} {step.rules.map((rule) => names[rule]).join(', ')}
            </p>
          )}
          <div className="mt-2 flex flex-wrap gap-2">
            {number === undefined ? (
              <Button
                weight="ink"
                onClick={() => {
                  work.take(markOf(step));
                }}
              >
                {say('step-row.take')}
              </Button>
            ) : (
              <Button
                onClick={() => {
                  work.unmark(keyOf(step));
                }}
              >
                {say('step-row.take-off')}
              </Button>
            )}
            {other.operation !== 'keep' && (
              <Button
                onClick={() => {
                  work.take(markOf(other));
                }}
              >
                <span className="block max-w-[210px] truncate">
                  {say('step-row.title-instead', { title: other.title })}
                </span>
              </Button>
            )}
            <Button
              onClick={() => {
                work.refuse(keyOf(step));
              }}
            >
              {say('step-row.leave-it')}
            </Button>
          </div>
        </div>
      )}
    </li>
  );
}

/** What is wrong, with its measure and where the line is drawn. */
export function PlantFindings({
  findings,
  names,
  onPoint,
}: {
  names: Record<string, string>;
  findings: { rule: string; measure: string; reason: string; severity: string; limbs: string[] }[];
  onPoint: (cane: string) => void;
}) {
  const say = useSay();
  if (findings.length === 0) {
    return <p className="px-5 py-4 text-muted">{say('plant-steps.nothing-wrong')}</p>;
  }
  return (
    <ul>
      {findings.map((finding) => (
        <li
          key={finding.rule + finding.limbs.join()}
          className="border-b border-line px-5 py-2.5"
          onMouseEnter={() => {
            onPoint(finding.limbs[0] ?? '');
          }}
          onMouseLeave={() => {
            onPoint('');
          }}
        >
          <p className="font-semibold">{names[finding.rule]}</p>
          <p className="text-[14px]">{finding.measure}</p>
          <p className="text-[13.5px] text-muted">{finding.reason}</p>
        </li>
      ))}
    </ul>
  );
}
