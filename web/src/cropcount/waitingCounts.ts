import { keptAs } from '../api/farm';
import { answer, api } from '../api/client';
import { Outbox } from '../api/outbox';
import type { components } from '../api/schema';

/** A count of a block that was finished where there was no signal; the server keeps it once however often it is sent. */
export interface WaitingCount {
  block: number;
  count: components['schemas']['CountSent'];
  /** Why the server did not take it; empty while it only waits. */
  refused: string;
}

export const waitingCounts = new Outbox<WaitingCount>(keptAs('umbel.crop-counts-to-send'), 50);

/** Keeps a count of a block. */
export function sendCount({ block, count }: WaitingCount) {
  return answer(api.POST('/api/blocks/{id}/crop-counts', { params: { path: { id: block } }, body: count }));
}

/** Sends the counts that wait on this device; what the server refuses stays, with the reason, to be mended. */
export function sendCounts(): Promise<void> {
  return waitingCounts.send(
    sendCount,
    (one) => one.refused === '',
    (one, why) => [{ ...one, refused: why }],
  );
}
