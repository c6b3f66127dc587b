import type { Guide } from '../api/client';
import { say } from '../text/say';
import { term } from '../text/term';

const VERDICTS: Record<string, string> = {
  get not() {
    return say('guide-page.not-now');
  },
  get allowed() {
    return term('allowed');
  },
  get better() {
    return term('better');
  },
  get best() {
    return term('best');
  },
};

/** Whether each phase of the year suits its cut, and why. */
export function Phases({ phases }: { phases: Guide['species'][number]['phases'] }) {
  return (
    <ul className="mt-1 text-[13.5px] text-muted">
      {phases.map((phase) => (
        <li key={phase.phase}>
          <b className="text-ink">
            {term(phase.phase)}: {VERDICTS[phase.verdict] ?? phase.verdict}.
          </b>{' '}
          {phase.reason}
        </li>
      ))}
    </ul>
  );
}
