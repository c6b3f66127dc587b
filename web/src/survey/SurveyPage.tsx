import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { answer, api } from '../api/client';
import { PlantSurvey } from '../plant/PlantSurvey';
import { Failed, Loading } from '../ui/States';
import { SurveyDesk } from './SurveyDesk';
import { useStart } from './useStart';

/** A new survey of a tree at a desk, or of a plant that is counted. */
export function SurveyPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const place = useQuery({
    queryKey: ['place', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/place', { params: { path: { id } } })),
    gcTime: 0,
  });
  if (place.isPending) return <Loading what={say('survey-page.getting-the-survey-ready')} />;
  if (place.isError) return <Failed error={place.error} retry={() => void place.refetch()} />;
  return place.data.counted ? <PlantSurvey place={place.data} /> : <TreeSurvey id={id} />;
}

/** Begun from its last survey or from what its block is. */
function TreeSurvey({ id }: { id: number }) {
  const say = useSay();
  const start = useStart(id);
  if (start.isPending) return <Loading what={say('survey-page.getting-the-survey-ready')} />;
  if (start.isError) return <Failed error={start.error} retry={() => void start.refetch()} />;
  return (
    <SurveyDesk key={id} id={id} label={start.data.label} first={start.data.form} again={start.data.again} />
  );
}
