import { whenSaved } from '../tree/saving';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { answer, api } from '../api/client';
import { useSay } from '../text/say';
import { Failed, Loading } from '../ui/States';
import { PlantDesk } from './PlantDesk';

/** A bush, a cane row or a vine: fetched, then put on the desk. */
export function PlantPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const page = useQuery({
    queryKey: ['plant', id],
    queryFn: () =>
      whenSaved(id).then(() => answer(api.GET('/api/plants/{id}', { params: { path: { id } } }))),
    staleTime: 0,
    gcTime: 0,
  });
  if (page.isPending) return <Loading what={say('plant-page.loading')} />;
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  return <PlantDesk key={`${id}-${page.data.surveyId}`} id={id} page={page.data} />;
}
