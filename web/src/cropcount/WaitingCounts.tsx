import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useWaiting } from '../api/useWaiting';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { waitingCounts, type WaitingCount } from './waitingCounts';

/** Counts of a block that are finished on this device: those that wait for signal, and those that were refused. */
export function WaitingCounts({ id, mend }: { id: number; mend: (count: WaitingCount) => void }) {
  const say = useSay();
  const queries = useQueryClient();
  const all = useWaiting(waitingCounts).filter((one) => one.block === id);
  const counts = all.filter((one) => one.refused === '').length;
  useEffect(() => {
    // one that was sent stands among the kept ones now
    void queries.invalidateQueries({ queryKey: ['crop-counts', id] });
  }, [counts, id, queries]);
  return (
    <>
      {counts > 0 && (
        <p role="status" className="mb-3 border-l-4 border-ink bg-sand px-4 py-2 text-[15px]">
          {say('crop-count.waiting', { counts })}
        </p>
      )}
      {all
        .filter((one) => one.refused !== '')
        .map((one) => (
          <div
            key={one.count.clientId}
            role="alert"
            className="mb-3 border-l-4 border-lichen bg-lichen-wash px-4 py-2 text-[15px]"
          >
            <p>{say('crop-count.refused', { why: one.refused })}</p>
            <Button
              className="mt-2"
              onClick={() => {
                waitingCounts.forget((other) => other.count.clientId === one.count.clientId);
                mend(one);
              }}
            >
              {say('crop-count.mend')}
            </Button>
          </div>
        ))}
    </>
  );
}
