import { useSay } from '../text/say';
import type { WaitLine } from '../api/client';
import { shortDay } from './dates';
import { VERDICTS } from './verdicts';

/** Why the schedule begins some blocks later than it could. */
export function Waits({ waits }: { waits: WaitLine[] }) {
  const say = useSay();
  if (waits.length === 0) return null;
  return (
    <details className="mt-3 border-b border-line pb-2">
      <summary className="min-h-9 content-center font-semibold">
        {say('waits.length-blocks-wait-although-work', { length: waits.length })}
      </summary>
      <ul>
        {waits.map((one) => (
          <li key={one.blockId} className="border-t border-line py-1 text-[14px]">
            <b>{one.block}</b>{' '}
            {say('waits.is-possible-from-shortday-and', {
              shortDay: shortDay(one.possibleFrom),
              shortDay2: shortDay(one.plannedFrom),
              part:
                one.because === 'better-days'
                  ? say('waits.its-days-are-word-from', {
                      word: VERDICTS[one.verdictThen]?.word ?? one.verdictThen,
                      shortDay: shortDay(one.suitsFrom),
                      word2: VERDICTS[one.verdictBefore]?.word ?? one.verdictBefore,
                    })
                  : say('waits.other-blocks-take-the-hands'),
            })}
          </li>
        ))}
      </ul>
      <p className="border-t border-line pt-1 text-[13.5px] text-muted">
        {say('waits.to-begin-sooner-put-a')}
      </p>
    </details>
  );
}
