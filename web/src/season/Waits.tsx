import type { WaitLine } from '../api/client';
import { shortDay } from './dates';
import { VERDICTS } from './verdicts';

/** Why the schedule begins some blocks later than it could. */
export function Waits({ waits }: { waits: WaitLine[] }) {
  if (waits.length === 0) return null;
  return (
    <details className="mt-3 border-b border-line pb-2">
      <summary className="min-h-9 content-center font-semibold">
        {waits.length} {waits.length === 1 ? 'block waits' : 'blocks wait'} although work would be possible
        sooner
      </summary>
      <ul>
        {waits.map((one) => (
          <li key={one.blockId} className="border-t border-line py-1 text-[14px]">
            <b>{one.block}</b> is possible from {shortDay(one.possibleFrom)} and planned from{' '}
            {shortDay(one.plannedFrom)}:{' '}
            {one.because === 'better-days'
              ? `its days are “${VERDICTS[one.verdictThen]?.word ?? one.verdictThen}” from ${shortDay(one.suitsFrom)}, before that at most “${VERDICTS[one.verdictBefore]?.word ?? one.verdictBefore}”.`
              : 'the hands are taken by other blocks before that.'}
          </li>
        ))}
      </ul>
      <p className="border-t border-line pt-1 text-[13.5px] text-muted">
        To begin sooner, put a piece of its work on an earlier day by hand; it stays there.
      </p>
    </details>
  );
}
