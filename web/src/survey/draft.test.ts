import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dropDraft, keepDraft, keptDraft, keptDrafts } from './draft';
import type { SurveyForm } from './form';
import { dropUnsent, keepUnsent, unsentOf } from '../tree/unsent';

const store = new Map<string, string>();
vi.stubGlobal('localStorage', {
  get length() {
    return store.size;
  },
  key: (i: number) => [...store.keys()][i] ?? null,
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => store.set(key, value),
  removeItem: (key: string) => store.delete(key),
});

function form(label: string, limbs: number): SurveyForm {
  return { label, base: {}, limbs: Array.from({ length: limbs }, () => ({})) } as unknown as SurveyForm;
}

describe('what is kept on this device', () => {
  beforeEach(() => {
    store.clear();
  });

  it('is a survey that was begun, until it is saved', () => {
    keepDraft(7, form('Kiln Field 2-5', 3));
    expect(keptDraft(7)?.label).toBe('Kiln Field 2-5');
    expect(keptDraft(8)).toBeNull();
    dropDraft(7);
    expect(keptDraft(7)).toBeNull();
  });

  it('is listed by the name of the tree, whatever else the device keeps', () => {
    keepDraft(12, form('Long Wall 3-14', 2));
    keepDraft(3, form('Kiln Field 2-9', 11));
    store.set('umbel-survey-draft-x', '{}');
    store.set('umbel.units', 'us');
    expect(keptDrafts()).toEqual([
      { treeId: 3, label: 'Kiln Field 2-9', limbs: 11 },
      { treeId: 12, label: 'Long Wall 3-14', limbs: 2 },
    ]);
  });

  it('is left alone where it is broken or of an earlier version', () => {
    store.set('umbel-survey-draft-5', '{broken');
    store.set('umbel-survey-draft-6', JSON.stringify({ label: 'old', limbs: [] }));
    expect(keptDrafts()).toEqual([]);
  });

  it('is what was marked and not sent, for each person by themselves', () => {
    const unsent = { decisions: { marks: [] }, version: 4, surveyId: 2 } as never;
    keepUnsent('mara', 7, unsent);
    expect(unsentOf('mara', 7)).toEqual(unsent);
    expect(unsentOf('tomas', 7)).toBeNull();
    expect(unsentOf('mara', 8)).toBeNull();
    dropUnsent('mara', 7);
    expect(unsentOf('mara', 7)).toBeNull();
    store.set('umbel.marks.mara.7', 'no JSON');
    expect(unsentOf('mara', 7)).toBeNull();
  });
});
