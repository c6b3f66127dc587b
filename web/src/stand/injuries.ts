import type { Palette } from './palette';
import { between, type Drawn } from './strokes';

const BROKEN_AT = 0.5;
const SICK_AT = 0.18;
const LEAST_SHOWN = 0.5;

/** A break or a canker, drawn where one would see it: the split halfway out, the sunken bark near the base. */
export function paintInjury(g: CanvasRenderingContext2D, one: Drawn, colours: Palette): void {
  const { axis } = one;
  if (axis.injury === null || (one.ws[0] ?? 0) < LEAST_SHOWN) return;
  const at = axis.length * (axis.injury === 'broken' ? BROKEN_AT : SICK_AT);
  const [x, y, w] = between(one, at);
  const [x2, y2] = between(one, Math.min(axis.length, at * 1.06 + 0.01));
  const along = Math.atan2(y2 - y, x2 - x);
  if (axis.injury === 'broken') broken(g, x, y, Math.max(4, w), along, colours);
  else sunken(g, x, y, Math.max(4, w), along, colours);
}

/** Pale wood laid open, with splinters. */
function broken(
  g: CanvasRenderingContext2D,
  x: number,
  y: number,
  w: number,
  along: number,
  colours: Palette,
): void {
  g.save();
  g.translate(x, y);
  g.rotate(along);
  g.fillStyle = colours.cutFace;
  g.strokeStyle = colours.ink;
  g.lineWidth = 1;
  g.beginPath();
  g.moveTo(-1.6 * w, -0.62 * w);
  g.lineTo(-0.2 * w, -0.1 * w);
  g.lineTo(0.5 * w, -0.75 * w);
  g.lineTo(0.9 * w, 0.1 * w);
  g.lineTo(1.8 * w, 0.5 * w);
  g.lineTo(0.1 * w, 0.62 * w);
  g.closePath();
  g.fill();
  g.stroke();
  g.restore();
}

/** Dark sunken bark with a rim. */
function sunken(
  g: CanvasRenderingContext2D,
  x: number,
  y: number,
  w: number,
  along: number,
  colours: Palette,
): void {
  g.fillStyle = colours.ink;
  g.strokeStyle = colours.cutFace;
  g.lineWidth = 1.2;
  g.beginPath();
  g.ellipse(x, y, 1.5 * w, 0.5 * w, along, 0, 2 * Math.PI);
  g.fill();
  g.stroke();
}
