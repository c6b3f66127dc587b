import { useMemo, useSyncExternalStore } from 'react';
import type { Outbox } from './outbox';

/** What waits on this device to be sent, as it stands now. */
export function useWaiting<T>(outbox: Outbox<T>): T[] {
  const text = useSyncExternalStore(outbox.listen, outbox.text);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- what is kept is read anew when its text changes
  return useMemo(() => outbox.waiting(), [outbox, text]);
}
