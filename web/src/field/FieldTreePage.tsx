import { whenSaved } from '../tree/saving';
import { Afterwards } from '../ui/Afterwards';
import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useLocation, useNavigate, useParams } from 'react-router';
import { answer, api, type FieldSheet } from '../api/client';
import { Failed, Loading } from '../ui/States';
import { AddCut } from './AddCut';
import { LanguageChoice } from '../text/LanguageChoice';
import { StepCard } from './StepCard';
import { usePending } from '../photo/usePending';
import { VisitPhotos } from './VisitPhotos';
import { sendAll } from './sendAll';
import { SyncNote } from './SyncNote';
import {
  finishedHere,
  finishVisit,
  keepVisit,
  openVisit,
  reopenVisit,
  waiting,
  type OpenVisit,
} from './visits';

/** One tree at arm's length: its drawing, its steps to tick, and what else was done. */
export function FieldTreePage() {
  const id = Number(useParams()['id']);
  const sheet = useQuery({
    queryKey: ['field-tree', id],
    networkMode: 'always',
    queryFn: () =>
      whenSaved(id).then(() => answer(api.GET('/api/field/trees/{id}', { params: { path: { id } } }))),
  });
  const location = useLocation();
  const go = useNavigate();
  const mend = (location.state as { mend?: boolean } | null)?.mend === true;
  useEffect(() => {
    if (mend && sheet.data) {
      reopenVisit(sheet.data);
      void go(location.pathname, { replace: true, state: null });
    }
  }, [mend, sheet.data, go, location.pathname]);
  if (sheet.isPending || (mend && sheet.data)) return <Loading what="…" />;
  if (sheet.isError) return <Failed error={sheet.error} retry={() => void sheet.refetch()} />;
  return <Visit key={location.key} sheet={sheet.data} />;
}

function Visit({ sheet }: { sheet: FieldSheet }) {
  const language = useLanguage();
  const say = useSay();
  const [visit, setVisit] = useState(() => openVisit(sheet.treeId));
  const [saved, setSaved] = useState(() => finishedHere(sheet));
  const [side, setSide] = useState<'south' | 'east'>('south');
  const change = (part: Partial<OpenVisit>) => {
    const next = { ...visit, ...part };
    setVisit(next);
    keepVisit(sheet.treeId, next);
  };
  const photos = usePending().filter((photo) => photo.visit === visit.id);
  const pictures = (
    <VisitPhotos
      sheet={sheet}
      visit={visit}
      photos={photos}
      begin={() => {
        keepVisit(sheet.treeId, visit);
      }}
    />
  );
  const left = sheet.steps.filter((step) => !visit.steps[step.number]).length;
  const end = () => {
    const said = visit.note.trim() !== '' || sheet.steps.length > 0;
    finishVisit(sheet, said ? visit : { ...visit, note: say('photo.note', { count: photos.length }) });
    setSaved(true);
    void sendAll();
  };
  if (saved) {
    return (
      <div className="mx-auto max-w-[640px] px-4 py-6 text-[20px]">
        <SyncNote />
        <p role="status" className="mt-3 text-moss">
          {sheet.label}: {say('field.saved')}
        </p>
        <Link
          to={`/field/blocks/${sheet.blockId}?row=${sheet.row}`}
          className="mt-4 inline-grid min-h-14 place-items-center rounded-md bg-ink px-6 font-semibold text-paper"
        >
          {say('field.next')}
        </Link>
        {waiting().some((one) => one.treeId === sheet.treeId) && (
          <button
            type="button"
            className="mt-4 ml-4 min-h-14 px-2 font-semibold underline underline-offset-4"
            onClick={() => {
              reopenVisit(sheet);
              setVisit(openVisit(sheet.treeId));
              setSaved(false);
            }}
          >
            {say('field.reopen')}
          </button>
        )}
      </div>
    );
  }
  return (
    <div lang={language} className="mx-auto max-w-[640px] px-4 py-3 text-[18px]">
      <div className="flex items-center justify-between gap-3">
        <Link
          to={`/field/blocks/${sheet.blockId}?row=${sheet.row}`}
          className="min-h-11 content-center underline underline-offset-4"
        >
          {say('field.back')}
        </Link>
        <LanguageChoice />
      </div>
      <h1 className="text-[28px] font-bold">{sheet.label}</h1>
      <p className="text-[16px] text-muted">
        {sheet.steps.length === 0
          ? sheet.kind[language]
          : say('field-tree-page.kind-max-min-ladderminutes-sawminutes', {
              kind: sheet.kind[language],
              max: Math.max(1, Math.round(sheet.minutes)),
              ladderMinutes:
                sheet.ladderMinutes >= 0.5 &&
                say('field-tree-page.ladderminutes-min-ladder', {
                  ladderMinutes: Math.round(sheet.ladderMinutes),
                  ladder: say('field.ladder'),
                }),
              sawMinutes:
                sheet.sawMinutes >= 0.5 &&
                say('field-tree-page.sawminutes-min-saw', {
                  sawMinutes: Math.round(sheet.sawMinutes),
                  saw: say('field.saw'),
                }),
            })}
      </p>
      <SyncNote />
      {sheet.steps.length === 0 ? (
        <>
          <p className="mt-4">{say('field.nothing')}</p>
          <h2 className="mt-4 text-[20px] font-bold">{say('field.report')}</h2>
          {pictures}
          <NoteAndName visit={visit} change={change} />
          <button
            type="button"
            disabled={visit.who.trim() === '' || (visit.note.trim() === '' && photos.length === 0)}
            onClick={end}
            className="mt-4 min-h-14 w-full rounded-md bg-ink text-[20px] font-bold text-paper disabled:opacity-45"
          >
            {say('field.report-done')}
          </button>
        </>
      ) : (
        <>
          <button
            type="button"
            aria-label={say('field.wide')}
            onClick={() => {
              setSide(side === 'south' ? 'east' : 'south');
            }}
            className="mt-2 block w-full rounded-md bg-white [&_svg]:h-auto [&_svg]:w-full"
          >
            <img
              alt=""
              className="mx-auto max-h-[360px] w-full"
              src={`data:image/svg+xml;utf8,${encodeURIComponent(sheet[side])}`}
            />
            <span className="block pb-1 text-[14px] text-[#333]">{sheet.words[language]?.[side]}</span>
          </button>
          <ol className="mt-3">
            {sheet.steps.map((step) => (
              <StepCard
                key={step.number}
                step={step}
                language={language}
                state={visit.steps[step.number]}
                set={(state) => {
                  const steps = { ...visit.steps };
                  if (state) steps[step.number] = state;
                  else Reflect.deleteProperty(steps, step.number);
                  change({ steps });
                }}
              />
            ))}
          </ol>
          <details className="mt-3 border-b border-line pb-2">
            <summary className="min-h-11 content-center font-semibold">{say('field.cautions')}</summary>
            <ul className="list-disc pl-5 text-[16px]">
              {(sheet.cautions[language] ?? []).map((one) => (
                <li key={one}>{one}</li>
              ))}
            </ul>
          </details>
          <AddCut
            added={visit.added}
            limbs={sheet.limbs}
            add={(cut) => {
              change({ added: [...visit.added, cut] });
            }}
            takeBack={(index) => {
              change({ added: visit.added.filter((_, i) => i !== index) });
            }}
          />
          <Afterwards
            large
            tasks={sheet.afterwards[language] ?? []}
            done={visit.afterwards ?? []}
            change={(afterwards) => {
              change({ afterwards });
            }}
          />
          <Tools sheet={sheet} visit={visit} change={change} />
          {pictures}
          <NoteAndName visit={visit} change={change} />
          <div className="sticky bottom-0 -mx-4 mt-4 border-t border-line bg-paper px-4 py-3">
            {left > 0 && <p className="pb-2 text-[16px] text-muted">{say('field.left', { count: left })}</p>}
            <button
              type="button"
              disabled={visit.who.trim() === '' || left === sheet.steps.length}
              onClick={end}
              className="min-h-14 w-full rounded-md bg-ink text-[20px] font-bold text-paper disabled:opacity-45"
            >
              {left === 0 ? say('field.finish') : say('field.hand-over')}
            </button>
          </div>
        </>
      )}
    </div>
  );
}

/** What was cut with, from what the steps need, and how long it took where the clock ran on. */
function Tools({
  sheet,
  visit,
  change,
}: {
  sheet: FieldSheet;
  visit: OpenVisit;
  change: (part: Partial<OpenVisit>) => void;
}) {
  const say = useSay();
  const language = useLanguage();
  const named = new Map(sheet.steps.map((step) => [step.tool['en'] ?? '', step.tool[language] ?? '']));
  named.delete('');
  return (
    <div className="mt-3">
      {named.size > 0 && (
        <div role="group" aria-label={say('field.tools')}>
          {say('field.tools')}
          <div className="mt-1 flex flex-wrap gap-2">
            {[...named.entries()].map(([tool, text]) => {
              const used = visit.tools.includes(tool);
              return (
                <button
                  key={tool}
                  type="button"
                  aria-pressed={used}
                  onClick={() => {
                    const rest = visit.tools.filter((one) => one !== tool);
                    change({ tools: used ? rest : [...rest, tool] });
                  }}
                  className={`min-h-12 rounded-md border px-3 ${used ? 'border-ink bg-ink text-paper' : 'border-muted/50'}`}
                >
                  {text}
                </button>
              );
            })}
          </div>
        </div>
      )}
      <label className="mt-3 flex items-center gap-3">
        {say('field.minutes')}
        <input
          inputMode="decimal"
          value={visit.minutes}
          onChange={(event) => {
            change({ minutes: event.target.value });
          }}
          className="min-h-12 w-20 rounded-md border border-muted/50 bg-paper px-2"
        />
      </label>
    </div>
  );
}

/** A note on the visit, and whose it is. */
function NoteAndName({ visit, change }: { visit: OpenVisit; change: (part: Partial<OpenVisit>) => void }) {
  const say = useSay();
  return (
    <>
      <label className="mt-3 block">
        {say('field.note')}
        <textarea
          rows={2}
          maxLength={2000}
          value={visit.note}
          onChange={(event) => {
            change({ note: event.target.value });
          }}
          className="mt-1 w-full rounded-md border border-muted/50 bg-paper p-2"
        />
      </label>
      <label className="mt-2 block">
        {say('field.who')}
        <input
          value={visit.who}
          onChange={(event) => {
            change({ who: event.target.value });
          }}
          className="mt-1 min-h-12 w-full rounded-md border border-muted/50 bg-paper px-2"
        />
      </label>
    </>
  );
}
