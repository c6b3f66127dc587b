import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { answer, api, Problem, type Decisions, type Mark, type Marked, type TreePage } from '../api/client';
import { keyOf } from '../api/marks';

const SAVE_AFTER = 500;

export interface Work {
  decisions: Decisions;
  marks: Mark[];
  marked: Marked | undefined;
  markError: Error | null;
  saveState: 'saved' | 'saving' | 'stale' | 'failed';
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
}

const PARTIAL: ReadonlySet<string> = new Set(['head', 'tip', 'shorten', 'reduce']);

/** Whether two marks may stand on one limb: a cut partway and a bend of what it leaves, or flowers taken off. */
function goTogether(one: Mark, other: Mark): boolean {
  const kinds = [one.operation ?? '', other.operation ?? ''];
  if (kinds[0] === kinds[1]) return false;
  if (kinds.includes('deflower')) return true;
  return kinds.includes('bend') && kinds.some((kind) => PARTIAL.has(kind));
}

/** What the grower decides on one tree: every mark can be taken back, is shown at once and kept without being asked. */
export function useWork(id: number, page: TreePage): Work {
  const [past, setPast] = useState<Decisions[]>([page.decisions]);
  const [now, setNow] = useState(0);
  const [saveState, setSaveState] = useState<Work['saveState']>('saved');
  const version = useRef(page.workVersion);
  const saved = useRef(page.decisions);
  const wanted = useRef(page.decisions);
  const busy = useRef(false);
  const queries = useQueryClient();
  const decisions = past[now] ?? page.decisions;
  const marks = decisions.marks ?? [];

  const marked = useQuery({
    queryKey: ['marks', id, decisions],
    queryFn: () => answer(api.POST('/api/trees/{id}/marks', { params: { path: { id } }, body: decisions })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });

  // One save at a time, and always the newest decisions last: what was undone while a save was under way is saved undone.
  const keep = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      while (wanted.current !== saved.current) {
        const sent = wanted.current;
        const kept = await answer(
          api.PUT('/api/trees/{id}/work', {
            params: { path: { id } },
            body: { decisions: sent, version: version.current },
          }),
        );
        version.current = kept.version;
        const other = saved.current;
        if (
          other.school !== sent.school ||
          other.schoolLines !== sent.schoolLines ||
          other.hold !== sent.hold
        ) {
          void queries.invalidateQueries({ queryKey: ['tree', id] }); // another school reads the tree otherwise
        }
        saved.current = sent;
      }
      setSaveState('saved');
      queries.removeQueries({ queryKey: ['tree', id], type: 'inactive' });
      void queries.invalidateQueries({ queryKey: ['holding'] });
    } catch (error) {
      setSaveState(error instanceof Problem && error.status === 409 ? 'stale' : 'failed');
    } finally {
      busy.current = false;
    }
  }, [id, queries]);

  useEffect(() => {
    wanted.current = decisions;
    if (decisions === saved.current && !busy.current) {
      setSaveState((before) => (before === 'saving' ? 'saved' : before));
      return undefined;
    }
    setSaveState('saving');
    const wait = setTimeout(() => void keep(), SAVE_AFTER);
    return () => {
      clearTimeout(wait);
    };
  }, [decisions, keep]);

  const change = useCallback(
    (next: Decisions) => {
      setPast((before) => [...before.slice(0, now + 1), next]);
      setNow(now + 1);
    },
    [now],
  );

  return {
    decisions,
    marks,
    marked: marked.data,
    markError: marked.error,
    saveState,
    canUndo: now > 0,
    canRedo: now < past.length - 1,
    take: (mark) => {
      const others = marks.filter((one) => one.limb !== mark.limb || goTogether(one, mark));
      const refused = (decisions.refused ?? []).filter((key) => key !== keyOf(mark));
      change({ ...decisions, marks: [...others, mark], refused });
    },
    unmark: (key) => {
      change({ ...decisions, marks: marks.filter((one) => keyOf(one) !== key) });
    },
    refuse: (key) => {
      const kept = marks.filter((one) => keyOf(one) !== key);
      change({ ...decisions, marks: kept, refused: [...(decisions.refused ?? []), key] });
    },
    allow: (key) => {
      change({ ...decisions, refused: (decisions.refused ?? []).filter((one) => one !== key) });
    },
    clear: () => {
      change({ ...decisions, marks: [], refused: [] });
    },
    change,
    undo: () => {
      setNow(Math.max(0, now - 1));
    },
    redo: () => {
      setNow(Math.min(past.length - 1, now + 1));
    },
  };
}
