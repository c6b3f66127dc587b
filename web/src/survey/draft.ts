import type { SurveyForm } from './form';

/** Where an unfinished survey of a tree is kept in the browser; desk and walk share it. */
function draftKey(id: number): string {
  return `umbel-survey-draft-${id}`;
}

/** The unfinished survey of a tree, if one was left. */
export function keptDraft(id: number): SurveyForm | null {
  try {
    const kept = localStorage.getItem(draftKey(id));
    return kept ? (JSON.parse(kept) as SurveyForm) : null;
  } catch {
    return null;
  }
}

export function keepDraft(id: number, form: SurveyForm): void {
  localStorage.setItem(draftKey(id), JSON.stringify(form));
}

export function dropDraft(id: number): void {
  localStorage.removeItem(draftKey(id));
}
