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

/** The whole holding out in one file and back in, and the records as a table. */
export function Backups() {
  const file = useRef<HTMLInputElement>(null);
  const restore = useMutation({
    mutationFn: (chosen: File) => sendFile<Report>('/api/backup/restore', chosen),
  });
  return (
    <section aria-labelledby="backup" className="mt-8">
      <h2 id="backup" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        Backup
      </h2>
      <p className="max-w-prose pt-2 text-[14px] text-muted">
        A backup holds all that is kept here, your own knowledge files among it. A restored backup takes the
        place of all this at the next start; what is here now is kept beside it.
      </p>
      <p className="flex flex-wrap items-center gap-5 py-2">
        <a className={LINK} href="/api/backup">
          Export a backup (ZIP)
        </a>
        <a className={LINK} href="/api/records.csv" download="records.csv">
          Export the records (CSV)
        </a>
        <input
          ref={file}
          type="file"
          accept=".zip,application/zip"
          aria-label="Backup file to restore"
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
          {restore.isPending ? 'Checking the backup…' : 'Restore a backup'}
        </Button>
      </p>
      {restore.data && (
        <p role="status" className="border-l-4 border-ink bg-sand px-3 py-2">
          The backup is checked: {restore.data.trees} trees, {restore.data.surveys} surveys,{' '}
          {restore.data.records} visits. Stop Umbel and start it again to take it over; what is entered until
          then stays in the present data, which is kept beside it.
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
