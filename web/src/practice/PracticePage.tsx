import { useMutation, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type PracticeChoices, type PracticeProgress, type PracticeWish } from '../api/client';
import { notReached } from '../api/problem';
import { keepForNoSignal } from '../field/keepForNoSignal';
import { RuleFigure } from '../guide/RuleFigure';
import { useRules } from '../guide/useRules';
import { useWho } from '../people/who';
import { plusDays } from '../season/dates';
import { useSay } from '../text/say';
import { named } from '../text/term';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { day, percent } from '../ui/words';
import { PracticeCrew } from './PracticeCrew';
import { TakenAlong } from './TakenAlong';

/** Blocks of tomorrow that an exercise is offered for. */
const MOST_TOMORROW = 3;
/** Exercises taken along beside the one that is due. */
const ALONG: readonly PracticeWish[] = [{ level: 'usual' }, { level: 'usual' }];

/** Where practice begins: the exercise that is due, one of one's own choice, and how one gets on. */
export function PracticePage() {
  const say = useSay();
  const go = useNavigate();
  const { role } = useWho();
  const choices = useQuery({
    queryKey: ['practice-choices'],
    queryFn: () => answer(api.GET('/api/practice/choices')),
    networkMode: 'always',
  });
  const progress = useQuery({
    queryKey: ['practice-progress'],
    queryFn: () => answer(api.GET('/api/practice/progress')),
  });
  const make = useMutation({
    mutationFn: (wish: PracticeWish) => answer(api.POST('/api/practice/exercises', { body: wish })),
    onSuccess: (made) => void go(`/practice/${made.code}`),
  });
  useEffect(keepForNoSignal, []);
  if (choices.isError && notReached(choices.error))
    return <WithoutSignal again={() => void choices.refetch()} />;
  if (choices.isError) return <Failed error={choices.error} retry={() => void choices.refetch()} />;
  if (!choices.data) return <Loading what={say('practice.opening')} />;
  const due = (progress.data?.skills ?? []).find((one) => one.dueNow && one.fault !== '');
  return (
    <div className="mx-auto grid max-w-[1180px] grid-cols-[420px_minmax(0,1fr)] gap-12 px-6 py-6 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <h1 className="text-[26px] font-bold">{say('practice.title')}</h1>
        <p className="mt-1 max-w-prose text-[15px]">{say('practice.what-it-is')}</p>
        <div className="mt-4 border-l-4 border-ink bg-sand px-4 py-3">
          <p className="text-[15px]">
            {due
              ? say('practice.due', { name: due.name, shown: due.shown, known: due.known })
              : say('practice.nothing-due')}
          </p>
          <Button
            weight="ink"
            className="mt-2"
            disabled={make.isPending}
            onClick={() => {
              make.mutate(due ? { level: 'usual', fault: due.fault } : { level: 'first' });
            }}
          >
            {make.isPending ? say('practice.making') : say('practice.next-exercise')}
          </Button>
          <Tomorrow
            busy={make.isPending}
            make={(wish) => {
              make.mutate(wish);
            }}
          />
        </div>
        <p className="mt-4 text-[15px]">
          <Link to="/practice/minute" className="font-semibold underline underline-offset-4">
            {say('drill.title')}
          </Link>
          {' – '}
          {say('drill.what-it-is')}
        </p>
        <EyeLink />
        <p className="mt-2 text-[15px]">
          <Link to="/limb" className="font-semibold underline underline-offset-4">
            {say('one-limb.title')}
          </Link>
          {' – '}
          {say('one-limb.in-short')}
        </p>
        <Wish
          choices={choices.data}
          busy={make.isPending}
          make={(wish) => {
            make.mutate(wish);
          }}
        />
        {make.isError && <Failed error={make.error} />}
        <TakenAlong wishes={[due ? { level: 'usual', fault: due.fault } : { level: 'first' }, ...ALONG]} />
      </div>
      <div className="min-w-0">
        {progress.isError && <Failed error={progress.error} retry={() => void progress.refetch()} />}
        {progress.data && <Skills progress={progress.data} />}
        <Faults
          choices={choices.data}
          busy={make.isPending}
          make={(wish) => {
            make.mutate(wish);
          }}
        />
        {(role === 'grower' || role === 'foreman') && <PracticeCrew />}
      </div>
    </div>
  );
}

/** The way to the small drawings. */
function EyeLink() {
  const say = useSay();
  return (
    <p className="mt-2 text-[15px]">
      <Link to="/practice/eye" className="font-semibold underline underline-offset-4">
        {say('eye.title')}
      </Link>
      {' – '}
      {say('eye.what-it-is')}
    </p>
  );
}

/** What can be practised where the server cannot be reached. */
function WithoutSignal({ again }: { again: () => void }) {
  const say = useSay();
  return (
    <div className="mx-auto max-w-[720px] px-6 py-6 max-sm:px-4">
      <h1 className="text-[26px] font-bold">{say('practice.title')}</h1>
      <p className="mt-1 text-[15px]">{say('practice.no-signal')}</p>
      <TakenAlong wishes={[]} />
      <EyeLink />
      <Button className="mt-4 min-h-11" onClick={again}>
        {say('states.try-again')}
      </Button>
    </div>
  );
}

/** Exercises like the blocks of trees where work is scheduled for tomorrow; nothing where none is. */
function Tomorrow({ busy, make }: { busy: boolean; make: (wish: PracticeWish) => void }) {
  const say = useSay();
  const date = plusDays(new Date().toLocaleDateString('sv-SE'), 1);
  const day = useQuery({
    queryKey: ['crew-day', date],
    queryFn: () => answer(api.GET('/api/field/days/{date}', { params: { path: { date } } })),
    retry: false,
  });
  const pieces = (day.data?.people ?? [])
    .flatMap((person) => person.pieces)
    .filter((piece) => !piece.counted);
  const blocks = new Map(pieces.map((piece) => [piece.blockId, piece.block]));
  return [...blocks].slice(0, MOST_TOMORROW).map(([id, block]) => (
    <Button
      key={id}
      className="mt-2 block"
      disabled={busy}
      onClick={() => {
        make({ level: 'usual', likeBlock: id });
      }}
    >
      {say('practice.like-tomorrow', { block })}
    </Button>
  ));
}

/** An exercise of one's own choice. */
function Wish({
  choices,
  busy,
  make,
}: {
  choices: PracticeChoices;
  busy: boolean;
  make: (wish: PracticeWish) => void;
}) {
  const say = useSay();
  const { role } = useWho();
  const [level, setLevel] = useState(choices.levels[0] ?? '');
  const [species, setSpecies] = useState('');
  const [system, setSystem] = useState('');
  const [fault, setFault] = useState('');
  const systems = choices.kinds.find((kind) => kind.id === species)?.systems ?? [];
  const select = (
    name: string,
    value: string,
    set: (value: string) => void,
    options: { id: string; name: string }[],
    any: string,
  ) => (
    <label className="flex flex-col gap-0.5 text-[13px] text-muted">
      {name}
      <select
        value={value}
        onChange={(event) => {
          set(event.target.value);
        }}
        className="min-h-11 rounded-md border border-muted/50 bg-paper px-2 text-[15px] text-ink"
      >
        <option value="">{any}</option>
        {options.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <form
      className="mt-6 flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        make({
          level,
          species: species || undefined,
          system: system || undefined,
          fault: fault || undefined,
        });
      }}
    >
      <h2 className="text-[18px] font-bold">{say('practice.choose')}</h2>
      <fieldset className="flex gap-2">
        <legend className="mb-0.5 text-[13px] text-muted">{say('practice.level')}</legend>
        {choices.levels.map((one) => (
          <label
            key={one}
            className={`flex min-h-11 flex-1 cursor-pointer items-center justify-center rounded-md border px-2 text-[15px] ${level === one ? 'border-ink bg-ink font-semibold text-paper' : 'border-muted/50'}`}
          >
            <input
              type="radio"
              name="level"
              className="sr-only"
              checked={level === one}
              onChange={() => {
                setLevel(one);
              }}
            />
            {named('practice-level', one)}
          </label>
        ))}
      </fieldset>
      {select(
        say('practice.kind'),
        species,
        (value) => {
          setSpecies(value);
          setSystem('');
        },
        choices.kinds,
        say('practice.any-kind'),
      )}
      {species !== '' &&
        select(say('practice.system'), system, setSystem, systems, say('practice.any-system'))}
      {select(say('practice.fault'), fault, setFault, onceARule(choices), say('practice.any-fault'))}
      <Button type="submit" disabled={busy} className="min-h-11">
        {busy ? say('practice.making') : say('practice.make')}
      </Button>
      {role !== 'pruner' && <p className="text-[14px] text-muted">{say('practice.own-trees')}</p>}
    </form>
  );
}

/** One fault at a time, each as the guide draws it. */
function Faults({
  choices,
  busy,
  make,
}: {
  choices: PracticeChoices;
  busy: boolean;
  make: (wish: PracticeWish) => void;
}) {
  const say = useSay();
  const rules = useRules();
  const once = onceARule(choices);
  return (
    <section aria-labelledby="faults" className="mt-7">
      <h2 id="faults" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('practice.one-fault')}
      </h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(124px,1fr))] gap-3 pt-3">
        {once.map((fault) => {
          const figure = rules.find((rule) => rule.id === fault.rule)?.figure;
          return (
            <li key={fault.id}>
              <button
                type="button"
                disabled={busy}
                onClick={() => {
                  make({ level: 'first', fault: fault.id });
                }}
                className="flex w-[124px] flex-col text-left text-[14px] font-semibold underline-offset-4 hover:underline disabled:opacity-45"
              >
                {figure && <RuleFigure figure={figure} label="" />}
                <span className="pt-1">{fault.name}</span>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** Faults that one rule finds are told once. */
function onceARule(choices: PracticeChoices): PracticeChoices['faults'] {
  return choices.faults.filter(
    (one, i) => choices.faults.findIndex((other) => other.rule === one.rule) === i,
  );
}

/** Skills by when they come again, and the last exercises. */
function Skills({ progress }: { progress: PracticeProgress }) {
  const say = useSay();
  return (
    <section aria-labelledby="skills">
      <h2 id="skills" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('practice.skills')}
      </h2>
      {progress.skills.length === 0 ? (
        <p className="py-3 text-muted">{say('practice.no-skills')}</p>
      ) : (
        <>
          <p className="pt-1.5 text-[14px] text-muted">
            {say('practice.so-far', { exercises: progress.exercises, passed: progress.passed })}
          </p>
          <table className="mt-1 w-full text-[15px]">
            <thead className="sr-only">
              <tr>
                <th>{say('practice.fault')}</th>
                <th>{say('practice.box')}</th>
                <th>{say('practice.put-right')}</th>
                <th>{say('practice.again')}</th>
              </tr>
            </thead>
            <tbody>
              {progress.skills.map((one) => (
                <tr key={one.rule} className="border-b border-line">
                  <td className="py-1.5 pr-3">
                    <Link
                      to={one.eye ? '/practice/eye' : `/guide?rule=${one.rule}`}
                      className="underline underline-offset-4"
                    >
                      {one.name}
                    </Link>
                  </td>
                  <td
                    className="pr-3"
                    aria-label={say('practice.box-of', { box: one.box, boxes: one.boxes })}
                  >
                    <span aria-hidden className="inline-flex gap-1">
                      {Array.from({ length: one.boxes }, (_, i) => (
                        <span
                          key={i}
                          className={`h-3 w-3 border border-ink ${i < one.box ? 'bg-ink' : ''}`}
                        />
                      ))}
                    </span>
                  </td>
                  <td className="pr-3 text-[14px] whitespace-nowrap">
                    {say('practice.known-of', { known: one.known, shown: one.shown })}
                  </td>
                  <td
                    className={`text-[14px] whitespace-nowrap ${one.dueNow ? 'font-semibold' : 'text-muted'}`}
                  >
                    {one.dueNow ? say('practice.due-now') : day(one.due)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <h3 className="pt-5 pb-1 text-[16px] font-bold">{say('practice.last')}</h3>
          <ul className="text-[14.5px]">
            {[...progress.last].reverse().map((one, i) => (
              <li key={i} className="flex justify-between gap-3 border-b border-line py-1">
                <Link to={`/practice/${one.code}`} className="truncate underline underline-offset-4">
                  {one.title}
                </Link>
                <span className="whitespace-nowrap">
                  {one.passed ? '✓ ' : ''}
                  {percent(one.mark)} · {day(one.doneOn)}
                </span>
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
