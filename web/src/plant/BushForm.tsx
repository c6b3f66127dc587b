import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { Button } from '../ui/Button';
import { ChoiceField, NamesField, NumberField } from './CountFields';
import { nextId, withChanged } from './countForm';

const AGES = [1, 2, 3, 4, 5, 6, 7, 8];

/** A bush by its canes: one tap on an age counts a cane; what else is seen of it is told beside. */
export function BushForm({ survey, set }: { survey: CountSurvey; set: (next: CountSurvey) => void }) {
  const say = useSay();
  const canes = survey.canes ?? [];
  const change = (next: NonNullable<CountSurvey['canes']>) => {
    set({ ...survey, canes: next });
  };
  const attitudes = [
    ['', say('count-form.not-looked-at')],
    ['upright', say('count-form.upright')],
    ['leaning', say('count-form.leaning')],
    ['low', say('count-form.low')],
    ['down', say('count-form.down')],
  ] as const;
  const places = [
    ['', say('count-form.not-looked-at')],
    ['centre', say('count-form.centre')],
    ['middle', say('count-form.middle')],
    ['outside', say('count-form.outside')],
  ] as const;
  const conditions = [
    ['', term('sound')],
    ['dead', term('dead')],
    ['broken', term('broken')],
    ['diseased', term('diseased')],
    ['decayed', term('decayed')],
  ] as const;
  return (
    <section aria-labelledby="canes">
      <h2 id="canes" className="text-[18px] font-bold">
        {say('count-form.canes-count', { count: canes.reduce((sum, cane) => sum + (cane.count ?? 1), 0) })}
      </h2>
      <p className="text-[13.5px] text-muted">{say('count-form.tap-an-age')}</p>
      <div className="mt-2 flex flex-wrap gap-2">
        {AGES.map((age) => (
          <button
            key={age}
            type="button"
            aria-label={say('count-form.add-a-cane-of-age', { age })}
            onClick={() => {
              change([...canes, { id: nextId(canes.map((cane) => cane.id ?? '')), age_y: age }]);
            }}
            className="grid min-h-12 min-w-12 place-items-center rounded-md border border-muted/50 text-[17px] font-semibold hover:bg-sand"
          >
            {age === AGES.length ? `${age}+` : age}
          </button>
        ))}
      </div>
      <ol className="mt-3">
        {canes.map((cane, i) => (
          <li key={cane.id} className="flex flex-wrap items-end gap-x-2 gap-y-1 border-t border-line py-2">
            <span className="min-h-10 w-8 pt-2 font-semibold">{cane.id}</span>
            <NumberField
              name={say('count-form.age')}
              width="w-14"
              value={cane.age_y}
              set={(age_y) => {
                change(withChanged(canes, i, { age_y }));
              }}
            />
            <NumberField
              name={say('count-form.thickness-mm')}
              width="w-14"
              value={cane.diameter_mm}
              set={(diameter_mm) => {
                change(withChanged(canes, i, { diameter_mm }));
              }}
            />
            <NumberField
              name={say('count-form.height-cm')}
              width="w-14"
              value={cane.height_cm}
              set={(height_cm) => {
                change(withChanged(canes, i, { height_cm }));
              }}
            />
            <ChoiceField
              name={say('count-form.attitude')}
              value={cane.attitude}
              options={attitudes}
              set={(attitude) => {
                change(withChanged(canes, i, { attitude }));
              }}
            />
            <ChoiceField
              name={say('count-form.place')}
              value={cane.place}
              options={places}
              set={(place) => {
                change(withChanged(canes, i, { place }));
              }}
            />
            <ChoiceField
              name={say('count-form.condition')}
              value={cane.condition?.find((one) => one !== 'sound')}
              options={conditions}
              set={(condition) => {
                change(withChanged(canes, i, { condition: condition ? [condition] : ['sound'] }));
              }}
            />
            <NumberField
              name={say('count-form.flower-buds')}
              width="w-14"
              value={cane.flowerBuds}
              set={(flowerBuds) => {
                change(withChanged(canes, i, { flowerBuds }));
              }}
            />
            <label className="flex min-h-10 items-center gap-1.5 text-[13.5px]">
              <input
                type="checkbox"
                checked={cane.twiggy === true}
                onChange={(event) => {
                  change(withChanged(canes, i, { twiggy: event.target.checked }));
                }}
              />
              {say('count-form.twiggy')}
            </label>
            <Button
              weight="quiet"
              onClick={() => {
                change(canes.filter((_, at) => at !== i));
              }}
            >
              {say('count-form.delete')}
            </Button>
            <details
              className="basis-full text-[13.5px]"
              open={cane.count != null || cane.upright_shoot_cm != null || cane.rubs != null || undefined}
            >
              <summary className="text-muted">{say('count-form.more')}</summary>
              <div className="flex flex-wrap gap-2 pl-10">
                <NumberField
                  name={say('count-form.alike')}
                  width="w-14"
                  value={cane.count}
                  set={(count) => {
                    change(withChanged(canes, i, { count }));
                  }}
                />
                <NumberField
                  name={say('count-form.strong-shoot-at-cm')}
                  width="w-14"
                  value={cane.upright_shoot_cm}
                  set={(upright_shoot_cm) => {
                    change(withChanged(canes, i, { upright_shoot_cm }));
                  }}
                />
                <NamesField
                  name={say('count-form.rubs-on')}
                  value={cane.rubs}
                  known={canes.map((other) => other.id ?? '').filter((id) => id !== cane.id)}
                  set={(rubs) => {
                    change(withChanged(canes, i, { rubs }));
                  }}
                />
              </div>
            </details>
          </li>
        ))}
      </ol>
    </section>
  );
}
