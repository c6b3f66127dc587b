import { describe, expect, it } from 'vitest';
import { apart, short } from './labels';

describe('names at the ends of lines', () => {
  it('stay where they are where there is room', () => {
    expect(apart([10, 80, 40], 12, 0, 100)).toEqual([10, 80, 40]);
  });

  it('move apart where they would lie over one another, and keep their order', () => {
    expect(apart([50, 50, 52], 12, 0, 100)).toEqual([50, 62, 74]);
    const close = apart([95, 98, 99], 12, 0, 100);
    expect(close).toEqual([76, 88, 100]);
  });

  it('are cut where they are long', () => {
    expect(short('Replant 1', 14)).toBe('Replant 1');
    expect(short('A slender wall on the hill', 14)).toBe('A slender wal…');
    expect(short('A slender wa on the hill', 14)).toBe('A slender wa…');
  });
});
