import { useSay } from '../text/say';
interface Props {
  name: string;
  value: string;
  /** How full, 0…1 of the bar. */
  full: number;
  /** Where the limit's tick stands, 0…1 of the bar; none without. */
  tick?: number | undefined;
  over: boolean;
  note?: string | undefined;
}

/** One gauge: the pair of numbers in words, a bar, and a tick where the limit is. */
export function Gauge({ name, value, full, tick, over, note }: Props) {
  const say = useSay();
  return (
    <div className="min-w-0">
      <div className="truncate text-[12.5px] text-muted">{name}</div>
      <div className="truncate text-[15px] leading-tight font-semibold" data-testid={`gauge-${name}`}>
        {value}
        {over && <span className="ml-1 text-[12.5px] text-lichen">{say('gauge.over')}</span>}
      </div>
      <div className="relative mt-1.5 h-[5px] bg-line/70" aria-hidden>
        <div
          className={`h-full ${over ? 'bg-lichen' : 'bg-moss'}`}
          style={{ width: `${100 * Math.max(0, Math.min(1, full))}%` }}
        />
        {tick !== undefined && (
          <div
            className="absolute -top-[3px] h-[11px] w-[2px] bg-ink"
            style={{ left: `${100 * Math.min(1, tick)}%` }}
          />
        )}
      </div>
      {note && <div className="mt-0.5 truncate text-[12.5px] text-muted">{note}</div>}
    </div>
  );
}
