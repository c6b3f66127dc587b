import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { EyeQuestion } from '../api/client';
import { bestWith, keepRound, keptRound } from './eyeRounds';

const QUESTION = { skill: 'eye-bud', asks: 'Which bud?', options: ['a', 'b'], right: 0 } as EyeQuestion;

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  });
});

describe('rounds of small drawings', () => {
  it('are kept for when there is no signal, in their language', () => {
    expect(keptRound('en')).toBeNull();
    keepRound('en', [QUESTION]);
    expect(keptRound('en')).toEqual([QUESTION]);
    expect(keptRound('es')).toBeNull();
  });

  it('remember the best minute', () => {
    expect(bestWith(7)).toBe(7);
    expect(bestWith(4)).toBe(7);
    expect(bestWith(9)).toBe(9);
  });
});
