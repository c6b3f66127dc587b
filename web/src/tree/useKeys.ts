import { useEffect, useMemo, type Dispatch, type SetStateAction } from 'react';
import type { TreePage } from '../api/client';
import { keyOf } from '../api/marks';
import { inField, singleKeysOn } from '../ui/singleKeys';
import type { Showing } from '../stand/paint';
import type { Work } from './useWork';

/** What the keys of the tree view change. */
interface Changes {
  select: (limb: string | null) => void;
  cut: Dispatch<SetStateAction<boolean>>;
  stage: Dispatch<SetStateAction<Showing['stage']>>;
  /** Shows the light, or the wood again. */
  light: () => void;
  target: Dispatch<SetStateAction<boolean>>;
}

/** Single keys at the tree: next and previous limb, take it off, cut, undo, light, target, after. */
export function useKeys(page: TreePage, work: Work, selected: string | null, change: Changes) {
  const { select, cut, stage, light, target } = change;
  const limbIds = useMemo(() => ['trunk', ...page.limbs.map((limb) => limb.id)], [page.limbs]);
  useEffect(() => {
    const keys = (event: KeyboardEvent) => {
      if (inField(event)) {
        return;
      }
      const control = event.ctrlKey || event.metaKey;
      const step = (by: number) => {
        const at = selected ? limbIds.indexOf(selected) : by > 0 ? -1 : 0;
        select(limbIds[(at + by + limbIds.length) % limbIds.length] ?? null);
      };
      const key = event.key.toLowerCase();
      if (control && key === 'z') {
        event.preventDefault();
        if (event.shiftKey) work.redo();
        else work.undo();
      } else if (control || !singleKeysOn()) {
        return;
      } else if (key === 'n') step(1);
      else if (key === 'p') step(-1);
      else if (key === 'x' && selected && selected !== 'trunk') {
        const mark = `remove@${selected}`;
        if (work.marks.some((one) => keyOf(one) === mark)) work.unmark(mark);
        else work.take({ operation: 'remove', limb: selected });
      } else if (key === 'c') cut((now) => !now);
      else if (key === 'h') stage((now) => (now === 'after' ? 'marks' : 'after'));
      else if (key === 'l') light();
      else if (key === 't') target((now) => !now);
      else if (key === 'escape') {
        cut(false);
        select(null);
      }
    };
    window.addEventListener('keydown', keys);
    return () => {
      window.removeEventListener('keydown', keys);
    };
  }, [selected, limbIds, select, cut, stage, light, target, work]);
}
