import type { PlantingRequest } from '../api/client';

export type Planting = NonNullable<PlantingRequest['options']>[number];

export const MOST_OPTIONS = 6;
export const LEAST_OPTIONS = 1;

/** Where nobody has chosen yet: a slender wall against wide trees, on the demo's kind of land. */
export const FIRST: PlantingRequest = {
  site: { latitude_deg: 47.6, area_ha: 1, headland_m: 8 },
  horizon_y: 25,
  interest: 0.05,
  wage_perHour: 18,
  currency: 'EUR',
  options: [
    {
      name: 'A',
      species: 'apple',
      system: 'tall-spindle',
      rootstockClass: 'dwarfing',
      vigour: 'moderate',
      spacing_m: { inRow: 1, betweenRows: 3.5 },
      price_perKg: 0.55,
    },
    {
      name: 'B',
      species: 'apple',
      system: 'central-leader',
      rootstockClass: 'semi-vigorous',
      vigour: 'moderate',
      spacing_m: { inRow: 5, betweenRows: 6 },
      price_perKg: 0.55,
    },
  ],
};

/** What an address tells; null where it tells nothing that can be read. */
export function fromAddress(text: string | null): PlantingRequest | null {
  if (!text) return null;
  try {
    const read = JSON.parse(text) as PlantingRequest | null;
    return read && Array.isArray(read.options) ? read : null;
  } catch {
    return null;
  }
}

/** The request with one option changed; what becomes undefined is not sent. */
export function withOption(request: PlantingRequest, at: number, part: Partial<Planting>): PlantingRequest {
  return {
    ...request,
    options: (request.options ?? []).map((one, i) => (i === at ? { ...one, ...part } : one)),
  };
}

/** The request with a copy of an option behind the others, under the next free letter. */
export function withCopy(request: PlantingRequest, at: number): PlantingRequest {
  const options = request.options ?? [];
  const copied = options[at];
  if (!copied || options.length >= MOST_OPTIONS) return request;
  return {
    ...request,
    options: [...options, { ...copied, name: nextName(options.map((one) => one.name ?? '')) }],
  };
}

/** The first letter that no option has. */
export function nextName(names: readonly string[]): string {
  for (let code = 65; code <= 90; code += 1) {
    const name = String.fromCharCode(code);
    if (!names.includes(name)) return name;
  }
  return `${names.length + 1}`;
}

/** Round figures that a scale from one value to another is marked with. */
export function ticks(low: number, high: number, about = 5): number[] {
  const span = high - low;
  if (!(span > 0)) return [low];
  const rough = span / about;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = [1, 2, 5, 10].map((one) => one * power).find((one) => one >= rough) ?? 10 * power;
  const marks: number[] = [];
  for (let at = Math.ceil(low / step) * step; at <= high + step * 1e-9; at += step) {
    marks.push(Math.abs(at) < step * 1e-9 ? 0 : at);
  }
  return marks;
}
