import { queryOptions, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import type { DrillTree, PracticeTreePage } from '../api/client';
import { keepForNoSignal } from '../field/keepForNoSignal';
import { firstViewOf, type View } from '../stand/camera';
import { prepare } from '../stand/geometry';
import type { Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { drawnDrill, drillPage, keepDrill } from './drills';
import { LimbChips } from './LimbChips';
import { RoundStart } from './RoundStart';
import { useCountdown } from './useCountdown';

const SECONDS = 60;
const BEST = 'umbel-practice-best-minute';

function bestSoFar(): number {
  return Number(localStorage.getItem(BEST)) || 0;
}

/** A tree of a round; asked for once, whether it is shown or kept. */
function pageQuery(language: string, tree: DrillTree) {
  return queryOptions({
    queryKey: ['drill-page', language, tree.code, tree.rule],
    queryFn: () => drillPage(language, tree),
    networkMode: 'always',
    staleTime: Infinity,
  });
}

/** A minute for the eye: ten trees with one fault each, to be found against time. */
export function DrillPage() {
  const say = useSay();
  const language = useLanguage();
  const queries = useQueryClient();
  const [round, setRound] = useState(0);
  const drill = useQuery({
    queryKey: ['drill', language, round],
    queryFn: () => drawnDrill(language),
    networkMode: 'always',
    retry: false,
    staleTime: Infinity,
    gcTime: 0,
  });
  const [at, setAt] = useState(0);
  const [right, setRight] = useState(0);
  const [left, setLeft] = useState<number | null>(null);
  useCountdown(left, setLeft, true);
  const drawn = drill.data;
  useEffect(() => {
    keepForNoSignal();
    if (drawn)
      void keepDrill(language, drawn, (tree) => queries.query(pageQuery(language, tree))).catch(
        () => undefined,
      );
  }, [drawn, language, queries]);
  if (drill.isError) return <Failed error={drill.error} retry={() => void drill.refetch()} />;
  if (!drill.data) return <Loading what={say('drill.loading')} />;
  const trees = drill.data;
  const tree = trees[at];
  const over = left === 0 || (left !== null && !tree);
  if (left === null || over || !tree) {
    if (over && right > bestSoFar()) localStorage.setItem(BEST, String(right));
    return (
      <RoundStart
        title={!over ? say('drill.title') : tree ? say('drill.over') : say('drill.all-seen')}
        words={
          over ? say('drill.count', { right, of: trees.length, best: bestSoFar() }) : say('drill.what-it-is')
        }
        over={over}
        begin={() => {
          if (over) setRound(round + 1);
          setAt(0);
          setRight(0);
          setLeft(SECONDS);
        }}
      />
    );
  }
  return (
    <OneTree
      key={tree.code}
      tree={tree}
      left={left}
      done={(was) => {
        setRight(right + (was ? 1 : 0));
      }}
      next={() => {
        setAt(at + 1);
      }}
    />
  );
}

/** One tree: touched once, answered at once. */
function OneTree({
  tree,
  left,
  done,
  next,
}: {
  tree: DrillTree;
  left: number;
  done: (right: boolean) => void;
  next: () => void;
}) {
  const say = useSay();
  const language = useLanguage();
  const [touched, setTouched] = useState<string | null>(null);
  const drill = useQuery(pageQuery(language, tree));
  if (drill.isError) return <Failed error={drill.error} retry={() => void drill.refetch()} />;
  if (!drill.data) return <Loading what={say('exercise.growing')} />;
  const { page, limbs, reason } = drill.data;
  const right = touched !== null && limbs.includes(touched);
  const touch = (limb: string) => {
    if (touched !== null) return;
    setTouched(limb);
    done(limbs.includes(limb));
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_380px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="min-h-0 max-lg:h-[56vh]">
        <DrillStand page={page} lit={touched === null ? [] : limbs} touch={touch} />
      </div>
      <aside
        className="flex flex-col border-l border-line bg-paper px-5 py-4 max-lg:border-l-0"
        aria-live="polite"
      >
        <p className="text-[14px] text-muted">{say('drill.seconds', { seconds: left })}</p>
        <h1 className="text-[24px] leading-tight font-bold">{say('drill.find', { name: tree.name })}</h1>
        {touched !== null ? (
          <>
            <p className={`pt-3 text-[18px] font-semibold ${right ? 'text-moss' : 'text-lichen'}`}>
              {right ? say('drill.right') : say('drill.wrong', { limbs: limbs.join(', ') })}
            </p>
            <p className="pt-1 text-[15px]">{reason}</p>
            <Button weight="ink" autoFocus className="mt-4 min-h-12 text-[16px]" onClick={next}>
              {say('drill.next')}
            </Button>
          </>
        ) : (
          <LimbChips limbs={page.limbs} on={[]} touch={touch} />
        )}
      </aside>
    </div>
  );
}

/** The tree to be turned and touched. */
function DrillStand({
  page,
  lit,
  touch,
}: {
  page: PracticeTreePage;
  lit: string[];
  touch: (limb: string) => void;
}) {
  const say = useSay();
  const [view, setView] = useState<View>(() => firstViewOf(page.drawing));
  const stand = useMemo(() => prepare(page.drawing), [page.drawing]);
  const names = useMemo(() => new Map(page.limbs.map((limb) => [limb.id, limb.id])), [page.limbs]);
  const showing: Showing = useMemo(
    () => ({ layer: 'wood', stage: 'found', cuts: new Map(), lit: new Set(lit) }),
    [lit],
  );
  return (
    <TreeStand
      stand={stand}
      view={view}
      onView={setView}
      showing={showing}
      names={names}
      label={say('exercise.drawing', { kind: page.speciesName, limbs: page.limbs.length })}
      onPick={(hit) => {
        if (hit) touch(hit.axis.limb);
      }}
      onFlag={() => undefined}
      placeWords={() => ''}
    />
  );
}
