import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answer, api, type BlockPlans, type PlannedLine } from '../api/client';
import { useMayChange } from '../people/who';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { useListed } from '../ui/Listed';
import { Failed } from '../ui/States';
import { percent } from '../ui/words';
import { JobBar } from '../ui/JobBar';
import { SeasonsToCome } from './SeasonsToCome';
import { byGain, summed } from './plannedLines';

const ASK_EVERY_MS = 700;
const LATER_FOR_A_TREE_MS = 1; // the answer about a large block takes long to make and to draw
const LISTED_AT_FIRST = 12;

/** The plan of every surveyed tree of a block in one table, worked out in the background; what is out of date is told. */
export function PlansOfBlock({ id }: { id: number }) {
  const say = useSay();
  const mayChange = useMayChange();
  const queries = useQueryClient();
  const key = ['plans-of-block', id];
  const plans = useQuery({
    queryKey: key,
    queryFn: () => answer(api.GET('/api/blocks/{id}/plans', { params: { path: { id } } })),
    refetchInterval: (query) =>
      query.state.data?.job?.state === 'running'
        ? ASK_EVERY_MS + LATER_FOR_A_TREE_MS * query.state.data.trees.length
        : false,
  });
  const told = (now: BlockPlans) => {
    queries.setQueryData(key, now);
  };
  const begin = useMutation({
    mutationFn: () => answer(api.POST('/api/blocks/{id}/plans', { params: { path: { id } } })),
    onSuccess: told,
  });
  const stop = useMutation({
    mutationFn: () => answer(api.DELETE('/api/blocks/{id}/plans', { params: { path: { id } } })),
    onSuccess: told,
  });
  const trees = plans.data?.trees ?? [];
  const job = plans.data?.job ?? null;
  const running = job?.state === 'running';
  const planned = trees.filter((one) => (one.steps ?? null) !== null);
  if (plans.isError) return <Failed error={plans.error} />;
  if (trees.length === 0) return null;
  return (
    <section aria-labelledby="plans-of-block" className="mt-8">
      <div className="flex flex-wrap items-center gap-4 border-b-2 border-ink pb-2">
        <h2 id="plans-of-block" className="text-[20px] font-bold">
          {say('block-plans.title')}
        </h2>
        {running ? (
          <JobBar
            job={job}
            what={say('block-plans.trees-planned')}
            stop={() => {
              stop.mutate();
            }}
          />
        ) : (
          mayChange && (
            <Button
              weight={planned.length === 0 ? 'ink' : 'plain'}
              disabled={begin.isPending}
              onClick={() => {
                begin.mutate();
              }}
            >
              {planned.length === 0 ? say('block-plans.plan-all') : say('block-plans.plan-again')}
            </Button>
          )
        )}
      </div>
      {begin.isError && <Failed error={begin.error} />}
      {job && job.failed > 0 && (
        <p role="alert" className="pt-2 font-semibold text-lichen">
          {say('block-plans.failed', { trees: job.failed })}
        </p>
      )}
      {planned.length === 0 ? (
        !running && <p className="py-3 text-muted">{say('block-plans.why')}</p>
      ) : (
        <>
          <Planned lines={byGain(trees)} />
          <SeasonsToCome
            seasons={plans.data?.seasons ?? []}
            planned={planned.length}
            trees={plans.data?.treeCount ?? 0}
          />
        </>
      )}
    </section>
  );
}

function Planned({ lines }: { lines: PlannedLine[] }) {
  const say = useSay();
  const sum = summed(lines);
  const { listed, more } = useListed(lines, LISTED_AT_FIRST);
  const head = 'border-b border-line py-1.5 text-[12.5px] font-normal text-muted';
  return (
    <>
      <p className="py-2.5">
        {say('block-plans.sum', {
          trees: sum.trees,
          steps: sum.steps,
          hours: Math.round(sum.minutes / 6) / 10,
          nothing: sum.nothing,
        })}{' '}
        {sum.unplanned > 0 && <b>{say('block-plans.unplanned', { trees: sum.unplanned })} </b>}
        {sum.stale > 0 && <b className="text-lichen">{say('block-plans.stale', { trees: sum.stale })} </b>}
        {sum.doubtful > 0 && say('block-plans.doubtful', { trees: sum.doubtful })}
      </p>
      <div className="overflow-x-auto">
        <table className="w-full text-[14px] tabular-nums">
          <thead>
            <tr>
              <th className={`${head} text-left`}>{say('block-plans.tree')}</th>
              <th className={`${head} pl-4 text-right`}>{say('block-plans.cuts')}</th>
              <th className={`${head} pl-4 text-right`}>{say('block-plans.minutes')}</th>
              <th className={`${head} pl-4 text-right`}>{say('block-plans.gain')}</th>
              <th className={`${head} pl-4 text-right`}>{say('block-plans.shade')}</th>
              <th className={`${head} pl-4 text-right`}>{say('block-plans.crop')}</th>
              <th className={`${head} pl-8 text-left`}>{say('block-plans.note')}</th>
            </tr>
          </thead>
          <tbody>
            {listed.map((one) => (
              <PlannedRow key={one.tree} line={one} best={sum.bestGain} />
            ))}
          </tbody>
        </table>
      </div>
      {more}
    </>
  );
}

function PlannedRow({ line, best }: { line: PlannedLine; best: number }) {
  const say = useSay();
  const cell = 'border-b border-line py-1.5 pl-4 text-right';
  const change = (before: number | undefined, after: number | undefined, told: (value: number) => string) => {
    const [from, to] = [before ?? null, after ?? null];
    if (from === null || to === null) return '';
    return told(from) === told(to) ? told(from) : `${told(from)} → ${told(to)}`;
  };
  const notes = [
    (line.steps ?? null) === null && say('block-plans.not-planned'),
    line.stale && say('block-plans.out-of-date'),
    (line.doubts ?? 0) > 0 && say('block-plans.measure-first', { doubts: line.doubts ?? 0 }),
    line.steps === 0 && say('block-plans.leave-it'),
  ].filter(Boolean);
  return (
    <tr>
      <td className="border-b border-line py-1.5">
        <Link
          to={line.counted ? `/plants/${line.tree}` : `/trees/${line.tree}`}
          className="font-semibold underline underline-offset-4"
        >
          {line.label}
        </Link>
      </td>
      <td className={cell}>{line.steps ?? ''}</td>
      <td className={cell}>{line.steps ? Math.round(line.minutes ?? 0) : ''}</td>
      <td className={cell}>{line.steps && best > 0 ? percent((line.gain ?? 0) / best) : ''}</td>
      <td className={cell}>{change(line.shadeBefore, line.shadeAfter, percent)}</td>
      <td className={cell}>
        {change(line.cropBefore, line.cropAfter, (kg) => say('measure.kg', { kg: kg.toFixed(1) }))}
      </td>
      <td className={`border-b border-line py-1.5 pl-8 ${line.stale ? 'text-lichen' : 'text-muted'}`}>
        {notes.join('; ')}
      </td>
    </tr>
  );
}
