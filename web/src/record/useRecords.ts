import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

const AGAIN_MS = 1_500;

/** Every visit to a tree, the newest first; asked for again while what one of them came to is being worked out. */
export function useRecords(id: number) {
  return useQuery({
    queryKey: ['records', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/records', { params: { path: { id } } })),
    refetchInterval: (query) => (query.state.data?.some((visit) => visit.outcomePending) ? AGAIN_MS : false),
  });
}
