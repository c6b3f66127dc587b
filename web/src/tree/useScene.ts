import { useMemo } from 'react';
import type { HarvestLayer, LightLayer, Marked, TrainingAnswer, TreePage } from '../api/client';
import { prepare } from '../stand/geometry';
import { cutsOf, flagsOf, limbsOf, movedOf, NOT_MOVED } from '../stand/marked';
import type { Layer, Showing } from '../stand/paint';
import type { Extras } from '../stand/TreeStand';
import { useSay } from '../text/say';
import type { Shown } from './Layers';
import type { Ahead, YearsToCome } from './useYears';

const NO_NAMES: ReadonlyMap<string, string> = new Map();
const NO_CUTS: Showing['cuts'] = new Map();
const FEW_NAMES = 4;
const IN_LEAF: ReadonlySet<Shown> = new Set(['summer', 'harvest']);

interface Looking {
  page: TreePage;
  marked: Marked | undefined;
  layers: { light: LightLayer | undefined; harvest: HarvestLayer | undefined };
  shown: Shown;
  stage: Showing['stage'];
  ahead: Ahead | null;
  come: YearsToCome;
  target: boolean;
  along: boolean;
  numbered: boolean;
  selected: string | null;
  pointed: string[];
}

/** What the drawing of a tree shows: the tree as it stands or comes, its marks, layers, names and lines of height. */
export function useScene({
  page,
  marked,
  layers,
  shown,
  stage,
  ahead,
  come,
  target,
  along,
  numbered,
  selected,
  pointed,
}: Looking) {
  const say = useSay();
  const layer: Layer = shown === 'section' ? 'wood' : ahead && shown === 'harvest' ? 'summer' : shown;
  // without a bend the drawing stays the very same, so that a mark need not shape it anew
  const hanging = shown === 'harvest' ? layers.harvest?.moved : undefined;
  const bent = hanging ?? (stage === 'found' ? undefined : marked?.moved);
  const moved = useMemo(() => movedOf(bent), [bent]);
  const present = useMemo(() => prepare(page.drawing, moved), [page.drawing, moved]);
  const future = useMemo(() => (come.drawing ? prepare(come.drawing, NOT_MOVED) : null), [come.drawing]);
  const stand = ahead && future ? future : present;
  const cuts = useMemo(() => cutsOf(marked), [marked]);
  const lit = useMemo(
    () => limbsOf(pointed.length > 0 ? pointed : selected ? [selected] : []),
    [selected, pointed],
  );
  const { fruitLight, budLight } = page.reading.light;
  const now: Showing = useMemo(
    () => ({ layer, stage, cuts, lit, lightLines: [fruitLight, budLight] }),
    [layer, stage, cuts, lit, fruitLight, budLight],
  );
  const showing: Showing = useMemo(
    () => (ahead ? { ...now, stage: 'found', cuts: NO_CUTS } : now),
    [ahead, now],
  );
  const held = useMemo(
    () =>
      (marked?.effects ?? [])
        .map((effect) => effect.training as TrainingAnswer | null)
        .filter((one) => one !== null),
    [marked],
  );
  const extras: Extras = useMemo(
    () => ({
      target: target ? page.target : undefined,
      section: shown === 'section' && !ahead ? layers.light?.sections[along ? 0 : 1] : undefined,
      fruit:
        shown === 'harvest' && layers.harvest && !ahead
          ? { hung: layers.harvest.hung, diameter: layers.harvest.fruitDiameterM }
          : undefined,
      held: ahead ? undefined : held,
      sprouts:
        IN_LEAF.has(shown) && stage !== 'found' && !ahead
          ? (marked?.effects ?? [])
              .map((effect) => ({ at: effect.flag, count: Math.round(effect.sprouts) }))
              .filter((one) => one.count > 0)
          : undefined,
    }),
    [target, page.target, shown, layers.light, layers.harvest, along, ahead, held, stage, marked],
  );
  const flags = useMemo(() => flagsOf(marked, selected), [marked, selected]);
  const names = useMemo(() => {
    if (numbered) {
      return new Map(page.limbs.map((limb) => [limb.id, limb.id]));
    }
    return lit.size > 0 && lit.size <= FEW_NAMES
      ? new Map([...lit].map((limb) => [limb, say('tree-desk.limb-limb', { limb })]))
      : NO_NAMES;
  }, [numbered, lit, page.limbs, say]);
  const lines = useMemo(
    () => [
      {
        at: page.limits.reachM,
        text: say('tree-desk.reach-from-the-ground-reachm', { reachM: page.limits.reachM }),
      },
      ...(page.drawing.top > page.limits.heightM * 0.8
        ? [
            {
              at: page.limits.heightM,
              text: say('tree-desk.workable-to-heightm-m', { heightM: page.limits.heightM }),
            },
          ]
        : []),
    ],
    [page, say],
  );
  return { present, stand, now, showing, extras, flags, names, lines };
}
