import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { CheckedSeasonTable } from '../record/CheckedSeasonTable';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { useFactor } from '../ui/useFactor';
import { day } from '../ui/words';

/** What the block's trees have taught the forecasts, how often those were right, and forgetting it again. */
export function LearnedPart({ id }: { id: number }) {
  const say = useSay();
  const queries = useQueryClient();
  const learned = useQuery({
    queryKey: ['learned', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/learned', { params: { path: { id } } })),
  });
  const forget = useMutation({
    mutationFn: (yes: boolean) =>
      answer(api.PUT('/api/blocks/{id}/learned', { params: { path: { id } }, body: { forget: yes } })),
    onSuccess: (now) => {
      queries.setQueryData(['learned', id], now);
    },
  });
  const now = learned.data;
  const factor = useFactor();
  return (
    <section aria-labelledby="learned" className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
        <h2 id="learned" className="text-[20px] font-bold">
          {say('learned-part.what-its-trees-have-taught')}
        </h2>
        {now &&
          (now.trees > 0 || now.counted.length > 0 || now.leaf !== 1 || now.prunings !== 1 || now.since) && (
            <Button
              disabled={forget.isPending}
              onClick={() => {
                forget.mutate(now.since == null);
              }}
            >
              {now.since
                ? say('learned-part.count-everything-again')
                : say('learned-part.forget-it-begin-anew')}
            </Button>
          )}
      </div>
      {learned.isError && <Failed error={learned.error} />}
      {forget.isError && <Failed error={forget.error} />}
      {now?.of === 0 && now.leaf === 1 && now.prunings === 1 && (
        <p className="py-3 text-muted">{say('learned-part.nothing-yet-survey-a-tree')}</p>
      )}
      {now && now.counted.length > 0 && (
        <ul className="pt-2">
          {now.counted.map((one) => (
            <li key={one.kind}>
              {say('learned-part.of-a-kind', {
                kind: one.kind,
                seasons: one.seasons,
                crop: factor(one.crop),
                renewal: factor(one.renewal),
              })}
            </li>
          ))}
        </ul>
      )}
      {now && now.leaf !== 1 && (
        <p className="pt-2">{say('learned-part.measured-leaf', { factor: factor(now.leaf) })}</p>
      )}
      {now && now.prunings !== 1 && (
        <p className="pt-2">{say('learned-part.measured-prunings', { factor: factor(now.prunings) })}</p>
      )}
      {now && now.of > 0 && (
        <>
          <p className={now.trees > 0 ? 'pt-2' : 'hidden'}>
            {say('learned-part.learned-from-trees-trees-growth', { trees: now.trees })}{' '}
            <b>{factor(now.vigour)}</b>
            {say('learned-part.shoots-after-cuts')} <b>{factor(now.waking)}</b>
            {say('learned-part.flower-buds')} <b>{factor(now.flowering)}</b>
            {say('learned-part.fruits-set')} <b>{factor(now.setting)}</b>{' '}
            {say('learned-part.against-the-usual-of-the', {
              since: now.since && say('learned-part.what-came-before-since-is', { since: day(now.since) }),
              right: now.right,
              of: now.of,
            })}
          </p>
          <details className="mt-2">
            <summary className="font-semibold">{say('learned-part.each-forecast-and-what-was')}</summary>
            {now.seasons.map((season) => (
              <CheckedSeasonTable key={`${season.treeId}-${season.later}`} season={season} withTree />
            ))}
          </details>
        </>
      )}
    </section>
  );
}
