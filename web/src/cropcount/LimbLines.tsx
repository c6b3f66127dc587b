import { useRef, type KeyboardEvent } from 'react';
import { useSay } from '../text/say';
import { unitSign } from '../text/units';
import { MeasureInput } from '../ui/MeasureInput';
import { withLimb, withoutLimb, type CountTyped } from './count';

const BOX = 'min-h-12 w-full rounded-md border border-muted/50 bg-paper px-3 text-[18px]';

/** One line a marked limb: thickness, count. Enter goes on to the next field. */
export function LimbLines({ typed, change }: { typed: CountTyped; change: (next: CountTyped) => void }) {
  const say = useSay();
  const list = useRef<HTMLOListElement>(null);
  const next = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const fields = [...(list.current?.querySelectorAll('input') ?? [])];
    fields[fields.indexOf(event.currentTarget) + 1]?.focus();
  };
  return (
    <>
      <div aria-hidden className="mt-3 grid grid-cols-[28px_1fr_1fr_44px] gap-2 text-[13px] text-muted">
        <span />
        <span>{say('crop-count.thick', { sign: unitSign('mm') })}</span>
        <span>{say(typed.stage === 'bloom' ? 'crop-count.clusters' : 'crop-count.fruits-counted')}</span>
        <span />
      </div>
      <ol ref={list} aria-label={say('crop-count.limbs')}>
        {typed.limbs.map((limb, i) => (
          <li key={i} className="grid grid-cols-[28px_1fr_1fr_44px] items-center gap-2 py-1">
            <b className="text-right text-[15px] text-muted">{i + 1}</b>
            <MeasureInput
              aria-label={say('crop-count.thickness-of', { limb: i + 1 })}
              inputMode="decimal"
              enterKeyHint="next"
              className={BOX}
              value={limb.thick}
              unit="mm"
              change={(thick) => {
                change(withLimb(typed, i, { thick }));
              }}
              onKeyDown={next}
            />
            <input
              aria-label={say('crop-count.count-of', { limb: i + 1 })}
              inputMode="numeric"
              enterKeyHint="next"
              className={BOX}
              value={limb.count}
              onChange={(event) => {
                change(withLimb(typed, i, { count: event.target.value }));
              }}
              onKeyDown={next}
            />
            <button
              type="button"
              aria-label={say('crop-count.remove', { limb: i + 1 })}
              disabled={limb.thick === '' && limb.count === ''}
              className="min-h-11 text-muted hover:text-ink disabled:opacity-30"
              onClick={() => {
                change(withoutLimb(typed, i));
              }}
            >
              ✕
            </button>
          </li>
        ))}
      </ol>
    </>
  );
}
