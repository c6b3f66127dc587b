import { answer, api, type PracticeKit, type PracticeVerdict } from '../api/client';
import { notReached } from '../api/problem';
import type { HandedIn } from './handedIn';
import { keepKit, keptKit } from './kits';

/** What the server says; where it cannot be reached, what is made of the exercise as this device has kept it. */
export async function orWithoutSignal<T>(
  asked: Promise<T>,
  code: string,
  make: (kit: PracticeKit) => T,
): Promise<T> {
  try {
    return await asked;
  } catch (error) {
    const kit = notReached(error) ? await keptKit(code) : undefined;
    if (!kit) throw error;
    return make(kit);
  }
}

/** Hands an answer in to be marked. */
export function sendAnswer({ code, marks, pointed }: HandedIn): Promise<PracticeVerdict> {
  return answer(
    api.POST('/api/practice/exercises/{code}/answer', {
      params: { path: { code } },
      body: { marks, pointed },
    }),
  );
}

/** Fetches what an exercise needs where there is no signal, and keeps it on this device. */
export async function keepForLater(code: string): Promise<void> {
  await keepKit(
    code,
    await answer(api.GET('/api/practice/exercises/{code}/kit', { params: { path: { code } } })),
  );
}
