import { describe, expect, it } from 'vitest';
import { noteSave, whenSaved } from './saving';

describe('saves under way', () => {
  it('are waited for by whoever shows the plant next, those that fail too', async () => {
    const told: string[] = [];
    let end: () => void = () => undefined;
    noteSave(
      1,
      new Promise<void>((done) => (end = done)).then(() => told.push('first')),
    );
    noteSave(1, Promise.reject(new Error('no signal')));
    const shown = whenSaved(1).then(() => told.push('shown'));
    await whenSaved(2).then(() => told.push('another plant'));
    end();
    await shown;
    expect(told).toEqual(['another plant', 'first', 'shown']);
    await whenSaved(1);
  });
});
