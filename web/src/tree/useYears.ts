import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Decisions, type Drawing, type Years } from '../api/client';

/** Which of the years to come is looked at. */
export interface Ahead {
  /** Winters from now, 1 the next. */
  year: number;
  /** Whether the tree left alone is shown instead of the marked one. */
  alone: boolean;
}

export interface YearsToCome {
  years: Years | undefined;
  drawing: Drawing | undefined;
  error: Error | null;
  waiting: boolean;
}

/** The tree grown on, as it is marked and left alone; asked for only while somebody looks. */
export function useYears(
  id: number,
  decisions: Decisions,
  wanted: boolean,
  count: number,
  thinned: boolean,
  ahead: Ahead | null,
): YearsToCome {
  const body: Decisions = { marks: decisions.marks ?? [], phase: decisions.phase };
  const query = { years: count, thinned };
  const years = useQuery({
    queryKey: ['years', id, body.marks, body.phase, count, thinned],
    queryFn: () => answer(api.POST('/api/trees/{id}/years', { params: { path: { id }, query }, body })),
    enabled: wanted || ahead !== null,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const drawing = useQuery({
    queryKey: ['year', id, body.marks, body.phase, count, thinned, ahead],
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/years/{year}/drawing', {
          params: {
            path: { id, year: ahead?.year ?? 1 },
            query: { ...query, alone: ahead?.alone ?? false },
          },
          body,
        }),
      ),
    enabled: ahead !== null && years.isSuccess,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return {
    years: years.data,
    drawing: ahead ? drawing.data : undefined,
    error: years.error ?? drawing.error,
    waiting: years.isFetching || drawing.isFetching,
  };
}
