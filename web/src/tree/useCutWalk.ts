import { useEffect, useMemo, type Dispatch, type SetStateAction } from 'react';
import { useSearchParams } from 'react-router';
import type { Step, TreePage } from '../api/client';
import { limbOf } from '../api/marks';
import type { View } from '../stand/camera';
import type { Plans } from './usePlans';

const NO_STEPS: Step[] = [];

/**
 * The walk from cut to cut, held in the address as `?step=2`: which steps it goes through, which is shown, and the tree turned so
 * that the limb is seen from its side.
 */
export function useCutWalk(
  page: TreePage,
  plans: Plans | undefined,
  setView: Dispatch<SetStateAction<View>>,
  point: (limbs: string[]) => void,
) {
  const [params, setParams] = useSearchParams();
  const asked = params.get('step');
  const recommended = plans?.plans.find((plan) => plan.name === 'recommended');
  const steps = useMemo(
    () => recommended?.steps.filter((step) => step.year === 0) ?? NO_STEPS,
    [recommended],
  );
  const at = asked === null ? null : Math.max(0, Math.min(steps.length, Number(asked) - 1 || 0));
  const step = at === null ? undefined : steps[at];
  const limb = step ? limbOf(step) : null;
  const bearing = page.limbs.find((one) => one.id === limb)?.bearingDeg;
  useEffect(() => {
    if (limb === null) return;
    point([limb]);
    if (bearing === undefined) return;
    setView((now) => ({
      ...now,
      bearing: besides(now.bearing, (bearing * Math.PI) / 180),
      zoom: 1,
      panX: 0,
      panY: 0,
    }));
  }, [limb, bearing, point, setView]);
  const go = (to: number | null) => {
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (to === null) next.delete('step');
        else next.set('step', String(to + 1));
        return next;
      },
      { replace: true },
    );
    if (to === null) point([]);
  };
  return { steps, at, go };
}

/** The bearing from which a limb is seen from its side, of the two the one nearer to where the viewer stands. */
export function besides(viewer: number, limb: number): number {
  const turn = (to: number) => Math.atan2(Math.sin(to - viewer), Math.cos(to - viewer));
  const one = turn(limb + Math.PI / 2);
  const other = turn(limb - Math.PI / 2);
  return viewer + (Math.abs(one) <= Math.abs(other) ? one : other);
}
