import type { CountedStep, Mark } from '../api/client';

type Marked = Pick<CountedStep, 'operation' | 'limb' | 'at_cm' | 'keepCount' | 'nodes'> & { count?: number };

/** The mark that a step on a counted plant, or what could be done in its place, stands for. */
export function markOf(step: Marked): Mark {
  const keep = step.keepCount ?? step.nodes;
  return {
    operation: step.operation,
    limb: step.limb,
    ...(step.at_cm > 0 ? { at_cm: step.at_cm } : {}),
    ...(keep != null && keep > 0 ? { keep } : {}),
    ...(step.count !== undefined && step.count > 1 ? { count: step.count } : {}),
  };
}
