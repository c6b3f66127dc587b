import { say, useSay } from '../text/say';
import { useState } from 'react';
import type { Step } from '../api/client';
import { keyOf, markFrom } from '../api/marks';
import { Button } from '../ui/Button';
import { minutes } from '../ui/words';
import { StepRow } from './StepRow';
import type { Work } from './useWork';

/** From so many of the same small job, they are told as one. */
const FOLDED = 5;
const SMALL_JOBS: Record<string, string> = {
  get tip() {
    return say('step-list.tip');
  },
  get head() {
    return say('step-list.head');
  },
  get bend() {
    return say('step-list.bring-to-their-angle');
  },
  get remove() {
    return say('step-list.take-shoots-on');
  },
  get 'short-spur'() {
    return say('step-list.short-spur');
  },
  get 'thin-spurs'() {
    return say('step-list.thin-the-spurs-on');
  },
};

interface Props {
  steps: Step[];
  /** Number of each taken step's flag, by its key. */
  taken: ReadonlyMap<string, number>;
  stops: ReadonlySet<string>;
  open: string | null;
  onOpen: (key: string | null) => void;
  onPoint: (limbs: string[]) => void;
  onSelect: (limb: string) => void;
  work: Work;
}

/** The steps of one stage; many of the same small job are folded into a line that takes them all. */
export function StepList({ steps, ...rest }: Props) {
  const folds = new Map<string, Step[]>();
  for (const step of steps) {
    const small = step.operation in SMALL_JOBS && (step.operation !== 'remove' || step.limb.includes('/'));
    const name = small ? `${step.operation} ${step.rules.join(' ')}` : keyOf(step);
    folds.set(name, [...(folds.get(name) ?? []), step]);
  }
  return (
    <ol>
      {[...folds.entries()].map(([name, same]) =>
        same.length >= FOLDED ? (
          <Fold key={name} steps={same} {...rest} />
        ) : (
          same.map((step) => <Row key={keyOf(step)} step={step} {...rest} />)
        ),
      )}
    </ol>
  );
}

function Row({
  step,
  taken,
  stops,
  open,
  onOpen,
  onPoint,
  onSelect,
  work,
}: Omit<Props, 'steps'> & { step: Step }) {
  const key = keyOf(step);
  return (
    <StepRow
      step={step}
      stop={stops.has(key)}
      number={taken.get(key)}
      changed={work.marks.find((mark) => mark.limb === step.limb && keyOf(mark) !== key)}
      open={open === key}
      onOpen={() => {
        onOpen(open === key ? null : key);
      }}
      onPoint={onPoint}
      onSelect={onSelect}
      work={work}
    />
  );
}

function Fold({ steps, ...rest }: Props) {
  const say = useSay();
  const [unfolded, setUnfolded] = useState(false);
  const { taken, work, onPoint } = rest;
  const left = steps.filter((step) => !taken.has(keyOf(step)));
  const limbs = steps.map((step) => step.limb.split('/')[0] ?? '');
  const all = steps.reduce((sum, step) => sum + step.minutes, 0);
  return (
    <li
      className="border-b border-line"
      onMouseEnter={() => {
        onPoint(limbs);
      }}
      onMouseLeave={() => {
        onPoint([]);
      }}
    >
      <div className="flex items-start gap-3 px-5 py-1.5">
        <button
          type="button"
          aria-expanded={unfolded}
          className="min-w-0 flex-1 text-left"
          onClick={() => {
            setUnfolded(!unfolded);
          }}
        >
          <span className="block leading-snug font-semibold">
            {say('step-list.smalljobs-length-limbs', {
              SMALLJOBS: SMALL_JOBS[steps[0]?.operation ?? ''],
              length: steps.length,
            })}
          </span>
          <span className="block text-[13px] text-muted">
            {[...new Set(limbs)].join(', ')} · {minutes(all)} ·{' '}
            {unfolded ? say('step-list.fold-together') : say('step-list.show-each')}
          </span>
        </button>
        <Button
          disabled={left.length === 0}
          onClick={() => {
            const others = work.marks.filter((mark) => !left.some((step) => step.limb === mark.limb));
            work.change({ ...work.decisions, marks: [...others, ...left.map(markFrom)] });
          }}
        >
          {left.length === 0 ? say('step-list.taken') : say('step-list.take-length', { length: left.length })}
        </Button>
      </div>
      {unfolded && (
        <ol className="border-t border-line pl-4">
          {steps.map((step) => (
            <Row key={keyOf(step)} step={step} {...rest} />
          ))}
        </ol>
      )}
    </li>
  );
}
