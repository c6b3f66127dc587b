import { Choice, Field } from '../survey/Cell';
import { CONDITIONS, type LimbRow, type SurveyForm } from '../survey/form';
import { SmallWood } from '../survey/SmallWood';
import { useSay } from '../text/say';
import { term } from '../text/term';

/** The limb in hand in figures, and what is wrong with it. */
export function LimbFacts({
  form,
  chosen,
  faults,
  change,
}: {
  form: SurveyForm;
  chosen: string | null;
  faults: ReadonlyMap<string, string>;
  change: (next: Partial<SurveyForm>) => void;
}) {
  const say = useSay();
  const row = form.limbs.findIndex((one) => one.key === chosen);
  const limb = form.limbs[row];
  if (!limb) return <p className="mt-3 text-[14px] text-muted">{say('look.touch-a-limb')}</p>;
  const set = (next: Partial<LimbRow>) => {
    change({ limbs: form.limbs.map((one) => (one.key === chosen ? { ...one, ...next } : one)) });
  };
  return (
    <section className="mt-3 bg-sand px-3 py-2" aria-label={say('tree-shaper.limb', { id: limb.id })}>
      <h2 className="text-[16px] font-bold">{say('tree-shaper.limb', { id: limb.id })}</h2>
      <div className="grid grid-cols-3 gap-x-3 gap-y-1.5">
        {(
          [
            ['diameter_mm', say('limb-grid.thick'), 'mm'],
            ['length_cm', say('limb-grid.long'), 'cm'],
            ['at_cm', say('look.leaves-at'), 'cm'],
            ['angle_deg', say('limb-grid.angle'), '°'],
            ['bearing_deg', say('limb-grid.bearing'), '°'],
          ] as const
        ).map(([field, name, unit]) => (
          <Field
            key={field}
            name={name}
            unit={unit}
            inputMode="decimal"
            value={limb[field]}
            fault={faults.get(`limbs[${row}].${field}`)}
            change={(value) => {
              set({ [field]: value });
            }}
          />
        ))}
        <Choice
          name={say('limb-grid.condition')}
          value={limb.condition}
          options={CONDITIONS.map((id) => ({ id, name: term(id) }))}
          fault={faults.get(`limbs[${row}].condition`)}
          change={(condition) => {
            set({ condition });
          }}
        />
      </div>
      <details className="mt-1.5 text-[14px]">
        <summary>{say('look.count-shoots')}</summary>
        <div className="overflow-x-auto pt-1">
          <SmallWood limb={limb} change={set} />
        </div>
      </details>
    </section>
  );
}
