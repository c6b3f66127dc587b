import { useEffect, useState } from 'react';
import type { SurveyForm } from './form';

/** Where an unfinished survey of a tree is kept in the browser; desk and walk share it. */
const PREFIX = 'umbel-survey-draft-';
const MOST_STEPS_BACK = 200;

/** A survey that was begun on this device and not saved. */
export interface Draft {
  treeId: number;
  label: string;
  limbs: number;
}

/** The unfinished survey of a tree, if one was left. */
export function keptDraft(id: number): SurveyForm | null {
  try {
    const kept = localStorage.getItem(`${PREFIX}${id}`);
    const form = kept ? (JSON.parse(kept) as Partial<SurveyForm>) : null;
    // one left by an earlier version has no document to go on from
    return form?.base && form.limbs ? (form as SurveyForm) : null;
  } catch {
    return null;
  }
}

export function keepDraft(id: number, form: SurveyForm): void {
  localStorage.setItem(`${PREFIX}${id}`, JSON.stringify(form));
}

export function dropDraft(id: number): void {
  localStorage.removeItem(`${PREFIX}${id}`);
}

/** Every survey begun on this device and not saved. */
export function keptDrafts(): Draft[] {
  const drafts: Draft[] = [];
  for (let i = 0; i < localStorage.length; i += 1) {
    const key = localStorage.key(i) ?? '';
    const treeId = Number(key.slice(PREFIX.length));
    const form = key.startsWith(PREFIX) && treeId > 0 ? keptDraft(treeId) : null;
    if (form) drafts.push({ treeId, label: form.label, limbs: form.limbs.length });
  }
  return drafts.sort((a, b) => a.label.localeCompare(b.label));
}

/** The survey as it is typed: every change can be undone, starting over too, and all of it survives a reload. */
export function useDraft(id: number, first: SurveyForm) {
  const [kept] = useState(() => keptDraft(id));
  const [past, setPast] = useState<SurveyForm[]>(() => (kept ? [first, kept] : [first]));
  const [now, setNow] = useState(kept ? 1 : 0);
  const form = past[now] ?? first;
  useEffect(() => {
    if (form === first) dropDraft(id);
    else keepDraft(id, form);
  }, [form, first, id]);
  return {
    form,
    takenUp: kept !== null,
    touched: form !== first,
    canUndo: now > 0,
    canRedo: now < past.length - 1,
    change: (next: SurveyForm) => {
      const before = past.slice(Math.max(0, now + 1 - MOST_STEPS_BACK), now + 1);
      setPast([...before, next]);
      setNow(before.length);
    },
    undo: () => {
      setNow(Math.max(0, now - 1));
    },
    redo: () => {
      setNow(Math.min(past.length - 1, now + 1));
    },
  };
}
