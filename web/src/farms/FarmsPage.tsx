import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { answer, api, sendFile, type ArchiveTaken, type FarmLine } from '../api/client';
import { ofFarm } from '../api/farm';
import { JobBar } from '../block/JobBar';
import { useWho } from '../people/who';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { byNeed, matching } from './needs';
import { TakeInvitation } from './TakeInvitation';

const ASK_EVERY = 500;

/** All farms somebody has a role in, those that wait for something first. */
export function FarmsPage() {
  const say = useSay();
  const who = useWho();
  const [search, setSearch] = useState('');
  const farms = useQuery({ queryKey: ['farms'], queryFn: () => answer(api.GET('/api/farms')) });
  if (farms.isPending) return <Loading what={say('farms.reading')} />;
  if (farms.isError) return <Failed error={farms.error} retry={() => void farms.refetch()} />;
  const shown = byNeed(matching(farms.data, search));
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[28px] font-bold">{say('farms.title')}</h1>
        {farms.data.length > 5 && (
          <input
            type="search"
            aria-label={say('farms.search')}
            placeholder={say('farms.search')}
            value={search}
            onChange={(event) => {
              setSearch(event.target.value);
            }}
            className="min-h-9 w-64 rounded-md border border-muted/50 bg-paper px-3"
          />
        )}
      </div>
      {shown.length === 0 ? (
        <p className="py-6 text-muted">{say('farms.none-matches')}</p>
      ) : (
        <FarmTable farms={shown} here={who.farm} />
      )}
      {who.state === 'signed-in' && <TakeInvitation />}
      {who.keeper && <AddFarm />}
    </div>
  );
}

function FarmTable({ farms, here }: { farms: FarmLine[]; here: string }) {
  const say = useSay();
  const head = 'border-b-2 border-ink py-1.5 font-semibold';
  const cell = (count: number, urgent = false) => (
    <td
      className={`border-b border-line py-2 pl-4 text-right tabular-nums ${
        count === 0 ? 'text-muted' : urgent ? 'font-bold text-lichen' : ''
      }`}
    >
      {count}
    </td>
  );
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr>
            <th className={`${head} text-left`}>{say('farms.farm')}</th>
            <th className={`${head} pl-4 text-left`}>{say('farms.your-role')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.due')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.overdue')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.waiting')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.doubtful')}</th>
            <th className={`${head} pl-4 text-right`}>{say('farms.surveyed')}</th>
          </tr>
        </thead>
        <tbody>
          {farms.map((one) => (
            <tr key={one.code}>
              <td className="border-b border-line py-2">
                <a href={ofFarm(one.code)} className="font-semibold underline underline-offset-4">
                  {one.name || say('farms.unnamed')}
                </a>
                {one.code === here && (
                  <span className="ml-2 text-[14px] text-muted">{say('farms.you-are-here')}</span>
                )}
              </td>
              <td className="border-b border-line py-2 pl-4">{say('farms.role', { role: one.role })}</td>
              {cell(one.due)}
              {cell(one.overdue, true)}
              {cell(one.suggested)}
              {cell(one.doubtful)}
              {cell(one.surveyed)}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="pt-2 text-[14px] text-muted">{say('farms.what-the-figures-are')}</p>
    </div>
  );
}

/** A new farm, empty or out of an archive; for whoever keeps the installation. */
function AddFarm() {
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
      queries.setQueryData(['archive', begun.job], begun);
    },
  });
  const job = send.data?.job ?? null;
  const path = { path: { number: job ?? 0 } };
  const taking = useQuery({
    queryKey: ['archive', job],
    queryFn: async () => {
      const now = await answer(api.GET('/api/farms/archive/{number}', { params: path }));
      if (now.state !== 'running') added();
      return now;
    },
    enabled: job !== null,
    refetchInterval: (query) => (query.state.data?.state === 'running' ? ASK_EVERY : false),
  });
  const stop = useMutation({
    mutationFn: () => answer(api.DELETE('/api/farms/archive/{number}', { params: path })),
    onSuccess: () => void taking.refetch(),
  });
  const taken = taking.data;
  const running = taken?.state === 'running';
  const made = taken?.state === 'done' ? taken : add.data;
  const error = send.error ?? taking.error ?? stop.error ?? add.error;
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
        <input
          aria-label={say('farms.name-of-the-farm')}
          placeholder={say('farms.name-of-the-farm')}
          value={name}
          maxLength={200}
          onChange={(event) => {
            setName(event.target.value);
          }}
          className="min-h-9 w-64 rounded-md border border-muted/50 bg-paper px-3"
        />
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
            job={taken}
            what={say('farms.taking-in')}
            counted="job.entries"
            stop={() => {
              stop.mutate();
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
