import type { Camera } from './camera';
import { lightOf, mixed, type Palette } from './palette';
import { between, placesOn, solid, trace, traceTwigs, type Drawn } from './strokes';

const LATERAL = 'fruiting-lateral';
/** Of many buds or sites on a lateral, so many are drawn. */
const MOST_SHOWN = 14;

/** A fruiting lateral with its side branches, thin, behind what a layer tells. */
function standingBack(g: CanvasRenderingContext2D, one: Drawn, colour: string): void {
  g.strokeStyle = colour;
  g.lineWidth = Math.max(0.6, (one.ws[0] ?? 1) * 0.5);
  trace(g, one, 0, one.axis.length);
  traceTwigs(g, one);
  g.stroke();
}

/** The crop layer: wood stands back, every flower bud shows where it is by the size of its disc. */
export function cropWood(
  g: CanvasRenderingContext2D,
  one: Drawn,
  to: number,
  haze: number,
  colours: Palette,
): void {
  const { axis } = one;
  if (axis.kind === LATERAL) {
    standingBack(g, one, mixed([150, 140, 132], colours.fog, haze));
    g.fillStyle = mixed(colours.blossom, colours.fog, haze * 0.6);
    g.strokeStyle = mixed(colours.blossomEdge, colours.fog, haze * 0.6);
    g.lineWidth = 0.6;
    for (const [x, y] of placesOn(one, Math.min(MOST_SHOWN, Math.round(axis.flowerBuds)))) {
      g.beginPath();
      g.arc(x, y, 2.2, 0, 2 * Math.PI);
      g.fill();
      g.stroke();
    }
    return;
  }
  if (axis.kind !== 'spur' && axis.kind !== 'shoot') {
    solid(g, one, 0, to, Math.min(0.85, haze + 0.25), [128, 118, 110], colours);
    return;
  }
  if (axis.kind === 'shoot') {
    g.strokeStyle = mixed([150, 140, 132], colours.fog, haze);
    g.lineWidth = Math.max(0.8, (one.ws[0] ?? 1) * 0.7);
    trace(g, one, 0, to);
    g.stroke();
  }
  if (axis.flowerBuds <= 0.02) {
    return;
  }
  const places = axis.kind === 'spur' ? 1 : Math.max(1, Math.min(4, Math.round(axis.flowerBuds / 3)));
  const size = 1.5 + 2.2 * Math.sqrt(Math.min(3, axis.flowerBuds / places));
  g.fillStyle = mixed(colours.blossom, colours.fog, haze * 0.6);
  g.strokeStyle = mixed(colours.blossomEdge, colours.fog, haze * 0.6);
  g.lineWidth = 0.8;
  for (let k = 0; k < places; k++) {
    const at = axis.kind === 'spur' ? axis.length : (to * (k + 1)) / (places + 0.4);
    const [x, y] = between(one, at);
    g.beginPath();
    g.arc(x, y, size, 0, 2 * Math.PI);
    g.fill();
    g.stroke();
  }
}

/** What was measured in ink, what was counted in brown, what is only expected in pale broken lines. */
export function seenWood(
  g: CanvasRenderingContext2D,
  one: Drawn,
  to: number,
  haze: number,
  colours: Palette,
): void {
  const { seen } = one.axis;
  if (seen === 'measured') {
    solid(g, one, 0, to, haze, colours.measured, colours);
    return;
  }
  const counted = seen === 'counted';
  g.strokeStyle = mixed(counted ? colours.counted : colours.expected, colours.fog, haze);
  g.lineWidth = Math.max(1.1, (one.ws[0] ?? 1) * 0.8);
  g.setLineDash(counted ? [] : [4, 3]);
  trace(g, one, 0, to);
  traceTwigs(g, one);
  g.stroke();
  g.setLineDash([]);
}

/** The light layer: wood stands back in grey, every fruiting place shows its light by colour and by shape. */
export function lightWood(
  g: CanvasRenderingContext2D,
  one: Drawn,
  to: number,
  haze: number,
  lines: readonly [number, number] | undefined,
  colours: Palette,
): void {
  const { axis } = one;
  const step = axis.light === null || !lines ? null : lightOf(axis.light, lines);
  const colour = step === null ? null : (colours.light[step] ?? null);
  if (axis.kind === LATERAL) {
    standingBack(g, one, mixed([150, 146, 140], colours.fog, haze));
    if (colour && step !== null) {
      const shown = Math.min(MOST_SHOWN, Math.max(1, Math.round(axis.sites / 2)));
      for (const [x, y] of placesOn(one, shown)) {
        lightMark(g, x, y, 1.8, step, mixed(colour, colours.fog, haze * 0.5));
      }
    }
    return;
  }
  if (axis.kind !== 'spur' && axis.kind !== 'shoot') {
    solid(g, one, 0, to, Math.min(0.85, haze + 0.3), [128, 124, 118], colours);
    return;
  }
  if (axis.kind === 'shoot') {
    g.strokeStyle = colour
      ? mixed(colour, colours.fog, haze * 0.5)
      : mixed([150, 146, 140], colours.fog, haze);
    g.lineWidth = Math.max(colour ? 1.6 : 0.8, one.ws[0] ?? 1);
    trace(g, one, 0, to);
    g.stroke();
    return;
  }
  if (!colour || step === null) {
    return;
  }
  const x = one.xs[one.xs.length - 1] ?? 0;
  const y = one.ys[one.ys.length - 1] ?? 0;
  lightMark(g, x, y, Math.max(2.1, (one.ws[0] ?? 1) * 0.8), step, mixed(colour, colours.fog, haze * 0.5));
}

/** A fruiting place by its light: a square in deep shade, a triangle in half shade, a disc in the light. */
function lightMark(
  g: CanvasRenderingContext2D,
  x: number,
  y: number,
  size: number,
  step: number,
  colour: string,
): void {
  g.fillStyle = colour;
  g.beginPath();
  if (step === 0) {
    g.rect(x - size, y - size, 2 * size, 2 * size);
  } else if (step === 1) {
    g.moveTo(x, y - size * 1.3);
    g.lineTo(x + size * 1.2, y + size);
    g.lineTo(x - size * 1.2, y + size);
  } else {
    g.arc(x, y, size * 1.1, 0, 2 * Math.PI);
  }
  g.fill();
}

/** Fruit where it hangs at harvest: near ones over far ones, a number of fruits as one disc of their size together. */
export function paintFruit(
  g: CanvasRenderingContext2D,
  camera: Camera,
  fruit: { fruits: number; place: number[] }[],
  diameter: number,
  colour: string,
  colours: Palette,
): void {
  const seen = fruit
    .map((one) => ({ one, at: camera.see(one.place[0] ?? 0, one.place[1] ?? 0, one.place[2] ?? 0) }))
    .sort((a, b) => b.at.depth - a.at.depth);
  for (const { one, at } of seen) {
    const size = Math.max(
      1.6,
      (diameter / 2) * at.scale * Math.sqrt(Math.min(6, Math.max(0.25, one.fruits))),
    );
    g.fillStyle = colour;
    g.strokeStyle = colours.fruitEdge;
    g.lineWidth = 0.8;
    g.beginPath();
    g.arc(at.x, at.y + size * 0.8, size, 0, 2 * Math.PI);
    g.fill();
    g.stroke();
  }
}

/** The upright shoots that are expected about the cuts by the height of summer: so many at each, always the same. */
export function paintSprouts(
  g: CanvasRenderingContext2D,
  camera: Camera,
  sprouts: { at: readonly number[]; count: number }[],
  colour: string,
): void {
  g.strokeStyle = colour;
  g.lineCap = 'round';
  for (const { at, count } of sprouts) {
    const [x = 0, y = 0, z = 0] = at;
    for (let k = 0; k < count; k++) {
      const turn = 2.39996 * k;
      const lean = 0.12 + 0.05 * (k % 3);
      const high = SPROUT_M * (0.7 + 0.15 * (k % 4));
      const foot = camera.see(x + 0.02 * Math.cos(turn), y + 0.02 * Math.sin(turn), z);
      const end = camera.see(x + lean * high * Math.cos(turn), y + lean * high * Math.sin(turn), z + high);
      g.lineWidth = Math.max(1.4, 0.008 * foot.scale);
      g.beginPath();
      g.moveTo(foot.x, foot.y);
      g.lineTo(end.x, end.y);
      g.stroke();
      // a leaf on either side in turn
      for (let leaf = 1; leaf <= SPROUT_LEAVES; leaf++) {
        const share = leaf / SPROUT_LEAVES;
        const [px, py] = [foot.x + (end.x - foot.x) * share, foot.y + (end.y - foot.y) * share];
        const long = 0.045 * foot.scale * (1.2 - 0.6 * share);
        const side = leaf % 2 === 0 ? 1 : -1;
        g.fillStyle = colour;
        g.beginPath();
        g.ellipse(
          px + side * long * 0.7,
          py - long * 0.3,
          long * 0.75,
          long * 0.3,
          -side * 0.5,
          0,
          2 * Math.PI,
        );
        g.fill();
      }
    }
  }
}

/** A strong upright of July, metres. */
const SPROUT_M = 0.5;
const SPROUT_LEAVES = 7;
