import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Mark, type TreePage } from '../api/client';
import { keyOf, limbOf } from '../api/marks';
import { FIRST_VIEW, type View } from '../stand/camera';
import { prepare } from '../stand/geometry';
import { LimbClock } from '../stand/LimbClock';
import type { Picked, Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { Button } from '../ui/Button';
import { day } from '../ui/words';
import { cutFrom } from './cutFrom';
import { FindingsPanel } from './FindingsPanel';
import { Gauges } from './Gauges';
import { LimbPanel } from './LimbPanel';
import { LimbsPanel } from './LimbsPanel';
import { PlanPanel } from './PlanPanel';
import { StageBar } from './StageBar';
import { useWork } from './useWork';

/** Operations that take a limb whole. */
const WHOLE: ReadonlySet<string> = new Set(['remove', 'renew-bevel', 'rub']);
const NOT_MOVED: ReadonlyMap<number, number[]> = new Map();
const NO_NAMES: ReadonlyMap<string, string> = new Map();

/** The heart: the drawing, the gauges and the list of the work, all of one selection. */
export function TreeDesk({ id, page }: { id: number; page: TreePage }) {
  const work = useWork(id, page);
  const [view, setView] = useState<View>(FIRST_VIEW);
  const [selected, setSelected] = useState<string | null>(null);
  const [pointed, setPointed] = useState<string[]>([]);
  const [tab, setTab] = useState('plan');
  const [layer, setLayer] = useState<Showing['layer']>('wood');
  const [stage, setStage] = useState<Showing['stage']>('marks');
  const [cutting, setCutting] = useState(false);
  const [numbered, setNumbered] = useState(false);

  const planFor = { ...work.decisions, marks: [] as Mark[] };
  const [round, setRound] = useState<Mark[]>([]);
  const plans = useQuery({
    queryKey: ['plans', id, planFor.refused, planFor.school, planFor.goals, planFor.hold, round],
    queryFn: () =>
      answer(
        api.POST('/api/trees/{id}/plans', { params: { path: { id } }, body: { ...planFor, marks: round } }),
      ),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });

  // without a bend the drawing stays the very same, so that a mark need not shape it anew
  const bent = stage === 'found' ? undefined : work.marked?.moved;
  const moved = useMemo(
    () => (bent && bent.length > 0 ? new Map(bent.map((one) => [one.axis, one.points])) : NOT_MOVED),
    [bent],
  );
  const stand = useMemo(() => prepare(page.drawing, moved), [page.drawing, moved]);
  const cuts = useMemo(
    () => new Map((work.marked?.cuts ?? []).map((cut) => [cut.axis, { kept: cut.kept, mark: cut.mark }])),
    [work.marked],
  );
  const lit = useMemo(() => {
    const ids = pointed.length > 0 ? pointed : selected ? [selected] : [];
    return new Set(ids.map((limb) => limb.split('/')[0] ?? limb));
  }, [selected, pointed]);
  const showing: Showing = useMemo(() => ({ layer, stage, cuts, lit }), [layer, stage, cuts, lit]);
  const flags = useMemo(
    () =>
      (work.marked?.effects ?? []).map((effect, i) => ({
        label: String(i + 1),
        at: [effect.flag[0] ?? 0, effect.flag[1] ?? 0, effect.flag[2] ?? 0] as [number, number, number],
        chosen: selected !== null && limbOf(effect.mark) === selected,
      })),
    [work.marked, selected],
  );
  const names = useMemo(() => {
    if (numbered) {
      return new Map(page.limbs.map((limb) => [limb.id, limb.id]));
    }
    return lit.size > 0 && lit.size <= 4 ? new Map([...lit].map((limb) => [limb, `limb ${limb}`])) : NO_NAMES;
  }, [numbered, lit, page.limbs]);
  const lines = useMemo(
    () => [
      { at: page.limits.reachM, text: `reach from the ground, ${page.limits.reachM} m` },
      ...(page.drawing.top > page.limits.heightM * 0.8
        ? [{ at: page.limits.heightM, text: `workable to ${page.limits.heightM} m` }]
        : []),
    ],
    [page],
  );
  const going = useMemo(
    () =>
      new Set(
        work.marks
          .filter((mark) => mark.limb === limbOf(mark) && WHOLE.has(mark.operation ?? ''))
          .map(limbOf),
      ),
    [work.marks],
  );

  const select = useCallback((limb: string | null) => {
    setSelected(limb);
    setPointed([]);
  }, []);

  const picked = (hit: Picked | null) => {
    if (!hit) {
      select(null);
      return;
    }
    if (cutting) {
      const mark = cutFrom(hit);
      if (mark) {
        work.take(mark);
        setCutting(false);
      }
    }
    select(hit.axis.limb);
  };

  const limbIds = useMemo(() => ['trunk', ...page.limbs.map((limb) => limb.id)], [page.limbs]);
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName)) {
        return;
      }
      const control = event.ctrlKey || event.metaKey;
      const step = (by: number) => {
        const at = selected ? limbIds.indexOf(selected) : by > 0 ? -1 : 0;
        select(limbIds[(at + by + limbIds.length) % limbIds.length] ?? null);
      };
      const key = event.key.toLowerCase();
      if (control && key === 'z') {
        event.preventDefault();
        if (event.shiftKey) work.redo();
        else work.undo();
      } else if (control) {
        return;
      } else if (key === 'n') step(1);
      else if (key === 'p') step(-1);
      else if (key === 'x' && selected && selected !== 'trunk') {
        const key = `remove@${selected}`;
        if (work.marks.some((mark) => keyOf(mark) === key)) work.unmark(key);
        else work.take({ operation: 'remove', limb: selected });
      } else if (key === 'c') setCutting((on) => !on);
      else if (key === 'h') setStage((now) => (now === 'after' ? 'marks' : 'after'));
      else if (key === 'l') setLayer((now) => (now === 'wood' ? 'light' : 'wood'));
      else if (key === 'escape') {
        setCutting(false);
        select(null);
      }
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, [selected, limbIds, select, work]);

  const { name } = page;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_400px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="flex min-h-0 flex-col max-lg:h-[640px]">
        <div className="relative min-h-0 flex-1">
          <TreeStand
            stand={stand}
            view={view}
            onView={setView}
            showing={showing}
            flags={flags}
            lines={lines}
            names={names}
            label={`${name.label}: ${name.limbs} limbs, ${page.drawing.top.toFixed(1)} m tall. Turn with the arrow keys. The list of limbs beside it holds the same.`}
            cutting={cutting}
            onPick={picked}
            onFlag={(i) => {
              const mark = work.marks[i];
              if (mark) select(limbOf(mark));
            }}
            cutWords={cutWords}
          />
          <div className="pointer-events-none absolute top-4 left-5 text-[#241f1c] dark:text-[#f1ece3]">
            <h1 className="text-[25px] font-bold">{name.label}</h1>
            <p className="text-[14px]">
              {name.cultivar} {name.speciesName.toLowerCase()}, {name.systemName.toLowerCase()}, leaf{' '}
              {name.leaf}
            </p>
            <p className="text-[13px] opacity-80">
              {name.limbs} limbs measured {day(name.surveyedOn)}; twigs arranged from the counts
            </p>
          </div>
          <div className="absolute top-4 right-4 flex flex-col items-end gap-2">
            <div className="flex gap-1 bg-paper/85 p-1" role="group" aria-label="What the drawing shows">
              {(
                [
                  ['wood', 'Wood'],
                  ['light', 'Light'],
                ] as const
              ).map(([value, words]) => (
                <button
                  key={value}
                  type="button"
                  aria-pressed={layer === value}
                  onClick={() => {
                    setLayer(value);
                  }}
                  className={`min-h-8 px-3 text-[14px] ${layer === value ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`}
                >
                  {words}
                </button>
              ))}
              <button
                type="button"
                aria-pressed={numbered}
                onClick={() => {
                  setNumbered(!numbered);
                }}
                className={`min-h-8 px-3 text-[14px] ${numbered ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`}
              >
                Numbers
              </button>
            </div>
            {layer === 'light' && <LightKey />}
            {layer === 'wood' && <WoodKey />}
          </div>
          <div className="absolute right-4 bottom-4">
            <LimbClock
              stand={stand}
              limbs={page.limbs}
              selected={selected}
              going={going}
              viewer={view.bearing}
              onSelect={select}
            />
          </div>
          <div className="absolute bottom-4 left-[68px] flex gap-2">
            <Button
              weight={cutting ? 'ink' : 'plain'}
              aria-pressed={cutting}
              onClick={() => {
                setCutting(!cutting);
              }}
              title="Key C: point at a limb and click where it should be cut"
            >
              {cutting ? 'Click where to cut' : 'Mark a cut'}
            </Button>
            <Button onClick={work.undo} disabled={!work.canUndo} title="Ctrl Z">
              Undo
            </Button>
            <Button onClick={work.redo} disabled={!work.canRedo} title="Ctrl Shift Z">
              Redo
            </Button>
          </div>
        </div>
        <StageBar
          stand={stand}
          view={view}
          stage={stage}
          onStage={setStage}
          showing={showing}
          totals={work.marked?.totals}
          nothing={plans.data?.plans.find((plan) => plan.name === 'nothing')?.totals}
          previous={name.previous}
          next={name.next}
        />
      </div>
      <aside
        className="flex min-h-0 flex-col border-l border-line bg-paper max-lg:border-l-0"
        aria-label="The work on this tree"
      >
        <Gauges page={page} totals={work.marked?.totals} saveState={work.saveState} error={work.markError} />
        {selected ? (
          <LimbPanel
            key={selected}
            id={id}
            limb={selected}
            page={page}
            work={work}
            onClose={() => {
              select(null);
            }}
            onSelect={select}
          />
        ) : (
          <Tabs.Root value={tab} onValueChange={setTab} className="flex min-h-0 flex-1 flex-col">
            <Tabs.List aria-label="Lists" className="flex items-end gap-5 border-b border-line px-5">
              {(
                [
                  ['plan', 'Plan'],
                  ['findings', `What is wrong (${page.reading.findings.length})`],
                  ['limbs', `Limbs (${page.limbs.length})`],
                ] as const
              ).map(([value, words]) => (
                <Tabs.Trigger
                  key={value}
                  value={value}
                  className="border-b-[3px] border-transparent pt-2 pb-1.5 text-[14px] text-muted data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
                >
                  {words}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Tabs.Content value="plan" className="min-h-0 flex-1 overflow-auto">
              <PlanPanel
                work={work}
                plans={plans.data}
                pending={plans.isPending}
                thinking={plans.isFetching}
                error={plans.error}
                onPoint={setPointed}
                onSelect={select}
                onRethink={() => {
                  setRound(work.marks);
                }}
              />
            </Tabs.Content>
            <Tabs.Content value="findings" className="min-h-0 flex-1 overflow-auto">
              <FindingsPanel
                found={page.reading.findings}
                left={work.marked?.findings}
                onPoint={setPointed}
                onSelect={select}
              />
            </Tabs.Content>
            <Tabs.Content value="limbs" className="min-h-0 flex-1 overflow-auto">
              <LimbsPanel limbs={page.limbs} going={going} onPoint={setPointed} onSelect={select} />
            </Tabs.Content>
          </Tabs.Root>
        )}
        <div className="flex items-center justify-between gap-3 border-t border-line px-5 py-2.5">
          <span className="text-[14px] text-muted">
            {work.marks.length === 0
              ? 'Nothing marked yet'
              : `${work.marks.length} ${work.marks.length === 1 ? 'step' : 'steps'} marked`}
          </span>
          <span className="flex gap-2">
            <Link
              to={`/trees/${id}/sheet`}
              className="rounded-md border border-muted/50 px-3 py-1.5 text-[14px] font-semibold hover:bg-sand"
            >
              Sheet
            </Link>
            <Link
              to={`/trees/${id}/record`}
              className="rounded-md bg-ink px-3 py-1.5 text-[14px] font-semibold text-paper hover:opacity-90"
            >
              Record it
            </Link>
          </span>
        </div>
      </aside>
    </div>
  );
}

function cutWords(hit: Picked): string {
  const mark = cutFrom(hit);
  if (!mark) {
    return 'the leader is cut higher up';
  }
  if (mark.operation === 'remove') {
    return (mark.limb ?? '').includes('/')
      ? `take these shoots on limb ${limbOf(mark)}`
      : `remove limb ${limbOf(mark)}`;
  }
  return `${mark.operation ?? ''} ${limbOf(mark)} at ${Math.round(mark.at_cm ?? 0)} cm`;
}

function LightKey() {
  const steps = [
    ['■', 'under 30 %: buds die', '#3e466c'],
    ['▲', '30 to 50 %: fruit, few new buds', '#ba8a1e'],
    ['●', 'over 50 %: fruit and buds', '#62923c'],
  ] as const;
  return (
    <ul className="bg-paper/85 px-3 py-2 text-[13px]" aria-label="Light over the season">
      {steps.map(([shape, words, colour]) => (
        <li key={words}>
          <span style={{ color: colour }}>{shape}</span> {words}
        </li>
      ))}
    </ul>
  );
}

function WoodKey() {
  return (
    <ul className="flex gap-3 bg-paper/85 px-3 py-1 text-[12.5px]" aria-label="Wood by age">
      {(
        [
          ['#a03a2c', 'last year'],
          ['#7e4a38', '2'],
          ['#6c503e', '3'],
          ['#54493f', 'older'],
        ] as const
      ).map(([colour, words]) => (
        <li key={words} className="flex items-center gap-1.5">
          <span className="h-[4px] w-4" style={{ background: colour }} />
          {words}
        </li>
      ))}
    </ul>
  );
}
