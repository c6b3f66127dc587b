import { useSay } from '../text/say';
import { Button } from '../ui/Button';

/** How far something done tree by tree has come, and the way to stop it. */
export function JobBar({
  job,
  what,
  stop,
}: {
  job: { done: number; total: number };
  what: string;
  stop: () => void;
}) {
  const say = useSay();
  return (
    <>
      <progress value={job.done} max={Math.max(1, job.total)} aria-label={what} className="h-2 w-52" />
      <span role="status">{say('job.done-of-total', { done: job.done, total: job.total })}</span>
      <Button onClick={stop}>{say('block-page.stop')}</Button>
    </>
  );
}
