import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { History } from '../record/History';
import { useSay } from '../text/say';
import { Failed, Loading } from '../ui/States';

/** What was done to a bush, a row or a vine; it is recorded on its sheet. */
export function PlantRecordPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const history = useQuery({
    queryKey: ['records', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/records', { params: { path: { id } } })),
  });
  if (history.isPending) return <Loading what={say('record-page.opening-the-record')} />;
  if (history.isError) return <Failed error={history.error} retry={() => void history.refetch()} />;
  return (
    <div className="mx-auto max-w-[760px] px-6 py-6">
      <Link to={`/field/trees/${id}`} className="font-semibold underline underline-offset-4">
        {say('record-page.record-on-the-sheet')}
      </Link>
      <History id={id} records={history.data} />
    </div>
  );
}
