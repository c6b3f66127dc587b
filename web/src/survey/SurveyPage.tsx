import { useSay } from '../text/say';
import { useParams } from 'react-router';
import { Failed, Loading } from '../ui/States';
import { SurveyDesk } from './SurveyDesk';
import { useStart } from './useStart';

/** A new survey of a tree at a desk, begun from its last one or from what its block is. */
export function SurveyPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const start = useStart(id);
  if (start.isPending) return <Loading what={say('survey-page.getting-the-survey-ready')} />;
  if (start.isError) return <Failed error={start.error} retry={() => void start.refetch()} />;
  return (
    <SurveyDesk key={id} id={id} label={start.data.label} first={start.data.form} again={start.data.again} />
  );
}
