import { useSay } from '../text/say';
import { useRuleNames } from '../guide/useRules';
import { Link } from 'react-router';
import type { Mark, Step } from '../api/client';
import { keyOf, limbOf, markFrom } from '../api/marks';
import { Button } from '../ui/Button';
import { sureness } from '../ui/words';
import { StepHead } from './StepHead';
import { Stop } from './Stop';
import type { Work } from './useWork';

interface Props {
  step: Step;
  /** Whether it is past what the holding lets its own people do. */
  stop: boolean;
  /** The number on its flag once it is taken. */
  number: number | undefined;
  /** What the grower marked on this limb instead. */
  changed: Mark | undefined;
  open: boolean;
  onOpen: () => void;
  onPoint: (limbs: string[]) => void;
  onSelect: (limb: string) => void;
  work: Work;
}

/** One step: a sentence; opened, why first, then where and with what, then what the tree will answer. */
export function StepRow({ step, stop, number, changed, open, onOpen, onPoint, onSelect, work }: Props) {
  const say = useSay();
  const ruleName = useRuleNames();
  const key = keyOf(step);
  const other = step.alternative;
  const state = number !== undefined ? say('step-row.taken') : changed ? say('step-row.changed') : '';
  return (
    <li
      className={`border-b border-line ${open ? 'bg-tape-wash' : ''}`}
      onMouseEnter={() => {
        onPoint([step.limb]);
      }}
      onMouseLeave={() => {
        onPoint([]);
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
          state === '' ? (
            <span className={step.closeCall ? 'text-lichen' : 'text-muted'}>
              {step.closeCall ? say('step-row.close-call') : sureness(step.confidence)}
            </span>
          ) : (
            <span className="font-semibold text-moss">{state}</span>
          )
        }
      >
        {stop && <Stop />}
      </StepHead>
      {open && (
        <div className="px-5 pb-3 pl-[64px] text-[14px]">
          <p>{step.reason}</p>
          <p className="mt-1 text-muted">
            {step.place}{' '}
            <Link
              to={`/guide?tab=cuts&cut=${step.operation}`}
              className="text-ink underline underline-offset-4"
            >
              {say('guide-cuts.how')}
            </Link>
          </p>
          {step.skipped && (
            <p className="mt-1 text-muted">
              {say('step-row.if-it-is-left-lower', { lower: lower(step.skipped) })}
            </p>
          )}
          {step.answer && <p className="mt-1 text-muted">{step.answer}</p>}
          {step.cautions.map((caution) => (
            <p key={caution} className="mt-1.5 border-l-[3px] border-lichen pl-2 text-[13.5px]">
              {caution}
            </p>
          ))}
          <p className="mt-1.5 text-[13px] text-muted">
            {say('step-row.sureness-part-next-best-charat', {
              sureness: sureness(step.confidence),
              part: step.closeCall ? say('step-row.a-close-call') : '',
              charAt: other.title.charAt(0).toLowerCase() + other.title.slice(1),
            })}
          </p>
          {step.rules.length > 0 && (
            <p className="mt-1 text-[13px]">
              {say('step-row.why')}{' '}
              {step.rules.map((rule) => (
                <Link key={rule} to={`/guide?rule=${rule}`} className="mr-2.5 underline underline-offset-4">
                  {ruleName(rule)}
                </Link>
              ))}
            </p>
          )}
          <div className="mt-2 flex flex-wrap gap-2">
            {number === undefined ? (
              <Button
                weight="ink"
                onClick={() => {
                  work.take(markFrom(step));
                }}
              >
                {say('step-row.take')}
              </Button>
            ) : (
              <Button
                onClick={() => {
                  work.unmark(key);
                }}
              >
                {say('step-row.take-off')}
              </Button>
            )}
            {other.operation === 'keep' ? (
              <Button
                onClick={() => {
                  onSelect(limbOf(step));
                }}
              >
                {say('step-row.something-else')}
              </Button>
            ) : (
              <Button
                onClick={() => {
                  const rest = work.marks.filter(
                    (mark) => mark.limb !== step.limb && mark.limb !== other.limb,
                  );
                  work.change({ ...work.decisions, marks: [...rest, markFrom(other)] });
                }}
              >
                <span className="block max-w-[210px] truncate">
                  {say('step-row.title-instead', { title: other.title })}
                </span>
              </Button>
            )}
            <Button
              onClick={() => {
                work.refuse(key);
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

function lower(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1);
}
