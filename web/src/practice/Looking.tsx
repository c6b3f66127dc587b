import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import type { Practising } from './ExercisePage';

/** First one looks: where is something wrong? */
export function Looking({ page, attempt, act }: Practising) {
  const say = useSay();
  return (
    <div className="flex min-h-0 flex-1 flex-col overflow-auto px-5 py-4">
      <h2 className="text-[19px] font-bold">{say('exercise.what-is-wrong')}</h2>
      <p className="pt-1 text-[15px]">
        {page.needsAVisit
          ? say('exercise.so-many-faults', { faults: page.faults })
          : say('exercise.perhaps-nothing')}
      </p>
      <p className="pt-1 text-[14px] text-muted">{say('exercise.turn-and-touch')}</p>
      <div className="flex flex-wrap gap-1.5 pt-3">
        {page.limbs.map((limb) => {
          const on = attempt.pointed.includes(limb.id);
          return (
            <button
              key={limb.id}
              type="button"
              aria-pressed={on}
              onClick={() => {
                act({ type: 'point', limb: limb.id });
              }}
              className={`min-h-11 min-w-11 rounded-md border px-2 text-[15px] ${on ? 'border-ink bg-ink font-semibold text-paper' : 'border-muted/50'}`}
            >
              {limb.id}
            </button>
          );
        })}
      </div>
      <div className="mt-5">
        <Button
          weight="ink"
          className="min-h-11"
          onClick={() => {
            act({ type: 'go', to: 'cut' });
          }}
        >
          {say('exercise.to-the-cuts')}
        </Button>
      </div>
    </div>
  );
}
