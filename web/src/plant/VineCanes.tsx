import { useState } from 'react';
import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { ChipField, NumberField, NumberFields } from './CountFields';
import { nextId, withChanged } from './countForm';

type Vine = NonNullable<CountSurvey['vine']>;
type Cane = NonNullable<Vine['canes']>[number];

const NODES = [4, 6, 8, 10, 12, 15, 20];
const THICKNESSES = [6, 8, 10, 12, 15] as const;
const FROM_HEAD = [5, 15, 30, 60] as const;

const chips = (numbers: readonly number[]) => numbers.map((one) => [String(one), String(one)] as const);
const shown = (value: number | null | undefined) => (value == null ? undefined : String(value));
const read = (value: string | undefined) => (value === undefined ? undefined : Number(value));

/** The canes of a vine, arm by arm: one touch on a number of nodes counts a cane and opens it for what else is seen of it. */
export function VineCanes({
  arms,
  canes,
  change,
}: {
  /** Ids of the arms; empty where there are none. */
  arms: string[];
  canes: Cane[];
  change: (canes: Cane[]) => void;
}) {
  const say = useSay();
  const [open, setOpen] = useState<string | null>(null);
  const add = (arm: string | undefined, nodes: number) => {
    const id = nextId(
      canes.map((cane) => cane.id ?? ''),
      'c',
    );
    change([...canes, { id, nodes, lit: true, ...(arm ? { arm } : {}) }]);
    setOpen(id);
  };
  const entries = canes.map((cane, i) => ({ cane, i })).reverse();
  return (
    <>
      <h3 className="mt-4 text-[15px] font-semibold">
        {say('count-form.canes-count', { count: canes.length })}
      </h3>
      <p className="text-[13.5px] text-muted">{say('count-form.tap-nodes')}</p>
      {(arms.length === 0 ? [undefined] : arms).map((arm) => (
        <div
          key={arm ?? 'head'}
          role="group"
          aria-label={arm ? say('count-form.add-a-cane-on', { arm }) : say('count-form.add-a-cane')}
          className="mt-2 flex items-center gap-1.5"
        >
          <span className="w-8 shrink-0 font-semibold">{arm ?? ''}</span>
          {NODES.map((nodes) => (
            <button
              key={nodes}
              type="button"
              aria-label={say('count-form.add-a-cane-of-nodes', { nodes, arm: arm ?? '' })}
              onClick={() => {
                add(arm, nodes);
              }}
              className="grid min-h-12 min-w-9 flex-1 place-items-center rounded-md border border-muted/50 text-[16px] font-semibold hover:bg-sand"
            >
              {nodes}
            </button>
          ))}
        </div>
      ))}
      <ol className="mt-3">
        {entries.map(({ cane, i }) => (
          <li key={cane.id} className={`border-t border-line ${cane.id === open ? 'bg-sand px-2' : ''}`}>
            {cane.id === open ? (
              <Opened
                cane={cane}
                set={(part) => {
                  change(withChanged(canes, i, part));
                }}
                drop={() => {
                  change(canes.filter((_, at) => at !== i));
                }}
              />
            ) : (
              <button
                type="button"
                onClick={() => {
                  setOpen(cane.id ?? null);
                }}
                className="flex min-h-11 w-full items-center gap-3 text-left hover:bg-sand"
              >
                <span className="w-14 font-semibold">
                  {cane.id} {cane.arm}
                </span>
                <span>
                  {[
                    say('count-form.nodes-count', { nodes: cane.nodes ?? 0 }),
                    cane.diameter_mm == null ? null : say('count-form.mm', { mm: cane.diameter_mm }),
                    cane.lit === false ? say('count-form.grew-in-shade') : null,
                  ]
                    .filter(Boolean)
                    .join(', ')}
                </span>
              </button>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}

/** A cane opened: thickness, place and light by touches, the rest in fields. */
function Opened({ cane, set, drop }: { cane: Cane; set: (part: Partial<Cane>) => void; drop: () => void }) {
  const say = useSay();
  return (
    <div className="flex flex-col gap-2 py-2">
      <div className="flex items-center justify-between gap-3">
        <span className="text-[17px] font-semibold">
          {cane.id} {cane.arm} {say('count-form.nodes-count', { nodes: cane.nodes ?? 0 })}
        </span>
        <Button weight="quiet" onClick={drop}>
          {say('count-form.delete')}
        </Button>
      </div>
      <ChipField
        name={say('count-form.thickness-mm')}
        value={shown(cane.diameter_mm)}
        options={chips(THICKNESSES)}
        set={(mm) => {
          set({ diameter_mm: read(mm) });
        }}
      />
      <ChipField
        name={say('count-form.from-the-head-cm')}
        value={shown(cane.at_cm)}
        options={chips(FROM_HEAD)}
        set={(cm) => {
          set({ at_cm: read(cm) });
        }}
      />
      <ChipField
        name={say('count-form.light')}
        value={cane.lit === false ? 'shade' : undefined}
        options={[['shade', say('count-form.grew-in-shade')]]}
        set={(shade) => {
          set({ lit: shade === undefined });
        }}
      />
      <details className="text-[13.5px]" open={cane.length_cm != null || undefined}>
        <summary className="min-h-9 pt-1.5 text-muted">{say('count-form.more')}</summary>
        <div className="flex flex-wrap gap-2">
          <NumberField
            name={say('count-form.nodes')}
            width="w-16"
            value={cane.nodes}
            set={(nodes) => {
              set({ nodes: nodes ?? 1 });
            }}
          />
          <NumberFields
            width="w-16"
            fields={[
              ['diameter_mm', say('count-form.thickness-mm')],
              ['at_cm', say('count-form.from-the-head-cm')],
              ['length_cm', say('count-form.length-cm')],
            ]}
            values={cane}
            set={(key, value) => {
              set({ [key]: value });
            }}
          />
        </div>
      </details>
    </div>
  );
}
