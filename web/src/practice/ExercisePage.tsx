import { useMutation, useQuery, useQueryClient, keepPreviousData } from '@tanstack/react-query';
import { useEffect, useMemo, useReducer, useRef, useState } from 'react';
import { useParams } from 'react-router';
import { answer, api, type Mark, type PracticeTreePage, type PracticeVerdict } from '../api/client';
import { limbOf } from '../api/marks';
import { notReached } from '../api/problem';
import { useWaiting } from '../api/useWaiting';
import { keepForNoSignal } from '../field/keepForNoSignal';
import { useWho } from '../people/who';
import { firstViewOf, type View } from '../stand/camera';
import { prepare } from '../stand/geometry';
import { cutsOf, flagsOf, limbsOf, movedOf } from '../stand/marked';
import type { Picked, Showing } from '../stand/paint';
import { TreeStand } from '../stand/TreeStand';
import { useLanguage } from '../text/language';
import { useSay } from '../text/say';
import { Failed, Loading } from '../ui/States';
import { together, type MarkedExercise } from './alone';
import { Cutting } from './Cutting';
import { acted, keepAttempt, keptAttempt, marksOf, type Act, type Attempt } from './exercise';
import { handedIn, isSame, type HandedIn } from './handedIn';
import { Looking } from './Looking';
import { Outcome } from './Outcome';
import type { Practising } from './practising';
import { keepForLater, orWithoutSignal, sendAnswer } from './withoutSignal';

const NO_MARKS: Mark[] = [];

/** A tree that cannot be harmed: look, cut, and see what it brings. */
export function ExercisePage() {
  const say = useSay();
  const code = useParams()['code'] ?? '';
  const page = useQuery({
    queryKey: ['exercise', code],
    queryFn: () =>
      orWithoutSignal(
        answer(api.GET('/api/practice/exercises/{code}', { params: { path: { code } } })),
        code,
        (kit) => kit.page,
      ),
    networkMode: 'always',
    staleTime: Infinity,
  });
  const language = useLanguage();
  const there = page.data !== undefined;
  useEffect(() => {
    keepForNoSignal();
    if (there) void keepForLater(code).catch(() => undefined);
  }, [there, code, language]);
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  if (!page.data) return <Loading what={say('exercise.growing')} />;
  return <Exercise key={code} code={code} page={page.data} />;
}

function Exercise({ code, page }: { code: string; page: PracticeTreePage }) {
  const say = useSay();
  const queries = useQueryClient();
  const [attempt, act] = useReducer(acted, code, keptAttempt);
  const [view, setView] = useState<View>(() => firstViewOf(page.drawing));
  const [selected, setSelected] = useState<string | null>(null);
  const [pointed, setPointed] = useState<string[]>([]);
  const [program, setProgram] = useState(false);
  useEffect(() => {
    keepAttempt(code, attempt);
  }, [code, attempt]);
  const own = marksOf(attempt);
  const { name: who } = useWho();
  const waiting = useWaiting(handedIn).find((one) => isSame(one, { who, code }));
  const laidBy = waiting !== undefined;
  const verdict = useMutation({
    mutationFn: (handed: HandedIn) => sendAnswer(handed),
    networkMode: 'always',
    onSuccess: () => {
      act({ type: 'go', to: 'result' });
      void queries.invalidateQueries({ queryKey: ['practice-progress'] });
      void queries.invalidateQueries({ queryKey: ['practice-crew'] });
    },
    onError: (error, handed) => {
      if (notReached(error)) handedIn.layBy(handed);
    },
  });
  const send = verdict.mutate;
  const handIn = () => {
    handedIn.forget((one) => isSame(one, { who, code }));
    send({ who, code, marks: own, pointed: attempt.pointed });
  };
  const asked = verdict.isPending || verdict.isSuccess;
  const before = useRef(waiting);
  useEffect(() => {
    const sent = before.current;
    before.current = waiting;
    // what waited has been sent meanwhile; asked for again, it is told and not written down again
    if (sent && !waiting && !asked) send(sent);
  }, [waiting, send, asked]);
  const result: PracticeVerdict | undefined = attempt.stage === 'result' ? verdict.data : undefined;
  const planned = result?.plan.map((step) => step.mark) ?? NO_MARKS;
  const shown = result && program ? planned : own;
  const marked = useQuery({
    queryKey: ['exercise-marked', code, shown],
    queryFn: () =>
      orWithoutSignal<MarkedExercise>(
        answer(
          api.POST('/api/practice/exercises/{code}/marked', {
            params: { path: { code } },
            body: { marks: shown },
          }),
        ),
        code,
        (kit) => together(kit, shown),
      ),
    networkMode: 'always',
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const drawn = attempt.stage === 'look' ? undefined : marked.data;
  const stand = useMemo(() => prepare(page.drawing, movedOf(drawn?.moved)), [page.drawing, drawn]);
  const showing: Showing = useMemo(() => {
    const lit =
      pointed.length > 0 ? pointed : attempt.stage === 'look' ? attempt.pointed : selected ? [selected] : [];
    return {
      layer: 'wood',
      stage: attempt.stage === 'look' ? 'found' : 'marks',
      cuts: cutsOf(drawn),
      lit: limbsOf(lit),
    };
  }, [attempt.stage, attempt.pointed, drawn, pointed, selected]);
  const flags = useMemo(() => flagsOf(drawn, selected), [drawn, selected]);
  const names = useMemo(() => new Map(page.limbs.map((limb) => [limb.id, limb.id])), [page.limbs]);
  const lines = useMemo(
    () => [{ at: page.reachM, text: say('tree-desk.reach-from-the-ground-reachm', { reachM: page.reachM }) }],
    [page.reachM, say],
  );
  const picked = (hit: Picked | null) => {
    const limb = hit?.axis.limb ?? null;
    if (attempt.stage === 'look' && limb) act({ type: 'point', limb });
    setSelected(attempt.stage === 'cut' ? limb : null);
  };
  const practising: Practising = { code, page, attempt, act };
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_420px] max-lg:h-auto max-lg:grid-cols-1">
      <div className="relative min-h-0 max-lg:h-[62vh]">
        <TreeStand
          stand={stand}
          view={view}
          onView={setView}
          showing={showing}
          flags={flags}
          lines={lines}
          names={names}
          label={say('exercise.drawing', { kind: page.speciesName, limbs: page.limbs.length })}
          onPick={picked}
          onFlag={(i) => {
            const mark = shown[i];
            if (mark && attempt.stage === 'cut') setSelected(limbOf(mark));
          }}
          placeWords={() => ''}
        />
        <div className="pointer-events-none absolute top-4 left-5 max-w-[360px] text-[#241f1c] dark:text-[#f1ece3]">
          <h1 className="text-[24px] font-bold">{page.own ? page.label : say('exercise.practice-tree')}</h1>
          <p className="text-[14px] first-letter:uppercase">
            {say('exercise.what-tree', {
              kind: page.speciesName,
              system: page.systemName.toLowerCase(),
              leaf: page.leaf,
            })}
          </p>
        </div>
        {result && (
          <div
            role="group"
            aria-label={say('exercise.which-answer')}
            className="absolute top-4 right-4 flex bg-paper/90 p-1 text-[14px]"
          >
            {([false, true] as const).map((one) => (
              <button
                key={String(one)}
                type="button"
                aria-pressed={program === one}
                onClick={() => {
                  setProgram(one);
                }}
                className={`min-h-9 px-3 ${program === one ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`}
              >
                {one ? say('exercise.program') : say('exercise.yours')}
              </button>
            ))}
          </div>
        )}
      </div>
      <aside
        className="flex min-h-0 flex-col border-l border-line bg-paper max-lg:border-l-0"
        aria-label={say('exercise.your-work')}
      >
        <Steps attempt={attempt} act={act} marked={verdict.data !== undefined} />
        {attempt.stage === 'look' && <Looking {...practising} />}
        {(attempt.stage === 'cut' || (attempt.stage === 'result' && !result)) && (
          <Cutting
            {...practising}
            selected={selected}
            select={setSelected}
            marked={marked.data}
            point={setPointed}
            busy={verdict.isPending}
            laidBy={laidBy}
            handIn={() => {
              setSelected(null);
              handIn();
            }}
          />
        )}
        {verdict.isError && !laidBy && <Failed error={verdict.error} />}
        {marked.isError && <Failed error={marked.error} />}
        {result && (
          <Outcome
            {...practising}
            verdict={result}
            point={setPointed}
            again={() => {
              setProgram(false);
              act({ type: 'go', to: 'cut' });
            }}
          />
        )}
      </aside>
    </div>
  );
}

/** Look, cut, see: where one is, and the way back. */
function Steps({ attempt, act, marked }: { attempt: Attempt; act: (act: Act) => void; marked: boolean }) {
  const say = useSay();
  return (
    <ol className="flex border-b border-line text-[15px]">
      {(
        [
          ['look', say('exercise.look')],
          ['cut', say('exercise.cut')],
          ['result', say('exercise.see')],
        ] as const
      ).map(([stage, words], i) => (
        <li key={stage} className="flex-1">
          <button
            type="button"
            disabled={stage === 'result' && !marked}
            aria-current={attempt.stage === stage ? 'step' : undefined}
            onClick={() => {
              act({ type: 'go', to: stage });
            }}
            className={`min-h-11 w-full border-b-[3px] px-2 disabled:opacity-45 ${attempt.stage === stage ? 'border-ink font-semibold' : 'border-transparent text-muted'}`}
          >
            {i + 1} {words}
          </button>
        </li>
      ))}
    </ol>
  );
}
