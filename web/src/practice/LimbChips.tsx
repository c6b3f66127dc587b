import type { PracticeTreePage } from '../api/client';
import { useSay } from '../text/say';

/** The limbs of a tree to be touched by their numbers, for whoever does not reach them in the drawing. */
export function LimbChips({
  limbs,
  on,
  touch,
}: {
  limbs: PracticeTreePage['limbs'];
  on: readonly string[];
  touch: (limb: string) => void;
}) {
  const say = useSay();
  return (
    <div className="flex flex-wrap gap-1.5 pt-3" role="group" aria-label={say('exercise.limbs')}>
      {limbs.map((limb) => (
        <button
          key={limb.id}
          type="button"
          aria-pressed={on.includes(limb.id)}
          aria-label={say('limb-panel.limb-limb', { limb: limb.id })}
          onClick={() => {
            touch(limb.id);
          }}
          className={`min-h-11 min-w-11 rounded-md border px-2 text-[15px] ${on.includes(limb.id) ? 'border-ink bg-ink font-semibold text-paper' : 'border-muted/50'}`}
        >
          {limb.id}
        </button>
      ))}
    </div>
  );
}
