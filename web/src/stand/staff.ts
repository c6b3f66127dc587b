import type { Camera } from './camera';
import type { Stand } from './geometry';
import type { Palette } from './palette';

/** A measuring staff at the left, the reach of a person on the ground and the height the system allows. */
export function paintStaff(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  lines: { at: number; text: string }[],
  colours: Palette,
): void {
  const x = 46;
  const top = Math.max(stand.top, 1);
  g.strokeStyle = colours.muted;
  g.fillStyle = colours.muted;
  g.lineWidth = 1.4;
  g.font = '12.5px "Atkinson Hyperlegible Next Variable", sans-serif';
  g.textBaseline = 'middle';
  g.beginPath();
  g.moveTo(x, camera.heightY(0));
  g.lineTo(x, Math.max(84, camera.heightY(top)));
  for (let half = 0; half / 2 <= top + 0.01; half++) {
    const y = camera.heightY(half / 2);
    if (y < 84) break;
    g.moveTo(x, y);
    g.lineTo(x + (half % 2 === 0 ? 11 : 6), y);
  }
  g.stroke();
  g.textAlign = 'right';
  for (let metre = 0; metre <= top + 0.01; metre++) {
    const y = camera.heightY(metre);
    if (y > 84) {
      g.fillText(metre === 0 ? '0 m' : String(metre), x - 6, y);
    }
  }
  g.textAlign = 'right';
  for (const { at, text } of lines) {
    const y = camera.heightY(at);
    if (y < 90) {
      continue;
    }
    g.setLineDash([2, 5]);
    g.lineWidth = 1.2;
    g.beginPath();
    g.moveTo(x + 16, y);
    g.lineTo(camera.width - 18, y);
    g.stroke();
    g.setLineDash([]);
    g.fillText(text, camera.width - 18, y - 9);
  }
}
