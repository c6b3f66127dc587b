import { useSay } from '../text/say';
import { useMutation } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type BlockLine } from '../api/client';
import { Button } from '../ui/Button';

/** Begins a survey of a tree at a place in a block. */
export function NewTree({ blocks }: { blocks: BlockLine[] }) {
  const say = useSay();
  const go = useNavigate();
  const [chosen, setChosen] = useState<number | null>(null);
  // the first block may have been added only now
  const block = chosen ?? blocks.find((one) => one.supported)?.id ?? 0;
  const [row, setRow] = useState('1');
  const [place, setPlace] = useState('1');
  const begin = useMutation({
    mutationFn: () =>
      answer(api.POST('/api/trees', { body: { blockId: block, row: Number(row), place: Number(place) } })),
    onSuccess: (tree) => {
      void go(`/trees/${tree.id}/survey`);
    },
  });
  if (blocks.length === 0) {
    return null;
  }
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <Button weight="ink" className="min-h-10">
          {say('new-tree.survey-a-tree')}
        </Button>
      </Popover.Trigger>
      <Popover.Content align="end" sideOffset={8} className="z-10 w-72 border border-ink bg-paper p-4">
        <form
          className="flex flex-col gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            begin.mutate();
          }}
        >
          <p className="font-semibold">{say('new-tree.where-does-it-stand')}</p>
          <label className="text-[14px]">
            {say('new-tree.block')}
            <select
              value={block}
              onChange={(event) => {
                setChosen(Number(event.target.value));
              }}
              className="mt-1 block min-h-10 w-full rounded-md border border-muted/50 bg-paper px-2"
            >
              {blocks.map((one) => (
                <option key={one.id} value={one.id} disabled={!one.supported}>
                  {one.name}
                  {one.supported ? '' : say('new-tree.not-yet-supported')}
                </option>
              ))}
            </select>
          </label>
          <div className="grid grid-cols-2 gap-3">
            {(
              [
                [say('new-tree.row'), row, setRow],
                [say('new-tree.place'), place, setPlace],
              ] as const
            ).map(([words, value, set]) => (
              <label key={words} className="text-[14px]">
                {words}
                <input
                  type="number"
                  min={1}
                  max={9999}
                  required
                  value={value}
                  onChange={(event) => {
                    set(event.target.value);
                  }}
                  className="mt-1 block min-h-10 w-full rounded-md border border-muted/50 bg-paper px-2"
                />
              </label>
            ))}
          </div>
          {begin.isError && (
            <p role="alert" className="text-[14px] text-lichen">
              {begin.error.message}
            </p>
          )}
          <Button weight="ink" type="submit" disabled={begin.isPending}>
            {say('new-tree.begin')}
          </Button>
        </form>
      </Popover.Content>
    </Popover.Root>
  );
}
