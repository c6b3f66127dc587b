import { useSay } from '../text/say';
import type { BlockSeason } from '../api/client';
import { daysBetween, shortDay } from './dates';
import { PHASES } from '../ui/phases';
import { VERDICTS } from './verdicts';

const HEIGHT = 34;

interface Props {
  block: BlockSeason;
  from: string;
  days: number;
  today: string;
  chosen: string;
  /** Days with work planned in this block. */
  worked: ReadonlySet<string>;
  choose: (day: string) => void;
  dayAt: (share: number) => string;
}

/** A block's year in one strip: taller is better, a dot is bloom, ticks under it are work that is planned. */
export function YearStrip({ block, from, days, today, chosen, worked, choose, dayAt }: Props) {
  const say = useSay();
  const at = (iso: string) => daysBetween(from, iso);
  const spoken = block.spans
    .filter((span) => span.verdict !== 'not')
    .map((span) =>
      say('year-strip.word-from-to-to', {
        word: VERDICTS[span.verdict]?.word ?? '',
        from: shortDay(span.from),
        to: shortDay(span.to),
      }),
    )
    .slice(0, 6)
    .join('; ');
  return (
    <svg
      viewBox={`0 0 ${days} ${HEIGHT}`}
      preserveAspectRatio="none"
      className="block h-[38px] w-full cursor-pointer"
      role="img"
      aria-label={`${block.name}: ${spoken || say('year-strip.no-day-suits-it')}`}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        choose(dayAt((event.clientX - box.left) / box.width));
      }}
    >
      {block.spans.map((span) => {
        const look = VERDICTS[span.verdict];
        const high = (look?.height ?? 0) * (HEIGHT - 8);
        return (
          <rect
            key={span.from}
            x={at(span.from)}
            width={daysBetween(span.from, span.to) + 1}
            y={HEIGHT - 6 - high}
            height={high}
            className={look?.fill}
          >
            <title>
              {say('year-strip.from-to-to-phases-word', {
                from: shortDay(span.from),
                to: shortDay(span.to),
                PHASES: PHASES[span.phase] ?? span.phase,
                word: look?.word ?? '',
                reason: span.reason,
              })}
            </title>
          </rect>
        );
      })}
      {[...worked].map((iso) => (
        <rect key={iso} x={at(iso)} width={1} y={HEIGHT - 5} height={5} className="fill-ink" />
      ))}
      <Line at={at(block.dates.bloom)} days={days} className="fill-tape" />
      <rect x={at(today)} width={0.8} y={0} height={HEIGHT} className="fill-ink" />
      {chosen !== today && <rect x={at(chosen)} width={0.8} y={0} height={HEIGHT} className="fill-muted" />}
    </svg>
  );
}

function Line({ at, days, className }: { at: number; days: number; className: string }) {
  if (at < 0 || at >= days) return null;
  return <rect x={at} width={1.4} y={0} height={9} className={className} />;
}
