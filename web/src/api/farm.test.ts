import { describe, expect, it } from 'vitest';
import { farmOf, inFarm, keptAs, ofFarm } from './farm';

describe('the farm of a page', () => {
  it('is told by how its address begins', () => {
    expect(farmOf('/farms/ab12/trees/3')).toBe('/farms/ab12');
    expect(farmOf('/farms/ab12')).toBe('/farms/ab12');
  });

  it('is the first one where nothing is told', () => {
    expect(farmOf('/trees/3')).toBe('');
    expect(farmOf('/farms/')).toBe('');
    expect(farmOf('/farms/AB!/x')).toBe('');
    expect(inFarm('/api/trees/3')).toBe('/api/trees/3');
    expect(keptAs('umbel.visits')).toBe('umbel.visits');
  });

  it('leads to pages of another', () => {
    expect(farmOf(ofFarm('cd34', '/due'))).toBe('/farms/cd34');
    expect(ofFarm('cd34')).toBe('/farms/cd34/');
  });
});
