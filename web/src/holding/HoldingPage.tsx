import { useRuleNames } from '../guide/useRules';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { answer, api, type BlockEntry, type BlockLine, type BlockSeason, type TreeLine } from '../api/client';
import { hours, shortDay } from '../season/dates';
import { Failed, Loading } from '../ui/States';
import { day, percent } from '../ui/words';
import { UndoNotice } from '../ui/Undone';
import { CorrectHoldings } from './CorrectHoldings';
import { Drafts } from './Drafts';
import { HoldingMap } from './HoldingMap';
import { MapFile } from './MapFile';
import { useMayChange } from '../people/who';
import { Setup } from './Setup';
import { NewTree } from './NewTree';
import { YearsOfTheHolding } from '../years/YearsParts';

const STATE_WORDS: Record<string, string> = { 'to-decide': 'to decide', marked: 'marked', done: 'done' };

/** The whole holding: its blocks, its surveyed trees, and what each needs first. */
export function HoldingPage() {
  const ruleName = useRuleNames();
  const page = useQuery({ queryKey: ['holding'], queryFn: () => answer(api.GET('/api/holding')) });
  const season = useQuery({ queryKey: ['season'], queryFn: () => answer(api.GET('/api/season')) });
  const mayChange = useMayChange();
  const go = useNavigate();
  const queries = useQueryClient();
  const location = useLocation();
  const before = (location.state as { deletedBlock?: BlockEntry } | null)?.deletedBlock;
  const deleted = before
    ? {
        words: `${before.name} is deleted.`,
        undo: () => answer(api.POST('/api/blocks', { body: before })).then(() => queries.invalidateQueries()),
      }
    : null;
  const [sought, setSought] = useState('');
  const [need, setNeed] = useState('');
  const trees = useMemo(() => {
    const words = sought.toLowerCase().split(/\s+/).filter(Boolean);
    return (page.data?.trees ?? []).filter((tree) => {
      const block = page.data?.blocks.find((one) => one.id === tree.blockId);
      const text = [
        tree.label,
        tree.first,
        ruleName(tree.firstRule),
        block?.cultivar,
        block?.speciesName,
        block?.systemName,
      ]
        .join(' ')
        .toLowerCase();
      return words.every((word) => text.includes(word)) && (need === '' || tree.state === need);
    });
  }, [page.data, sought, need, ruleName]);

  if (page.isPending) return <Loading what="Reading the trees…" />;
  if (page.isError) return <Failed error={page.error} retry={() => void page.refetch()} />;
  const { name } = page.data;
  const blocks = page.data.blocks.filter((block) => !block.archived);
  const archived = page.data.blocks.filter((block) => block.archived);
  const all = page.data.trees;
  const count = (state: string) => all.filter((tree) => tree.state === state).length;
  return (
    <div className="mx-auto max-w-[1180px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-x-8 gap-y-4">
        <div>
          <h1 className="text-[28px] font-bold">{name || 'No holding yet'}</h1>
          <p className="text-muted">
            {all.length} surveyed {all.length === 1 ? 'tree' : 'trees'} in {blocks.length} blocks ·{' '}
            {count('to-decide')} to decide · {count('marked')} marked · {count('done')} done
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          <label className="sr-only" htmlFor="seek">
            Search trees
          </label>
          <input
            id="seek"
            autoFocus={new URLSearchParams(location.search).has('seek')}
            type="search"
            placeholder="Tree, cultivar or fault"
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
            className="min-h-10 w-64 rounded-md border border-muted/50 bg-paper px-3"
          />
          <label className="sr-only" htmlFor="need">
            Show
          </label>
          <select
            id="need"
            value={need}
            onChange={(event) => {
              setNeed(event.target.value);
            }}
            className="min-h-10 rounded-md border border-muted/50 bg-paper px-2"
          >
            <option value="">all trees</option>
            <option value="to-decide">to decide</option>
            <option value="marked">marked</option>
            <option value="done">done</option>
          </select>
          {mayChange && <NewTree blocks={blocks} />}
        </div>
      </div>
      <Drafts />
      <UndoNotice
        done={deleted}
        dismiss={() => {
          void go('.', { replace: true, state: null });
        }}
      />
      {blocks.length === 0 && (
        <p className="mt-8 max-w-prose text-muted">
          There are no blocks here yet. Add where the trees stand and the first block of them; then survey a
          tree. To look round first, start the program with <code>./umbel demo</code> in an empty data folder.
        </p>
      )}
      {blocks.length === 0 && <Setup empty />}
      {blocks.length > 0 && sought === '' && need === '' && (
        <>
          <HoldingMap blocks={blocks} season={season.data?.blocks ?? []} />
          <MapFile mayChange={mayChange} />
        </>
      )}
      {blocks.map((block) => (
        <BlockSection
          season={season.data?.blocks.find((one) => one.id === block.id)}
          key={block.id}
          block={block}
          trees={trees.filter((tree) => tree.blockId === block.id)}
          filtered={sought !== '' || need !== ''}
        />
      ))}
      {blocks.length > 0 && sought === '' && need === '' && <YearsOfTheHolding />}
      {trees.length === 0 && all.length > 0 && (
        <p className="mt-8 text-muted" role="status">
          No tree answers to that. Search by label (Kiln Field 2-5), cultivar, or what is wrong (crossing).
        </p>
      )}
      {archived.length > 0 && (
        <p className="mt-6 text-[14px] text-muted">
          Archived:{' '}
          {archived.map((block) => (
            <Link
              key={block.id}
              to={`/blocks/${block.id}`}
              className="mr-3 font-semibold text-ink underline underline-offset-4"
            >
              {block.name}
            </Link>
          ))}
        </p>
      )}
      {blocks.length > 0 && mayChange && <Setup empty={false} />}
      {mayChange && name !== '' && <CorrectHoldings />}
    </div>
  );
}

function BlockSection({
  block,
  trees,
  filtered,
  season,
}: {
  season: BlockSeason | undefined;
  block: BlockLine;
  trees: TreeLine[];
  filtered: boolean;
}) {
  const ruleName = useRuleNames();
  if (trees.length === 0 && filtered) {
    return null;
  }
  return (
    <section className="mt-7" aria-labelledby={`block-${block.id}`}>
      <div className="flex flex-wrap items-baseline gap-x-4 border-b-2 border-ink pb-1.5">
        <h2 id={`block-${block.id}`} className="text-[20px] font-bold">
          <Link to={`/blocks/${block.id}`} className="underline-offset-4 hover:underline">
            {block.name}
          </Link>
        </h2>
        <p className="text-[14px] text-muted">
          {block.treeCount.toLocaleString()} {block.speciesName} trees ({block.cultivar}),{' '}
          {block.systemName.toLowerCase()}, {block.inRowM} × {block.betweenRowsM} m, planted{' '}
          {block.plantedYear}. {block.note}{' '}
          <Link
            to={`/blocks/${block.id}`}
            className="font-semibold whitespace-nowrap text-ink underline underline-offset-4"
          >
            Read the block
          </Link>
        </p>
        {season && <Now season={season} />}
      </div>
      {trees.length === 0 && <p className="py-3 text-muted">No tree of this block is surveyed yet.</p>}
      <ul>
        {trees.map((tree) => (
          <li key={tree.id} className="border-b border-line">
            <Link
              to={`/trees/${tree.id}`}
              className="grid grid-cols-[150px_1fr_116px_96px_128px] items-center gap-4 px-1 py-2.5 hover:bg-sand max-md:grid-cols-2 max-md:gap-x-4 max-md:gap-y-1.5"
            >
              <span>
                <span className="block font-semibold">{tree.label}</span>
                <span className="block text-[13px] text-muted">
                  leaf {tree.leaf}, {tree.heightM.toFixed(1)} m, {tree.limbs} limbs
                </span>
              </span>
              <span className="min-w-0 max-md:order-last max-md:col-span-2">
                {tree.all === 0 ? (
                  <span className="text-moss">Well: nothing to cut this winter.</span>
                ) : (
                  <>
                    <span className="font-semibold">{ruleName(tree.firstRule)}.</span>{' '}
                    <span className="text-[14px]">{tree.first}</span>
                  </>
                )}
              </span>
              <span className="text-[14px]">
                {tree.all === 0 ? (
                  <span className="text-muted">no findings</span>
                ) : (
                  <>
                    <b>{tree.act}</b> to act on
                    <span className="block text-[13px] text-muted">{tree.all} in all</span>
                  </>
                )}
              </span>
              <Shade share={tree.shade} over={tree.shaded} />
              <span className="text-right max-md:order-first max-md:col-start-2 max-md:row-start-1">
                <span
                  className={`inline-block rounded-sm px-2 py-0.5 text-[13px] font-semibold ${stateLook(tree.state)}`}
                >
                  {STATE_WORDS[tree.state]}
                </span>
                <span className="block text-[12.5px] text-muted">
                  {tree.stateNote || `seen ${day(tree.surveyedOn)}`}
                </span>
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What the season says of the block: work left against days left. */
function Now({ season }: { season: BlockSeason }) {
  const pressed = season.daysNeeded !== undefined && season.daysLeft < season.daysNeeded;
  return (
    <p className="text-[14px]">
      <b>{hours(season.hours)}</b> of work left
      {season.windowEnd ? (
        <>
          ,{' '}
          <span className={pressed ? 'font-semibold text-lichen' : ''}>
            {season.daysLeft} suitable days until {shortDay(season.windowEnd)}
          </span>
        </>
      ) : (
        ', no suitable day this year'
      )}
      {season.treesDone > 0 && `, ${season.treesDone} of ${season.trees} trees done`}
    </p>
  );
}

function stateLook(state: string): string {
  return state === 'done'
    ? 'bg-moss-wash text-moss'
    : state === 'marked'
      ? 'bg-tape-wash text-tape'
      : 'bg-sand text-ink';
}

/** How much of the fruiting wood stands in shade, as a bar and in words. */
function Shade({ share, over }: { share: number; over: boolean }) {
  return (
    <span className="text-[13px]">
      {percent(share)} <span className="text-muted">shaded</span>
      <span className="mt-1 block h-[5px] bg-line/70" aria-hidden>
        <span
          className={`block h-full ${over ? 'bg-lichen' : 'bg-moss'}`}
          style={{ width: `${share * 100}%` }}
        />
      </span>
    </span>
  );
}
