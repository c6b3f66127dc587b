import { describe, expect, it } from 'vitest';
import { NOT_BEGUN, touchedAt } from './workClock';

describe('the time spent on pictures', () => {
  it('runs from touch to touch, and a pause counts as twenty seconds', () => {
    let clock = NOT_BEGUN;
    for (const at of [1_000, 4_000, 9_500, 3_609_500, 3_612_500]) clock = touchedAt(clock, at);
    expect(clock.ms).toBe(3_000 + 5_500 + 20_000 + 3_000);
  });

  it('does not run backwards where the device’s clock is set back', () => {
    expect(touchedAt(touchedAt(NOT_BEGUN, 5_000), 1_000).ms).toBe(0);
  });
});
