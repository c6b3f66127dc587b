import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { day } from '../ui/words';

/** The counts of a block so far; one that was wrong can be deleted. */
export function KeptCounts({ id, mayChange }: { id: number; mayChange: boolean }) {
  const say = useSay();
  const queries = useQueryClient();
  const counts = useQuery({
    queryKey: ['crop-counts', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/crop-counts', { params: { path: { id } } })),
  });
  const remove = useMutation({
    mutationFn: (count: number) =>
      answer(api.DELETE('/api/blocks/{id}/crop-counts/{count}', { params: { path: { id, count } } })),
    onSuccess: () => queries.invalidateQueries(),
  });
  if (counts.isError) return <Failed error={counts.error} retry={() => void counts.refetch()} />;
  if (!counts.data || counts.data.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="border-b-2 border-ink pb-1 text-[16px] font-bold">{say('crop-count.so-far')}</h2>
      <ul>
        {counts.data.map((one) => (
          <li
            key={one.id}
            className="flex items-center justify-between gap-3 border-b border-line py-1.5 text-[14.5px]"
          >
            <span>
              <b>{day(one.countedOn)}</b>{' '}
              {say('crop-count.line', {
                stage: one.stage,
                limbs: one.limbs.length,
                factor: one.factor,
                who: one.who,
              })}
            </span>
            {mayChange && (
              <Button
                weight="quiet"
                disabled={remove.isPending}
                onClick={() => {
                  remove.mutate(one.id);
                }}
              >
                {say('crop-count.delete')}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
