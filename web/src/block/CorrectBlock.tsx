import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type BlockLine } from '../api/client';
import { BlockForm, entryOf } from '../holding/BlockForm';
import { Button } from '../ui/Button';
import { UndoNotice, type Done } from '../ui/Undone';

/** Correcting a block, archiving it, or deleting one on which nothing depends; each can be undone. */
export function CorrectBlock({ block }: { block: BlockLine }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const [done, setDone] = useState<Done | null>(null);
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  const queries = useQueryClient();
  const go = useNavigate();
  const holding = holdings.data?.find((one) => one.name === block.holding);
  const refresh = () => queries.invalidateQueries();
  const archived = (away: boolean) =>
    answer(
      api.PUT('/api/blocks/{id}/archived', { params: { path: { id: block.id } }, body: { archived: away } }),
    ).then(refresh);
  const archive = useMutation({
    mutationFn: async (was: boolean) => {
      await archived(!was);
      return was;
    },
    onSuccess: (was) => {
      setDone({
        words: was
          ? say('correct-block.name-is-worked-again', { name: block.name })
          : say('correct-block.name-is-archived-its-records', { name: block.name }),
        undo: () => archived(was),
      });
    },
  });
  const remove = useMutation({
    mutationFn: () => answer(api.DELETE('/api/blocks/{id}', { params: { path: { id: block.id } } })),
    onSuccess: async () => {
      await refresh();
      void go('/', { state: { deletedBlock: entryOf(block, holding?.id ?? 0) } });
    },
  });
  return (
    <div>
      <UndoNotice
        done={done}
        dismiss={() => {
          setDone(null);
        }}
      />
      <span className="flex flex-wrap gap-2">
        <Button
          aria-expanded={open}
          onClick={() => {
            setOpen(!open);
          }}
        >
          {say('correct-block.edit-block')}
        </Button>
        <Button
          disabled={archive.isPending}
          onClick={() => {
            archive.mutate(block.archived);
          }}
        >
          {block.archived ? say('correct-block.take-up-again') : say('correct-block.archive')}
        </Button>
        <Button
          disabled={remove.isPending}
          onClick={() => {
            remove.mutate();
          }}
        >
          {say('correct-block.delete')}
        </Button>
      </span>
      {(archive.error ?? remove.error) && (
        <p role="alert" className="mt-2 font-semibold text-lichen">
          {(archive.error ?? remove.error)?.message}
        </p>
      )}
      {open && holding && (
        <BlockForm
          holdings={[holding]}
          block={block}
          done={(before) => {
            setOpen(false);
            setDone({
              words: say('correct-block.name-is-changed', { name: before.name }),
              undo: () =>
                answer(
                  api.PUT('/api/blocks/{id}', {
                    params: { path: { id: before.id } },
                    body: entryOf(before, holding.id),
                  }),
                ).then(refresh),
            });
            void refresh();
          }}
        />
      )}
    </div>
  );
}
