import { useSay } from '../text/say';
import { Button } from './Button';

/** How far something done in the background has come, and the way to stop it. */
export function JobBar({
  job,
  what,
  counted = 'job.done-of-total',
  stop,
}: {
  job: { done: number; total: number };
  what: string;
  /** Says how many are done of how many; trees where nothing else is told. */
  counted?: 'job.done-of-total' | 'job.parts' | 'job.entries';
  stop: () => void;
}) {
  const say = useSay();
  return (
    <>
      <progress value={job.done} max={Math.max(1, job.total)} aria-label={what} className="h-2 w-52" />
      <span role="status">{say(counted, { done: job.done, total: job.total })}</span>
      <Button onClick={stop}>{say('block-page.stop')}</Button>
    </>
  );
}
