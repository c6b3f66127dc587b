import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { answer, api } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { LanguageChoice } from './LanguageChoice';
import { SyncNote } from './SyncNote';
import { finishedHere } from './visits';
import { fieldWords } from './words';

/** A row on the phone: its marked trees in walking order. Opening it keeps all of them for where there is no signal. */
export function FieldBlockPage() {
  const id = Number(useParams()['id']);
  const [search] = useSearchParams();
  const row = search.get('row');
  const [language, setLanguage] = useState(localStorage.getItem('umbel.language') ?? 'en');
  const queries = useQueryClient();
  const sheets = useQuery({
    queryKey: ['field-block', id, row],
    networkMode: 'always',
    queryFn: () =>
      answer(
        api.GET('/api/field/blocks/{id}', {
          params: { path: { id }, query: row ? { row: Number(row) } : {} },
        }),
      ),
  });
  useEffect(() => {
    for (const sheet of sheets.data ?? []) {
      queries.setQueryData(['field-tree', sheet.treeId], sheet);
      // a request of its own, so that the tree's sheet lies in the phone's own store
      void api.GET('/api/field/trees/{id}', { params: { path: { id: sheet.treeId } } }).catch(() => null);
    }
  }, [sheets.data, queries]);
  const words = fieldWords(language);
  if (sheets.isPending) return <Loading what="…" />;
  if (sheets.isError) return <Failed error={sheets.error} retry={() => void sheets.refetch()} />;
  const first = sheets.data[0];
  return (
    <div className="mx-auto max-w-[640px] px-4 py-4 text-[18px]">
      <div className="flex items-center justify-between gap-3">
        <h1 className="text-[26px] font-bold">
          {first ? `${first.block}${row ? ` ${row}` : ''}` : words.rows}
        </h1>
        <LanguageChoice language={language} choose={setLanguage} />
      </div>
      <SyncNote language={language} />
      {sheets.data.length === 0 && <p className="mt-3 text-muted">{words.nothing}</p>}
      <ol className="mt-2">
        {sheets.data.map((sheet) => (
          <li key={sheet.treeId} className="border-b border-line">
            <Link
              to={`/field/trees/${sheet.treeId}`}
              className="grid min-h-16 grid-cols-[72px_1fr_auto] items-center gap-3 py-2"
            >
              <b className="text-[24px]">
                {sheet.row}-{sheet.place}
              </b>
              <span className={`text-[16px] ${finishedHere(sheet) ? 'text-moss' : ''}`}>
                {finishedHere(sheet) && <b className="block">✓ {words.finishedHere}</b>}
                {sheet.steps[0]?.title[language]}
                {sheet.steps.length > 1 ? ` +${sheet.steps.length - 1}` : ''}
              </span>
              <span className="text-right text-[15px] text-muted">
                {Math.max(1, Math.round(sheet.minutes))} min
                {sheet.ladderMinutes >= 0.5 && (
                  <span className="block">
                    {Math.round(sheet.ladderMinutes)} min {words.ladder}
                  </span>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ol>
    </div>
  );
}
