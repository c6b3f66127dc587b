import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { answer, api, type Option } from '../api/client';
import { keyOf, limbOf } from '../api/marks';
import { notReached } from '../api/problem';
import { useSay } from '../text/say';
import { term } from '../text/term';
import { LimitGauges } from '../tree/LimitGauges';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { minutes } from '../ui/words';
import type { Practising } from './practising';
import { aloneOn, type MarkedExercise } from './alone';
import { marksOf } from './exercise';
import { LimbChips } from './LimbChips';
import { orWithoutSignal } from './withoutSignal';

const MOST_HINTS = 3;

/** Deciding: a limb at a time, within the limits of a visit. */
export function Cutting({
  code,
  page,
  attempt,
  act,
  selected,
  select,
  marked,
  point,
  busy,
  laidBy,
  handIn,
}: Practising & {
  selected: string | null;
  select: (limb: string | null) => void;
  marked: MarkedExercise | undefined;
  point: (limbs: string[]) => void;
  busy: boolean;
  /** Whether the answer was handed in without signal and waits to be marked. */
  laidBy: boolean;
  handIn: () => void;
}) {
  const say = useSay();
  const marks = marksOf(attempt);
  const hint = useMutation({
    mutationFn: (degree: number) =>
      answer(
        api.POST('/api/practice/exercises/{code}/hint', {
          params: { path: { code } },
          body: { marks, degree },
        }),
      ),
    networkMode: 'always',
    onSuccess: (told) => {
      act({ type: 'hint' });
      point(told.limbs);
    },
  });
  const degree = Math.min(MOST_HINTS, attempt.hints + 1);
  return (
    <>
      <div
        className="grid grid-cols-[1fr_1fr_auto] gap-x-6 border-b border-line px-5 py-3"
        aria-live="polite"
      >
        <LimitGauges wood={marked?.totals.woodShare ?? 0} big={marked?.totals.bigCuts ?? 0} limits={page} />
        <p className="text-[13px] text-muted">
          {say('outcome.time')}
          <span className="block text-[15px] font-semibold text-ink">
            {marks.length === 0 ? '–' : minutes(marked?.totals.minutes ?? 0)}
          </span>
        </p>
      </div>
      <div className="min-h-0 flex-1 overflow-auto">
        {selected ? (
          <Options
            code={code}
            page={page}
            attempt={attempt}
            act={act}
            limb={selected}
            close={() => {
              select(null);
            }}
          />
        ) : (
          <>
            <p className="px-5 pt-3 text-[15px]">
              {marks.length === 0 ? say('exercise.touch-a-limb') : say('exercise.your-cuts')}
            </p>
            <ol className="pt-1">
              {(marked?.effects ?? []).map((effect, i) => (
                <li
                  key={keyOf(effect.mark)}
                  className="flex items-start gap-3 border-b border-line px-5 py-2 text-[14.5px]"
                  onMouseEnter={() => {
                    point([limbOf(effect.mark)]);
                  }}
                  onMouseLeave={() => {
                    point([]);
                  }}
                >
                  <span className="font-display font-bold">{i + 1}</span>
                  <div className="min-w-0 flex-1">
                    <b>{effect.title}</b>
                    <p className="text-[13px] text-muted">
                      {effect.place} {effect.numbers}
                    </p>
                  </div>
                  <Button
                    weight="quiet"
                    onClick={() => {
                      act({ type: 'unmark', key: keyOf(effect.mark) });
                    }}
                  >
                    {say('exercise.take-back')}
                  </Button>
                </li>
              ))}
            </ol>
            {hint.data && (
              <p
                role="status"
                className="mx-5 mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14.5px]"
              >
                {hint.data.text === ''
                  ? say('exercise.nothing-missing')
                  : say('exercise.hint', { text: hint.data.text })}
              </p>
            )}
            {hint.isError && notReached(hint.error) ? (
              <p
                role="status"
                className="mx-5 mt-3 border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[14.5px]"
              >
                {say('exercise.no-hint-without-signal')}
              </p>
            ) : (
              hint.isError && <Failed error={hint.error} />
            )}
            <div className="px-5 pb-4">
              <LimbChips limbs={page.limbs} on={marks.map(limbOf)} touch={select} />
            </div>
          </>
        )}
      </div>
      {laidBy && (
        <p role="status" className="border-t border-line bg-sand px-5 py-2 text-[14.5px]">
          {say('exercise.laid-by')}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-2 border-t border-line px-5 py-3">
        <Button
          disabled={attempt.now === 0}
          onClick={() => {
            act({ type: 'undo' });
          }}
        >
          {say('tree-desk.undo')}
        </Button>
        <Button
          disabled={attempt.now + 1 >= attempt.past.length}
          onClick={() => {
            act({ type: 'redo' });
          }}
        >
          {say('tree-desk.redo')}
        </Button>
        <Button
          disabled={hint.isPending}
          onClick={() => {
            hint.mutate(degree);
          }}
        >
          {hint.isPending ? say('exercise.thinking') : say('exercise.give-hint', { degree })}
        </Button>
        <Button weight="ink" disabled={busy} onClick={handIn} className="ml-auto min-h-11">
          {busy ? say('exercise.marking') : say('exercise.hand-in')}
        </Button>
      </div>
    </>
  );
}

/** One thing that could be done to a limb, in words and numbers. */
type Choice = Pick<Option, 'mark' | 'title' | 'place' | 'numbers'>;

/** What could be done to a limb; what it brings is told afterwards. */
function Options({
  code,
  page,
  attempt,
  act,
  limb,
  close,
}: Practising & { limb: string; close: () => void }) {
  const say = useSay();
  const marks = marksOf(attempt);
  const others = marks.filter((mark) => limbOf(mark) !== limb);
  const options = useQuery({
    queryKey: ['exercise-options', code, limb, others],
    queryFn: () =>
      orWithoutSignal<Choice[]>(
        answer(
          api.POST('/api/practice/exercises/{code}/limbs/{limb}/options', {
            params: { path: { code, limb } },
            body: { marks: others },
          }),
        ),
        code,
        (kit) => aloneOn(kit, limb),
      ),
    networkMode: 'always',
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const line = page.limbs.find((one) => one.id === limb);
  return (
    <section aria-label={say('limb-panel.limb-limb', { limb })}>
      <div className="flex items-start justify-between gap-3 px-5 pt-3">
        <div>
          <h2 className="text-[19px] font-bold">
            {limb === 'trunk' ? say('limb-panel.the-leader') : say('limb-panel.limb-limb', { limb })}
          </h2>
          {line && (
            <p className="text-[14px] text-muted">
              {say('exercise.limb-measures', {
                diameter: line.diameterMm,
                ratio: line.ratio.toFixed(2),
                length: line.lengthCm,
                angle: line.angleDeg,
                age: line.age,
              })}
              {line.conditions.length > 0 && `, ${line.conditions.map(term).join(', ')}`}
            </p>
          )}
        </div>
        <Button onClick={close}>{say('limb-panel.back')}</Button>
      </div>
      {options.isPending && <p className="px-5 py-2 text-muted">{say('limb-panel.trying-each-cut')}</p>}
      {options.isError && <Failed error={options.error} />}
      {options.data?.length === 0 && (
        <p className="px-5 py-2 text-muted">{say('limb-panel.nothing-sensible-can-be-cut')}</p>
      )}
      <ul className="pt-1">
        {(options.data ?? []).map((option) => {
          const key = keyOf(option.mark);
          const on = marks.some((mark) => keyOf(mark) === key && mark.toLimb === option.mark.toLimb);
          return (
            <li
              key={key + (option.mark.toLimb ?? '')}
              className={`flex items-start gap-3 border-b border-line px-5 py-2 ${on ? 'bg-tape-wash' : ''}`}
            >
              <div className="min-w-0 flex-1 text-[14.5px]">
                <b>{option.title}</b>
                <p className="text-[13px] text-muted">
                  {option.place} {option.numbers}
                </p>
              </div>
              <Button
                weight={on ? 'ink' : 'plain'}
                aria-pressed={on}
                onClick={() => {
                  act(
                    on
                      ? { type: 'unmark', key }
                      : { type: 'take', mark: option.mark, together: page.together },
                  );
                }}
              >
                {on ? say('limb-panel.marked') : say('limb-panel.mark')}
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
