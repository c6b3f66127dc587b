import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, sendFile, type ArchiveTaken } from '../api/client';
import { ofFarm } from '../api/farm';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { JobBar } from '../ui/JobBar';
import { FarmNameField } from './FarmNameField';

const ASK_EVERY = 500;

/** A new farm, empty or out of an archive; for whoever keeps the installation. */
export function AddFarm() {
  const say = useSay();
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const added = () => void queries.invalidateQueries({ queryKey: ['farms'] });
  const add = useMutation({
    mutationFn: () => answer(api.POST('/api/farms', { body: { name } })),
    onSuccess: () => {
      setName('');
      added();
    },
  });
  const send = useMutation({
    mutationFn: (chosen: File) => sendFile<ArchiveTaken>('/api/farms/archive', chosen),
    onSuccess: (begun) => {
      queries.setQueryData(['archive'], { last: begun });
    },
  });
  const archive = useQuery({
    queryKey: ['archive'],
    queryFn: async () => {
      const now = await answer(api.GET('/api/farms/archive'));
      if (now.last && now.last.state !== 'running') added();
      return now;
    },
    refetchInterval: (query) => (query.state.data?.last?.state === 'running' ? ASK_EVERY : false),
  });
  const last = archive.data?.last ?? null;
  const running = last?.state === 'running';
  // what was taken in another time is of no interest any more
  const [watched, setWatched] = useState<number | null>(null);
  if (running && watched !== last.job) setWatched(last.job);
  const taken = last?.job === watched ? last : null;
  const stop = useMutation({
    mutationFn: (number: number) =>
      answer(api.DELETE('/api/farms/archive/{number}', { params: { path: { number } } })),
    onSuccess: () => void archive.refetch(),
  });
  const made = taken?.state === 'done' ? taken : add.data;
  const error = send.error ?? archive.error ?? stop.error ?? add.error;
  return (
    <section aria-labelledby="add-farm" className="mt-8">
      <h2 id="add-farm" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('farms.add')}
      </h2>
      <p className="max-w-prose pt-2 text-[14px] text-muted">{say('farms.add-why')}</p>
      <form
        className="flex flex-wrap items-center gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          add.mutate();
        }}
      >
        <FarmNameField name={name} onName={setName} />
        <Button type="submit" disabled={name.trim() === '' || add.isPending}>
          {say('farms.add-empty')}
        </Button>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          aria-label={say('farms.archive-file')}
          className="hidden"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) send.mutate(chosen);
            event.target.value = '';
          }}
        />
        {running ? (
          <JobBar
            job={last}
            what={say('farms.taking-in')}
            counted="job.entries"
            stop={() => {
              stop.mutate(last.job);
            }}
          />
        ) : (
          <Button
            disabled={send.isPending}
            onClick={() => {
              file.current?.click();
            }}
          >
            {send.isPending ? say('farms.taking-in') : say('farms.take-in')}
          </Button>
        )}
      </form>
      {made && (
        <p role="status" className="border-l-4 border-ink bg-sand px-3 py-2">
          {say('farms.added', { name: made.name || say('farms.unnamed') })}{' '}
          <a href={ofFarm(made.code)} className="font-semibold underline underline-offset-4">
            {say('farms.go-there')}
          </a>
        </p>
      )}
      {taken?.state === 'cancelled' && <p className="text-muted">{say('farms.stopped')}</p>}
      {taken?.state === 'failed' && (
        <p role="alert" className="font-semibold text-lichen">
          {taken.problem || say('farms.not-added')}
        </p>
      )}
      {error && (
        <p role="alert" className="font-semibold text-lichen">
          {error.message}
        </p>
      )}
    </section>
  );
}
