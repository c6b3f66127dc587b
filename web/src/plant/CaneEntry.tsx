import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { Button } from '../ui/Button';
import { ChipField, NamesField, NumberFields } from './CountFields';

export type Cane = NonNullable<CountSurvey['canes']>[number];

const THICKNESSES = [5, 10, 15, 20, 25] as const;

/** Words for how a cane grows, where it stands and how it is, by their words of the format. */
function useWords() {
  const say = useSay();
  return {
    attitudes: [
      ['upright', say('count-form.upright')],
      ['leaning', say('count-form.leaning')],
      ['low', say('count-form.low')],
      ['down', say('count-form.down')],
    ] as const,
    places: [
      ['centre', say('count-form.centre')],
      ['middle', say('count-form.middle')],
      ['outside', say('count-form.outside')],
    ] as const,
    conditions: [
      ['dead', term('dead')],
      ['broken', term('broken')],
      ['diseased', term('diseased')],
      ['decayed', term('decayed')],
    ] as const,
  };
}

/** A cane in one line; a touch opens it. */
export function CaneLine({ cane, open }: { cane: Cane; open: () => void }) {
  const say = useSay();
  const words = useWords();
  const named = (options: readonly (readonly [string, string])[], id: string | null | undefined) =>
    options.find(([one]) => one === id)?.[1];
  const facts = [
    cane.age_y == null ? null : say('count-form.years', { age: cane.age_y }),
    cane.count == null || cane.count === 1 ? null : `× ${cane.count}`,
    cane.diameter_mm == null ? null : say('count-form.mm', { mm: cane.diameter_mm }),
    named(words.attitudes, cane.attitude),
    named(words.places, cane.place),
    named(
      words.conditions,
      cane.condition?.find((one) => one !== 'sound'),
    ),
    cane.twiggy ? say('count-form.twiggy') : null,
  ].filter(Boolean);
  return (
    <button
      type="button"
      onClick={open}
      className="flex min-h-11 w-full items-center gap-3 text-left hover:bg-sand"
    >
      <span className="w-8 font-semibold">{cane.id}</span>
      <span>{facts.join(', ')}</span>
    </button>
  );
}

/** A cane opened: what is seen of it by touches, what is measured in fields. */
export function CaneOpen({
  cane,
  others,
  change,
  drop,
}: {
  cane: Cane;
  /** Names of the other canes. */
  others: string[];
  change: (part: Partial<Cane>) => void;
  drop: () => void;
}) {
  const say = useSay();
  const words = useWords();
  return (
    <div className="flex flex-col gap-2 py-2">
      <div className="flex items-center justify-between gap-3">
        <span className="text-[17px] font-semibold">
          {cane.id} {cane.age_y == null ? '' : say('count-form.years', { age: cane.age_y })}
        </span>
        <Button weight="quiet" onClick={drop}>
          {say('count-form.delete')}
        </Button>
      </div>
      <ChipField
        name={say('count-form.thickness-mm')}
        value={cane.diameter_mm == null ? undefined : String(cane.diameter_mm)}
        options={THICKNESSES.map((mm) => [String(mm), String(mm)] as const)}
        set={(mm) => {
          change({ diameter_mm: mm === undefined ? undefined : Number(mm) });
        }}
      />
      <ChipField
        name={say('count-form.attitude')}
        value={cane.attitude}
        options={words.attitudes}
        set={(attitude) => {
          change({ attitude });
        }}
      />
      <ChipField
        name={say('count-form.place')}
        value={cane.place}
        options={words.places}
        set={(place) => {
          change({ place });
        }}
      />
      <ChipField
        name={say('count-form.condition')}
        value={cane.condition?.find((one) => one !== 'sound')}
        options={words.conditions}
        set={(condition) => {
          change({ condition: condition ? [condition] : ['sound'] });
        }}
      />
      <ChipField
        name={say('count-form.side-shoots')}
        value={cane.twiggy ? 'twiggy' : undefined}
        options={[['twiggy', say('count-form.twiggy')]]}
        set={(twiggy) => {
          change({ twiggy: twiggy !== undefined });
        }}
      />
      <details
        className="text-[13.5px]"
        open={
          cane.count != null ||
          cane.height_cm != null ||
          cane.flowerBuds != null ||
          cane.upright_shoot_cm != null ||
          cane.rubs != null ||
          undefined
        }
      >
        <summary className="min-h-9 pt-1.5 text-muted">{say('count-form.more')}</summary>
        <div className="flex flex-wrap gap-2">
          <NumberFields
            width="w-14"
            fields={[
              ['age_y', say('count-form.age')],
              ['diameter_mm', say('count-form.thickness-mm')],
              ['height_cm', say('count-form.height-cm')],
              ['flowerBuds', say('count-form.flower-buds')],
              ['count', say('count-form.alike')],
              ['upright_shoot_cm', say('count-form.strong-shoot-at-cm')],
            ]}
            values={cane}
            set={(key, value) => {
              change({ [key]: value });
            }}
          />
          <NamesField
            name={say('count-form.rubs-on')}
            value={cane.rubs}
            known={others}
            set={(rubs) => {
              change({ rubs });
            }}
          />
        </div>
      </details>
    </div>
  );
}
