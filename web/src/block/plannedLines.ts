import type { PlannedLine } from '../api/client';

/** The trees of a block, those first where an hour of work gains most; those without work next, those not planned last. */
export function byGain(lines: readonly PlannedLine[]): PlannedLine[] {
  const rank = (one: PlannedLine) => ((one.steps ?? null) === null ? 2 : one.steps === 0 ? 1 : 0);
  return [...lines].sort(
    (a, b) =>
      rank(a) - rank(b) ||
      (b.gain ?? 0) - (a.gain ?? 0) ||
      a.label.localeCompare(b.label, undefined, { numeric: true }),
  );
}

/** What the plans of some trees come to together. */
export function summed(lines: readonly PlannedLine[]) {
  const planned = lines.filter((one) => (one.steps ?? null) !== null);
  const worked = planned.filter((one) => (one.steps ?? 0) > 0);
  const sum = (of: (one: PlannedLine) => number | undefined) =>
    worked.reduce((all, one) => all + (of(one) ?? 0), 0);
  return {
    trees: worked.length,
    steps: sum((one) => one.steps),
    minutes: sum((one) => one.minutes),
    /** What an hour gains on the tree where it gains most; the others are told as shares of it. */
    bestGain: Math.max(0, ...worked.map((one) => one.gain ?? 0)),
    nothing: planned.length - worked.length,
    unplanned: lines.length - planned.length,
    stale: lines.filter((one) => one.stale).length,
    doubtful: planned.filter((one) => (one.doubts ?? 0) > 0).length,
  };
}
