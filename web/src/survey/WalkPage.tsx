import { useSay } from '../text/say';
import { useParams } from 'react-router';
import { Failed, Loading } from '../ui/States';
import { useStart } from './useStart';
import { Walk } from './Walk';

/** A new survey of a tree, step by step with the thumb, walking round the trunk. */
export function WalkPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const start = useStart(id);
  if (start.isPending) return <Loading what={say('walk-page.getting-the-survey-ready')} />;
  if (start.isError) return <Failed error={start.error} retry={() => void start.refetch()} />;
  return <Walk key={id} id={id} label={start.data.label} first={start.data.form} />;
}
