/** A label's wish: the middle it would stand at, and its size. */
export interface LabelWish {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Where a label stands, and whether it had to move so far that a line should lead from it. */
export interface PlacedLabel {
  x: number;
  y: number;
  moved: boolean;
}

const GAP = 3;

const overlap = (a: LabelWish, b: LabelWish) =>
  Math.abs(a.x - b.x) * 2 < a.width + b.width + 2 * GAP &&
  Math.abs(a.y - b.y) * 2 < a.height + b.height + 2 * GAP;

/**
 * Places labels so that none stands on another: each as near as may be to where it would, above or below, the northern ones first.
 */
export function placeLabels(wishes: readonly LabelWish[]): PlacedLabel[] {
  const order = wishes.map((_, i) => i).sort((a, b) => (wishes[a]?.y ?? 0) - (wishes[b]?.y ?? 0));
  const standing: LabelWish[] = [];
  const placed: PlacedLabel[] = wishes.map(({ x, y }) => ({ x, y, moved: false }));
  for (const i of order) {
    const wish = wishes[i];
    if (!wish) continue;
    const step = wish.height / 2;
    let at = wish;
    for (let k = 1; standing.some((one) => overlap(one, at)); k++) {
      // below, above, further below, …
      at = { ...wish, y: wish.y + (k % 2 === 1 ? 1 : -1) * Math.ceil(k / 2) * step };
    }
    standing.push(at);
    placed[i] = { x: at.x, y: at.y, moved: Math.abs(at.y - wish.y) > wish.height };
  }
  return placed;
}

/** A rectangle of the drawing. */
export interface Extent {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** The drawing with all its labels: as large as told, and larger where labels stand beyond its edges. */
export function withLabels(
  width: number,
  height: number,
  wishes: readonly LabelWish[],
  placed: readonly PlacedLabel[],
): Extent {
  const middles = wishes.map((wish, i) => ({ ...wish, ...placed[i] }));
  const left = Math.min(0, ...middles.map((one) => one.x - one.width / 2));
  const top = Math.min(0, ...middles.map((one) => one.y - one.height / 2));
  return {
    left,
    top,
    width: Math.max(width, ...middles.map((one) => one.x + one.width / 2)) - left,
    height: Math.max(height, ...middles.map((one) => one.y + one.height / 2)) - top,
  };
}
