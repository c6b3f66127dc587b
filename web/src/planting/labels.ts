/** Places as near as can be to those wanted, at least so far from one another, within from and to while there is room. */
export function apart(wanted: readonly number[], gap: number, from: number, to: number): number[] {
  const order = wanted.map((_, i) => i).sort((one, other) => (wanted[one] ?? 0) - (wanted[other] ?? 0));
  const placed = [...wanted];
  let least = from;
  for (const i of order) {
    placed[i] = Math.max(placed[i] ?? 0, least);
    least = (placed[i] ?? 0) + gap;
  }
  let most = to;
  for (const i of order.reverse()) {
    placed[i] = Math.min(placed[i] ?? 0, most);
    most = (placed[i] ?? 0) - gap;
  }
  return placed;
}

/** A name short enough to stand beside a line. */
export function short(name: string, most: number): string {
  return name.length <= most ? name : `${name.slice(0, most - 1).trimEnd()}…`;
}
