import { whenSaved } from '../tree/saving';
import { PaperLinks } from './PaperLinks';
import { named } from '../text/term';
import { AfterwardsList } from '../ui/Afterwards';
import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { isCounted } from '../api/problem';
import { keyOf, markFrom } from '../api/marks';
import { prepare } from '../stand/geometry';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { day, minutes, percent, STAGE_WORDS } from '../ui/words';
import { AboveFigure } from './AboveFigure';
import { MaterialList } from './MaterialList';
import { SideFigure } from './SideFigure';

/** One tree's work on one printed page: two sides and above, numbered cuts, steps in order, tools, cautions. */
export function SheetPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const page = useQuery({
    queryKey: ['tree', id],
    queryFn: () => whenSaved(id).then(() => answer(api.GET('/api/trees/{id}', { params: { path: { id } } }))),
    staleTime: 0,
    gcTime: 0,
  });
  const decisions = page.data?.decisions;
  const steps = useQuery({
    queryKey: ['sheet', id, decisions],
    enabled: decisions !== undefined,
    queryFn: () =>
      answer(api.POST('/api/trees/{id}/sheet', { params: { path: { id } }, body: decisions ?? {} })),
  });
  const ordered = useMemo(
    () => ({ ...decisions, marks: (steps.data ?? []).map(markFrom) }),
    [decisions, steps.data],
  );
  const marked = useQuery({
    queryKey: ['marks', id, ordered],
    enabled: steps.data !== undefined,
    queryFn: () => answer(api.POST('/api/trees/{id}/marks', { params: { path: { id } }, body: ordered })),
  });
  const material = useQuery({
    queryKey: ['material', id, ordered],
    enabled: steps.data !== undefined,
    queryFn: () => answer(api.GET('/api/trees/{id}/material', { params: { path: { id } } })),
    staleTime: 0,
  });
  const stand = useMemo(() => (page.data ? prepare(page.data.drawing) : null), [page.data]);
  const failed = page.error ?? steps.error ?? marked.error;
  if (isCounted(page.error)) return <Navigate replace to={`/field/trees/${id}`} />;
  if (failed) return <Failed error={failed} retry={() => void page.refetch()} />;
  if (!page.data || !steps.data || !marked.data || !stand)
    return <Loading what={say('sheet-page.writing-the-sheet')} />;
  const { name } = page.data;
  const { totals } = marked.data;
  const cuts = new Map(marked.data.cuts.map((cut) => [cut.axis, cut]));
  const flags = marked.data.effects.map((effect) => effect.flag as [number, number, number]);
  const tools = [...new Set(steps.data.map((step) => step.tool))].filter((tool) => tool !== 'hand');
  const cautions = [...new Set(steps.data.flatMap((step) => step.cautions))];
  return (
    <article className="mx-auto max-w-[900px] px-8 py-6 text-[16px] print:max-w-none print:p-0">
      <div className="no-print mb-4 flex items-center justify-between gap-4 border-b border-line pb-3">
        <p className="text-[14px] text-muted">
          {steps.data.length === 0
            ? say('sheet-page.nothing-is-marked-on-this')
            : say('sheet-page.one-page-for-the-row')}
        </p>
        <span className="flex items-center gap-4 text-[14px] font-semibold whitespace-nowrap">
          <PaperLinks path={`/api/trees/${id}/sheet.pdf`} what={say('sheet-page.pdf')} />
          <Link className="underline underline-offset-4" to={`/field/trees/${id}`}>
            {say('sheet-page.on-the-phone')}
          </Link>
        </span>
        <Button
          weight="ink"
          onClick={() => {
            window.print();
          }}
        >
          {say('sheet-page.print')}
        </Button>
      </div>
      <header className="flex items-end justify-between gap-6 border-b-[3px] border-ink pb-2">
        <div>
          <h1 className="text-[30px] font-bold">{name.label}</h1>
          <p className="text-[15px]">
            {say('sheet-page.cultivar-speciesname-systemname-leaf-leaf', {
              cultivar: name.cultivar,
              speciesName: name.speciesName,
              systemName: name.systemName.toLowerCase(),
              leaf: name.leaf,
              surveyedOn: day(name.surveyedOn),
            })}
          </p>
        </div>
        <p className={`text-right text-[15px] ${steps.data.length === 0 ? 'hidden' : ''}`}>
          <b>{say('sheet-page.cuts-cuts', { cuts: totals.cuts })}</b>, {minutes(totals.minutes)}
          {totals.ladderMinutes >= 0.5 && (
            <span className="block">
              {say('sheet-page.ladderminutes-on-a-ladder', { ladderMinutes: minutes(totals.ladderMinutes) })}
            </span>
          )}
          <span className="block">
            {say('sheet-page.woodshare-of-the-small-wood', { woodShare: percent(totals.woodShare) })}
          </span>
        </p>
      </header>
      <div className="grid grid-cols-[1fr_1fr_150px] items-end gap-3 py-3">
        <SideFigure
          stand={stand}
          bearing={Math.PI}
          words={say('sheet-page.seen-from-the-south')}
          cuts={cuts}
          flags={flags}
        />
        <SideFigure
          stand={stand}
          bearing={Math.PI / 2}
          words={say('sheet-page.seen-from-the-east')}
          cuts={cuts}
          flags={flags}
        />
        <AboveFigure stand={stand} cuts={cuts} />
      </div>
      {steps.data.length === 0 && <BlankLines id={id} />}
      <ol className="border-t border-ink">
        {steps.data.map((step, i) => (
          <li
            key={keyOf(step)}
            className="grid break-inside-avoid grid-cols-[40px_1fr_170px] items-start gap-3 border-b border-line py-1.5"
          >
            <span className="grid h-7 w-9 place-items-center border-2 border-ink text-[17px] font-bold">
              {i + 1}
            </span>
            <span>
              {steps.data[i - 1]?.stage !== step.stage && (
                <span className="block text-[13px] text-muted">{STAGE_WORDS[step.stage]}</span>
              )}
              <b className="text-[17px]">{step.title}</b>
              <span className="block text-[14.5px]">{step.place}</span>
            </span>
            <span className="text-right text-[14.5px]">
              {step.numbers}
              {step.ladder && <b className="block">{say('sheet-page.above-reach')}</b>}
              <span
                className="mt-0.5 block text-[22px] leading-none"
                aria-label={say('sheet-page.tick-when-done')}
              >
                ☐
              </span>
            </span>
          </li>
        ))}
      </ol>
      {material.data && material.data.lines.length > 0 && (
        <p className="pt-2 text-[15px]">
          <b>{say('sheet-page.to-carry-for-bending')}</b> <MaterialList list={material.data} />.
        </p>
      )}
      <footer className="mt-3 grid grid-cols-[170px_1fr] gap-6 text-[14px]">
        <div className={tools.length === 0 ? 'hidden' : ''}>
          <b>{say('sheet-page.bring')}</b>
          <ul>
            {tools.map((tool) => (
              <li key={tool}>{tool === 'tie' ? say('sheet-page.ties-or-spreaders') : named('tool', tool)}</li>
            ))}
          </ul>
        </div>
        <div className="border-l-[3px] border-ink pl-3">
          <AfterwardsList tasks={marked.data.afterwards} className="mb-2" />
          <b>{say('sheet-page.heed')}</b>
          <ul>
            {[...cautions, say('sheet-page.look-up-for-power-lines')].map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
          <p className="mt-1">{say('sheet-page.local-codes-and-licensed-practice')}</p>
        </div>
      </footer>
    </article>
  );
}

const BLANK_LINES = 8;

/** Where nothing is marked: lines to write on at the tree, and where to mark instead. */
function BlankLines({ id }: { id: number }) {
  const say = useSay();
  return (
    <>
      <p className="no-print py-2 text-[15px]">
        <Link className="font-semibold underline underline-offset-4" to={`/trees/${id}`}>
          {say('sheet-page.mark-what-is-to-be')}
        </Link>
      </p>
      <ol aria-label={say('sheet-page.lines-to-write-on')}>
        {Array.from({ length: BLANK_LINES }, (_, i) => (
          <li key={i} className="flex h-11 items-end gap-3 border-b border-line pb-1">
            <span className="grid h-7 w-9 place-items-center border-2 border-line text-[15px] text-muted">
              {i + 1}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
