import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useWaiting } from '../api/useWaiting';
import { useSay } from '../text/say';
import { waitingCounts } from './waitingCounts';

/** Counts of a block that are finished and wait on this device for signal. */
export function WaitingCounts({ id }: { id: number }) {
  const say = useSay();
  const queries = useQueryClient();
  const counts = useWaiting(waitingCounts).filter((one) => one.block === id).length;
  useEffect(() => {
    // one that was sent stands among the kept ones now
    void queries.invalidateQueries({ queryKey: ['crop-counts', id] });
  }, [counts, id, queries]);
  return counts === 0 ? null : (
    <p role="status" className="mb-3 border-l-4 border-ink bg-sand px-4 py-2 text-[15px]">
      {say('crop-count.waiting', { counts })}
    </p>
  );
}
