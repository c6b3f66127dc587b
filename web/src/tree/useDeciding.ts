import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useReducer, useRef } from 'react';
import { answer, api, sendOnLeaving, type Decisions, type Mark } from '../api/client';
import { Problem } from '../api/problem';
import {
  allowing,
  begin,
  current,
  decide,
  refusing,
  same,
  taking,
  toSend,
  unacknowledged,
  unmarking,
  waitBeforeSending,
  type DecidingEvent,
  type SaveState,
} from './decisions';
import { useWho } from '../people/who';
import { noteSave } from './saving';
import { dropUnsent, keepUnsent, unsentOf } from './unsent';

/** What is decided on a plant, and how saving it goes. */
export interface DecidingWork {
  decisions: Decisions;
  marks: Mark[];
  saveState: SaveState;
  saveTrouble: string;
  canUndo: boolean;
  canRedo: boolean;
  take: (mark: Mark) => void;
  unmark: (key: string) => void;
  refuse: (key: string) => void;
  allow: (key: string) => void;
  clear: () => void;
  change: (next: Decisions) => void;
  undo: () => void;
  redo: () => void;
  /** Leaves this window's marks and shows those that somebody else made. */
  loadNewer: () => void;
  /** Puts this window's marks in the place of those that somebody else made. */
  keepMine: () => void;
}

const REFUSED_FROM = 400;
const REFUSED_TO = 500;
/** Answers that are no refusal of what was sent: nobody signed in, or too much asked at this moment. */
const ASK_AGAIN: ReadonlySet<number> = new Set([401, 408, 429]);

/** What deciding starts from, and where it is looked at again when somebody else changed it. */
export interface Start {
  decisions: Decisions;
  workVersion: number;
  surveyId: number;
  /** By operation, those that may be marked on the same limb beside it. */
  together: Record<string, string[]>;
  /** The name of its page among the queries: tree or plant. */
  page: 'tree' | 'plant';
  newest: () => Promise<{ decisions: Decisions; workVersion: number }>;
}

/**
 * What the grower decides on one plant. Every click is kept on this device at once and sent a moment later; leaving the page
 * sends it at once, and what could not be sent is sent when the tree is opened again.
 */
export function useDeciding(id: number, start: Start): DecidingWork {
  const { surveyId, page } = start;
  const { login } = useWho();
  const [deciding, dispatch] = useReducer(decide, null, () =>
    begin(start.decisions, start.workVersion, surveyId, unsentOf(login, id)),
  );
  const queries = useQueryClient();
  const decisions = current(deciding);
  const marks = decisions.marks ?? [];
  const latest = useRef(deciding);
  const sending = useRef<Promise<void> | null>(null);
  const fresh = useRef(start.newest);

  useEffect(() => {
    latest.current = deciding;
    if (unacknowledged(deciding)) keepUnsent(login, id, { decisions, version: deciding.version, surveyId });
    else dropUnsent(login, id);
  }, [deciding, decisions, id, login, surveyId]);

  const sendOnce = useCallback(async () => {
    // once the page is left nothing is drawn any more, and what became of the save must be known all the same
    const settle = (event: DecidingEvent) => {
      latest.current = decide(latest.current, event);
      if (!unacknowledged(latest.current)) dropUnsent(login, id);
      dispatch(event);
    };
    const before = latest.current.saved;
    const sent = current(latest.current);
    const version = latest.current.version;
    settle({ type: 'sending' });
    try {
      const kept = await answer(
        api.PUT('/api/trees/{id}/work', { params: { path: { id } }, body: { decisions: sent, version } }),
      );
      settle({ type: 'saved', sent, version: kept.version });
      if (
        before.school !== sent.school ||
        before.schoolLines !== sent.schoolLines ||
        before.hold !== sent.hold
      ) {
        void queries.invalidateQueries({ queryKey: [page, id] }); // another school reads the tree otherwise
      }
      queries.removeQueries({ queryKey: [page, id], type: 'inactive' });
      void queries.invalidateQueries({ queryKey: ['holding'] });
    } catch (error) {
      const status = error instanceof Problem ? error.status : 0;
      const why = error instanceof Error ? error.message : '';
      if (status === 409) {
        // what was sent on leaving the page may be there already
        const now = await fresh.current().catch(() => null);
        if (now && same(now.decisions, sent)) settle({ type: 'saved', sent, version: now.workVersion });
        else settle({ type: 'stale', why });
      } else if (status >= REFUSED_FROM && status < REFUSED_TO && !ASK_AGAIN.has(status))
        settle({ type: 'refused', why });
      else settle({ type: 'unanswered' });
    }
  }, [id, login, page, queries]);

  /** Sends what is decided, after what is being sent; nothing where all was. */
  const send = useCallback((): Promise<void> => {
    if (sending.current) return sending.current;
    if (!toSend(latest.current)) return Promise.resolve();
    const save = sendOnce().finally(() => {
      sending.current = null;
    });
    sending.current = save;
    noteSave(id, save);
    return save;
  }, [id, sendOnce]);

  useEffect(() => {
    if (!toSend(deciding)) return undefined;
    const wait = setTimeout(() => void send(), waitBeforeSending(deciding));
    return () => {
      clearTimeout(wait);
    };
  }, [deciding, send]);

  // leaving: within the program the save goes on by itself; leaving it altogether, the browser is asked to carry it out
  useEffect(() => {
    const leave = () => {
      const now = latest.current;
      if (toSend(now) && unacknowledged(now) && !sending.current) {
        sendOnLeaving(`/api/trees/${id}/work`, { decisions: current(now), version: now.version });
      }
    };
    const online = () => void send();
    window.addEventListener('pagehide', leave);
    window.addEventListener('online', online);
    return () => {
      window.removeEventListener('pagehide', leave);
      window.removeEventListener('online', online);
      noteSave(
        id,
        send().then(() => send()),
      );
    };
  }, [id, send]);

  const change = useCallback((to: Decisions) => {
    dispatch({ type: 'change', to });
  }, []);

  return {
    decisions,
    marks,
    saveState: deciding.state,
    saveTrouble: deciding.why,
    canUndo: deciding.now > 0,
    canRedo: deciding.now < deciding.past.length - 1,
    take: (mark) => {
      change(taking(decisions, mark, start.together));
    },
    unmark: (key) => {
      change(unmarking(decisions, key));
    },
    refuse: (key) => {
      change(refusing(decisions, key));
    },
    allow: (key) => {
      change(allowing(decisions, key));
    },
    clear: () => {
      change({ ...decisions, marks: [], refused: [] });
    },
    change,
    undo: () => {
      dispatch({ type: 'undo' });
    },
    redo: () => {
      dispatch({ type: 'redo' });
    },
    loadNewer: () => {
      dropUnsent(login, id);
      void fresh.current().then((fresh) => {
        dispatch({ type: 'loaded', decisions: fresh.decisions, version: fresh.workVersion });
        void queries.invalidateQueries({ queryKey: [page, id] });
      });
    },
    keepMine: () => {
      void fresh.current().then((fresh) => {
        dispatch({ type: 'mine', version: fresh.workVersion });
      });
    },
  };
}
