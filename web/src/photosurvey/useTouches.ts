import { useReducer } from 'react';
import type { Touches } from './kept';

export interface History {
  past: Touches[];
  now: Touches;
  future: Touches[];
}

export type Step =
  { kind: 'set'; next: Touches } | { kind: 'undo' | 'redo' } | { kind: 'begin'; from: Touches };

const MOST_STEPS_BACK = 300;

/** The history after a step. */
export function stepped(history: History, step: Step): History {
  const { past, now, future } = history;
  if (step.kind === 'begin') return { past: [], now: step.from, future: [] };
  if (step.kind === 'set')
    return { past: [...past.slice(-MOST_STEPS_BACK), now], now: step.next, future: [] };
  if (step.kind === 'undo') {
    const before = past.at(-1);
    return before ? { past: past.slice(0, -1), now: before, future: [now, ...future] } : history;
  }
  const [after, ...rest] = future;
  return after ? { past: [...past, now], now: after, future: rest } : history;
}

/** What is touched, with every step undone and made again. */
export function useTouches(first: Touches) {
  const [history, step] = useReducer(stepped, { past: [], now: first, future: [] });
  return {
    touches: history.now,
    canUndo: history.past.length > 0,
    canRedo: history.future.length > 0,
    begin: (from: Touches) => {
      step({ kind: 'begin', from });
    },
    set: (next: Touches) => {
      step({ kind: 'set', next });
    },
    undo: () => {
      step({ kind: 'undo' });
    },
    redo: () => {
      step({ kind: 'redo' });
    },
  };
}
