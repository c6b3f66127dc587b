import type { Mark, UnderMarks, PracticeKit } from '../api/client';
import { keyOf, limbOf } from '../api/marks';

/** What an exercise shows of its marks. */
export type MarkedExercise = Pick<UnderMarks, 'cuts' | 'moved' | 'effects'> & {
  totals: Pick<UnderMarks['totals'], 'minutes' | 'woodShare' | 'bigCuts'>;
};

/** What can be done to a limb, each as if it were the only mark. */
export function aloneOn(kit: PracticeKit, limb: string): UnderMarks['effects'] {
  return (kit.alone[limb] ?? []).flatMap((one) => one.effects);
}

/**
 * What marks do together, as far as it is known from what each does alone: cuts and bends side by side, minutes, wood and big
 * cuts added up. What is cut twice is kept as far as the lower cut leaves it. Good enough to go on with where there is no
 * signal; the answer is marked by the server.
 */
export function together(kit: PracticeKit, marks: readonly Mark[]): MarkedExercise {
  const done = marks.flatMap((mark) => {
    const one = (kit.alone[limbOf(mark)] ?? []).find((other) => isOf(other, mark));
    return one ? [one] : [];
  });
  const lowest = new Map<number, UnderMarks['cuts'][number]>();
  done.forEach((one, mark) => {
    for (const cut of one.cuts) {
      const before = lowest.get(cut.axis);
      if (!before || cut.kept < before.kept) lowest.set(cut.axis, { ...cut, mark });
    }
  });
  const sum = (part: (one: UnderMarks) => number) => done.reduce((total, one) => total + part(one), 0);
  return {
    totals: {
      minutes: sum((one) => one.totals.minutes),
      woodShare: Math.min(
        1,
        sum((one) => one.totals.woodShare),
      ),
      bigCuts: sum((one) => one.totals.bigCuts),
    },
    cuts: [...lowest.values()],
    moved: done.flatMap((one) => one.moved),
    effects: done.flatMap((one) => one.effects),
  };
}

function isOf(done: UnderMarks, mark: Mark): boolean {
  return done.effects.some(
    (effect) => keyOf(effect.mark) === keyOf(mark) && effect.mark.toLimb === mark.toLimb,
  );
}
