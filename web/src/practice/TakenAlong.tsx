import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { answer, api, type PracticeWish } from '../api/client';
import { useWaiting } from '../api/useWaiting';
import { useWho } from '../people/who';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { handedIn } from './handedIn';
import { keptKits } from './kits';
import { keepForLater } from './withoutSignal';

/** Exercises on this device that are done where there is no signal, and what waits to be marked. */
export function TakenAlong({ wishes }: { wishes: readonly PracticeWish[] }) {
  const say = useSay();
  const queries = useQueryClient();
  const { name } = useWho();
  const kept = useQuery({ queryKey: ['practice-kept'], queryFn: keptKits, networkMode: 'always', gcTime: 0 });
  const take = useMutation({
    mutationFn: async () => {
      for (const wish of wishes) {
        const { code } = await answer(api.POST('/api/practice/exercises', { body: wish }));
        await keepForLater(code);
        await queries.invalidateQueries({ queryKey: ['practice-kept'] });
      }
    },
  });
  const answers = useWaiting(handedIn).filter((one) => one.who === name).length;
  useEffect(() => {
    for (const one of ['practice-progress', 'practice-crew']) {
      void queries.invalidateQueries({ queryKey: [one] });
    }
  }, [answers, queries]);
  const exercises = kept.data ?? [];
  return (
    <section aria-labelledby="taken-along" className="mt-6">
      <h2 id="taken-along" className="text-[18px] font-bold">
        {say('practice.without-signal')}
      </h2>
      {answers > 0 && (
        <p role="status" className="mt-1 bg-sand px-3 py-2 text-[15px]">
          {say('practice.waiting', { answers })}
        </p>
      )}
      <p className="text-[14px] text-muted">
        {exercises.length === 0 ? say('practice.none-taken') : say('practice.taken')}
      </p>
      <ul className="text-[15px]">
        {exercises.map((one) => (
          <li key={one.code} className="border-b border-line">
            <Link
              to={`/practice/${one.code}`}
              className="flex min-h-11 items-center underline underline-offset-4"
            >
              <span className="inline-block first-letter:uppercase">
                {one.kit.page.own
                  ? one.kit.page.label
                  : say('exercise.what-tree', {
                      kind: one.kit.page.speciesName,
                      system: one.kit.page.systemName.toLowerCase(),
                      leaf: one.kit.page.leaf,
                    })}
              </span>
            </Link>
          </li>
        ))}
      </ul>
      {wishes.length > 0 && (
        <Button
          className="mt-2 min-h-11"
          disabled={take.isPending}
          onClick={() => {
            take.mutate();
          }}
        >
          {take.isPending ? say('practice.taking') : say('practice.take', { exercises: wishes.length })}
        </Button>
      )}
      {take.isError && <Failed error={take.error} />}
    </section>
  );
}
