import type { LightLayer, TargetShape, TrainingAnswer } from '../api/client';
import type { Camera } from './camera';
import type { Palette } from './palette';

type Section = LightLayer['sections'][number];

/** Width of the wanted outline at a share of its height, of its widest. */
function widthAt(target: TargetShape, share: number): number {
  if (target.form === 'cone') {
    const low = 0.16;
    return share < low ? 1 : 1 + (target.topM / target.spreadM - 1) * ((share - low) / (1 - low));
  }
  if (target.form === 'plane') {
    return 1;
  }
  return Math.min(1, 0.25 + share * 0.95);
}

/**
 * The outline its system wants of a tree of this age, as the viewer sees it: as wide as the row allows from the side, as deep as
 * the aisle allows from its end.
 */
export function paintTarget(
  g: CanvasRenderingContext2D,
  camera: Camera,
  target: TargetShape,
  rowBearing: number,
  colours: Palette,
): void {
  const turn = camera.view.bearing - rowBearing;
  const half = Math.hypot((target.spreadM / 2) * Math.sin(turn), (target.depthM / 2) * Math.cos(turn));
  const across: [number, number] = [-Math.cos(camera.view.bearing), Math.sin(camera.view.bearing)];
  const foot = Math.min(0.35, (target.tiers[0]?.heightM ?? 0.5) * 0.6);
  const steps = 24;
  const side = (sign: number) =>
    Array.from({ length: steps + 1 }, (_, i) => {
      const share = i / steps;
      const z = foot + (target.heightM - foot) * share;
      const out = half * widthAt(target, share) * sign;
      return camera.see(out * across[0], out * across[1], z);
    });
  const line = [...side(1), ...side(-1).reverse()];
  g.beginPath();
  line.forEach((at, i) => {
    if (i === 0) g.moveTo(at.x, at.y);
    else g.lineTo(at.x, at.y);
  });
  g.closePath();
  g.fillStyle = colours.target;
  g.globalAlpha = 0.1;
  g.fill();
  g.globalAlpha = 0.9;
  g.strokeStyle = colours.target;
  g.lineWidth = 1.6;
  g.setLineDash([7, 5]);
  g.stroke();
  g.lineWidth = 1;
  for (const tier of target.tiers) {
    const reach = Math.min(half, tier.reachM);
    const rise = tier.angleDeg < 88 ? reach / Math.tan((tier.angleDeg * Math.PI) / 180) : 0;
    const top = Math.min(target.heightM, tier.heightM + rise);
    for (const sign of [-1, 1]) {
      const from = camera.see(0, 0, tier.heightM);
      const to = camera.see(reach * sign * across[0], reach * sign * across[1], top);
      g.beginPath();
      g.moveTo(from.x, from.y);
      g.lineTo(to.x, to.y);
      g.stroke();
    }
  }
  g.setLineDash([]);
  g.globalAlpha = 1;
}

/** Colour of a share of open light on the section: dark to light through the two lines that matter. */
export function sectionColour(light: number, colours: Palette): string {
  const [dark, half, full] = colours.light;
  const pick = light < 0.3 ? dark : light < 0.5 ? half : full;
  return `rgb(${(pick ?? [0, 0, 0]).join(',')})`;
}

/** The tree sliced upright through its trunk: each piece of the plane coloured by its light. */
export function paintSection(
  g: CanvasRenderingContext2D,
  camera: Camera,
  section: Section,
  colours: Palette,
): void {
  const bearing = (section.bearingDeg * Math.PI) / 180;
  const along: [number, number] = [Math.sin(bearing), Math.cos(bearing)];
  const rows = section.light.length / section.columns;
  const corner = (column: number, row: number) => {
    const out = section.fromM + (column - 0.5) * section.stepM;
    return camera.see(out * along[0], out * along[1], row * section.stepM);
  };
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < section.columns; column++) {
      const light = section.light[row * section.columns + column] ?? 1;
      if (light > 0.93) {
        continue;
      }
      const a = corner(column, row);
      const b = corner(column + 1, row);
      const c = corner(column + 1, row + 1);
      const d = corner(column, row + 1);
      g.globalAlpha = light < 0.5 ? 0.72 : 0.34 * Math.min(1, (0.95 - light) / 0.35);
      g.fillStyle = sectionColour(light, colours);
      g.beginPath();
      g.moveTo(a.x, a.y);
      g.lineTo(b.x, b.y);
      g.lineTo(c.x, c.y);
      g.lineTo(d.x, d.y);
      g.closePath();
      g.fill();
    }
  }
  g.globalAlpha = 1;
}

/** What holds bent limbs: sticks as bars, strings as fine lines with their peg, weights as a bob. */
export function paintTraining(
  g: CanvasRenderingContext2D,
  camera: Camera,
  held: TrainingAnswer[],
  colours: Palette,
): void {
  g.save();
  g.strokeStyle = colours.held;
  g.fillStyle = colours.held;
  g.lineCap = 'round';
  for (const one of held) {
    const from = camera.see(one.from[0] ?? 0, one.from[1] ?? 0, one.from[2] ?? 0);
    const to = camera.see(one.to[0] ?? 0, one.to[1] ?? 0, one.to[2] ?? 0);
    if (one.device === 'weight') {
      const bob = camera.see(one.to[0] ?? 0, one.to[1] ?? 0, (one.to[2] ?? 0) - 0.18);
      g.lineWidth = 1.4;
      line(g, to, bob);
      g.fillRect(bob.x - 4, bob.y, 8, 9);
      continue;
    }
    g.lineWidth = one.device === 'spreader' ? 4 : 1.6;
    line(g, from, to);
    if (one.device === 'tie-down') {
      line(g, { x: from.x - 5, y: from.y - 6 }, { x: from.x, y: from.y + 4 });
      line(g, { x: from.x + 5, y: from.y - 6 }, { x: from.x, y: from.y + 4 });
    }
    g.beginPath();
    g.arc(to.x, to.y, 3, 0, 2 * Math.PI);
    g.stroke();
  }
  g.restore();
}

function line(g: CanvasRenderingContext2D, a: { x: number; y: number }, b: { x: number; y: number }): void {
  g.beginPath();
  g.moveTo(a.x, a.y);
  g.lineTo(b.x, b.y);
  g.stroke();
}
