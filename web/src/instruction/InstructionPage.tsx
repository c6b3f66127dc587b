import { PaperLinks } from '../sheets/PaperLinks';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link, useParams } from 'react-router';
import { answer, api, type InstructionPage as Page } from '../api/client';
import { useMayChange } from '../people/who';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { day } from '../ui/words';
import { Brings } from './Brings';
import { Checks } from './Checks';
import { Sentences } from './Sentences';

const ASK_EVERY = 700;

/** What to say to a crew for a whole block: found on a few surveyed trees, used, printed, and checked on finished ones. */
export function InstructionPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const queries = useQueryClient();
  const mayChange = useMayChange();
  const path = { params: { path: { id } } };
  const page = useQuery({
    queryKey: ['instruction', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/instruction', path)),
    refetchInterval: (query) => (isUnderWay(query.state.data) ? ASK_EVERY : false),
  });
  const taken = {
    onSuccess: (next: Page) => {
      queries.setQueryData(['instruction', id], next);
      void queries.invalidateQueries({ queryKey: ['season'] });
    },
  };
  const begin = useMutation({
    mutationFn: () => answer(api.POST('/api/blocks/{id}/instruction', path)),
    ...taken,
  });
  const stop = useMutation({
    mutationFn: () => answer(api.DELETE('/api/blocks/{id}/instruction/search', path)),
    ...taken,
  });
  const use = useMutation({
    mutationFn: (yes: boolean) =>
      answer(api.PUT('/api/blocks/{id}/instruction/use', { ...path, body: { use: yes } })),
    ...taken,
  });
  if (page.isPending) return <Loading what={say('instruction.opening')} />;
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  const { instruction, search, sample } = page.data;
  const trouble = begin.error ?? stop.error ?? use.error;
  return (
    <div className="mx-auto max-w-[1180px] px-6 py-6 max-sm:px-4">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <Link to={`/blocks/${id}`} className="text-[14px] font-semibold underline underline-offset-4">
            {page.data.block}
          </Link>
          <h1 className="text-[28px] font-bold">{say('instruction.title', { block: page.data.block })}</h1>
          <p className="text-muted">
            {instruction
              ? say('instruction.found-on', {
                  trees: instruction.trees.length,
                  day: day(instruction.madeOn),
                  all: page.data.trees.toLocaleString(locale()),
                })
              : say('instruction.what-it-is', { all: page.data.trees.toLocaleString(locale()) })}
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          {instruction && (
            <PaperLinks path={`/api/blocks/${id}/instruction.pdf`} what={say('instruction.print')} />
          )}
          {mayChange && instruction && (
            <Button
              weight={instruction.inUse ? 'plain' : 'ink'}
              disabled={use.isPending}
              onClick={() => {
                use.mutate(!instruction.inUse);
              }}
            >
              {instruction.inUse ? say('instruction.stop-using') : say('instruction.use')}
            </Button>
          )}
          {mayChange && !isUnderWay(page.data) && (
            <Button
              weight={instruction ? 'plain' : 'ink'}
              disabled={begin.isPending || sample.surveyed === 0}
              onClick={() => {
                begin.mutate();
              }}
            >
              {instruction ? say('instruction.find-again') : say('instruction.find')}
            </Button>
          )}
        </div>
      </div>
      {trouble && <Failed error={trouble} />}
      {search && isUnderWay(page.data) && (
        <p role="status" className="mt-4 flex items-center gap-3">
          <progress
            value={search.done}
            max={Math.max(1, search.total)}
            aria-label={say('instruction.trees-planned')}
            className="h-2 w-52"
          />
          {search.done < search.total
            ? say('instruction.planning', { done: search.done, total: search.total })
            : say('instruction.looking')}
          <Button
            onClick={() => {
              stop.mutate();
            }}
          >
            {say('block-page.stop')}
          </Button>
        </p>
      )}
      {search?.state === 'failed' && <Failed error={new Error(say('instruction.failed'))} />}
      {instruction && (
        <div className="mt-4 grid grid-cols-[minmax(0,1fr)_340px] gap-10 max-lg:grid-cols-1">
          <Sentences instruction={instruction} />
          <Brings instruction={instruction} all={page.data.trees} />
        </div>
      )}
      <SampleNote page={page.data} />
      {instruction && <Checks id={id} instruction={instruction} mayCheck={mayChange} />}
    </div>
  );
}

function isUnderWay(page: Page | undefined): boolean {
  return page?.search?.state === 'waiting' || page?.search?.state === 'running';
}

/** Whether the surveyed trees are enough, and where to go next. */
function SampleNote({ page }: { page: Page }) {
  const say = useSay();
  const { sample, instruction } = page;
  if (sample.places.length === 0) return null;
  return (
    <section aria-labelledby="sample" className="mt-8">
      <h2 id="sample" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('instruction.which-trees')}
      </h2>
      <p className="pt-2">
        {instruction?.enough
          ? say('instruction.enough')
          : say('instruction.survey-more', {
              surveyed: sample.surveyed,
              wanted: sample.wanted,
              few: sample.least,
            })}
      </p>
      <ul className="mt-2 flex flex-wrap gap-2">
        {sample.places.map((one) => (
          <li key={one.label} className="rounded-md border border-line px-3 py-1 font-semibold">
            {one.row}-{one.place}
          </li>
        ))}
      </ul>
    </section>
  );
}
