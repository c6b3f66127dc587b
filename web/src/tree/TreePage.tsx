import { whenSaved } from './saving';
import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { isCounted } from '../api/problem';
import { Failed, Loading } from '../ui/States';
import { TreeDesk } from './TreeDesk';

/** One tree: fetched, then put on the desk; a plant that is counted has a desk of its own. */
export function TreePage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const page = useQuery({
    queryKey: ['tree', id],
    queryFn: () => whenSaved(id).then(() => answer(api.GET('/api/trees/{id}', { params: { path: { id } } }))),
    staleTime: 0,
    gcTime: 0,
  });
  if (page.isPending) return <Loading what={say('tree-page.walking-up-to-the-tree')} />;
  if (isCounted(page.error)) return <Navigate replace to={`/plants/${id}`} />;
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  return <TreeDesk key={`${id}-${page.data.name.surveyId}`} id={id} page={page.data} />;
}
