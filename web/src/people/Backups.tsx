import { inFarm } from '../api/farm';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { answer, api, sendFile, type BackupsKept } from '../api/client';
import { JobBar } from '../ui/JobBar';
import { Button } from '../ui/Button';
import { fixed } from '../ui/numbers';
import { Failed } from '../ui/States';

const ASK_EVERY = 700;

interface Report {
  trees: number;
  surveys: number;
  records: number;
}

const LINK = 'font-semibold underline underline-offset-4';

/** The whole installation out in one file and back in. */
export function Backups() {
  const say = useSay();
  const file = useRef<HTMLInputElement>(null);
  const restore = useMutation({
    mutationFn: (chosen: File) => sendFile<Report>('/api/backup/restore', chosen),
  });
  return (
    <section aria-labelledby="backup" className="mt-8">
      <h2 id="backup" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('backups.backup')}
      </h2>
      <p className="max-w-prose pt-2 text-[14px] text-muted">{say('backups.a-backup-holds-all-that')}</p>
      <p className="flex flex-wrap items-center gap-5 py-2">
        <a className={LINK} href={inFarm('/api/backup')}>
          {say('backups.export-a-backup-zip')}
        </a>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          aria-label={say('backups.backup-file-to-restore')}
          className="hidden"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen) restore.mutate(chosen);
            event.target.value = '';
          }}
        />
        <Button
          disabled={restore.isPending}
          onClick={() => {
            file.current?.click();
          }}
        >
          {restore.isPending ? say('backups.checking-the-backup') : say('backups.restore-a-backup')}
        </Button>
      </p>
      {restore.data && (
        <p role="status" className="border-l-4 border-ink bg-sand px-3 py-2">
          {say('backups.the-backup-is-checked-trees', {
            trees: restore.data.trees,
            surveys: restore.data.surveys,
            records: restore.data.records,
          })}
        </p>
      )}
      {restore.error && (
        <p role="alert" className="font-semibold text-lichen">
          {restore.error.message}
        </p>
      )}
      <Kept />
    </section>
  );
}

/** The backups of the data folder: made every night, and whenever one is asked for. */
function Kept() {
  const say = useSay();
  const queries = useQueryClient();
  const kept = useQuery({
    queryKey: ['backups'],
    queryFn: () => answer(api.GET('/api/backups')),
    refetchInterval: (query) => (query.state.data?.job?.state === 'running' ? ASK_EVERY : false),
  });
  const told = (now: BackupsKept) => {
    queries.setQueryData(['backups'], now);
  };
  const begin = useMutation({ mutationFn: () => answer(api.POST('/api/backups')), onSuccess: told });
  const stop = useMutation({ mutationFn: () => answer(api.DELETE('/api/backups')), onSuccess: told });
  const error = kept.error ?? begin.error ?? stop.error;
  const job = kept.data?.job ?? null;
  return (
    <>
      <div className="mt-3 flex flex-wrap items-center gap-4">
        <h3 className="text-[17px] font-bold">{say('backups.kept')}</h3>
        {job?.state === 'running' ? (
          <JobBar
            job={job}
            what={say('backups.parts-written')}
            counted="job.parts"
            stop={() => {
              stop.mutate();
            }}
          />
        ) : (
          <Button
            disabled={begin.isPending || !kept.data}
            onClick={() => {
              begin.mutate();
            }}
          >
            {say('backups.back-up-now')}
          </Button>
        )}
      </div>
      {error && <Failed error={error} />}
      {job?.state === 'failed' && (
        <p role="alert" className="font-semibold text-lichen">
          {say('backups.failed')}
        </p>
      )}
      {job?.state === 'cancelled' && <p className="text-muted">{say('backups.stopped')}</p>}
      {kept.data && (
        <>
          <p className="max-w-prose py-1 text-[14px] text-muted">
            {kept.data.mostKept > 0
              ? say('backups.kept-why', { most: kept.data.mostKept })
              : say('backups.kept-not-by-night')}
          </p>
          {kept.data.backups.length === 0 && <p className="text-muted">{say('backups.none-yet')}</p>}
          <ul className="max-w-[560px]">
            {kept.data.backups.map((one) => (
              <li key={one.name} className="flex gap-6 border-b border-line py-1.5 tabular-nums">
                <a className={LINK} href={inFarm(`/api/backups/${one.name}`)}>
                  {new Date(one.madeAt).toLocaleString(locale(), { dateStyle: 'medium', timeStyle: 'short' })}
                </a>
                <span className="ml-auto text-muted">
                  {say('backups.size', { megabytes: fixed(one.bytes / 1e6, 1) })}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
