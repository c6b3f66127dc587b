import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { answer, api, type Marked, type TreePage } from '../api/client';
import { useDeciding, type DecidingWork } from './useDeciding';

export interface Work extends DecidingWork {
  marked: Marked | undefined;
  markError: Error | null;
}

/** What the grower decides on one tree, and what the marks do to it. */
export function useWork(id: number, page: TreePage): Work {
  const work = useDeciding(id, {
    decisions: page.decisions,
    workVersion: page.workVersion,
    surveyId: page.name.surveyId,
    together: page.together,
    page: 'tree',
    newest: () => answer(api.GET('/api/trees/{id}', { params: { path: { id } } })),
  });
  const marked = useQuery({
    queryKey: ['marks', id, work.decisions],
    queryFn: () =>
      answer(api.POST('/api/trees/{id}/marks', { params: { path: { id } }, body: work.decisions })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return { ...work, marked: marked.data, markError: marked.error };
}
