import { ChoiceField, NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { named } from '../text/term';
import { Button } from '../ui/Button';
import type { Planting } from './request';
import { ACTS, doing, keepsTheTrees, type Standing } from './standing';
import { PriceField, TreeFields } from './TreeFields';

/** One option: what, on what, how far apart, at what price; or what is done with the trees that stand. */
export function OptionForm({
  option,
  standing,
  set,
  copy,
  drop,
}: {
  option: Planting;
  /** The trees that stand on the land, with which something could be done. */
  standing: Standing | undefined;
  set: (part: Partial<Planting>) => void;
  copy: (() => void) | undefined;
  drop: (() => void) | undefined;
}) {
  const say = useSay();
  const kept = keepsTheTrees(option);
  const replanting = option.onStanding?.act === 'replant' ? option.onStanding : null;
  return (
    <fieldset className="mt-4 border-t-2 border-ink pt-2">
      <legend className="pr-2 font-display text-[20px] font-bold">{option.name}</legend>
      <div className="flex flex-wrap gap-2">
        {standing && (
          <ChoiceField
            name={say('standing.act')}
            value={option.onStanding?.act}
            options={[
              ['', say('standing.bare-land')],
              ...ACTS.map((one) => [one, named('planting-act', one)] as const),
            ]}
            set={(act) => {
              set({ onStanding: act === undefined ? undefined : doing(act) });
            }}
          />
        )}
        {replanting && (
          <>
            <NumberField
              name={say('standing.over')}
              width="w-16"
              value={replanting.over_y}
              set={(over_y) => {
                set({ onStanding: { ...replanting, over_y } });
              }}
            />
            <NumberField
              name={say('standing.fallow')}
              width="w-16"
              value={replanting.fallow_y}
              set={(fallow_y) => {
                set({ onStanding: { ...replanting, fallow_y } });
              }}
            />
          </>
        )}
        {!kept && <TreeFields option={option} set={set} />}
        {kept && <PriceField option={{ price_perKg: standing?.trees.price_perKg, ...option }} set={set} />}
        <NumberField
          name={say('plantings.trend')}
          width="w-16"
          value={option.priceTrend == null ? undefined : Math.round(1000 * option.priceTrend) / 10}
          set={(percentage) => {
            set({ priceTrend: percentage == null ? undefined : percentage / 100 });
          }}
        />
        {!kept && (
          <NumberField
            name={say('plantings.life')}
            width="w-16"
            value={option.cultivarLife_y}
            set={(cultivarLife_y) => {
              set({ cultivarLife_y });
            }}
          />
        )}
      </div>
      <div className="mt-2 flex gap-2">
        {copy && (
          <Button onClick={copy} weight="plain">
            {say('plantings.copy')}
          </Button>
        )}
        {drop && (
          <Button onClick={drop} weight="quiet">
            {say('plantings.delete')}
          </Button>
        )}
      </div>
    </fieldset>
  );
}
