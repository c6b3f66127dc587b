import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { Button } from '../ui/Button';
import { sentNumber } from '../ui/numbers';
import { UndoNotice, type Done } from '../ui/Undone';

interface TreeAt {
  label: string;
  blockId: number;
  row: number;
  place: number;
}

const BOX = 'min-h-9 rounded-md border border-muted/50 bg-paper px-2';

/** Where the tree stands: moved to another place, archived, or deleted where nothing is known of it; each can be undone. */
export function TreeSetup({ id }: { id: number }) {
  const say = useSay();
  const setup = useQuery({
    queryKey: ['tree-setup', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/setup', { params: { path: { id } } })),
  });
  const blocks = useQuery({ queryKey: ['blocks'], queryFn: () => answer(api.GET('/api/blocks')) });
  const [to, setTo] = useState<{ blockId: number; row: string; place: string } | null>(null);
  const [done, setDone] = useState<Done | null>(null);
  const queries = useQueryClient();
  const go = useNavigate();
  const refresh = () => queries.invalidateQueries();
  const tree = setup.data;
  const put = (body: { blockId: number; row: number; place: number }) =>
    answer(api.PUT('/api/trees/{id}/place', { params: { path: { id } }, body })).then(refresh);
  const move = useMutation({
    // where it stood is looked up before it is moved: afterwards the page knows its new place only
    mutationFn: async (before: TreeAt) => {
      await put({
        blockId: to?.blockId ?? 0,
        row: sentNumber(to?.row ?? ''),
        place: sentNumber(to?.place ?? ''),
      });
      return before;
    },
    onSuccess: ({ label, blockId, row, place }) => {
      setDone({ words: say('tree-setup.moved-from', { label }), undo: () => put({ blockId, row, place }) });
      setTo(null);
    },
  });
  const archived = (away: boolean) =>
    answer(api.PUT('/api/trees/{id}/archived', { params: { path: { id } }, body: { archived: away } })).then(
      refresh,
    );
  const archive = useMutation({
    mutationFn: async (was: boolean) => {
      await archived(!was);
      return was;
    },
    onSuccess: (was) => {
      setDone({
        words: was ? say('tree-setup.the-tree-is-worked-again') : say('tree-setup.archived-it-is-left-out'),
        undo: () => archived(was),
      });
    },
  });
  const remove = useMutation({
    mutationFn: () => answer(api.DELETE('/api/trees/{id}', { params: { path: { id } } })),
    onSuccess: () => void refresh().then(() => go('/')),
  });
  if (!tree) return null;
  const trouble = move.error ?? archive.error ?? remove.error;
  return (
    <section className="px-5 py-3 text-[14px]" aria-label={say('tree-setup.where-the-tree-stands')}>
      <UndoNotice
        done={done}
        dismiss={() => {
          setDone(null);
        }}
      />
      <span className="flex flex-wrap gap-2">
        <Button
          onClick={() => {
            setTo(to ? null : { blockId: tree.blockId, row: String(tree.row), place: String(tree.place) });
          }}
        >
          {say('tree-setup.move-tree')}
        </Button>
        <Button
          disabled={archive.isPending}
          onClick={() => {
            archive.mutate(tree.archived);
          }}
        >
          {tree.archived ? say('tree-setup.take-up-again') : say('tree-setup.archive-tree')}
        </Button>
        {tree.deletable && (
          <Button
            disabled={remove.isPending}
            onClick={() => {
              remove.mutate();
            }}
          >
            {say('tree-setup.delete-tree')}
          </Button>
        )}
      </span>
      {to && (
        <form
          className="mt-2 flex flex-wrap items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            move.mutate(tree);
          }}
        >
          <label className="text-[13px] text-muted">
            {say('tree-setup.block')}
            <select
              value={to.blockId}
              onChange={(event) => {
                setTo({ ...to, blockId: Number(event.target.value) });
              }}
              className={`${BOX} block text-ink`}
            >
              {(blocks.data ?? []).map((block) => (
                <option key={block.id} value={block.id}>
                  {block.name}
                </option>
              ))}
            </select>
          </label>
          {(
            [
              ['row', say('tree-setup.row')],
              ['place', say('tree-setup.place')],
            ] as const
          ).map(([field, name]) => (
            <label key={field} className="text-[13px] text-muted">
              {name}
              <input
                inputMode="numeric"
                value={to[field]}
                onChange={(event) => {
                  setTo({ ...to, [field]: event.target.value });
                }}
                className={`${BOX} block w-16 text-ink`}
              />
            </label>
          ))}
          <Button type="submit" weight="ink" disabled={move.isPending}>
            {say('tree-setup.move')}
          </Button>
        </form>
      )}
      {trouble && (
        <p role="alert" className="mt-2 font-semibold text-lichen">
          {trouble.message}
        </p>
      )}
    </section>
  );
}
