import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import type { Practising } from './practising';
import { LimbChips } from './LimbChips';

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
      <LimbChips
        limbs={page.limbs}
        on={attempt.pointed}
        touch={(limb) => {
          act({ type: 'point', limb });
        }}
      />
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
