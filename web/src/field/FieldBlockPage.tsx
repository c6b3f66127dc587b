import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { answer, api } from '../api/client';
import { useMayChange } from '../people/who';
import { Failed, Loading } from '../ui/States';
import { LanguageChoice } from '../text/LanguageChoice';
import { SyncNote } from './SyncNote';
import { finishedHere } from './visits';

/** A row on the phone: its marked trees in walking order. Opening it keeps all of them for where there is no signal. */
export function FieldBlockPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const [search] = useSearchParams();
  const row = search.get('row');
  const language = useLanguage();
  const mayChange = useMayChange();
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
  const instruction = useQuery({
    queryKey: ['instruction', id],
    networkMode: 'always',
    queryFn: () => answer(api.GET('/api/blocks/{id}/instruction', { params: { path: { id } } })),
  });
  useEffect(() => {
    for (const sheet of sheets.data ?? []) {
      queries.setQueryData(['field-tree', sheet.treeId], sheet);
      // a request of its own, so that the tree's sheet lies in the phone's own store
      void api.GET('/api/field/trees/{id}', { params: { path: { id: sheet.treeId } } }).catch(() => null);
    }
  }, [sheets.data, queries]);
  if (sheets.isPending) return <Loading what="…" />;
  if (sheets.isError) return <Failed error={sheets.error} retry={() => void sheets.refetch()} />;
  const first = sheets.data[0];
  return (
    <div className="mx-auto max-w-[640px] px-4 py-4 text-[18px]">
      <Link to="/field" className="text-[16px] font-semibold underline underline-offset-4">
        {say('field-block-page.all-rows')}
      </Link>
      <div className="flex items-center justify-between gap-3">
        <h1 className="text-[26px] font-bold">
          {first ? `${first.block}${row ? ` ${row}` : ''}` : (instruction.data?.block ?? say('field.rows'))}
        </h1>
        <LanguageChoice />
      </div>
      <SyncNote />
      {instruction.data?.instruction?.inUse && (
        <section className="mt-3 border-2 border-ink p-3">
          <h2 className="text-[20px] font-bold">{say('instruction.on-every-tree')}</h2>
          <p className="border-b border-line pb-2">{instruction.data.instruction.crewAlways[language]}</p>
          <ol className="list-decimal pl-6">
            {instruction.data.instruction.sentences.map((one) => (
              <li key={one.form} className="py-1">
                {one.crew[language]}
                <span aria-hidden className="block" dangerouslySetInnerHTML={{ __html: one.figure }} />
              </li>
            ))}
          </ol>
        </section>
      )}
      {sheets.data.length === 0 && !instruction.data?.instruction?.inUse && (
        <p className="mt-3 border-l-4 border-line px-3 text-muted">{say('field.nothing')}</p>
      )}
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
                {finishedHere(sheet) && <b className="block">✓ {say('field.finished-here')}</b>}
                {sheet.steps[0]?.title[language]}
                {sheet.steps.length > 1 ? ` +${sheet.steps.length - 1}` : ''}
              </span>
              <span className="text-right text-[15px] text-muted">
                {say('field-block-page.max-min', { max: Math.max(1, Math.round(sheet.minutes)) })}
                {sheet.ladderMinutes >= 0.5 && (
                  <span className="block">
                    {say('field-block-page.ladderminutes-min-ladder', {
                      ladderMinutes: Math.round(sheet.ladderMinutes),
                      ladder: say('field.ladder'),
                    })}
                  </span>
                )}
              </span>
            </Link>
          </li>
        ))}
      </ol>
      {mayChange && (
        <p className="mt-6 text-[17px]">
          <Link
            to={`/blocks/${id}/count`}
            className="inline-block min-h-11 py-2 font-semibold underline underline-offset-4"
          >
            {say('block-page.crop-count')}
          </Link>
        </p>
      )}
    </div>
  );
}
