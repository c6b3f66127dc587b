import { whenSaved } from '../tree/saving';
import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { Navigate, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { isCounted } from '../api/problem';
import { keyOf } from '../api/marks';
import { useMayChange } from '../people/who';
import { TreePhotos } from '../photo/TreePhotos';
import { Failed, Loading } from '../ui/States';
import { History } from './History';
import { Timeline } from './Timeline';
import { TreeMeasures } from './TreeMeasures';
import { TreeYield } from './TreeYield';
import { useRecords } from './useRecords';
import { VisitForm } from './VisitForm';

/** What was done to the tree: the visit to record, and every visit before it. */
export function RecordPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const page = useQuery({
    queryKey: ['tree', id],
    queryFn: () => whenSaved(id).then(() => answer(api.GET('/api/trees/{id}', { params: { path: { id } } }))),
    staleTime: 0,
    gcTime: 0,
  });
  const steps = useQuery({
    queryKey: ['sheet', id, page.data?.decisions],
    enabled: page.data !== undefined,
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/sheet', { params: { path: { id } }, body: page.data?.decisions ?? {} }),
      ),
  });
  const marked = useQuery({
    queryKey: ['marks', id, page.data?.decisions],
    enabled: page.data !== undefined,
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/marks', { params: { path: { id } }, body: page.data?.decisions ?? {} }),
      ),
  });
  const history = useRecords(id);
  const mayChange = useMayChange();
  const failed = page.error ?? steps.error ?? history.error;
  if (isCounted(page.error)) return <Navigate replace to={`/plants/${id}/record`} />;
  if (failed) return <Failed error={failed} retry={() => void page.refetch()} />;
  if (!page.data || !steps.data || !history.data)
    return <Loading what={say('record-page.opening-the-record')} />;
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[minmax(0,1fr)_420px] gap-10 px-6 py-6 max-lg:grid-cols-1">
      <div>
        {mayChange ? (
          <VisitForm
            key={steps.data.map(keyOf).join()}
            id={id}
            page={page.data}
            steps={steps.data}
            afterwards={marked.data?.afterwards ?? []}
          />
        ) : (
          <h1 className="text-[25px] font-bold">{page.data.name.label}</h1>
        )}
        <Timeline id={id} records={history.data} />
        <TreeYield id={id} blockId={page.data.name.blockId} />
        <TreeMeasures id={id} />
        <TreePhotos id={id} />
      </div>
      <History id={id} records={history.data} />
    </div>
  );
}
