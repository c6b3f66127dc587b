import { term } from '../text/term';
import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { PickingForm } from '../block/Pickings';
import { Failed } from '../ui/States';
import { day } from '../ui/words';

/** What this plant bore, where somebody counted or weighed it: it teaches the forecasts of its block. */
export function TreeYield({
  id,
  blockId,
  counted = false,
}: {
  id: number;
  blockId: number;
  /** Whether it is a bush, a row or a vine, whose crop is only weighed. */
  counted?: boolean;
}) {
  const say = useSay();
  const pickings = useQuery({
    queryKey: ['tree-pickings', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/pickings', { params: { path: { id } } })),
  });
  return (
    <section aria-labelledby="tree-yield" className="mt-8">
      <h2 id="tree-yield" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('tree-yield.what-it-bore')}
      </h2>
      {pickings.isError && <Failed error={pickings.error} />}
      {pickings.data?.length === 0 && (
        <p className="pt-2 text-[14px] text-muted">
          {say(counted ? 'tree-yield.not-weighed-yet' : 'tree-yield.not-counted-yet-fruits-counted')}
        </p>
      )}
      <ul>
        {pickings.data?.map((one) => (
          <li key={one.id} className="flex gap-4 border-b border-line py-1 text-[14px]">
            <span className="w-32">{day(one.pickedOn)}</span>
            {one.kind === 'harvest' ? term('picked') : say('tree-yield.thinned-off')}{' '}
            {one.kg != null
              ? say('measure.kg', { kg: one.kg })
              : say('tree-yield.fruits-fruits', { fruits: one.fruits ?? 0 })}
          </li>
        ))}
      </ul>
      <PickingForm id={blockId} tree={id} weighed={counted} />
    </section>
  );
}
