import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { Button } from '../ui/Button';
import { ChoiceField, NumberField } from './CountFields';
import { nextId, withChanged, without } from './countForm';

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
        {(
          [
            ['nodesLast', say('count-form.nodes-last-winter')],
            ['shootsLast', say('count-form.shoots-last-summer')],
            ['cropLast_kg', say('count-form.crop-last-kg')],
            ['canopies', say('count-form.canopies')],
            ['canopy_m2', say('count-form.canopy-m2')],
          ] as const
        ).map(([key, name]) => (
          <NumberField
            key={key}
            name={name}
            value={vine[key]}
            set={(value) => {
              change({ [key]: value });
            }}
          />
        ))}
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
      <h3 className="mt-4 text-[15px] font-semibold">{say('count-form.arms')}</h3>
      <ol>
        {arms.map((arm, i) => (
          <li key={arm.id} className="flex flex-wrap items-end gap-3 border-t border-line py-2">
            <span className="min-h-10 w-10 pt-2 font-semibold">{arm.id}</span>
            {(
              [
                ['length_cm', say('count-form.length-cm')],
                ['age_y', say('count-form.age')],
                ['positions', say('count-form.places')],
                ['blind', say('count-form.empty-ones')],
              ] as const
            ).map(([key, name]) => (
              <NumberField
                key={key}
                name={name}
                value={arm[key]}
                set={(value) => {
                  change({ arms: withChanged(arms, i, { [key]: value }) });
                }}
              />
            ))}
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
      <h3 className="mt-4 text-[15px] font-semibold">
        {say('count-form.canes-count', { count: canes.length })}
      </h3>
      <div className="mt-1 flex flex-wrap gap-2">
        {(arms.length === 0 ? [undefined] : arms.map((arm) => arm.id)).map((arm) => (
          <Button
            key={arm ?? 'head'}
            onClick={() => {
              const id = nextId(
                canes.map((cane) => cane.id ?? ''),
                'c',
              );
              change({ canes: [...canes, { id, nodes: 10, lit: true, ...(arm ? { arm } : {}) }] });
            }}
          >
            {arm ? say('count-form.add-a-cane-on', { arm }) : say('count-form.add-a-cane')}
          </Button>
        ))}
      </div>
      <ol className="mt-2">
        {canes.map((cane, i) => (
          <li key={cane.id} className="flex flex-wrap items-end gap-3 border-t border-line py-2">
            <span className="min-h-10 w-16 pt-2 font-semibold">
              {cane.id} {cane.arm}
            </span>
            <NumberField
              name={say('count-form.nodes')}
              width="w-16"
              value={cane.nodes}
              set={(nodes) => {
                change({ canes: withChanged(canes, i, { nodes: nodes ?? 1 }) });
              }}
            />
            {(
              [
                ['at_cm', say('count-form.from-the-head-cm')],
                ['diameter_mm', say('count-form.thickness-mm')],
                ['length_cm', say('count-form.length-cm')],
              ] as const
            ).map(([key, name]) => (
              <NumberField
                key={key}
                name={name}
                width="w-16"
                value={cane[key]}
                set={(value) => {
                  change({ canes: withChanged(canes, i, { [key]: value }) });
                }}
              />
            ))}
            <label className="flex min-h-10 items-center gap-1.5 text-[13.5px]">
              <input
                type="checkbox"
                checked={cane.lit !== false}
                onChange={(event) => {
                  change({ canes: withChanged(canes, i, { lit: event.target.checked }) });
                }}
              />
              {say('count-form.grew-in-the-light')}
            </label>
            <Button
              weight="quiet"
              onClick={() => {
                change({ canes: canes.filter((_, at) => at !== i) });
              }}
            >
              {say('count-form.delete')}
            </Button>
          </li>
        ))}
      </ol>
    </section>
  );
}
