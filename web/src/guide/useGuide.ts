import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';

/** What the program goes by, asked for once; only when it is wanted. */
export function useGuide(wanted = true) {
  return useQuery({
    queryKey: ['guide'],
    queryFn: () => answer(api.GET('/api/guide')),
    staleTime: Infinity,
    enabled: wanted,
  });
}
