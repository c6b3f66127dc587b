import { describe, expect, it } from 'vitest';
import type { PlantingOption } from '../api/client';
import { FIRST } from './request';
import { fromFile, toFile, yearsTable } from './scenario';

const option = (name: string, net: number) =>
  ({
    name,
    years: [
      {
        year: 3,
        interception: 0.4,
        yield_kgPerHa: 12000.126,
        firstClass: 0.8,
        revenue: 9000,
        costs: { training: 100, pruning: 200, thinning: 50, picking: 900, other: 400 },
        hours: { ground: 60, ladder: 0, platform: 12.5 },
        net,
        cumulative: -5000,
      },
    ],
  }) as unknown as PlantingOption;

describe('a comparison as a file', () => {
  it('comes back as it went', () => {
    expect(fromFile(toFile(FIRST))).toEqual(FIRST);
  });

  it('is told from other files', () => {
    expect(fromFile('{"format":"umbel-survey/1"}')).toBeNull();
    expect(fromFile('{"format":"umbel-planting-scenario/1","request":{"options":3}}')).toBeNull();
    expect(fromFile('no file')).toBeNull();
  });

  it('has its years as a table that opens anywhere and runs nothing', () => {
    const lines = yearsTable([option('A', 7350), option('=B,"x"', -1)]).split('\r\n');
    expect(lines).toHaveLength(4);
    expect(lines[0]?.split(',')).toHaveLength(15);
    expect(lines[1]).toBe('A,3,12000.13,0.8,9000,100,200,50,900,400,60,0,12.5,7350,-5000');
    expect(lines[2]?.startsWith('"\'=B,""x""",3,')).toBe(true);
  });
});
