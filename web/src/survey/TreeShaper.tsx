import { useMemo, useState } from 'react';
import type { Drawing } from '../api/client';
import { FIRST_VIEW, type View } from '../stand/camera';
import { prepare } from '../stand/geometry';
import type { Handle } from '../stand/handles';
import type { Picked, Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { readNumber } from '../ui/numbers';
import { branchesOf, withoutLimb, type LimbRow, type SurveyForm } from './form';
import { copyOf, limbAt } from './newLimb';
import { endsOf, gripOf, withBase, withThickness, withTip } from './reshape';

const MARGINS = { top: 24, side: 36, bottom: 100 };
const CM = 100;
/** So near its foot a touch on a limb means what the limb leaves. */
const FOOT_CM = 12;
const BESIDE_CM = 6;

/** The tree of a survey as it is drawn, changed on the drawing: limbs are added, copied, removed, and pulled into shape. */
export function TreeShaper({
  form,
  drawing,
  chosen,
  onChoose,
  pointed = null,
  change,
  label,
}: {
  form: SurveyForm;
  drawing: Drawing;
  /** Key of the limb in hand. */
  chosen: string | null;
  onChoose: (key: string | null) => void;
  /** A limb to light up besides, by its name. */
  pointed?: string | null;
  change: (limbs: LimbRow[]) => void;
  label: string;
}) {
  const say = useSay();
  const [view, setView] = useState<View>(FIRST_VIEW);
  const [adding, setAdding] = useState(false);
  const stand = useMemo(() => prepare(drawing), [drawing]);
  const limb = form.limbs.find((one) => one.key === chosen);
  const id = limb?.id;
  const showing: Showing = useMemo(
    () => ({
      layer: 'wood',
      stage: 'found',
      cuts: new Map(),
      lit: new Set([id, pointed].filter((one) => one != null)),
    }),
    [id, pointed],
  );
  const ends = useMemo(() => (id ? endsOf(stand, id) : null), [stand, id]);
  const grip = useMemo(() => (id ? gripOf(stand, id, view.bearing) : null), [stand, id, view.bearing]);
  const handles: Handle[] = useMemo(
    () =>
      ends && grip
        ? [
            { id: 'tip', at: ends.tip },
            { id: 'base', at: ends.base },
            { id: 'thickness', at: grip.at },
          ]
        : [],
    [ends, grip],
  );
  const names = useMemo(
    () =>
      new Map(
        form.limbs
          .filter((one) => one.parent === 'trunk' || one.id === id)
          .map((one) => [one.id, one.id] as const),
      ),
    [form.limbs, id],
  );
  const reshape = (handle: Handle, to: [number, number, number]) => {
    if (!limb || !ends || !grip) return;
    const next =
      handle.id === 'tip'
        ? withTip(limb, ends, to)
        : handle.id === 'base'
          ? withBase(limb, stand, to)
          : withThickness(limb, grip, to);
    change(form.limbs.map((row) => (row.key === chosen ? next : row)));
  };
  const addAt = (hit: Picked) => {
    const place = bearerAt(hit, form.limbs);
    if (place === null) return;
    const row = limbAt(form, place.parent, place.atCm);
    setAdding(false);
    change([...form.limbs, row]);
    onChoose(row.key);
  };
  const thick = readNumber(limb?.diameter_mm ?? '');
  return (
    <div className="relative h-full min-h-0">
      <TreeStand
        stand={stand}
        view={view}
        onView={setView}
        showing={showing}
        names={names}
        label={label}
        placing={adding}
        placeWords={() => say('tree-shaper.a-limb-here')}
        onPick={(hit) => {
          if (adding && hit) addAt(hit);
          else onChoose(form.limbs.find((one) => one.id === hit?.axis.limb)?.key ?? null);
        }}
        margins={MARGINS}
        handles={handles}
        onHandle={reshape}
      />
      <div className="pointer-events-none absolute inset-x-3 bottom-3 flex flex-col gap-1.5">
        {limb && (
          <p className="pointer-events-auto self-start bg-paper/90 px-2 py-0.5 text-[13px]">
            <b>
              {thick === undefined || Number.isNaN(thick)
                ? say('tree-shaper.limb', { id: limb.id })
                : say('tree-shaper.limb-thick', { id: limb.id, thick })}
            </b>{' '}
            {say('tree-shaper.how-to-pull')}
          </p>
        )}
        <div className="pointer-events-auto flex flex-wrap gap-1.5">
          <Button
            weight={adding ? 'ink' : 'plain'}
            aria-pressed={adding}
            onClick={() => {
              setAdding(!adding);
            }}
          >
            {adding ? say('tree-shaper.touch-where') : say('tree-shaper.add')}
          </Button>
          {limb && (
            <>
              <Button
                onClick={() => {
                  const copy = copyOf(limb, form.limbs);
                  change([...form.limbs, copy]);
                  onChoose(copy.key);
                }}
              >
                {say('tree-shaper.copy')}
              </Button>
              <Button
                onClick={() => {
                  onChoose(null);
                  change(withoutLimb(limb, form.limbs, 'remove'));
                }}
              >
                {say('tree-shaper.remove', { branches: branchesOf(limb.id, form.limbs).length })}
              </Button>
            </>
          )}
        </div>
      </div>
    </div>
  );
}

/** What a limb grows from that is begun at a touched place; a limb touched at its very foot stands for what it leaves itself. */
function bearerAt(hit: Picked, limbs: LimbRow[]): { parent: string; atCm: number } | null {
  if (hit.axis.kind === 'trunk') return { parent: 'trunk', atCm: hit.along * CM };
  if (hit.axis.kind !== 'limb') return null;
  const touched = limbs.find((limb) => limb.id === hit.axis.id);
  const at = readNumber(touched?.at_cm ?? '');
  if (hit.along * CM < FOOT_CM && touched && at !== undefined && !Number.isNaN(at)) {
    return { parent: touched.parent, atCm: at + BESIDE_CM };
  }
  return { parent: hit.axis.id, atCm: hit.along * CM };
}
