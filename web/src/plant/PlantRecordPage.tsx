import { useQuery } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { TreePhotos } from '../photo/TreePhotos';
import { History } from '../record/History';
import { Timeline } from '../record/Timeline';
import { TreeYield } from '../record/TreeYield';
import { useRecords } from '../record/useRecords';
import { useSay } from '../text/say';
import { Failed, Loading } from '../ui/States';

/** A bush, a row or a vine through its years, and what was done to it; that is recorded on its sheet. */
export function PlantRecordPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const history = useRecords(id);
  const page = useQuery({
    queryKey: ['plant', id],
    queryFn: () => answer(api.GET('/api/plants/{id}', { params: { path: { id } } })),
  });
  const failed = history.error ?? page.error;
  if (failed) return <Failed error={failed} retry={() => void history.refetch()} />;
  if (!history.data || !page.data) return <Loading what={say('record-page.opening-the-record')} />;
  const { name } = page.data;
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(0,1fr)_420px] gap-10 px-6 py-6 max-lg:grid-cols-1">
      <div>
        <h1 className="text-[25px] font-bold">{name.label}</h1>
        <p>{say('plant-desk.kind-leaf', { kind: name.kindName, leaf: name.leaf })}</p>
        <Link to={`/field/trees/${id}`} className="font-semibold underline underline-offset-4">
          {say('record-page.record-on-the-sheet')}
        </Link>
        <Timeline id={id} records={history.data} counted />
        <TreeYield id={id} blockId={name.blockId} counted />
        <TreePhotos id={id} />
      </div>
      <History id={id} records={history.data} />
    </div>
  );
}
