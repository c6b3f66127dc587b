/** A field the server found wrong, by its path in what was sent. */
export interface FieldError {
  field: string;
  message: string;
}

/** An answer that was not the one hoped for, in the server's words. */
export class Problem extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly errors: FieldError[],
  ) {
    super(message);
  }
}

const REFUSED = 400;
const SERVER_FAILED = 500;
const BUSY = 503;
const TIMES_WHEN_BUSY = 6;

/**
 * Whether a question that failed so many times is asked again: a refusal never, a server that is busy computing several
 * times, and any other failure once.
 */
export function askAgain(failures: number, error: unknown): boolean {
  const status = error instanceof Problem ? error.status : 0;
  if (status >= REFUSED && status < SERVER_FAILED) return false;
  return failures < (status === BUSY ? TIMES_WHEN_BUSY : 1);
}

/** Whether the server could not be reached at all. */
export function notReached(error: unknown): boolean {
  return !(error instanceof Problem) || error.status === 0;
}

/** Whether the page of a tree was refused because its plant is counted and has pages of its own. */
export function isCounted(error: unknown): boolean {
  return error instanceof Problem && error.status === 409;
}

/** Answers that are no refusal of what was sent: it is sent again later. */
const ASK_AGAIN: ReadonlySet<number> = new Set([401, 408, 429]);

/** Whether an answer is no refusal of what was sent, which is then sent again later. */
export function asksAgain(status: number): boolean {
  return status < 400 || status >= 500 || ASK_AGAIN.has(status);
}
