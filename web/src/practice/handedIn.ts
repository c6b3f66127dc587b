import type { Mark } from '../api/client';
import { asksAgain, Problem } from '../api/problem';

/** An answer that was handed in where there was no signal. */
export interface HandedIn {
  /** Who worked on it; it is sent under no other name. */
  who: string;
  code: string;
  marks: Mark[];
  pointed: string[];
}

const WAITING = 'umbel.practice-to-send';
const MOST_WAITING = 50;

/** Answers that the server has not got yet, the oldest first. */
export function waitingAnswers(): HandedIn[] {
  try {
    return JSON.parse(localStorage.getItem(WAITING) ?? '[]') as HandedIn[];
  } catch {
    return [];
  }
}

function keep(answers: HandedIn[]): void {
  localStorage.setItem(WAITING, JSON.stringify(answers.slice(-MOST_WAITING)));
}

/** Lays an answer by until it can be sent; of one exercise the last answer counts. */
export function layAnswerBy(answer: HandedIn): void {
  keep([...waitingAnswers().filter((one) => !isSame(one, answer)), answer]);
}

/** Forgets the answer somebody laid by for an exercise. */
export function forgetAnswer(who: string, code: string): void {
  keep(waitingAnswers().filter((one) => !isSame(one, { who, code })));
}

/** Sends what somebody laid by; stops at the first that finds no signal, and drops what the server refuses for good. */
export async function sendAnswers(who: string, send: (answer: HandedIn) => Promise<unknown>): Promise<void> {
  for (const one of waitingAnswers().filter((other) => other.who === who)) {
    try {
      await send(one);
    } catch (error) {
      if (asksAgain(error instanceof Problem ? error.status : 0)) return;
    }
    forgetAnswer(one.who, one.code);
  }
}

function isSame(one: { who: string; code: string }, other: { who: string; code: string }): boolean {
  return one.who === other.who && one.code === other.code;
}
