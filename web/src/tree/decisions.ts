import { say } from '../text/say';
import type { Decisions, Mark } from '../api/client';
import { keyOf } from '../api/marks';

/**
 * How what is decided stands with the server. `waiting` has been kept on this device and not yet sent; `saving` is on its way;
 * `retrying` was not taken for want of an answer and is sent again; `stale` was changed elsewhere meanwhile; `refused` was
 * answered and not taken.
 */
export type SaveState = 'saved' | 'waiting' | 'saving' | 'retrying' | 'stale' | 'refused';

/** What was decided on a tree in this window, every step back, and what of it the server has. */
export interface Deciding {
  past: Decisions[];
  now: number;
  /** The decisions the server acknowledged last, and the version it gave them. */
  saved: Decisions;
  version: number;
  state: SaveState;
  /** Why the server did not take them. */
  why: string;
  /** How often sending them has failed in a row. */
  failures: number;
}

export type DecidingEvent =
  | { type: 'change'; to: Decisions }
  | { type: 'undo' }
  | { type: 'redo' }
  | { type: 'sending' }
  | { type: 'saved'; sent: Decisions; version: number }
  | { type: 'unanswered' }
  | { type: 'stale'; why: string }
  | { type: 'refused'; why: string }
  | { type: 'loaded'; decisions: Decisions; version: number }
  | { type: 'mine'; version: number };

/** What was kept on this device and not acknowledged. */
export interface Unsent {
  decisions: Decisions;
  version: number;
  surveyId: number;
}

export function current(deciding: Deciding): Decisions {
  return deciding.past[deciding.now] ?? deciding.saved;
}

/** Where deciding begins: with what the server has, and on top of it what this device kept and could not send. */
export function begin(
  decisions: Decisions,
  version: number,
  surveyId: number,
  unsent: Unsent | null,
): Deciding {
  const start: Deciding = {
    past: [decisions],
    now: 0,
    saved: decisions,
    version,
    state: 'saved',
    why: '',
    failures: 0,
  };
  if (unsent?.surveyId !== surveyId || same(unsent.decisions, decisions)) return start;
  return {
    ...start,
    past: [decisions, unsent.decisions],
    now: 1,
    version: unsent.version,
    state: unsent.version === version ? 'waiting' : 'stale',
    why: unsent.version === version ? '' : say('decisions.changed'),
  };
}

/** The same decisions, however they are written: what is null or missing is the same, and so is any order of names. */
export function same(one: Decisions, other: Decisions): boolean {
  return JSON.stringify(plain(one)) === JSON.stringify(plain(other));
}

function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== null && one !== undefined)
      .map(([name, one]): [string, unknown] => [name, plain(one)])
      .filter(([, one]) => typeof one !== 'object' || one === null || Object.keys(one).length > 0)
      .sort(([a], [b]) => a.localeCompare(b)),
  );
}

function moved(deciding: Deciding, past: Decisions[], now: number): Deciding {
  const next = { ...deciding, past, now };
  if (deciding.state === 'stale') return next;
  const unchanged = current(next) === deciding.saved && deciding.state !== 'saving';
  return { ...next, state: unchanged ? 'saved' : 'waiting', why: '' };
}

/** What comes of an event; pure, so that every order of clicks and answers can be tested. */
export function decide(deciding: Deciding, event: DecidingEvent): Deciding {
  switch (event.type) {
    case 'change':
      return moved(
        deciding,
        [...deciding.past.slice(0, deciding.now + 1), event.to],
        Math.min(deciding.now + 1, deciding.past.length),
      );
    case 'undo':
      return moved(deciding, deciding.past, Math.max(0, deciding.now - 1));
    case 'redo':
      return moved(deciding, deciding.past, Math.min(deciding.past.length - 1, deciding.now + 1));
    case 'sending':
      return { ...deciding, state: 'saving' };
    case 'saved': {
      const done = current(deciding) === event.sent;
      return {
        ...deciding,
        saved: event.sent,
        version: event.version,
        state: done ? 'saved' : 'waiting',
        why: '',
        failures: 0,
      };
    }
    case 'unanswered':
      return { ...deciding, state: 'retrying', failures: deciding.failures + 1 };
    case 'stale':
      return { ...deciding, state: 'stale', why: event.why };
    case 'refused':
      return { ...deciding, state: 'refused', why: event.why };
    case 'loaded':
      return begin(event.decisions, event.version, 0, null);
    case 'mine':
      return { ...deciding, version: event.version, state: 'waiting', why: '' };
  }
}

/** Whether there is something the server has not got and may be sent now. */
export function toSend(deciding: Deciding): boolean {
  return deciding.state === 'waiting' || deciding.state === 'retrying';
}

/** Whether something is not yet acknowledged and must be kept on this device. */
export function unacknowledged(deciding: Deciding): boolean {
  return current(deciding) !== deciding.saved && !same(current(deciding), deciding.saved);
}

/** How long to wait before sending, in milliseconds: a moment after a click, longer the more often nobody answered. */
export function waitBeforeSending(deciding: Deciding): number {
  return deciding.failures === 0 ? 400 : Math.min(30_000, 1_500 * 2 ** (deciding.failures - 1));
}

/** By operation, those that may be marked on the same limb beside it; the server tells. */
export type Together = Readonly<Record<string, readonly string[]>>;

/** With a mark taken: others on its limb that cannot stand beside it go, and it is no longer refused. */
export function taking(decisions: Decisions, mark: Mark, together: Together): Decisions {
  const beside = together[mark.operation ?? ''] ?? [];
  const others = (decisions.marks ?? []).filter(
    (one) => one.limb !== mark.limb || beside.includes(one.operation ?? ''),
  );
  const refused = (decisions.refused ?? []).filter((key) => key !== keyOf(mark));
  return { ...decisions, marks: [...others, mark], refused };
}

/** Without a mark. */
export function unmarking(decisions: Decisions, key: string): Decisions {
  return { ...decisions, marks: (decisions.marks ?? []).filter((one) => keyOf(one) !== key) };
}

/** With a step refused, and no longer marked. */
export function refusing(decisions: Decisions, key: string): Decisions {
  return { ...unmarking(decisions, key), refused: [...(decisions.refused ?? []), key] };
}

/** With a step no longer refused. */
export function allowing(decisions: Decisions, key: string): Decisions {
  return { ...decisions, refused: (decisions.refused ?? []).filter((one) => one !== key) };
}
