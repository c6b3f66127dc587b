import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answer, api, type PlansOfFarm } from '../api/client';
import { JobBar } from '../ui/JobBar';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';

const ASK_EVERY = 1_500;

/** Whether all trees are planned by night, and how far that has come. */
export function PlansAtNight() {
  const say = useSay();
  const queries = useQueryClient();
  const plans = useQuery({
    queryKey: ['plans-of-farm'],
    queryFn: () => answer(api.GET('/api/plans')),
    refetchInterval: (query) => (query.state.data?.job?.state === 'running' ? ASK_EVERY : false),
  });
  const told = (now: PlansOfFarm) => {
    queries.setQueryData(['plans-of-farm'], now);
  };
  const night = useMutation({
    mutationFn: (on: boolean) => answer(api.PUT('/api/plans/night', { body: { on } })),
    onSuccess: told,
  });
  const begin = useMutation({ mutationFn: () => answer(api.POST('/api/plans')), onSuccess: told });
  const stop = useMutation({ mutationFn: () => answer(api.DELETE('/api/plans')), onSuccess: told });
  const now = plans.data;
  const error = plans.error ?? night.error ?? begin.error ?? stop.error;
  return (
    <section aria-labelledby="plans-at-night" className="mt-8">
      <h2 id="plans-at-night" className="border-b-2 border-ink pb-1.5 text-[20px] font-bold">
        {say('night.title')}
      </h2>
      {error && <Failed error={error} />}
      {now && (
        <>
          <p className="max-w-prose pt-2 text-[14px] text-muted">
            {say('night.state', {
              surveyed: now.surveyed,
              planned: now.planned,
              stale: now.stale,
              doubtful: now.doubtful,
            })}
          </p>
          <div className="flex flex-wrap items-center gap-4 py-2">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={now.atNight}
                disabled={night.isPending}
                onChange={(event) => {
                  night.mutate(event.target.checked);
                }}
              />
              {say('night.every-night')}
            </label>
            {now.job?.state === 'running' ? (
              <JobBar
                job={now.job}
                what={say('block-plans.trees-planned')}
                stop={() => {
                  stop.mutate();
                }}
              />
            ) : (
              <Button
                disabled={begin.isPending || now.surveyed === 0}
                onClick={() => {
                  begin.mutate();
                }}
              >
                {say('night.now')}
              </Button>
            )}
          </div>
        </>
      )}
    </section>
  );
}
