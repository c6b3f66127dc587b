import { useMutation, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { answer, api, type PracticeTreePage } from '../api/client';
import { firstViewOf, type View } from '../stand/camera';
import { prepare } from '../stand/geometry';
import type { Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { LimbChips } from './LimbChips';
import { RoundStart } from './RoundStart';
import { useCountdown } from './useCountdown';

const SECONDS = 60;
const BEST = 'umbel-practice-best-minute';

function bestSoFar(): number {
  return Number(localStorage.getItem(BEST)) || 0;
}

/** A minute for the eye: ten trees with one fault each, to be found against time. */
export function DrillPage() {
  const say = useSay();
  const [round, setRound] = useState(0);
  const drill = useQuery({
    queryKey: ['drill', round],
    queryFn: () => answer(api.GET('/api/practice/drills')),
    staleTime: Infinity,
    gcTime: 0,
  });
  const [at, setAt] = useState(0);
  const [right, setRight] = useState(0);
  const [left, setLeft] = useState<number | null>(null);
  useCountdown(left, setLeft, true);
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
    <DrillTree
      key={tree.code}
      code={tree.code}
      rule={tree.rule}
      name={tree.name}
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
function DrillTree({
  code,
  rule,
  name,
  left,
  done,
  next,
}: {
  code: string;
  rule: string;
  name: string;
  left: number;
  done: (right: boolean) => void;
  next: () => void;
}) {
  const say = useSay();
  const page = useQuery({
    queryKey: ['exercise', code],
    queryFn: () => answer(api.GET('/api/practice/exercises/{code}', { params: { path: { code } } })),
    staleTime: Infinity,
  });
  const found = useMutation({
    mutationFn: (limb: string) =>
      answer(
        api.POST('/api/practice/exercises/{code}/found', {
          params: { path: { code } },
          body: { rule, limb },
        }),
      ),
    onSuccess: (told) => {
      done(told.right);
    },
  });
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Loading what={say('exercise.growing')} />;
  const touch = (limb: string) => {
    if (!found.isPending && !found.data) found.mutate(limb);
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_380px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="min-h-0 max-lg:h-[56vh]">
        <Stand page={page.data} lit={found.data?.limbs ?? []} touch={touch} />
      </div>
      <aside
        className="flex flex-col border-l border-line bg-paper px-5 py-4 max-lg:border-l-0"
        aria-live="polite"
      >
        <p className="text-[14px] text-muted">{say('drill.seconds', { seconds: left })}</p>
        <h1 className="text-[24px] leading-tight font-bold">{say('drill.find', { name })}</h1>
        {found.isError && <Failed error={found.error} />}
        {found.data ? (
          <>
            <p className={`pt-3 text-[18px] font-semibold ${found.data.right ? 'text-moss' : 'text-lichen'}`}>
              {found.data.right
                ? say('drill.right')
                : say('drill.wrong', { limbs: found.data.limbs.join(', ') })}
            </p>
            <p className="pt-1 text-[15px]">{found.data.reason}</p>
            <Button weight="ink" autoFocus className="mt-4 min-h-12 text-[16px]" onClick={next}>
              {say('drill.next')}
            </Button>
          </>
        ) : (
          <LimbChips limbs={page.data.limbs} on={[]} touch={touch} />
        )}
      </aside>
    </div>
  );
}

/** The tree to be turned and touched. */
function Stand({
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
