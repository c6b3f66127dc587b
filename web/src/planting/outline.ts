/** A corner of a field: metres east and north. */
export type Corner = readonly [east: number, north: number];

const SQUARE_METRES_IN_HECTARE = 10_000;
const CENTIMETRES = 100;

/** The outline of a field that is not drawn yet: a rectangle of an area, half as wide again as deep. */
export function rectangle(areaHa: number): Corner[] {
  const depth = Math.round(Math.sqrt((areaHa * SQUARE_METRES_IN_HECTARE) / 1.5));
  const width = Math.round((areaHa * SQUARE_METRES_IN_HECTARE) / Math.max(1, depth));
  return [
    [0, 0],
    [width, 0],
    [width, depth],
    [0, depth],
  ];
}

/** The edge of an outline as it is sent, without the corner that closes it. */
export function edgeOf(rings: readonly (readonly (readonly number[])[])[] | undefined): Corner[] {
  const corners = (rings?.[0] ?? []).map((one): Corner => [one[0] ?? 0, one[1] ?? 0]);
  const first = corners[0];
  const last = corners.at(-1);
  const closed = corners.length > 1 && first?.[0] === last?.[0] && first?.[1] === last?.[1];
  return closed ? corners.slice(0, -1) : corners;
}

/** The outline with its edge changed; what is left out of the field stays. */
export function withEdge(
  rings: readonly (readonly (readonly number[])[])[] | undefined,
  edge: readonly Corner[],
): number[][][] {
  const inner = (rings ?? []).slice(1).map((ring) => ring.map((one) => [...one]));
  return [edge.map((one) => [...one]), ...inner];
}

/** The edge with one corner elsewhere, to the centimetre. */
export function moved(edge: readonly Corner[], at: number, to: Corner): Corner[] {
  const rounded = to.map((one) => Math.round(one * CENTIMETRES) / CENTIMETRES) as [number, number];
  return edge.map((one, i) => (i === at ? rounded : one));
}

/** The edge with a new corner in the middle of the side that begins at a corner. */
export function withCorner(edge: readonly Corner[], at: number): Corner[] {
  const from = edge[at];
  const to = edge[(at + 1) % edge.length];
  if (!from || !to) return [...edge];
  return [...edge.slice(0, at + 1), [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2], ...edge.slice(at + 1)];
}

/** The edge without a corner; three stay. */
export function withoutCorner(edge: readonly Corner[], at: number): Corner[] {
  return edge.length <= 3 ? [...edge] : edge.filter((_, i) => i !== at);
}

/** Each side's length and middle, from the first corner on. */
export function sides(edge: readonly Corner[]): { length: number; middle: Corner }[] {
  return edge.map((from, i) => {
    const to = edge[(i + 1) % edge.length] ?? from;
    return {
      length: Math.hypot(to[0] - from[0], to[1] - from[1]),
      middle: [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2],
    };
  });
}

/** The window a field is drawn in: its west and north edge and how far it reaches, with some room about it. */
export function windowOf(edge: readonly Corner[]): { left: number; top: number; size: number } {
  const east = edge.map((one) => one[0]);
  const north = edge.map((one) => one[1]);
  const wide = Math.max(...east) - Math.min(...east);
  const deep = Math.max(...north) - Math.min(...north);
  const size = Math.max(wide, deep, 1) * 1.4;
  return {
    left: (Math.max(...east) + Math.min(...east)) / 2 - size / 2,
    top: (Math.max(...north) + Math.min(...north)) / 2 + size / 2,
    size,
  };
}
