import { inFarm } from '../api/farm';
import { useSay } from '../text/say';
import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { sendFile } from '../api/client';
import { Button } from '../ui/Button';

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
    </section>
  );
}
