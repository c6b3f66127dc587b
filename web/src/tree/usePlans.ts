import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Decisions, type Mark, type Plan } from '../api/client';

/** The plans of a tree as far as they are known. */
export interface Plans {
  plans: Plan[];
  inOneWinter?: Plan;
  stops: string[];
  timing: { verdict: string; reasons: string[] };
  /** Whether only the recommended plan is new, and the others are still thought out. */
  following: boolean;
}

/**
 * The plans for what was decided, thought round the marks of a round: the recommended one as soon as it is there, the
 * others with the seasons after them once they follow.
 */
export function usePlans(id: number, decisions: Decisions, round: Mark[]) {
  const body = { ...decisions, marks: round };
  const key = [
    id,
    decisions.refused,
    decisions.school,
    decisions.schoolLines,
    decisions.goals,
    decisions.hold,
    decisions.phase,
    decisions.winters,
    round,
  ];
  const first = useQuery({
    queryKey: ['first-plan', ...key],
    queryFn: () => answer(api.POST('/api/trees/{id}/plans/first', { params: { path: { id } }, body })),
    // the choices stand beside the plan: they must not go while a new one is thought out
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const all = useQuery({
    queryKey: ['plans', ...key],
    enabled: first.isFetched,
    queryFn: () => answer(api.POST('/api/trees/{id}/plans', { params: { path: { id } }, body })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const settled = all.data !== undefined && !all.isPlaceholderData;
  const shown: Plans | undefined =
    first.data && !settled
      ? {
          plans: [first.data.plan, ...(all.data?.plans.slice(1) ?? [])],
          stops: first.data.stops,
          timing: first.data.timing,
          following: true,
        }
      : all.data && { ...all.data, following: false };
  return {
    /** All plans, or the new recommended one with those of before beside it. */
    shown,
    /** All plans with their seasons; those of before while new ones are thought out. */
    all: all.data,
    pending: first.isPending && all.data === undefined,
    thinking: first.isFetching || all.isFetching,
    error: first.error ?? all.error,
  };
}
