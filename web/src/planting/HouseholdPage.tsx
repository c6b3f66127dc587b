import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { answer, api } from '../api/client';
import { Problem } from '../api/problem';
import { NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { FaultList } from '../ui/FaultList';
import { Failed, Loading } from '../ui/States';
import { useSettled } from '../ui/useSettled';
import { FenceFigure } from './FenceFigure';
import { FIRST_HOUSEHOLD, householdOf, MOST_LINES, withAnother, withoutTree, withTree } from './household';
import { HouseholdLine, LineFacts } from './HouseholdLine';
import { HouseholdYear } from './HouseholdYear';

const ASK_AFTER_MS = 300;

/** Several kinds for a house: what is ripe when, who pollinates whom, and what fits the fence. The address holds the wish. */
export function HouseholdPage() {
  const say = useSay();
  const [search, setSearch] = useSearchParams();
  const [wish, setWish] = useState(() => householdOf(search.get('h')) ?? FIRST_HOUSEHOLD);
  const settled = useSettled(wish, ASK_AFTER_MS);
  const told = useQuery({
    queryKey: ['household', settled],
    queryFn: () => answer(api.POST('/api/plantings/household', { body: settled })),
    enabled: (settled.trees ?? []).length > 0,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const set = (next: typeof wish) => {
    setWish(next);
    setSearch({ h: JSON.stringify(next) }, { replace: true });
  };
  const trees = wish.trees ?? [];
  const problem = told.error instanceof Problem ? told.error : null;
  // while another line is being worked out, what was told belongs to other lines
  const data = told.data?.trees.length === trees.length ? told.data : undefined;
  const names = trees.map((tree) =>
    say('household.name', {
      kind: known.data?.species.find((one) => one.id === tree.species)?.name ?? tree.species ?? '',
      ripens: tree.ripens ?? 'middle',
    }),
  );
  if (known.isError) return <Failed error={known.error} retry={() => void known.refetch()} />;
  return (
    <div className="mx-auto grid max-w-[1240px] grid-cols-[460px_minmax(0,1fr)] gap-8 px-6 py-6 max-lg:grid-cols-1 max-sm:px-4">
      <div>
        <Link to="/plantings" className="text-[14px] font-semibold underline underline-offset-4">
          {say('plantings.title')}
        </Link>
        <h1 className="text-[26px] leading-tight font-bold">{say('household.title')}</h1>
        <p className="text-[14px] text-muted">{say('household.what-it-does')}</p>
        <div className="mt-3 flex flex-wrap gap-2">
          <NumberField
            name={say('household.people')}
            width="w-16"
            value={wish.people}
            set={(people) => {
              set({ ...wish, people });
            }}
          />
          <NumberField
            name={say('household.kg-a-month')}
            unit="kg"
            width="w-20"
            value={wish.kgPerPersonMonth}
            set={(kgPerPersonMonth) => {
              set({ ...wish, kgPerPersonMonth });
            }}
          />
          <NumberField
            name={say('plantings.latitude')}
            width="w-16"
            value={wish.latitude_deg}
            set={(latitude_deg) => {
              set({ ...wish, latitude_deg });
            }}
          />
        </div>
        <label className="mt-3 flex min-h-9 items-center gap-2 text-[15px]">
          <input
            type="checkbox"
            checked={wish.fence != null}
            onChange={(event) => {
              set({ ...wish, fence: event.target.checked ? FIRST_HOUSEHOLD.fence : undefined });
            }}
          />
          {say('household.against-a-fence')}
        </label>
        {wish.fence && (
          <div className="flex flex-wrap gap-2">
            <NumberField
              name={say('household.fence-length')}
              unit="m"
              width="w-20"
              value={wish.fence.length_m}
              set={(length_m) => {
                set({ ...wish, fence: { ...wish.fence, length_m } });
              }}
            />
            <NumberField
              name={say('household.fence-height')}
              unit="m"
              width="w-20"
              value={wish.fence.height_m}
              set={(height_m) => {
                set({ ...wish, fence: { ...wish.fence, height_m } });
              }}
            />
          </div>
        )}
        <ol className="mt-4 border-t-2 border-ink">
          {trees.map((tree, i) => (
            <HouseholdLine
              key={i}
              number={i + 1}
              tree={tree}
              known={known.data}
              set={(part) => {
                set(withTree(wish, i, part));
              }}
              drop={() => {
                set(withoutTree(wish, i));
              }}
            >
              {data && <LineFacts told={data} at={i} names={names} />}
            </HouseholdLine>
          ))}
        </ol>
        <Button
          className="mt-3 min-h-11"
          disabled={trees.length >= MOST_LINES}
          onClick={() => {
            set(withAnother(wish));
          }}
        >
          {say('household.another')}
        </Button>
      </div>
      <div className="min-w-0" aria-live="polite" aria-busy={told.isFetching}>
        {problem && problem.errors.length > 0 ? (
          <div role="alert" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2">
            <FaultList errors={problem.errors} />
          </div>
        ) : (
          told.isError && <Failed error={told.error} retry={() => void told.refetch()} />
        )}
        {trees.length === 0 ? (
          <p className="border-l-4 border-line px-4 py-2 text-[15px] text-muted">
            {say('household.no-trees')}
          </p>
        ) : data && !told.isError ? (
          <>
            <HouseholdYear told={data} names={names} />
            {data.fence && wish.fence && (
              <FenceFigure told={data} fence={data.fence} wish={wish} names={names} />
            )}
            <p className="mt-4 text-[13px] text-muted">{say('household.assumed')}</p>
          </>
        ) : (
          !told.isError && <Loading what={say('household.working')} />
        )}
      </div>
    </div>
  );
}
