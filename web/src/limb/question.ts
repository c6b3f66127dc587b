import type { LimbQuestion } from '../api/client';

const NUMBERS = ['leaf', 'trunkMm', 'heightCm', 'diameterMm', 'lengthCm', 'angleDeg', 'atCm'] as const;
const WORDS = ['species', 'system', 'condition'] as const;

/** A limb to begin with: a little thick for its place, so that there is something to answer. */
export const FIRST: LimbQuestion = {
  species: 'apple',
  system: 'tall-spindle',
  leaf: 6,
  trunkMm: 55,
  diameterMm: 30,
  angleDeg: 75,
  atCm: 120,
};

/** The question an address holds; the first where it holds none. */
export function fromAddress(search: URLSearchParams): LimbQuestion {
  if ([...search.keys()].length === 0) return FIRST;
  const question: LimbQuestion = {};
  for (const name of NUMBERS) {
    const value = Number(search.get(name) ?? '');
    if (search.has(name) && !Number.isNaN(value)) question[name] = value;
  }
  for (const name of WORDS) {
    const value = search.get(name);
    if (value) question[name] = value;
  }
  if (search.get('over') === 'true') question.over = true;
  return question;
}

/** The address of a question; what was not told is left out. */
export function toAddress(question: LimbQuestion): Record<string, string> {
  return Object.fromEntries(
    Object.entries<string | number | boolean | undefined>(question)
      .filter(([, value]) => value !== undefined)
      .map(([name, value]) => [name, String(value)]),
  );
}
