import { MeasureInput } from '../ui/MeasureInput';
import { isUnit, unitSign } from '../text/units';
import { percent } from '../ui/words';
import { say, useSay } from '../text/say';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import type { Decisions, TreePage } from '../api/client';
import { Button } from '../ui/Button';
import { fixed, typedNumber } from '../ui/numbers';
import { OpenPanel } from '../ui/OpenPanel';

/** What a grower may weigh, in the order of the drawing's gauges, and how it reads. */
const GOALS = () =>
  [
    ['light', say('own-wish.light-on-the-fruiting-wood')],
    ['crop', say('own-wish.crop')],
    ['height', say('own-wish.low-within-reach')],
    ['renewal', say('own-wish.young-wood-for-old')],
    ['structure', say('own-wish.a-sound-frame')],
    ['labour', say('own-wish.little-work')],
  ] as const;
type Goal = ReturnType<typeof GOALS>[number][0];
const MOST_WEIGHT = 3;

interface Props {
  decisions: Decisions;
  /** Weights in force where none of the grower's own are set. */
  usual: Record<string, number>;
  limits: TreePage['limits'];
  onChange: (next: Decisions) => void;
}

interface Typed {
  goals: Record<Goal, number>;
  woodShare: string;
  bigCuts: string;
  reach: string;
}

/** Own weights for the goals and own limits for one winter, beside what purpose and school would set. */
export function OwnWish({ decisions, usual, limits, onChange }: Props) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState<Typed | null>(null);
  const now: Typed = typed ?? {
    goals: Object.fromEntries(
      GOALS().map(([goal]) => [goal, decisions.goals?.[goal] ?? usual[goal] ?? 1]),
    ) as Record<Goal, number>,
    woodShare: String(Math.round(limits.woodShare * 100)),
    bigCuts: String(limits.bigCuts),
    reach: String(limits.reachM),
  };
  const wood = inRange(now.woodShare, 1, 75);
  const big = inRange(now.bigCuts, 0, 60);
  const reach = inRange(now.reach, 1, 6);
  const wrong = wood === null || big === null || reach === null;
  const own = Boolean(decisions.hold);
  const close = (next: Decisions) => {
    onChange(next);
    setTyped(null);
    setOpen(false);
  };
  const use = () => {
    if (wood === null || big === null || reach === null) return;
    const changed =
      Math.round(limits.woodShare * 100) !== wood || limits.bigCuts !== big || limits.reachM !== reach;
    close({
      ...decisions,
      goals: now.goals,
      hold: changed ? { woodShare: wood / 100, bigCuts: Math.round(big), reachM: reach } : decisions.hold,
    });
  };
  const limitFields = [
    {
      limit: 'woodShare',
      words: say('own-wish.small-wood-taken-at-most'),
      unit: '%',
      wrong: wood === null ? say('own-wish.from-to', { from: percent(0.01), to: percent(0.75) }) : '',
    },
    {
      limit: 'bigCuts',
      words: say('own-wish.big-cuts-at-most'),
      unit: '',
      wrong: big === null ? say('own-wish.from-to', { from: 0, to: 60 }) : '',
    },
    {
      limit: 'reach',
      words: say('own-wish.reach-from-the-ground'),
      unit: 'm',
      wrong: reach === null ? say('own-wish.from-to', { from: 1, to: say('measure.m', { m: 6 }) }) : '',
    },
  ] as const;
  return (
    <OpenPanel
      open={open}
      onOpenChange={(next) => {
        setTyped(null);
        setOpen(next);
      }}
      opener={say('own-wish.weigh-it-yourself')}
      before={own ? say('own-wish.limits-of-your-own') : ''}
      title={say('own-wish.what-counts-on-this-tree')}
      description={say('own-wish.at-0-it-does-not')}
      actions={
        <>
          <Button
            onClick={() => {
              close({ ...decisions, goals: undefined, hold: undefined });
            }}
          >
            {say('own-wish.as-usual')}
          </Button>
          <Dialog.Close asChild>
            <Button>{say('own-wish.leave')}</Button>
          </Dialog.Close>
          <Button weight="ink" disabled={wrong} onClick={use}>
            {say('own-wish.plan-by-these')}
          </Button>
        </>
      }
    >
      {GOALS().map(([goal, words]) => (
        <label key={goal} className="flex items-center gap-4 border-b border-line py-1.5 text-[14px]">
          <span className="w-48 flex-none">{words}</span>
          <input
            type="range"
            min={0}
            max={MOST_WEIGHT}
            step={0.1}
            value={now.goals[goal]}
            onChange={(event) => {
              setTyped({ ...now, goals: { ...now.goals, [goal]: Number(event.target.value) } });
            }}
            className="h-8 min-w-0 flex-1 accent-ink"
          />
          <output className="w-8 text-right tabular-nums">{fixed(now.goals[goal], 1)}</output>
        </label>
      ))}
      {limitFields.map(({ limit, words, unit, wrong }) => (
        <Field
          key={limit}
          words={words}
          unit={unit}
          value={now[limit]}
          wrong={wrong}
          onType={(typedLimit) => {
            setTyped({ ...now, [limit]: typedLimit });
          }}
        />
      ))}
    </OpenPanel>
  );
}

function inRange(text: string, low: number, high: number): number | null {
  const value = typedNumber(text);
  return text.trim() !== '' && Number.isFinite(value) && value >= low && value <= high ? value : null;
}

interface FieldProps {
  words: string;
  unit: string;
  value: string;
  /** What is wrong with it; empty where nothing is. */
  wrong: string;
  onType: (text: string) => void;
}

function Field({ words, unit, value, wrong, onType }: FieldProps) {
  return (
    <label className="flex items-center justify-between gap-4 border-b border-line py-1.5 text-[14px]">
      <span>
        {words}
        {wrong !== '' && <span className="block text-[13px] text-tape">{wrong}</span>}
      </span>
      <span className="flex items-center gap-1.5">
        <MeasureInput
          inputMode="decimal"
          value={value}
          unit={isUnit(unit) ? unit : undefined}
          aria-invalid={wrong !== ''}
          change={onType}
          className="min-h-8 w-20 rounded-sm border border-muted/45 bg-paper px-2 text-right"
        />
        <span className="w-4">{isUnit(unit) ? unitSign(unit) : unit}</span>
      </span>
    </label>
  );
}
