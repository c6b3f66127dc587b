import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { Button } from '../ui/Button';
import { ChoiceField, NumberField, NumberFields } from './CountFields';
import { nextId, withChanged, without } from './countForm';
import { VineCanes } from './VineCanes';

type Vine = NonNullable<CountSurvey['vine']>;

/** A vine by its arms and canes; the weight of its prunings decides how many nodes stay. */
export function VineForm({
  survey,
  woods,
  set,
}: {
  survey: CountSurvey;
  /** Kinds of vine that differ in how nodes follow from weight. */
  woods: { id: string; name: string }[];
  set: (next: CountSurvey) => void;
}) {
  const say = useSay();
  const vine: Vine = survey.vine ?? {};
  const arms = vine.arms ?? [];
  const canes = vine.canes ?? [];
  const change = (part: Partial<Vine>) => {
    set({ ...survey, vine: without({ ...vine, ...part }) });
  };
  return (
    <section aria-labelledby="vine">
      <h2 id="vine" className="text-[18px] font-bold">
        {say('count-form.the-vine')}
      </h2>
      <div className="mt-2 flex flex-wrap gap-3">
        <ChoiceField
          name={say('count-form.pruned-as')}
          value={vine.prunedAs}
          options={[
            ['', say('count-form.not-looked-at')],
            ['cane', say('count-form.canes')],
            ['spur', say('count-form.spurs')],
          ]}
          set={(prunedAs) => {
            change({ prunedAs });
          }}
        />
        {woods.length > 1 && (
          <ChoiceField
            name={say('count-form.kind-of-vine')}
            value={vine.wood}
            options={[['', say('count-form.usual')], ...woods.map((one) => [one.id, one.name] as const)]}
            set={(wood) => {
              change({ wood });
            }}
          />
        )}
        <NumberField
          name={say('count-form.prunings-kg')}
          unit="kg"
          value={vine.pruningWeight_kg}
          set={(pruningWeight_kg) => {
            change({ pruningWeight_kg });
          }}
        />
        <ChoiceField
          name={say('count-form.the-weight-is')}
          value={vine.weightIs}
          options={[
            ['estimated', say('count-form.estimated')],
            ['weighed', say('count-form.weighed')],
          ]}
          set={(weightIs) => {
            change({ weightIs });
          }}
        />
      </div>
      <details className="mt-2" open={vine.budSample != null || vine.nodesLast != null || undefined}>
        <summary className="min-h-9 pt-1.5 text-[13.5px] text-muted">{say('count-form.more')}</summary>
        <div className="flex flex-wrap gap-3">
          <NumberFields
            fields={[
              ['nodesLast', say('count-form.nodes-last-winter')],
              ['shootsLast', say('count-form.shoots-last-summer')],
              ['cropLast_kg', say('count-form.crop-last-kg')],
              ['canopies', say('count-form.canopies')],
              ['canopy_m2', say('count-form.canopy-m2')],
            ]}
            values={vine}
            set={(key, value) => {
              change({ [key]: value });
            }}
          />
        </div>
        <div className="mt-3 flex flex-wrap gap-3">
          <NumberField
            name={say('count-form.buds-cut-open')}
            value={vine.budSample?.n}
            set={(n) => {
              change({ budSample: n ? { n, dead: Math.min(n, vine.budSample?.dead ?? 0) } : undefined });
            }}
          />
          {vine.budSample?.n != null && (
            <NumberField
              name={say('count-form.of-them-dead')}
              value={vine.budSample.dead}
              set={(dead) => {
                change({ budSample: { n: vine.budSample?.n ?? 0, dead: dead ?? 0 } });
              }}
            />
          )}
        </div>
      </details>
      <h3 className="mt-4 text-[15px] font-semibold">{say('count-form.arms')}</h3>
      <ol>
        {arms.map((arm, i) => (
          <li key={arm.id} className="flex flex-wrap items-end gap-3 border-t border-line py-2">
            <span className="min-h-10 w-10 pt-2 font-semibold">{arm.id}</span>
            <NumberFields
              fields={[
                ['length_cm', say('count-form.length-cm')],
                ['age_y', say('count-form.age')],
                ['positions', say('count-form.places')],
                ['blind', say('count-form.empty-ones')],
              ]}
              values={arm}
              set={(key, value) => {
                change({ arms: withChanged(arms, i, { [key]: value }) });
              }}
            />
            <ChoiceField
              name={say('count-form.condition')}
              value={arm.condition?.find((one) => one !== 'sound')}
              options={[
                ['', term('sound')],
                ['diseased', term('diseased')],
                ['dead', term('dead')],
              ]}
              set={(condition) => {
                change({ arms: withChanged(arms, i, { condition: condition ? [condition] : ['sound'] }) });
              }}
            />
            <Button
              weight="quiet"
              onClick={() => {
                change({
                  arms: arms.filter((_, at) => at !== i),
                  canes: canes.filter((cane) => cane.arm !== arm.id),
                });
              }}
            >
              {say('count-form.delete')}
            </Button>
          </li>
        ))}
      </ol>
      <Button
        onClick={() => {
          const id =
            arms.length === 0
              ? 'L'
              : arms.length === 1
                ? 'R'
                : nextId(
                    arms.map((arm) => arm.id ?? ''),
                    'A',
                  );
          change({ arms: [...arms, { id }] });
        }}
      >
        {say('count-form.add-an-arm')}
      </Button>
      <VineCanes
        arms={arms.map((arm) => arm.id ?? '')}
        canes={canes}
        change={(next) => {
          change({ canes: next });
        }}
      />
    </section>
  );
}
