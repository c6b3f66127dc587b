import type { Haste } from './haste';
import type { Camera } from './camera';
import type { Stand } from './geometry';
import type { Palette } from './palette';

/** The winter orchard the tree stands in: sky, ground, its own row, faint neighbours, its shadow. */
export function paintScenery(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  colours: Palette,
): void {
  const { width, height } = camera;
  const horizon = camera.horizonY;
  const sky = g.createLinearGradient(0, 0, 0, horizon);
  sky.addColorStop(0, colours.skyTop);
  sky.addColorStop(1, colours.skyLow);
  g.fillStyle = sky;
  g.fillRect(0, 0, width, height);
  hills(g, camera, horizon, colours);
  const ground = g.createLinearGradient(0, horizon, 0, height);
  ground.addColorStop(0, colours.grass);
  ground.addColorStop(1, colours.grassNear);
  g.fillStyle = ground;
  g.fillRect(0, horizon, width, height - horizon);
  g.save();
  g.beginPath();
  g.rect(0, horizon, width, height - horizon);
  g.clip();
  rows(g, camera, stand, colours);
  g.restore();
}

/** Two far ridges that slide past as one walks round. */
function hills(g: CanvasRenderingContext2D, camera: Camera, horizon: number, colours: Palette): void {
  const ridges: [string, number, number, number][] = [
    [colours.hill, 30, 1.9, 0.6],
    [colours.hillNear, 15, 3.1, 2.2],
  ];
  for (const [colour, tall, waves, phase] of ridges) {
    g.fillStyle = colour;
    g.globalAlpha = 0.55;
    g.beginPath();
    g.moveTo(0, horizon + 1);
    for (let x = 0; x <= camera.width; x += 12) {
      const bearing = camera.view.bearing + ((x / camera.width) * 1.2 - 0.6);
      const rise = Math.sin(bearing * waves + phase) + 0.6 * Math.sin(bearing * waves * 2.7 + phase * 3);
      g.lineTo(x, horizon - tall * (0.65 + 0.35 * rise));
    }
    g.lineTo(camera.width, horizon + 1);
    g.fill();
  }
  g.globalAlpha = 1;
}

/** The bare strips the rows stand in; turning the view turns them, so the row's direction is always seen. */
function rows(g: CanvasRenderingContext2D, camera: Camera, stand: Stand, colours: Palette): void {
  const along: [number, number] = [Math.sin(stand.rowBearing), Math.cos(stand.rowBearing)];
  const across: [number, number] = [along[1], -along[0]];
  for (const row of [-1, 0, 1]) {
    const half = Math.min(0.7, stand.betweenRows * 0.16);
    const middle = row * stand.betweenRows;
    g.fillStyle = colours.soil;
    g.globalAlpha = row === 0 ? 0.55 : 0.3;
    g.beginPath();
    const reach = 11;
    const steps = 30;
    const edge = (side: number, k: number) => {
      const t = -reach + (2 * reach * k) / steps;
      const wobble = half * (1 + 0.05 * Math.sin(t * 1.7 + side * 2));
      const off = middle + side * wobble;
      return camera.see(along[0] * t + across[0] * off, along[1] * t + across[1] * off, 0);
    };
    for (let k = 0; k <= steps; k++) {
      const at = edge(-1, k);
      if (k === 0) g.moveTo(at.x, at.y);
      else g.lineTo(at.x, at.y);
    }
    for (let k = steps; k >= 0; k--) {
      const at = edge(1, k);
      g.lineTo(at.x, at.y);
    }
    g.fill();
  }
  g.globalAlpha = 1;
}

/** Neighbours: the same frame at the spacing, as pale as mist; while the tree turns, their limbs alone. */
export function paintNeighbours(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  colours: Palette,
  haste: Haste = 0,
): void {
  if (haste >= 2) return;
  const along: [number, number] = [Math.sin(stand.rowBearing), Math.cos(stand.rowBearing)];
  const places: [number, number][] = [];
  const gap = Math.max(stand.inRow, 2.4);
  for (const k of [-1, 1]) {
    places.push([along[0] * gap * k, along[1] * gap * k]);
    places.push([along[1] * stand.betweenRows * k, -along[0] * stand.betweenRows * k]);
  }
  g.lineCap = 'round';
  g.lineJoin = 'round';
  for (const [dx, dy] of places) {
    const depth = camera.see(dx, dy, 0).depth;
    if (depth < -1) {
      continue; // one does not look through the tree one stands beside
    }
    g.strokeStyle = colours.hillNear;
    g.globalAlpha = 0.3;
    for (const axis of stand.axes) {
      if (axis.kind !== 'trunk' && axis.kind !== 'limb' && (haste > 0 || axis.kind !== 'lateral')) {
        continue;
      }
      g.beginPath();
      let thick = 1;
      // turned half round, so that neighbours are not plain copies
      for (let i = 0; i < axis.along.length; i += 2) {
        const at = camera.see(
          dx - (axis.points[4 * i] ?? 0),
          dy - (axis.points[4 * i + 1] ?? 0),
          axis.points[4 * i + 2] ?? 0,
        );
        if (i === 0) {
          g.moveTo(at.x, at.y);
          thick = Math.max(0.8, (axis.points[4 * i + 3] ?? 0) * at.scale * 0.8);
        } else g.lineTo(at.x, at.y);
      }
      g.lineWidth = thick;
      g.stroke();
    }
  }
  g.globalAlpha = 1;
}

/** The frame's shadow on the ground, from a low winter sun in the south-west. */
export function paintShadow(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  colours: Palette,
): void {
  g.strokeStyle = colours.shadow;
  g.lineCap = 'round';
  for (const axis of stand.axes) {
    if (axis.kind !== 'trunk' && axis.kind !== 'limb') {
      continue;
    }
    g.beginPath();
    for (let i = 0; i < axis.along.length; i++) {
      const z = Math.max(0, axis.points[4 * i + 2] ?? 0);
      const at = camera.see((axis.points[4 * i] ?? 0) + z * 0.5, (axis.points[4 * i + 1] ?? 0) + z * 0.32, 0);
      if (i === 0) g.moveTo(at.x, at.y);
      else g.lineTo(at.x, at.y);
    }
    g.lineWidth = Math.max(1, (axis.points[3] ?? 0.01) * camera.pixelsPerMetre * 0.55);
    g.stroke();
  }
}
