import { PaperLinks } from '../sheets/PaperLinks';
import { say, useSay } from '../text/say';
import { term } from '../text/term';
import { locale } from '../text/language';
import { useRuleNames } from '../guide/useRules';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { answer, api, type BlockProgress } from '../api/client';
import { Button } from '../ui/Button';
import { Failed, Loading } from '../ui/States';
import { percent } from '../ui/words';
import { useMayChange, useWho } from '../people/who';
import { CorrectBlock } from './CorrectBlock';
import { JobBar } from '../ui/JobBar';
import { Labels } from './Labels';
import { PlansOfBlock } from './PlansOfBlock';
import { Tables } from './Tables';
import { LearnedPart } from './LearnedPart';
import { Pickings } from './Pickings';
import { YearsOfABlock } from '../years/YearsParts';
import { MaterialList } from '../sheets/MaterialList';

const ASK_EVERY = 400;
const OUTLIER_WORDS: Record<string, string> = {
  get 'scion-rooted'() {
    return say('block-page.far-stronger');
  },
  get runt() {
    return term('runt');
  },
  get gap() {
    return term('gap');
  },
};

/** A whole block: read in the background, what its trees share, which stand out, how even they are; tables in and out. */
export function BlockPage() {
  const say = useSay();
  const id = Number(useParams()['id']);
  const blocks = useQuery({ queryKey: ['blocks'], queryFn: () => answer(api.GET('/api/blocks')) });
  const block = blocks.data?.find((one) => one.id === id);
  const mayChange = useMayChange();
  if (blocks.isPending) return <Loading what={say('block-page.finding-the-block')} />;
  if (blocks.isError) return <Failed error={blocks.error} retry={() => void blocks.refetch()} />;
  if (!block) return <Failed error={new Error(say('block-page.no-such-block'))} />;
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <h1 className="text-[28px] font-bold">{block.name}</h1>
      <p className="text-muted">
        {say('block-page.treecount-speciesname-trees-systemname-planted', {
          counted: block.counted || 'no',
          treeCount: block.treeCount.toLocaleString(locale()),
          speciesName: block.speciesName,
          systemName: block.systemName.toLowerCase(),
          plantedYear: block.plantedYear,
          note: block.note,
        })}
      </p>
      {block.archived && (
        <p className="font-semibold text-lichen">{say('block-page.archived-it-is-no-longer')}</p>
      )}
      {mayChange && (
        <div className="mt-2">
          <CorrectBlock block={block} />
        </div>
      )}
      <Papers id={id} nearPowerLines={block.nearPowerLines} instructed={block.counted === ''} />
      <ReadBlock id={id} />
      <PlansOfBlock id={id} />
      <YearsOfABlock id={id} />
      <Pickings id={id} />
      <LearnedPart id={id} />
      <Bends id={id} />
      <Prunings id={id} />
      <Tables id={id} counted={block.counted !== ''} />
    </div>
  );
}

/** What goes out to the rows: sheets on paper and phone, labels for the trees, and whether lines hang over them. */
function Papers({
  id,
  nearPowerLines,
  instructed,
}: {
  id: number;
  nearPowerLines: boolean;
  /** Whether its plants are trees, for which there are instructions. */
  instructed: boolean;
}) {
  const say = useSay();
  const queries = useQueryClient();
  const who = useWho();
  const lines = useMutation({
    mutationFn: (near: boolean) =>
      answer(api.PUT('/api/blocks/{id}/lines', { params: { path: { id } }, body: { near } })),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['blocks'] }),
  });
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-5 gap-y-2 text-[14px]">
      {instructed && (
        <Link className="font-semibold underline underline-offset-4" to={`/blocks/${id}/instruction`}>
          {say('block-page.instruction-for-the-crew')}
        </Link>
      )}
      {instructed && (
        <Link className="font-semibold underline underline-offset-4" to={`/blocks/${id}/count`}>
          {say('block-page.crop-count')}
        </Link>
      )}
      <Link className="font-semibold underline underline-offset-4" to={`/field/blocks/${id}`}>
        {say('block-page.work-on-the-phone')}
      </Link>
      <PaperLinks path={`/api/blocks/${id}/sheets.pdf`} what={say('block-page.sheets-pdf')} />
      <Labels id={id} />
      <label className="ml-auto flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          checked={nearPowerLines}
          disabled={who.role !== 'grower' || lines.isPending}
          onChange={(event) => {
            lines.mutate(event.target.checked);
          }}
        />
        {say('block-page.power-lines-near-saw-and')}
      </label>
    </div>
  );
}

/** How much wood will lie in the rows, by what is marked. */
function Prunings({ id }: { id: number }) {
  const say = useSay();
  const prunings = useQuery({
    queryKey: ['prunings-of-block', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/prunings', { params: { path: { id } } })),
  });
  if (prunings.isError) return <Failed error={prunings.error} />;
  const all = prunings.data;
  if (!all || all.trees === 0) return null;
  const kg = (value: number) => say('measure.kg', { kg: Math.round(10 * value) / 10 });
  return (
    <section aria-labelledby="prunings" className="mt-8">
      <h2 id="prunings" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('block-page.prunings-to-clear')}
      </h2>
      <p className="py-3">
        {say('block-page.prunings', {
          trees: all.trees,
          each: kg(all.kgATree),
          block: kg(all.kgOfBlock),
          loads: Math.ceil(all.loads),
          load: kg(all.loadKg),
        })}
      </p>
    </section>
  );
}

/** What to carry to the rows for the limbs that are marked to be bent. */
function Bends({ id }: { id: number }) {
  const say = useSay();
  const material = useQuery({
    queryKey: ['material-of-block', id],
    queryFn: () => answer(api.GET('/api/blocks/{id}/material', { params: { path: { id } } })),
  });
  if (material.isError) return <Failed error={material.error} />;
  const rows = material.data ?? [];
  const whole = rows[0];
  return (
    <section aria-labelledby="bends" className="mt-8">
      <h2 id="bends" className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('block-page.to-carry-for-bending')}
      </h2>
      {whole && whole.lines.length > 0 ? (
        <ul>
          {rows.map((row) => (
            <li key={row.row} className="grid grid-cols-[120px_1fr] border-b border-line py-2">
              <b>
                {row.row === 0 ? say('block-page.the-block') : say('block-page.row-row', { row: row.row })}
              </b>
              <span>
                <MaterialList list={row} />
                <span className="text-muted">{say('block-page.on-trees-trees', { trees: row.trees })}</span>
              </span>
            </li>
          ))}
        </ul>
      ) : (
        <p className="py-3 text-muted">
          {material.isPending ? say('block-page.counting') : say('block-page.no-limb-to-bend')}
        </p>
      )}
    </section>
  );
}

function ReadBlock({ id }: { id: number }) {
  const say = useSay();
  const [job, setJob] = useState<number | null>(null);
  const begin = useMutation({
    mutationFn: () => answer(api.POST('/api/blocks/{id}/reading', { params: { path: { id } } })),
    onSuccess: (progress) => {
      setJob(progress.job);
    },
  });
  const progress = useQuery({
    queryKey: ['reading', job],
    queryFn: () => answer(api.GET('/api/readings/{job}', { params: { path: { job: job ?? 0 } } })),
    enabled: job !== null,
    refetchInterval: (query) => {
      const state = query.state.data?.state;
      return state === 'running' || state === undefined ? ASK_EVERY : false;
    },
  });
  const cancel = useMutation({
    mutationFn: () => answer(api.DELETE('/api/readings/{job}', { params: { path: { job: job ?? 0 } } })),
    onSuccess: () => void progress.refetch(),
  });
  const now = progress.data;
  const busy = now?.state === 'running';
  return (
    <section aria-labelledby="read-block" className="mt-6">
      <div className="flex flex-wrap items-center gap-4 border-b-2 border-ink pb-2">
        <h2 id="read-block" className="text-[20px] font-bold">
          {say('block-page.the-block-as-a-whole')}
        </h2>
        {busy ? (
          <JobBar
            job={now}
            what={say('block-page.trees-read')}
            stop={() => {
              cancel.mutate();
            }}
          />
        ) : (
          <Button
            weight={now?.result ? 'plain' : 'ink'}
            disabled={begin.isPending}
            onClick={() => {
              begin.mutate();
            }}
          >
            {now?.result ? say('block-page.read-again') : say('block-page.read-every-surveyed-tree')}
          </Button>
        )}
      </div>
      {begin.isError && <Failed error={begin.error} />}
      {progress.isError && <Failed error={progress.error} />}
      {now?.state === 'cancelled' && (
        <p className="py-3">{say('block-page.stopped-after-done-trees', { done: now.done })}</p>
      )}
      {now?.trouble && (
        <p role="alert" className="pt-2 font-semibold text-lichen">
          {now.trouble}
        </p>
      )}
      {now?.result && <Result result={now.result} />}
      {!now && !begin.isPending && (
        <p className="py-3 text-muted">{say('block-page.tells-what-is-wrong-with')}</p>
      )}
    </section>
  );
}

function Result({ result }: { result: NonNullable<BlockProgress['result']> }) {
  const say = useSay();
  const ruleName = useRuleNames();
  if (result.trees === 0) {
    return <p className="py-3 text-muted">{say('block-page.no-tree-of-this-block')}</p>;
  }
  return (
    <div className="grid grid-cols-[1fr_340px] gap-10 pt-3 max-md:grid-cols-1">
      <div>
        <h3 className="text-[17px] font-bold">{say('block-page.what-its-trees-share')}</h3>
        {result.common.length === 0 && (
          <p className="text-moss">{say('block-page.nothing-is-wrong-with-any')}</p>
        )}
        <ul>
          {result.common.map((one) => (
            <li key={one.rule} className="grid grid-cols-[1fr_110px] gap-4 border-b border-line py-2">
              <span>
                <Link
                  to={`/guide?rule=${one.rule}`}
                  className="font-semibold underline-offset-4 hover:underline"
                >
                  {ruleName(one.rule)}
                </Link>
                <span className="block text-[13.5px] text-muted">
                  {say('block-page.for-one-example', { example: one.example })}
                </span>
              </span>
              <span className="text-[14px]">
                <b>{say('block-page.trees-of-trees2', { trees: one.trees, trees2: result.trees })}</b>{' '}
                {say('block-page.trees')}
                <span className="mt-1 block h-[5px] bg-line/70" aria-hidden>
                  <span className="block h-full bg-ink" style={{ width: `${one.share * 100}%` }} />
                </span>
                <span className="text-[12.5px] text-muted">
                  {say('block-page.act-to-act-on', { act: one.act })}
                </span>
              </span>
            </li>
          ))}
        </ul>
      </div>
      <div>
        <h3 className="text-[17px] font-bold">{say('block-page.which-stand-out')}</h3>
        {result.outliers.length === 0 && (
          <p className="text-[14px] text-muted">{say('block-page.none-of-them')}</p>
        )}
        <ul>
          {result.outliers.map((one) => (
            <li key={one.id} className="border-b border-line py-2 text-[14px]">
              <Link to={`/trees/${one.id}`} className="font-semibold underline underline-offset-4">
                {one.label}
              </Link>
              , {OUTLIER_WORDS[one.kind] ?? one.kind}. {one.reason}
            </li>
          ))}
        </ul>
        <h3 className="mt-5 text-[17px] font-bold">{say('block-page.how-even-it-is')}</h3>
        <table className="w-full text-[14px]">
          <thead>
            <tr className="border-b border-line text-left text-[12.5px] text-muted">
              <th className="font-normal">{say('block-page.measure')}</th>
              <th className="font-normal">{say('block-page.mean')}</th>
              <th className="font-normal">{say('block-page.varies-by')}</th>
            </tr>
          </thead>
          <tbody>
            {result.evenness.map((one) => (
              <tr key={one.measure} className="border-b border-line">
                <td className="py-1 pr-2">{one.measure}</td>
                <td className="pr-2 whitespace-nowrap">
                  {Math.round(one.mean * 10) / 10} {one.unit}
                </td>
                <td>{percent(one.variation)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
