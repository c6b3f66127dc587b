import { describe, expect, it } from 'vitest';
import { askAgain, Problem } from './problem';

const answered = (status: number) => new Problem('', status, []);

describe('asking again', () => {
  it('never asks again what was refused', () => {
    for (const status of [400, 401, 403, 404, 409, 422]) expect(askAgain(0, answered(status))).toBe(false);
  });

  it('asks a busy server several times and then gives up', () => {
    const asked = Array.from({ length: 10 }, (_, failures) => askAgain(failures, answered(503)));
    expect(asked.filter(Boolean).length).toBeGreaterThan(3);
    expect(asked.at(-1)).toBe(false);
  });

  it('asks once more where nobody answered', () => {
    expect([askAgain(0, answered(0)), askAgain(1, answered(0))]).toEqual([true, false]);
    expect([askAgain(0, new Error('network')), askAgain(1, answered(500))]).toEqual([true, false]);
  });
});
