import { useEffect } from 'react';
import { Link } from 'react-router';
import type { Step } from '../api/client';
import { keyOf, markFrom } from '../api/marks';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { inField, singleKeysOn } from '../ui/singleKeys';
import { STAGE_WORDS, sureness } from '../ui/words';
import { Stop } from './Stop';
import type { Work } from './useWork';

interface Props {
  /** The steps of this visit, in the order of work. */
  steps: Step[];
  /** Which of them is shown, from 0. */
  at: number;
  go: (at: number) => void;
  close: () => void;
  /** Whether a step is past what the holding lets its own people do. */
  stopped: (step: Step) => boolean;
  work: Work;
}

/** The plan from cut to cut: one large at a time, taken or left by one touch or key, and on to the next. */
export function CutWalk({ steps, at, go, close, stopped, work }: Props) {
  const say = useSay();
  const step = steps[at];
  const taken = step ? work.marks.some((mark) => keyOf(mark) === keyOf(step)) : false;
  const left = step ? (work.decisions.refused ?? []).includes(keyOf(step)) : false;
  const decided = steps.filter(
    (one) =>
      work.marks.some((mark) => keyOf(mark) === keyOf(one)) ||
      (work.decisions.refused ?? []).includes(keyOf(one)),
  ).length;
  const take = () => {
    if (!step) return;
    work.take(markFrom(step));
    go(at + 1);
  };
  const leave = () => {
    if (!step) return;
    work.refuse(keyOf(step));
    go(at + 1);
  };
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (inField(event) || !singleKeysOn() || event.ctrlKey || event.metaKey) return;
      const onButton = event.target instanceof HTMLButtonElement || event.target instanceof HTMLAnchorElement;
      if (event.key === 'Enter' && !onButton) take();
      else if (event.key === 'Delete') leave();
      else if (event.key === 'PageDown') go(at + 1);
      else if (event.key === 'PageUp') go(Math.max(0, at - 1));
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  });
  return (
    <section aria-label={say('cut-walk.one-at-a-time')} className="flex min-h-0 flex-1 flex-col">
      <div className="flex items-center justify-between gap-3 border-b border-line px-5 py-2 text-[14px]">
        <span className="text-muted">
          {say('cut-walk.step-of', { at: Math.min(at + 1, steps.length), of: steps.length, decided })}
        </span>
        <Button weight="quiet" onClick={close}>
          {say('cut-walk.whole-list')}
        </Button>
      </div>
      {step ? (
        <>
          <div className="min-h-0 flex-1 overflow-auto px-5 py-4">
            <p className="text-[13.5px] font-semibold text-muted">{STAGE_WORDS[step.stage] ?? step.stage}</p>
            <h2 className="pt-1 text-[24px] leading-tight font-bold">{step.title}</h2>
            {stopped(step) && <Stop />}
            <p className="pt-2 text-[17px]">{step.reason}</p>
            <p className="pt-2 text-[15.5px]">
              {step.place}{' '}
              <Link to={`/guide?tab=cuts&cut=${step.operation}`} className="underline underline-offset-4">
                {say('guide-cuts.how')}
              </Link>
            </p>
            <p className="pt-1 text-[14.5px] text-muted">{step.numbers}</p>
            {step.answer && <p className="pt-1 text-[14.5px] text-muted">{step.answer}</p>}
            {step.skipped && (
              <p className="pt-2 text-[14.5px]">
                <b>{say('cut-walk.if-left')}</b> {step.skipped}
              </p>
            )}
            {step.cautions.map((caution) => (
              <p key={caution} className="mt-2 border-l-[3px] border-lichen pl-2 text-[14px]">
                {caution}
              </p>
            ))}
            <p className="pt-2 text-[13.5px] text-muted">
              {step.closeCall
                ? say('cut-walk.close-call', { other: step.alternative.title })
                : sureness(step.confidence)}
            </p>
            {(taken || left) && (
              <p role="status" className={`pt-2 font-semibold ${taken ? 'text-moss' : 'text-lichen'}`}>
                {taken ? say('step-row.taken') : say('cut-walk.left')}
              </p>
            )}
          </div>
          <div className="grid grid-cols-2 gap-2 border-t border-line px-5 py-3">
            <Button weight="ink" className="min-h-12 text-[16px]" onClick={take}>
              {say('step-row.take')}
            </Button>
            <Button className="min-h-12 text-[16px]" onClick={leave}>
              {say('cut-walk.leave')}
            </Button>
            <Button
              className="min-h-11"
              disabled={at === 0}
              onClick={() => {
                go(at - 1);
              }}
            >
              {say('cut-walk.back')}
            </Button>
            <Button
              className="min-h-11"
              onClick={() => {
                go(at + 1);
              }}
            >
              {say('cut-walk.next')}
            </Button>
          </div>
        </>
      ) : (
        <div className="px-5 py-5">
          <h2 className="text-[22px] font-bold">{say('cut-walk.done')}</h2>
          <p className="pt-1 text-[15.5px]">
            {say('cut-walk.taken-of', {
              taken: steps.filter((one) => work.marks.some((mark) => keyOf(mark) === keyOf(one))).length,
              of: steps.length,
            })}
          </p>
          <span className="mt-3 flex gap-2">
            <Button
              className="min-h-11"
              onClick={() => {
                go(0);
              }}
            >
              {say('cut-walk.from-the-start')}
            </Button>
            <Button weight="ink" className="min-h-11" onClick={close}>
              {say('cut-walk.whole-list')}
            </Button>
          </span>
        </div>
      )}
    </section>
  );
}
