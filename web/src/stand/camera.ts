import type { Drawing } from '../api/client';
import type { Stand } from './geometry';

/** Where the viewer stands and how large the tree is seen. */
export interface View {
  /** Bearing from the trunk at which the viewer stands, radians from north. */
  bearing: number;
  /** How far above level the viewer looks down from, radians. */
  tilt: number;
  /** Enlargement over the view that fits the whole tree. */
  zoom: number;
  /** Shift of the picture, pixels. */
  panX: number;
  panY: number;
}

/** From due south, a little above: the usual photograph of a tree. */
export const FIRST_VIEW: View = { bearing: Math.PI, tilt: 0.1, zoom: 1, panX: 0, panY: 0 };

const FLAT = 0.4;

/** The first look at a tree: from the south, or square on where it is trained in one plane along its row. */
export function firstViewOf(drawing: Drawing): View {
  const row = (drawing.rowBearingDeg * Math.PI) / 180;
  let along = 0;
  let across = 0;
  for (const axis of drawing.axes) {
    if (axis.kind === 'limb') {
      const x = axis.points[axis.points.length - 4] ?? 0;
      const y = axis.points[axis.points.length - 3] ?? 0;
      along = Math.max(along, Math.abs(x * Math.sin(row) + y * Math.cos(row)));
      across = Math.max(across, Math.abs(x * Math.cos(row) - y * Math.sin(row)));
    }
  }
  const flat = along > 0.5 && across < along * FLAT;
  return flat ? { ...FIRST_VIEW, bearing: row + Math.PI / 2 } : FIRST_VIEW;
}

/** Whether a plane along the row is seen more from its face than one across it. */
export function facesRow(view: View, rowBearingDeg: number): boolean {
  return Math.abs(Math.sin(view.bearing - (rowBearingDeg * Math.PI) / 180)) > Math.SQRT1_2;
}

const EYE_DISTANCE = 13;

/** A point on the screen; depth grows away from the viewer, metres; scale is pixels a metre there. */
export interface Seen {
  x: number;
  y: number;
  depth: number;
  scale: number;
}

/** Projects metres to pixels for one view of one canvas. */
export class Camera {
  readonly pixelsPerMetre: number;
  private readonly right: [number, number];
  private readonly forward: [number, number];
  private readonly cosTilt: number;
  private readonly sinTilt: number;
  private readonly centreX: number;
  private readonly groundY: number;

  constructor(
    stand: Pick<Stand, 'top' | 'radius'>,
    readonly view: View,
    readonly width: number,
    readonly height: number,
    margins = { top: 92, side: 76, bottom: 52 },
  ) {
    const fit = Math.min(
      (height - margins.top - margins.bottom) / (stand.top * 1.04 + 0.05),
      (width / 2 - margins.side) / stand.radius,
    );
    this.pixelsPerMetre = Math.max(20, fit * view.zoom);
    this.right = [-Math.cos(view.bearing), Math.sin(view.bearing)];
    this.forward = [-Math.sin(view.bearing), -Math.cos(view.bearing)];
    this.cosTilt = Math.cos(view.tilt);
    this.sinTilt = Math.sin(view.tilt);
    this.centreX = width / 2 + view.panX;
    this.groundY = height - margins.bottom + view.panY;
  }

  see(x: number, y: number, z: number): Seen {
    const across = x * this.right[0] + y * this.right[1];
    const away = x * this.forward[0] + y * this.forward[1];
    const depth = away * this.cosTilt - z * this.sinTilt;
    const near = EYE_DISTANCE / Math.max(2, EYE_DISTANCE + depth);
    const scale = this.pixelsPerMetre * near;
    return {
      x: this.centreX + across * scale,
      y: this.groundY - (z * this.cosTilt + away * this.sinTilt) * scale,
      depth,
      scale,
    };
  }

  /** The point in the world that is seen at a place on the screen, so far away; the reverse of `see`. */
  unsee(x: number, y: number, depth: number): [number, number, number] {
    const near = EYE_DISTANCE / Math.max(2, EYE_DISTANCE + depth);
    const scale = this.pixelsPerMetre * near;
    const across = (x - this.centreX) / scale;
    const up = (this.groundY - y) / scale;
    const z = up * this.cosTilt - depth * this.sinTilt;
    const away = up * this.sinTilt + depth * this.cosTilt;
    return [
      across * this.right[0] + away * this.forward[0],
      across * this.right[1] + away * this.forward[1],
      z,
    ];
  }

  /** The screen height of a height on the trunk's line. */
  heightY(z: number): number {
    return this.groundY - z * this.cosTilt * this.pixelsPerMetre;
  }

  /** Where the level ground meets the sky. */
  get horizonY(): number {
    return Math.min(this.height, this.groundY - this.sinTilt * 7 * this.pixelsPerMetre * 0.65);
  }
}
