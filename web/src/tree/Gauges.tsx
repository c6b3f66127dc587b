import type { Totals, TreePage } from '../api/client';
import { Gauge } from '../ui/Gauge';
import { minutes, percent } from '../ui/words';

interface Props {
  reading: TreePage['reading'];
  limits: TreePage['limits'];
  totals: Totals | undefined;
  saveState: string;
  error: Error | null;
}

const SAVE_WORDS: Record<string, string> = {
  saved: 'kept',
  saving: 'keeping…',
  stale: 'changed in another window: load again',
  failed: 'not kept: is Umbel running?',
};

/** What the marks come to, each against its limit. */
export function Gauges({ reading, limits, totals, saveState, error }: Props) {
  const wood = totals?.woodShare ?? 0;
  const big = totals?.bigCuts ?? 0;
  const shadeBefore = reading.light.under30;
  const shade = totals?.under30After ?? shadeBefore;
  const target = reading.crop.targetFruits;
  const fruits = totals?.expectedFruits ?? reading.crop.expectedFruits;
  const times = target > 0 ? fruits / target : 0;
  return (
    <div
      className="border-b border-line px-5 pt-3.5 pb-2.5"
      aria-live="polite"
      aria-label="What the marks come to"
    >
      <div className="grid grid-cols-2 gap-x-6 gap-y-2.5">
        <Gauge
          name="Small wood taken"
          value={`${Math.round(wood * 100)} of ${percent(limits.woodShare)}`}
          full={wood / (limits.woodShare * 1.4)}
          tick={1 / 1.4}
          over={wood > limits.woodShare + 0.004}
        />
        <Gauge
          name="Big cuts"
          value={`${big} of ${limits.bigCuts}`}
          full={big / (limits.bigCuts * 1.4)}
          tick={1 / 1.4}
          over={big > limits.bigCuts}
        />
        <Gauge
          name="Fruiting wood in shade"
          value={
            totals && Math.abs(shade - shadeBefore) > 0.004
              ? `${percent(shadeBefore)} → ${percent(shade)}`
              : percent(shadeBefore)
          }
          full={shade}
          tick={0.2}
          over={shade > 0.2}
        />
        <Gauge
          name="Fruits these buds can set"
          value={`${fruits} for ${target} wanted`}
          full={times / 2}
          tick={0.5}
          over={times > 2.2}
        />
      </div>
      <p className="mt-2 flex justify-between gap-2 text-[13px] text-muted">
        <span>
          {totals && totals.cuts > 0 ? (
            <>
              {totals.cuts} cuts, {minutes(totals.minutes)}
              {totals.ladderMinutes >= 0.5 ? `, ${minutes(totals.ladderMinutes)} on a ladder` : ''}
              {totals.newSprouts > 0
                ? `, about ${totals.newSprouts} ${totals.newSprouts === 1 ? 'sprout' : 'sprouts'} to follow`
                : ''}
            </>
          ) : (
            'Nothing to do yet'
          )}
        </span>
        <span className={saveState === 'saved' || saveState === 'saving' ? '' : 'font-semibold text-lichen'}>
          {SAVE_WORDS[saveState]}
        </span>
      </p>
      {error && (
        <p role="alert" className="mt-1 text-[13px] font-semibold text-lichen">
          {error.message}
        </p>
      )}
    </div>
  );
}
