import type { Decisions, Guide } from '../api/client';

/** The line that says over how many winters work is planned, unless it was chosen for the plan. */
const WINTERS = 'renovationWinters';

/** What a line of the school stands at for a tree: as chosen for it, else as its school says. */
export function inForce(
  decisions: Decisions,
  school: Guide['schools'][number] | undefined,
  line: string,
): number | undefined {
  const chosen = line === WINTERS ? decisions.winters : undefined;
  return chosen ?? decisions.schoolLines?.[line] ?? school?.lines[line];
}

/** Decisions with a line set otherwise; winters chosen before give way to the line that says them. */
export function settingLine(decisions: Decisions, line: string, value: number): Decisions {
  const next: Decisions = { ...decisions, schoolLines: { ...decisions.schoolLines, [line]: value } };
  if (line === WINTERS) delete next.winters;
  return next;
}
