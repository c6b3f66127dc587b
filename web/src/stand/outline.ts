/** A point of a line on paper, with how wide the wood is there. */
export interface WidePoint {
  x: number;
  y: number;
  width: number;
}

/** The outline of wood that tapers along a line, as the points of a polygon: up one side and down the other. */
export function outlineOf(line: readonly WidePoint[]): string {
  const left: string[] = [];
  const right: string[] = [];
  line.forEach((point, i) => {
    const before = line[Math.max(0, i - 1)] ?? point;
    const after = line[Math.min(line.length - 1, i + 1)] ?? point;
    const [dx, dy] = [after.x - before.x, after.y - before.y];
    const length = Math.hypot(dx, dy) || 1;
    const [nx, ny] = [((-dy / length) * point.width) / 2, ((dx / length) * point.width) / 2];
    left.push(`${(point.x + nx).toFixed(1)},${(point.y + ny).toFixed(1)}`);
    right.unshift(`${(point.x - nx).toFixed(1)},${(point.y - ny).toFixed(1)}`);
  });
  return [...left, ...right].join(' ');
}
