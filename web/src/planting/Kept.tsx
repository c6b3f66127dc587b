import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type PlantingRequest } from '../api/client';
import { useMayChange } from '../people/who';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { UndoNotice, type Done } from '../ui/Undone';

/** Comparisons kept under a name: open one, keep this one beside the others, delete one. */
export function Kept({
  request,
  take,
}: {
  request: PlantingRequest;
  /** Shows a comparison, by its name, in the place of the present one. */
  take: (request: PlantingRequest, name: string) => void;
}) {
  const say = useSay();
  const mayChange = useMayChange();
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const kept = useQuery({
    queryKey: ['planting-scenarios'],
    queryFn: () => answer(api.GET('/api/plantings/scenarios')),
  });
  const again = () => void queries.invalidateQueries({ queryKey: ['planting-scenarios'] });
  const [deleted, setDeleted] = useState<Done | null>(null);
  const found = (id: number) =>
    answer(api.GET('/api/plantings/scenarios/{id}', { params: { path: { id } } }));
  const add = (body: { name: string; request: PlantingRequest }) =>
    answer(api.POST('/api/plantings/scenarios', { body })).then(again);
  const keep = useMutation({
    mutationFn: () => add({ name, request }),
    onSuccess: () => {
      setName('');
    },
  });
  const open = useMutation({
    mutationFn: found,
    onSuccess: (one) => {
      take(one.request, one.name);
    },
  });
  const drop = useMutation({
    mutationFn: async (id: number) => {
      const one = await found(id);
      await answer(api.DELETE('/api/plantings/scenarios/{id}', { params: { path: { id } } }));
      return one;
    },
    onSuccess: (one) => {
      again();
      setDeleted({
        words: say('kept-plantings.deleted', { name: one.name }),
        undo: () => add({ name: one.name, request: one.request }),
      });
    },
  });
  const failed = [keep, open, drop].find((one) => one.isError)?.error;
  return (
    <details className="mt-4 border-t border-line pt-1">
      <summary className="min-h-9 content-center font-semibold">
        {say('kept-plantings.title', { count: kept.data?.length ?? 0 })}
      </summary>
      {kept.isError && <Failed error={kept.error} retry={() => void kept.refetch()} />}
      {kept.data?.length === 0 && <p className="text-[14px] text-muted">{say('kept-plantings.none')}</p>}
      <ul>
        {kept.data?.map((one) => (
          <li
            key={one.id}
            className="flex flex-wrap items-center gap-x-3 border-b border-line py-1 text-[14.5px]"
          >
            <button
              type="button"
              className="min-h-9 text-left font-semibold underline underline-offset-4"
              onClick={() => {
                open.mutate(one.id);
              }}
            >
              {one.name}
            </button>
            <span className="text-[13px] text-muted">
              {say('kept-plantings.facts', {
                options: one.options,
                who: one.savedBy,
                day: new Date(one.savedAt).toLocaleDateString(locale()),
              })}
            </span>
            {mayChange && (
              <Button
                weight="quiet"
                className="ml-auto"
                aria-label={say('kept-plantings.delete', { name: one.name })}
                onClick={() => {
                  drop.mutate(one.id);
                }}
              >
                {say('plantings.delete')}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {mayChange && (
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate();
          }}
        >
          <label className="flex flex-col gap-0.5 text-[13px] text-muted">
            {say('kept-plantings.name')}
            <input
              value={name}
              maxLength={80}
              onChange={(event) => {
                setName(event.target.value);
              }}
              className="min-h-10 w-48 rounded-md border border-muted/50 bg-paper px-2 text-[15px] text-ink"
            />
          </label>
          <Button type="submit" disabled={name.trim() === '' || keep.isPending}>
            {say('kept-plantings.keep')}
          </Button>
        </form>
      )}
      <UndoNotice
        done={deleted}
        dismiss={() => {
          setDeleted(null);
        }}
      />
      {failed && (
        <p role="alert" className="mt-1 text-[14px] text-lichen">
          {failed.message}
        </p>
      )}
    </details>
  );
}
