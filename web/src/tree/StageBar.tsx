import { useSay } from '../text/say';
import { useMemo } from 'react';
import { Link } from 'react-router';
import type { Totals, Years } from '../api/client';
import type { View } from '../stand/camera';
import type { Stand } from '../stand/geometry';
import type { Showing } from '../stand/paint';
import { SmallTree } from '../stand/SmallTree';
import { minutes, percent } from '../ui/words';
import type { Ahead } from './useYears';

interface Props {
  stand: Stand;
  view: View;
  stage: Showing['stage'];
  onStage: (stage: Showing['stage']) => void;
  showing: Showing;
  totals: Totals | undefined;
  nothing: Totals | undefined;
  previous: number | undefined;
  next: number | undefined;
  ahead: Ahead | null;
  onAhead: (ahead: Ahead | null) => void;
  years: Years | undefined;
  yearCount: number;
}

const NONE: ReadonlySet<string> = new Set();

/** The same tree as found, marked, and after the cuts; the eye compares. */
export function StageBar(props: Props) {
  const say = useSay();
  const {
    stand,
    view,
    stage,
    onStage,
    showing,
    totals,
    nothing,
    previous,
    next,
    ahead,
    onAhead,
    years,
    yearCount,
  } = props;
  const plain = useMemo(() => {
    const at = (one: Showing['stage']): Showing => ({ ...showing, layer: 'wood', stage: one, lit: NONE });
    return { found: at('found'), marks: at('marks'), after: at('after') };
  }, [showing]);
  const cards = [
    {
      id: 'found',
      words: say('stage-bar.as-found'),
      note: nothing
        ? say('stage-bar.underfruitlight-in-shade', {
            underFruitLight: percent(nothing.lightAfter.underFruitLight),
          })
        : '',
    },
    {
      id: 'marks',
      words: say('stage-bar.marked'),
      note:
        totals && totals.cuts > 0
          ? say('stage-bar.cuts-cuts-minutes', { cuts: totals.cuts, minutes: minutes(totals.minutes) })
          : say('stage-bar.nothing-marked'),
    },
    {
      id: 'after',
      words: say('stage-bar.after'),
      note:
        totals && totals.cuts > 0
          ? say('stage-bar.underfruitlight-in-shade-masskg-kg', {
              underFruitLight: percent(totals.lightAfter.underFruitLight),
              masskg: Math.round(totals.mass_kg),
            })
          : say('stage-bar.as-found-2'),
    },
  ] as const;
  return (
    <div className="flex h-[86px] border-t border-line bg-paper max-md:overflow-x-auto">
      <Step to={previous} words={say('stage-bar.tree-before')} sign="‹" />
      <div
        role="group"
        aria-label={say('stage-bar.before-and-after')}
        className="flex flex-1 max-md:min-w-[420px]"
      >
        {cards.map((card) => (
          <button
            key={card.id}
            type="button"
            aria-pressed={!ahead && stage === card.id}
            onClick={() => {
              onStage(card.id);
            }}
            className={`flex flex-1 items-center justify-between gap-2 border-t-[3px] border-r border-r-line px-4 text-left ${
              !ahead && stage === card.id
                ? 'border-t-ink bg-paper'
                : 'border-t-transparent bg-sand hover:bg-paper'
            }`}
          >
            <span>
              <span className="block text-[14.5px] font-semibold">{card.words}</span>
              <span className="block text-[13px] text-muted">{card.note}</span>
            </span>
            <SmallTree stand={stand} view={view} showing={plain[card.id]} width={60} height={76} />
          </button>
        ))}
      </div>
      <div role="group" aria-label={say('stage-bar.years-to-come')} className="flex">
        {Array.from({ length: yearCount }, (_, i) => i + 1).map((year) => {
          const expected = years?.marked[year - 1];
          return (
            <button
              key={year}
              type="button"
              aria-pressed={ahead?.year === year}
              title={say('stage-bar.the-tree-as-it-is', {
                part: year === 1 ? say('stage-bar.next-winter') : say('stage-bar.in-year-winters', { year }),
              })}
              onClick={() => {
                onAhead(ahead?.year === year ? null : { year, alone: ahead?.alone ?? false });
              }}
              className={`w-[76px] border-t-[3px] border-r border-r-line px-2 text-left ${
                ahead?.year === year ? 'border-t-ink bg-paper' : 'border-t-transparent bg-sand hover:bg-paper'
              }`}
            >
              <span className="block text-[14px] font-semibold">
                {year === 1 ? say('stage-bar.next') : say('stage-bar.in-year', { year })}
              </span>
              <span className="block text-[12.5px] text-muted">{say('stage-bar.winters', { year })}</span>
              <span className="block text-[12.5px] text-muted">
                {expected
                  ? say('stage-bar.middle-fruits', { middle: Math.round(expected.fruits.middle) })
                  : ''}
              </span>
            </button>
          );
        })}
      </div>
      <Step to={next} words={say('stage-bar.next-tree')} sign="›" />
    </div>
  );
}

function Step({ to, words, sign }: { to: number | undefined; words: string; sign: string }) {
  const look = 'grid w-11 place-items-center text-[26px] leading-none';
  return to === undefined ? (
    <span className={`${look} text-line`} aria-hidden>
      {sign}
    </span>
  ) : (
    <Link to={`/trees/${to}`} className={`${look} hover:bg-sand`} aria-label={words} title={words}>
      {sign}
    </Link>
  );
}
