import type { FarmLine } from '../api/client';

/** Farms in the order in which they ask for somebody: what is overdue, due, waits for an answer or is doubtful; then by name. */
export function byNeed(farms: readonly FarmLine[]): FarmLine[] {
  const need = (one: FarmLine) => [one.overdue, one.due, one.suggested, one.doubtful];
  return [...farms].sort((a, b) => {
    const [left, right] = [need(a), need(b)];
    const differs = left.findIndex((count, i) => count !== right[i]);
    return differs < 0 ? a.name.localeCompare(b.name) : (right[differs] ?? 0) - (left[differs] ?? 0);
  });
}

/** Farms whose name holds every word of a search. */
export function matching(farms: readonly FarmLine[], search: string): FarmLine[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return farms.filter((one) => words.every((word) => one.name.toLowerCase().includes(word)));
}
