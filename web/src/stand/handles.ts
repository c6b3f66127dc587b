import type { Camera } from './camera';
import type { Palette } from './palette';

/** A point of the tree that can be dragged. */
export interface Handle {
  id: 'base' | 'tip' | 'thickness';
  at: [number, number, number];
}

/** Touches within so many pixels take hold of a handle. */
const REACH = 18;
const RADIUS = 8;

/** The handle under a place on the screen, the nearest first; null where none is near. */
export function handleAt(handles: readonly Handle[], camera: Camera, x: number, y: number): Handle | null {
  let best: Handle | null = null;
  let nearest = REACH;
  for (const handle of handles) {
    const seen = camera.see(...handle.at);
    const away = Math.hypot(seen.x - x, seen.y - y);
    if (away < nearest) {
      best = handle;
      nearest = away;
    }
  }
  return best;
}

/** Where a handle comes when it is dragged to a place on the screen, as far from the viewer as it was. */
export function draggedTo(handle: Handle, camera: Camera, x: number, y: number): [number, number, number] {
  return camera.unsee(x, y, camera.see(...handle.at).depth);
}

/** Paints handles; the one being dragged with a line from where it was. */
export function paintHandles(
  g: CanvasRenderingContext2D,
  handles: readonly Handle[],
  camera: Camera,
  dragged: { handle: Handle; x: number; y: number } | null,
  colours: Palette,
): void {
  for (const handle of handles) {
    const seen = camera.see(...handle.at);
    const moving = dragged?.handle.id === handle.id;
    const [x, y] = moving ? [dragged.x, dragged.y] : [seen.x, seen.y];
    g.lineWidth = 2;
    g.strokeStyle = colours.ink;
    if (moving) {
      g.setLineDash([5, 4]);
      g.beginPath();
      g.moveTo(seen.x, seen.y);
      g.lineTo(x, y);
      g.stroke();
      g.setLineDash([]);
    }
    g.fillStyle = colours.paper;
    g.beginPath();
    if (handle.id === 'tip') g.arc(x, y, RADIUS, 0, 2 * Math.PI);
    else if (handle.id === 'base') g.rect(x - RADIUS + 1, y - RADIUS + 1, 2 * RADIUS - 2, 2 * RADIUS - 2);
    else diamond(g, x, y);
    g.fill();
    g.stroke();
  }
}

function diamond(g: CanvasRenderingContext2D, x: number, y: number): void {
  g.moveTo(x, y - RADIUS - 1);
  g.lineTo(x + RADIUS + 1, y);
  g.lineTo(x, y + RADIUS + 1);
  g.lineTo(x - RADIUS - 1, y);
  g.closePath();
}
