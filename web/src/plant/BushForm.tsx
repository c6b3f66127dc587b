import { useState } from 'react';
import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { CaneLine, CaneOpen } from './CaneEntry';
import { nextId, withChanged } from './countForm';

const AGES = [1, 2, 3, 4, 5, 6, 7, 8];

/** A bush by its canes: one touch on an age counts a cane and opens it for what else is seen of it. */
export function BushForm({ survey, set }: { survey: CountSurvey; set: (next: CountSurvey) => void }) {
  const say = useSay();
  const [open, setOpen] = useState<string | null>(null);
  const canes = survey.canes ?? [];
  const change = (next: NonNullable<CountSurvey['canes']>) => {
    set({ ...survey, canes: next });
  };
  const ids = canes.map((cane) => cane.id ?? '');
  const entries = canes.map((cane, i) => ({ cane, i }));
  return (
    <section aria-labelledby="canes">
      <h2 id="canes" className="text-[18px] font-bold">
        {say('count-form.canes-count', { count: canes.reduce((sum, cane) => sum + (cane.count ?? 1), 0) })}
      </h2>
      <p className="text-[13.5px] text-muted">{say('count-form.tap-an-age')}</p>
      <div className="sticky top-0 z-10 -mx-1 mt-2 flex flex-wrap gap-2 bg-paper px-1 py-1">
        {AGES.map((age) => (
          <button
            key={age}
            type="button"
            aria-label={say('count-form.add-a-cane-of-age', { age })}
            onClick={() => {
              const id = nextId(ids);
              change([...canes, { id, age_y: age }]);
              setOpen(id);
            }}
            className="grid min-h-12 min-w-9 flex-1 place-items-center rounded-md border border-muted/50 text-[17px] font-semibold hover:bg-sand"
          >
            {age === AGES.length ? `${age}+` : age}
          </button>
        ))}
      </div>
      <ol className="mt-3">
        {entries.reverse().map(({ cane, i }) => (
          <li key={cane.id} className={`border-t border-line ${cane.id === open ? 'bg-sand px-2' : ''}`}>
            {cane.id === open ? (
              <CaneOpen
                cane={cane}
                others={ids.filter((id) => id !== cane.id)}
                change={(part) => {
                  change(withChanged(canes, i, part));
                }}
                drop={() => {
                  change(canes.filter((_, at) => at !== i));
                }}
              />
            ) : (
              <CaneLine
                cane={cane}
                open={() => {
                  setOpen(cane.id ?? null);
                }}
              />
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
