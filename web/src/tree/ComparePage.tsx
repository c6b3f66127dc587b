import { fixed } from '../ui/numbers';
import { term } from '../text/term';
import { say, useSay } from '../text/say';
import { useRuleNames } from '../guide/useRules';
import { useQueries, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { answer, api, type TreePage } from '../api/client';
import { FIRST_VIEW, type View } from '../stand/camera';
import { prepare, radiusOf } from '../stand/geometry';
import type { Layer, Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { Failed, Loading } from '../ui/States';
import { percent } from '../ui/words';

const MARGINS = { top: 70, side: 30, bottom: 44 };
const NONE: ReadonlyMap<string, string> = new Map();
const LAYERS = (): [Layer, string][] => [
  ['wood', say('compare-page.wood')],
  ['light', say('compare-page.light')],
  ['crop', say('compare-page.buds')],
  ['seen', say('compare-page.seen')],
];

/** Two trees side by side, turned together, at one scale. */
export function ComparePage() {
  const say = useSay();
  const [params, setParams] = useSearchParams();
  const [view, setView] = useState<View>(FIRST_VIEW);
  const [layer, setLayer] = useState<Layer>('wood');
  const holding = useQuery({ queryKey: ['holding'], queryFn: () => answer(api.GET('/api/holding')) });
  const trees = holding.data?.trees ?? [];
  const left = Number(params.get('left') ?? trees[0]?.id ?? 0);
  const right = Number(params.get('right') ?? trees[1]?.id ?? 0);
  const pages = useQueries({
    queries: [left, right].map((id) => ({
      queryKey: ['tree', id],
      queryFn: () => answer(api.GET('/api/trees/{id}', { params: { path: { id } } })),
      enabled: id > 0,
    })),
  });
  const drawings = pages.map((page) => page.data?.drawing);
  const frame = {
    top: Math.max(...drawings.map((drawing) => drawing?.top ?? 1)),
    radius: Math.max(...drawings.map((drawing) => (drawing ? radiusOf(drawing) : 0.5))),
  };
  if (holding.isPending) return <Loading what={say('compare-page.finding-the-trees')} />;
  if (holding.isError) return <Failed error={holding.error} retry={() => void holding.refetch()} />;
  if (trees.length === 0)
    return <p className="p-8 text-muted">{say('compare-page.no-tree-is-surveyed-yet')}</p>;
  const choose = (side: 'left' | 'right', id: string) => {
    setParams({ left: String(left), right: String(right), [side]: id });
  };
  return (
    <div className="flex h-full flex-col">
      <div className="flex flex-wrap items-center gap-4 border-b border-line px-5 py-2">
        <h1 className="text-[20px] font-bold">{say('compare-page.side-by-side')}</h1>
        <div
          className="flex bg-sand p-1"
          role="group"
          aria-label={say('compare-page.what-the-drawings-show')}
        >
          {LAYERS().map(([id, words]) => (
            <button
              key={id}
              type="button"
              aria-pressed={layer === id}
              onClick={() => {
                setLayer(id);
              }}
              className={`min-h-8 px-3 text-[14px] ${layer === id ? 'bg-ink font-semibold text-paper' : 'hover:bg-paper'}`}
            >
              {words}
            </button>
          ))}
        </div>
        <p className="text-[14px] text-muted">{say('compare-page.drag-either-both-turn')}</p>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-2 max-md:grid-cols-1">
        {(
          [
            ['left', left, 0],
            ['right', right, 1],
          ] as const
        ).map(([side, id, i]) => (
          <Side
            key={side}
            page={pages[i]?.data}
            error={pages[i]?.error ?? null}
            frame={frame}
            layer={layer}
            view={view}
            onView={setView}
          >
            <label className="sr-only" htmlFor={`tree-${side}`}>
              {say('compare-page.tree-on-the-side', { side })}
            </label>
            <select
              id={`tree-${side}`}
              value={id}
              onChange={(event) => {
                choose(side, event.target.value);
              }}
              className="min-h-9 rounded-md border border-muted/50 bg-paper px-2 font-semibold"
            >
              {trees.map((tree) => (
                <option key={tree.id} value={tree.id}>
                  {tree.label}
                </option>
              ))}
            </select>
          </Side>
        ))}
      </div>
    </div>
  );
}

function Side({
  page,
  error,
  frame,
  layer,
  view,
  onView,
  children,
}: {
  page: TreePage | undefined;
  error: Error | null;
  frame: { top: number; radius: number };
  layer: Layer;
  view: View;
  onView: (view: View) => void;
  children: React.ReactNode;
}) {
  const say = useSay();
  return (
    <section
      className="flex min-h-[420px] flex-col border-r border-line"
      aria-label={say('compare-page.one-of-the-two-trees')}
    >
      <div className="relative min-h-0 flex-1">
        {page && <Drawn page={page} frame={frame} layer={layer} view={view} onView={onView} />}
        {!page && !error && <Loading what={say('compare-page.walking-up-to-the-tree')} />}
        {error && <Failed error={error} />}
        <div className="absolute top-3 left-4">{children}</div>
      </div>
      {page && <Facts page={page} />}
    </section>
  );
}

function Drawn({
  page,
  frame,
  layer,
  view,
  onView,
}: {
  page: TreePage;
  frame: { top: number; radius: number };
  layer: Layer;
  view: View;
  onView: (view: View) => void;
}) {
  const say = useSay();
  const stand = useMemo(() => prepare(page.drawing), [page.drawing]);
  const { fruitLight, budLight } = page.reading.light;
  const showing: Showing = useMemo(
    () => ({
      layer,
      stage: 'found',
      cuts: new Map(),
      lit: new Set(),
      lightLines: [fruitLight, budLight],
    }),
    [layer, fruitLight, budLight],
  );
  return (
    <TreeStand
      stand={stand}
      frame={frame}
      view={view}
      onView={onView}
      showing={showing}
      names={NONE}
      label={say('compare-page.label-top-m-tall', {
        label: page.name.label,
        top: page.drawing.top.toFixed(1),
      })}
      margins={MARGINS}
    />
  );
}

function Facts({ page }: { page: TreePage }) {
  const say = useSay();
  const ruleName = useRuleNames();
  const { reading, name } = page;
  const act = reading.findings.filter((finding) => finding.severity === 'act');
  return (
    <dl className="grid grid-cols-4 gap-3 min-h-[176px] border-t border-line bg-paper px-5 py-3 text-[14px]">
      {(
        [
          [
            say('compare-page.kind'),
            say('compare-page.speciesname-leaf-leaf', { speciesName: name.speciesName, leaf: name.leaf }),
          ],
          [say('compare-page.in-shade'), percent(reading.light.underFruitLight)],
          [
            say('compare-page.fruits-set-wanted'),
            `${reading.crop.expectedFruits}, ${reading.crop.targetFruits}`,
          ],
          [
            say('compare-page.leaf-over-ground'),
            say('compare-page.leafoverground-catches-interception', {
              leafOverGround: fixed(reading.light.leafOverGround, 1),
              interception: percent(reading.light.interception),
            }),
          ],
          [
            say('compare-page.at-harvest'),
            say('compare-page.kgpertree-kg-tonnesperha-t-ha', {
              kgPerTree: reading.crop.kgPerTree,
              tonnesPerHa: Math.round(reading.crop.tonnesPerHa),
            }),
          ],
          [
            say('compare-page.first-class'),
            say('compare-page.firstclassfruits-fruits', { firstClassFruits: reading.crop.firstClassFruits }),
          ],
        ] as const
      ).map(([term, words]) => (
        <div key={term}>
          <dt className="text-[12.5px] text-muted">{term}</dt>
          <dd className="font-semibold">{words}</dd>
        </div>
      ))}
      <div className="col-span-4">
        <dt className="text-[12.5px] text-muted">{say('compare-page.to-act-on')}</dt>
        <dd>
          {act.length === 0
            ? term('nothing')
            : [...new Set(act.map((finding) => ruleName(finding.rule)))].join(', ')}
          .{' '}
          <Link to={`/trees/${name.id}`} className="font-semibold underline underline-offset-4">
            {say('compare-page.go-to-the-tree')}
          </Link>
        </dd>
      </div>
    </dl>
  );
}
