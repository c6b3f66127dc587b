import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { CheckedSeasonTable } from '../record/CheckedSeasonTable';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import { day } from '../ui/words';

/** What the block's trees have taught the forecasts, how often those were right, and forgetting it again. */
export function LearnedPart({ id }: { id: number }) {
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
  const factor = (value: number) =>
    Math.abs(value - 1) < 0.02
      ? 'as usual'
      : `${value > 1 ? '+' : '−'}${Math.round(Math.abs(value - 1) * 100)} %`;
  return (
    <section aria-labelledby="learned" className="mt-8">
      <div className="flex flex-wrap items-end justify-between gap-3 border-b-2 border-ink pb-2">
        <h2 id="learned" className="text-[20px] font-bold">
          What its trees have taught
        </h2>
        {now && (now.trees > 0 || now.since) && (
          <Button
            disabled={forget.isPending}
            onClick={() => {
              forget.mutate(now.since == null);
            }}
          >
            {now.since ? 'Count everything again' : 'Forget it, begin anew'}
          </Button>
        )}
      </div>
      {learned.isError && <Failed error={learned.error} />}
      {forget.isError && <Failed error={forget.error} />}
      {now?.of === 0 && (
        <p className="py-3 text-muted">
          Nothing yet: survey a tree in two winters, and its forecast is held against what it did.
        </p>
      )}
      {now && now.of > 0 && (
        <>
          <p className="pt-2">
            Learned from {now.trees} {now.trees === 1 ? 'tree' : 'trees'}: growth <b>{factor(now.vigour)}</b>,
            shoots after cuts <b>{factor(now.waking)}</b>, flower buds <b>{factor(now.flowering)}</b>, fruits
            set <b>{factor(now.setting)}</b> against the usual of the kind.{' '}
            {now.since && `What came before ${day(now.since)} is forgotten. `}
            {now.right} of {now.of} forecasts lay within their range.
          </p>
          <details className="mt-2">
            <summary className="font-semibold">Each forecast and what was found</summary>
            {now.seasons.map((season) => (
              <CheckedSeasonTable key={`${season.treeId}-${season.later}`} season={season} withTree />
            ))}
          </details>
        </>
      )}
    </section>
  );
}
