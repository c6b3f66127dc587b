import { answer, api, type EyeAnswer } from '../api/client';
import { lastHere } from '../people/who';
import { eyeRounds } from './eyeRounds';
import { handedIn } from './handedIn';
import { sendAnswer } from './withoutSignal';

function sendRound(round: EyeAnswer[]) {
  return answer(api.POST('/api/practice/eye/results', { body: { answers: round } }));
}

/** Sends what was practised without signal; an answer under the name of who worked on it only. */
export async function sendPractised(): Promise<void> {
  const who = lastHere()?.name;
  await eyeRounds.send(sendRound);
  await handedIn.send(sendAnswer, (one) => one.who === who);
}
