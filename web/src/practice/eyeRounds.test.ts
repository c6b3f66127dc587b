import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { EyeQuestion } from '../api/client';
import { bestWith, keepRound, keptRound, layBy, sendRounds, waitingRounds } from './eyeRounds';

const QUESTION = { skill: 'eye-bud', asks: 'Which bud?', options: ['a', 'b'], right: 0 } as EyeQuestion;
const ROUND = [{ skill: 'eye-bud', right: true }];

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

  it('are laid by and sent in their order', async () => {
    layBy(ROUND);
    layBy([{ skill: 'eye-age', right: false }]);
    const sent: string[] = [];
    await sendRounds((round) => {
      sent.push(round[0]?.skill ?? '');
      return Promise.resolve();
    });
    expect(sent).toEqual(['eye-bud', 'eye-age']);
    expect(waitingRounds()).toEqual([]);
  });

  it('stay where they cannot be sent, and none is sent twice', async () => {
    layBy(ROUND);
    layBy(ROUND);
    let times = 0;
    await expect(
      sendRounds(() => (times++ === 0 ? Promise.resolve() : Promise.reject(new Error('no signal')))),
    ).rejects.toThrow('no signal');
    expect(waitingRounds()).toEqual([ROUND]);
  });

  it('remember the best minute', () => {
    expect(bestWith(7)).toBe(7);
    expect(bestWith(4)).toBe(7);
    expect(bestWith(9)).toBe(9);
  });

  it('begin anew where what was kept cannot be read', () => {
    localStorage.setItem('umbel.eye-rounds-to-send', '{');
    expect(waitingRounds()).toEqual([]);
  });
});
