import type { PlantingOption, PlantingRequest } from '../api/client';
import { fromAddress } from './request';

/** What a file of a comparison says it is. */
const FORMAT = 'umbel-planting-scenario/1';

/** A comparison as a file: all that is sent, so that it can be opened anywhere and gives the same answer. */
export function toFile(request: PlantingRequest): string {
  return JSON.stringify({ format: FORMAT, request }, null, 2);
}

/** The comparison of a file; null where it is none. */
export function fromFile(text: string): PlantingRequest | null {
  try {
    const read = JSON.parse(text) as { format?: string; request?: unknown } | null;
    return read?.format === FORMAT ? fromAddress(JSON.stringify(read.request)) : null;
  } catch {
    return null;
  }
}

const COLUMNS = [
  'option',
  'year',
  'yield_kgPerHa',
  'firstClass',
  'revenue',
  'training',
  'pruning',
  'thinning',
  'picking',
  'other',
  'hoursGround',
  'hoursLadder',
  'hoursPlatform',
  'net',
  'cumulative',
] as const;

const CENTS = 100;

/** The years of all options as a table of comma-separated values; money, hours and kilograms a hectare. */
export function yearsTable(options: readonly PlantingOption[]): string {
  const rounded = (value: number) => String(Math.round(value * CENTS) / CENTS);
  const lines = options.flatMap((option) =>
    option.years.map((year) =>
      [
        quoted(option.name),
        String(year.year),
        ...[
          year.yield_kgPerHa,
          year.firstClass,
          year.revenue,
          year.costs.training,
          year.costs.pruning,
          year.costs.thinning,
          year.costs.picking,
          year.costs.other,
          year.hours.ground,
          year.hours.ladder,
          year.hours.platform,
          year.net,
          year.cumulative,
        ].map(rounded),
      ].join(','),
    ),
  );
  return [COLUMNS.join(','), ...lines].join('\r\n') + '\r\n';
}

/** A name as a cell: never a formula, quoted where it must be. */
function quoted(name: string): string {
  const safe = /^[=+\-@\t]/.test(name) ? `'${name}` : name;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}
