import { inFarm } from '../api/farm';
import { say, useSay } from '../text/say';
import { FaultList } from '../ui/FaultList';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { sendText, type ImportOutcome } from '../api/client';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import { useListed } from '../ui/Listed';
import { COLUMNS, COUNT_COLUMNS } from './columns';

const OUTCOME_WORDS: Record<string, string> = {
  get 'new-tree'() {
    return say('tables.new-tree');
  },
  get 'new-survey'() {
    return say('tables.new-survey');
  },
  get 'there-already'() {
    return say('tables.there-already');
  },
};

const LISTED_AT_FIRST = 50;

/** Surveys of a block out and in as tables, in whichever way the table was written. */
export function Tables({ id, counted }: { id: number; counted: boolean }) {
  const say = useSay();
  const [table, setTable] = useState('');
  const queries = useQueryClient();
  const [columns, setColumns] = useState<Record<string, string>>({});
  const [told, setTold] = useState<Record<string, string>>({});
  const take = (text: string) => {
    setTable(text);
    setColumns({});
    setTold({});
  };
  const mapped = Object.entries(told).map(
    ([theirs, ours]) => `column=${encodeURIComponent(`${theirs}=${ours}`)}`,
  );
  const send = (path: string) =>
    sendText<ImportOutcome>(mapped.length > 0 ? `${path}?${mapped.join('&')}` : path, 'text/csv', table);
  const preview = useQuery({
    queryKey: ['table', id, table, told],
    queryFn: () => send(`/api/blocks/${id}/surveys/preview`),
    enabled: table !== '',
    gcTime: 0,
  });
  const write = useMutation({
    mutationFn: () => send(`/api/blocks/${id}/surveys`),
    onSuccess: () => {
      take('');
      void queries.invalidateQueries();
    },
  });
  const { listed, more } = useListed(preview.data?.trees ?? [], LISTED_AT_FIRST);
  const trouble = preview.error ?? write.error;
  return (
    <section aria-labelledby="tables" className="mt-9">
      <h2 id="tables" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('tables.survey-tables')}
      </h2>
      <p className="py-2 text-[14px] text-muted">
        {counted ? say('tables.one-cane-a-row') : say('tables.one-limb-a-row-a')}
      </p>
      <div className="flex flex-wrap gap-2">
        <a
          href={inFarm(`/api/blocks/${id}/surveys.csv`)}
          className="rounded-md border border-muted/50 px-3 py-1.5 text-[14px] font-semibold hover:bg-sand"
        >
          {say('tables.export-surveys-csv')}
        </a>
        <FileButton accept=".csv,text/csv" label={say('tables.survey-table-to-import')} onText={take}>
          {say('tables.import-a-table')}
        </FileButton>
      </div>
      <details className="mt-2 text-[14px]">
        <summary className="min-h-9 content-center font-semibold">
          {say('tables.what-the-columns-hold')}
        </summary>
        <p>
          <a
            className="font-semibold underline underline-offset-4"
            href={inFarm(`/api/surveys/template.csv${counted ? '?counted=true' : ''}`)}
          >
            {say('tables.an-empty-table-with-every')}
          </a>
          {say('tables.columns-may-be-parted-by')}
        </p>
        <table className="mt-1">
          <tbody>
            {(counted ? COUNT_COLUMNS() : COLUMNS()).map(([name, meaning]) => (
              <tr key={name} className="border-b border-line">
                <td className="py-0.5 pr-4 font-semibold">{name}</td>
                <td>{meaning}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      {trouble && (
        <div role="alert" className="mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
          <p className="font-semibold">{say('tables.nothing-was-written')}</p>
          {trouble instanceof Problem && trouble.errors.length > 0 ? (
            <FaultList errors={trouble.errors} />
          ) : (
            <p>{trouble.message}</p>
          )}
        </div>
      )}
      {write.data && (
        <p role="status" className="mt-3 text-moss">
          {say('tables.written-length-surveys', {
            length: write.data.trees.filter((tree) => tree.outcome !== 'there-already').length,
          })}
        </p>
      )}
      {preview.data && preview.data.unknown.length > 0 && (
        <div
          className="mt-3 bg-sand p-3"
          role="group"
          aria-label={say('tables.what-the-tables-columns-hold')}
        >
          <p className="font-semibold">{say('tables.some-columns-have-other-names')}</p>
          {preview.data.unknown.map((name) => (
            <label key={name} className="mt-1 flex items-center gap-3 text-[14px]">
              <b className="w-44">{name}</b>
              <select
                value={columns[name] ?? ''}
                onChange={(event) => {
                  setColumns({ ...columns, [name]: event.target.value });
                }}
                className="min-h-9 rounded-md border border-muted/50 bg-paper px-2"
              >
                <option value="">{say('tables.nothing-that-is-wanted-here')}</option>
                {preview.data.free.map((ours) => (
                  <option key={ours} value={ours}>
                    {ours}
                  </option>
                ))}
              </select>
            </label>
          ))}
          <Button
            weight="ink"
            className="mt-2"
            onClick={() => {
              setTold({
                ...told,
                ...Object.fromEntries(preview.data.unknown.map((name) => [name, columns[name] ?? ''])),
              });
            }}
          >
            {say('tables.read-the-table')}
          </Button>
        </div>
      )}
      {preview.data?.unknown.length === 0 && (
        <div className="mt-3">
          {preview.data.trees.some((tree) => tree.maybeInches) && (
            <p role="alert" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14px]">
              {say('tables.the-limbs-of-length-trees', {
                length: preview.data.trees.filter((tree) => tree.maybeInches).length,
              })}
            </p>
          )}
          <ul className="text-[14px]">
            {listed.map((tree) => (
              <li key={tree.label + tree.outcome}>
                <b>{tree.label}</b>
                {say('tables.limbs-limbs-outcomewords', {
                  limbs: tree.limbs,
                  OUTCOMEWORDS: OUTCOME_WORDS[tree.outcome] ?? tree.outcome,
                })}
              </li>
            ))}
          </ul>
          {more}
          <Button
            weight="ink"
            className="mt-2"
            disabled={write.isPending}
            onClick={() => {
              write.mutate();
            }}
          >
            {say('tables.write-these')}
          </Button>
        </div>
      )}
    </section>
  );
}
