import { AfterwardsList } from '../ui/Afterwards';
import { useSay } from '../text/say';
import { Tabs } from 'radix-ui';
import { useCallback, useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Mark, TreePage } from '../api/client';
import { keyOf, limbOf } from '../api/marks';
import { useMayChange } from '../people/who';
import { firstViewOf, facesRow, type View } from '../stand/camera';
import type { Flag } from '../stand/flags';
import { LimbClock } from '../stand/LimbClock';
import type { Picked, Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { Button } from '../ui/Button';
import { useInAddress } from '../ui/useInAddress';
import { day } from '../ui/words';
import { cutFrom } from './cutFrom';
import { CutWalk } from './CutWalk';
import { FindingsPanel } from './FindingsPanel';
import { Gauges } from './Gauges';
import { Layers, SHOWN, useLayers, type Shown } from './Layers';
import { LimbPanel } from './LimbPanel';
import { ExportLinks } from './ExportLinks';
import { LimbsPanel } from './LimbsPanel';
import { PlanPanel } from './PlanPanel';
import { StageBar } from './StageBar';
import { SuggestionList } from './SuggestionList';
import { TreeSetup } from './TreeSetup';
import { useCutWalk } from './useCutWalk';
import { cutWords } from './cutWords';
import { DeskFooter } from './DeskFooter';
import { useKeys } from './useKeys';
import { usePlans } from './usePlans';
import { useWork } from './useWork';
import { useScene } from './useScene';
import { useYears, type Ahead } from './useYears';
import { TopworkPart } from './TopworkPart';
import { YearsPanel } from './YearsPanel';

/** Operations that take a limb whole. */
const WHOLE: ReadonlySet<string> = new Set(['remove', 'renew-bevel', 'rub']);
const NO_FLAGS: Flag[] = [];
const PANELS = ['plan', 'years', 'findings', 'limbs'] as const;

/** The heart: the drawing, the gauges and the list of the work, all of one selection. */
export function TreeDesk({ id, page }: { id: number; page: TreePage }) {
  const say = useSay();
  const work = useWork(id, page);
  const [view, setView] = useState<View>(() => firstViewOf(page.drawing));
  const [limb, setLimb] = useInAddress<string>('limb', '');
  const selected = page.limbs.some((one) => one.id === limb) || limb === 'trunk' ? limb : null;
  const [pointed, setPointed] = useState<string[]>([]);
  const [tab, setTab] = useInAddress<(typeof PANELS)[number]>('panel', 'plan', PANELS);
  const [shown, setShown] = useInAddress<Shown>('layer', 'wood', SHOWN);
  const [target, setTarget] = useState(false);
  const [along, setAlong] = useState(() => facesRow(view, page.drawing.rowBearingDeg));
  const layers = useLayers(id, shown, selected !== null);
  const [stage, setStage] = useState<Showing['stage']>('marks');
  const [cutting, setCutting] = useState(false);
  const [numbered, setNumbered] = useState(false);
  const [ahead, setAhead] = useState<Ahead | null>(null);
  const [yearCount, setYearCount] = useState(3);
  const [thinned, setThinned] = useState(true);
  const come = useYears(id, work.decisions, tab === 'years', yearCount, thinned, ahead);

  const [round, setRound] = useState<Mark[]>([]);
  const plans = usePlans(id, work.decisions, round);

  // limits of one's own hold at once, before they are kept and the tree is read by them
  const hold = work.decisions.hold;
  const limits = useMemo(
    () => ({
      ...page.limits,
      woodShare: hold?.woodShare ?? page.limits.woodShare,
      bigCuts: hold?.bigCuts ?? page.limits.bigCuts,
    }),
    [page.limits, hold],
  );
  const { present, stand, now, showing, extras, flags, names, lines } = useScene({
    page,
    marked: work.marked,
    layers,
    shown,
    stage,
    ahead,
    come,
    target,
    along,
    numbered,
    selected,
    pointed,
  });
  const going = useMemo(
    () =>
      new Set(
        work.marks
          .filter((mark) => mark.limb === limbOf(mark) && WHOLE.has(mark.operation ?? ''))
          .map(limbOf),
      ),
    [work.marks],
  );

  const select = useCallback(
    (next: string | null) => {
      setLimb(next ?? '');
      setPointed([]);
    },
    [setLimb],
  );

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

  useKeys(page, work, selected, {
    select,
    cut: setCutting,
    stage: setStage,
    light: useCallback(() => {
      setShown(shown === 'light' ? 'wood' : 'light');
    }, [setShown, shown]),
    target: setTarget,
  });

  const walk = useCutWalk(page, plans.shown, setView, setPointed);
  const stops = useMemo(() => new Set(plans.shown?.stops ?? []), [plans.shown]);
  const { name } = page;
  const mayChange = useMayChange();
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_400px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="flex min-h-0 flex-col max-lg:h-[640px]">
        <div className="relative min-h-0 flex-1">
          <TreeStand
            stand={stand}
            view={view}
            onView={setView}
            showing={showing}
            flags={ahead ? NO_FLAGS : flags}
            lines={lines}
            names={names}
            label={say('tree-desk.label-limbs-limbs-top-m', {
              label: name.label,
              limbs: name.limbs,
              top: page.drawing.top.toFixed(1),
            })}
            placing={cutting}
            onPick={picked}
            onFlag={(i) => {
              const mark = work.marks[i];
              if (mark) select(limbOf(mark));
            }}
            placeWords={cutWords}
            extras={extras}
          />
          {ahead && (
            <div
              className="absolute top-[104px] left-[68px] flex items-center gap-2 bg-paper/90 p-1 text-[14px]"
              role="group"
              aria-label={say('tree-desk.which-tree-is-shown')}
            >
              {([false, true] as const).map((alone) => (
                <button
                  key={String(alone)}
                  type="button"
                  aria-pressed={ahead.alone === alone}
                  onClick={() => {
                    setAhead({ ...ahead, alone });
                  }}
                  className={`min-h-8 px-2.5 ${ahead.alone === alone ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`}
                >
                  {alone ? say('tree-desk.left-alone') : say('tree-desk.as-marked')}
                </button>
              ))}
              <span className="px-2 text-[13px]">
                {come.waiting
                  ? say('tree-desk.growing')
                  : say('tree-desk.expected-winter-year', { year: ahead.year })}
              </span>
            </div>
          )}
          <div className="pointer-events-none absolute top-4 left-5 max-w-[345px] text-[#241f1c] dark:text-[#f1ece3]">
            <h1 className="text-[25px] font-bold">{name.label}</h1>
            <p className="text-[14px]">
              {say('tree-desk.cultivar-speciesname-systemname-leaf-leaf', {
                cultivar: name.cultivar,
                speciesName: name.speciesName,
                systemName: name.systemName.toLowerCase(),
                leaf: name.leaf,
              })}
            </p>
            <p className="text-[13px] opacity-80">
              {say('tree-desk.limbs-limbs-measured-surveyedon-the', {
                limbs: name.limbs,
                surveyedOn: day(name.surveyedOn),
              })}
            </p>
          </div>
          <div className="absolute top-4 right-4 flex flex-col items-end gap-2">
            <Layers
              shown={shown}
              onShown={setShown}
              target={target}
              onTarget={setTarget}
              numbered={numbered}
              onNumbered={setNumbered}
              along={along}
              onAlong={setAlong}
              page={page}
              waiting={layers.waiting}
              light={layers.light}
            />
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
              title={say('tree-desk.key-c-point-at-a')}
            >
              {cutting ? say('tree-desk.click-where-to-cut') : say('tree-desk.mark-a-cut')}
            </Button>
            <Button onClick={work.undo} disabled={!work.canUndo} title={say('tree-desk.ctrl-z')}>
              {say('tree-desk.undo')}
            </Button>
            <Button onClick={work.redo} disabled={!work.canRedo} title={say('tree-desk.ctrl-shift-z')}>
              {say('tree-desk.redo')}
            </Button>
          </div>
        </div>
        <StageBar
          stand={present}
          view={view}
          stage={stage}
          onStage={(next) => {
            setStage(next);
            setAhead(null);
          }}
          showing={now}
          ahead={ahead}
          onAhead={setAhead}
          years={come.years}
          yearCount={yearCount}
          totals={work.marked?.totals}
          nothing={plans.all?.plans.find((plan) => plan.name === 'nothing')?.totals}
          previous={name.previous}
          next={name.next}
        />
      </div>
      <aside
        className="flex min-h-0 flex-col border-l border-line bg-paper max-lg:border-l-0"
        aria-label={say('tree-desk.the-work-on-this-tree')}
      >
        <Gauges
          reading={page.reading}
          limits={limits}
          totals={work.marked?.totals}
          work={work}
          counted={page.counted}
        />
        {walk.at !== null && walk.steps.length > 0 ? (
          <CutWalk
            steps={walk.steps}
            at={walk.at}
            go={walk.go}
            close={() => {
              walk.go(null);
            }}
            stopped={(step) => stops.has(keyOf(step))}
            work={work}
          />
        ) : selected ? (
          <LimbPanel
            key={selected}
            id={id}
            limb={selected}
            page={page}
            light={layers.light}
            work={work}
            onClose={() => {
              select(null);
            }}
            onSelect={select}
          />
        ) : (
          <Tabs.Root
            value={tab}
            onValueChange={(next) => {
              setTab(next as (typeof PANELS)[number]);
            }}
            className="flex min-h-0 flex-1 flex-col"
          >
            <Tabs.List
              aria-label={say('tree-desk.lists')}
              className="flex items-end gap-5 border-b border-line px-5"
            >
              {(
                [
                  ['plan', say('tree-desk.plan')],
                  ['years', say('tree-desk.years')],
                  [
                    'findings',
                    say('tree-desk.what-is-wrong-length', { length: page.reading.findings.length }),
                  ],
                  ['limbs', say('tree-desk.limbs-length', { length: page.limbs.length })],
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
              <SuggestionList id={id} of="tree" page={page} work={work} />
              <PlanPanel
                limits={limits}
                id={id}
                species={name.species}
                workedOn={page.workedOn}
                work={work}
                plans={plans.shown}
                pending={plans.pending}
                thinking={plans.thinking}
                error={plans.error}
                onPoint={setPointed}
                onSelect={select}
                onRethink={() => {
                  setRound(work.marks);
                }}
                onWalk={() => {
                  select(null);
                  walk.go(0);
                }}
              />
              <AfterwardsList tasks={work.marked?.afterwards ?? []} className="mx-5 mt-4 mb-5 text-[14px]" />
            </Tabs.Content>
            <Tabs.Content value="years" className="min-h-0 flex-1 overflow-auto">
              <YearsPanel
                come={come}
                marks={work.marks.length}
                count={yearCount}
                onCount={(count) => {
                  setYearCount(count);
                  setAhead((was) => (was && was.year > count ? { ...was, year: count } : was));
                }}
                thinned={thinned}
                onThinned={setThinned}
                ahead={ahead}
                onAhead={setAhead}
              />
              <TopworkPart id={id} />
            </Tabs.Content>
            <Tabs.Content value="findings" className="min-h-0 flex-1 overflow-auto">
              <FindingsPanel
                found={page.reading.findings}
                early={page.reading.early}
                measureNext={plans.all?.measureNext}
                left={work.marked?.findings}
                onPoint={setPointed}
                onSelect={select}
              />
            </Tabs.Content>
            <Tabs.Content value="limbs" className="min-h-0 flex-1 overflow-auto">
              <LimbsPanel limbs={page.limbs} going={going} onPoint={setPointed} onSelect={select} />
              <ExportLinks
                id={id}
                title={say('tree-desk.export-this-tree-as')}
                files={[
                  ['survey.csv', say('tree-desk.a-table')],
                  ['drawing.svg', say('tree-desk.a-drawing')],
                  ['tree.gltf', say('tree-desk.a-solid')],
                ]}
              />
              <Link
                to={`/practice/tree-${id}`}
                className="px-5 text-[14px] font-semibold underline underline-offset-4"
              >
                {say('limbs-panel.practise')}
              </Link>
              {mayChange && <TreeSetup id={id} />}
            </Tabs.Content>
          </Tabs.Root>
        )}
        <DeskFooter id={id} work={work} />
      </aside>
    </div>
  );
}
