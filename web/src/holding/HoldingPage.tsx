import { term } from '../text/term';
import { locale } from '../text/language';
import { say, useSay } from '../text/say';
import { useRuleNames } from '../guide/useRules';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useLocation, useNavigate } from 'react-router';
import { answer, api, type BlockEntry, type BlockLine, type BlockSeason, type TreeLine } from '../api/client';
import { hours, shortDay } from '../season/dates';
import { Failed, Loading } from '../ui/States';
import { day, percent } from '../ui/words';
import { useListed } from '../ui/Listed';
import { UndoNotice } from '../ui/Undone';
import { CorrectHoldings } from './CorrectHoldings';
import { Drafts } from './Drafts';
import { HoldingMap } from './HoldingMap';
import { MapFile } from './MapFile';
import { useMayChange } from '../people/who';
import { Setup } from './Setup';
import { NewTree } from './NewTree';
import { YearsOfTheHolding } from '../years/YearsParts';

const STATE_WORDS: Record<string, string> = {
  get 'to-decide'() {
    return say('holding-page.to-decide');
  },
  get marked() {
    return term('marked');
  },
  get done() {
    return term('done');
  },
};

const LOOK_AGAIN_MS = 3_000;

const LISTED_AT_FIRST = 50;

/** The whole holding: its blocks, its surveyed trees, and what each needs first. */
export function HoldingPage() {
  const say = useSay();
  const ruleName = useRuleNames();
  const page = useQuery({
    queryKey: ['holding'],
    queryFn: () => answer(api.GET('/api/holding')),
    refetchInterval: (query) => (query.state.data?.unread ? LOOK_AGAIN_MS : false),
  });
  const season = useQuery({ queryKey: ['season'], queryFn: () => answer(api.GET('/api/season')) });
  const mayChange = useMayChange();
  const go = useNavigate();
  const queries = useQueryClient();
  const location = useLocation();
  const before = (location.state as { deletedBlock?: BlockEntry } | null)?.deletedBlock;
  const deleted = before
    ? {
        words: say('holding-page.name-is-deleted', { name: before.name }),
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

  if (page.isPending) return <Loading what={say('holding-page.reading-the-trees')} />;
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
          <h1 className="text-[28px] font-bold">{name || say('holding-page.no-holding-yet')}</h1>
          <p className="text-muted">
            {say('holding-page.length-surveyed-trees-in-length2', {
              length: all.length,
              length2: blocks.length,
              count: count('to-decide'),
              count2: count('marked'),
              count3: count('done'),
            })}
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-3">
          <label className="sr-only" htmlFor="seek">
            {say('holding-page.search-trees')}
          </label>
          <input
            id="seek"
            autoFocus={new URLSearchParams(location.search).has('seek')}
            type="search"
            placeholder={say('holding-page.tree-cultivar-or-fault')}
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
            className="min-h-10 w-64 rounded-md border border-muted/50 bg-paper px-3"
          />
          <label className="sr-only" htmlFor="need">
            {say('holding-page.show')}
          </label>
          <select
            id="need"
            value={need}
            onChange={(event) => {
              setNeed(event.target.value);
            }}
            className="min-h-10 rounded-md border border-muted/50 bg-paper px-2"
          >
            <option value="">{say('holding-page.all-trees')}</option>
            <option value="to-decide">{say('holding-page.to-decide')}</option>
            <option value="marked">{say('holding-page.marked')}</option>
            <option value="done">{say('holding-page.done')}</option>
          </select>
          <Link
            to="/look"
            className={`min-h-10 content-center rounded-md px-3 text-[14px] font-semibold ${blocks.length === 0 ? 'bg-ink text-paper hover:opacity-90' : 'border border-muted/50 hover:bg-sand'}`}
          >
            {say('look.link')}
          </Link>
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
      {page.data.unread > 0 && (
        <p className="mt-4 text-[14px] text-muted" role="status">
          {say('holding-page.still-being-read', { unread: page.data.unread, trees: all.length })}
        </p>
      )}
      {blocks.length === 0 && (
        <p className="mt-8 max-w-prose text-muted">
          {say('holding-page.there-are-no-blocks-here')} <code>{say('holding-page.umbel-demo')}</code>{' '}
          {say('holding-page.in-an-empty-data-folder')}
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
          {say('holding-page.no-tree-answers-to-that')}
        </p>
      )}
      {archived.length > 0 && (
        <p className="mt-6 text-[14px] text-muted">
          {say('holding-page.archived')}{' '}
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
  const say = useSay();
  const { listed, more } = useListed(trees, LISTED_AT_FIRST);
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
          {say('holding-page.treecount-speciesname-trees-cultivar-systemname', {
            counted: block.counted || 'no',
            treeCount: block.treeCount.toLocaleString(locale()),
            speciesName: block.speciesName,
            cultivar: block.cultivar && ` (${block.cultivar})`,
            systemName: block.systemName.toLowerCase(),
            inRowM: block.inRowM,
            betweenRowsM: block.betweenRowsM,
            plantedYear: block.plantedYear,
            note: block.note,
          })}{' '}
          <Link
            to={`/blocks/${block.id}`}
            className="font-semibold whitespace-nowrap text-ink underline underline-offset-4"
          >
            {say('holding-page.read-the-block')}
          </Link>
        </p>
        {season && <Now season={season} />}
      </div>
      {trees.length === 0 && <p className="py-3 text-muted">{say('holding-page.no-tree-of-this-block')}</p>}
      <ul>
        {listed.map((tree) => (
          <TreeRow key={tree.id} tree={tree} />
        ))}
      </ul>
      {more}
    </section>
  );
}

/** A tree, what it needs first, and how far its work is. */
function TreeRow({ tree }: { tree: TreeLine }) {
  const say = useSay();
  const ruleName = useRuleNames();
  return (
    <li className="border-b border-line">
      <Link
        to={`/${tree.counted ? 'plants' : 'trees'}/${tree.id}`}
        className="grid grid-cols-[150px_1fr_116px_96px_128px] items-center gap-4 px-1 py-2.5 hover:bg-sand max-md:grid-cols-2 max-md:gap-x-4 max-md:gap-y-1.5"
      >
        <span>
          <span className="block font-semibold">{tree.label}</span>
          <span className="block text-[13px] text-muted">
            {!tree.read
              ? null
              : tree.counted
                ? say('holding-page.leaf-canes', { leaf: tree.leaf, canes: tree.limbs })
                : say('holding-page.leaf-leaf-heightm-m-limbs', {
                    leaf: tree.leaf,
                    heightM: tree.heightM.toFixed(1),
                    limbs: tree.limbs,
                  })}
          </span>
        </span>
        <span className="min-w-0 max-md:order-last max-md:col-span-2">
          {!tree.read ? (
            <span className="text-muted">{say('holding-page.being-read')}</span>
          ) : tree.all === 0 ? (
            <span className="text-moss">{say('holding-page.well-nothing-to-cut-this')}</span>
          ) : (
            <>
              {ruleName(tree.firstRule) && (
                <span className="font-semibold">{ruleName(tree.firstRule)}. </span>
              )}
              <span className="text-[14px]">{tree.first}</span>
            </>
          )}
        </span>
        <span className="text-[14px]">
          {!tree.read ? null : tree.all === 0 ? (
            <span className="text-muted">{say('holding-page.no-findings')}</span>
          ) : (
            <>
              <b>{tree.act}</b> {say('holding-page.to-act-on')}
              <span className="block text-[13px] text-muted">
                {say('holding-page.all-in-all', { all: tree.all })}
              </span>
            </>
          )}
        </span>
        {tree.counted || !tree.read ? <span /> : <Shade share={tree.shade} over={tree.shaded} />}
        <span className="text-right max-md:order-first max-md:col-start-2 max-md:row-start-1">
          <span
            className={`inline-block rounded-sm px-2 py-0.5 text-[13px] font-semibold ${stateLook(tree.state)}`}
          >
            {STATE_WORDS[tree.state]}
          </span>
          <span className="block text-[12.5px] text-muted">
            {tree.doneOn
              ? say('holding-page.done-on', { doneOn: day(tree.doneOn), who: tree.doneBy })
              : say('holding-page.seen-surveyedon', { surveyedOn: day(tree.surveyedOn) })}
          </span>
        </span>
      </Link>
    </li>
  );
}

/** What the season says of the block: work left against days left. */
function Now({ season }: { season: BlockSeason }) {
  const say = useSay();
  const pressed = season.daysNeeded !== undefined && season.daysLeft < season.daysNeeded;
  return (
    <p className="text-[14px]">
      <b>{hours(season.hours)}</b> {say('holding-page.of-work-left')}
      {season.windowEnd ? (
        <>
          ,{' '}
          <span className={pressed ? 'font-semibold text-lichen' : ''}>
            {say('holding-page.daysleft-suitable-days-until-shortday', {
              daysLeft: season.daysLeft,
              shortDay: shortDay(season.windowEnd),
            })}
          </span>
        </>
      ) : (
        say('holding-page.no-suitable-day-this-year')
      )}
      {season.treesDone > 0 &&
        say('holding-page.treesdone-of-trees-trees-done', {
          treesDone: season.treesDone,
          trees: season.trees,
        })}
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
  const say = useSay();
  return (
    <span className="text-[13px]">
      {percent(share)} <span className="text-muted">{say('holding-page.shaded')}</span>
      <span className="mt-1 block h-[5px] bg-line/70" aria-hidden>
        <span
          className={`block h-full ${over ? 'bg-lichen' : 'bg-moss'}`}
          style={{ width: `${share * 100}%` }}
        />
      </span>
    </span>
  );
}
