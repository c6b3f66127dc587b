import { units, type UnitSystem } from '../text/units';
import type { Camera } from './camera';
import type { Stand } from './geometry';
import type { Palette } from './palette';

/** A height worth knowing, drawn as a line across the picture with its words. */
export interface HeightLine {
  at: number;
  text: string;
}

/** What a figure of the staff stands for: a metre, or two feet. */
const SCALES: Record<UnitSystem, { metres: number; figure: number; sign: string }> = {
  metric: { metres: 1, figure: 1, sign: 'm' },
  us: { metres: 2 * 0.3048, figure: 2, sign: 'ft' },
};
const STAFF_X = 46;
const LABEL_X = STAFF_X + 16;
const LABEL_UP = 9;
const LINE_TOP = 90;
/** Above this the tree's name stands at the left, and the words of a line go to the right. */
const NAME_BOTTOM = 165;

/** The heights, in pixels, at which flags at the left give way to the words of a line. */
export function lineWords(camera: Camera, lines: HeightLine[]): number[] {
  return lines.map((line) => camera.heightY(line.at) - LABEL_UP).filter((y) => y >= NAME_BOTTOM);
}

/** A measuring staff at the left, the reach of a person on the ground and the height the system allows. */
export function paintStaff(
  g: CanvasRenderingContext2D,
  camera: Camera,
  stand: Stand,
  lines: HeightLine[],
  colours: Palette,
): void {
  const x = STAFF_X;
  const top = Math.max(stand.top, 1);
  g.strokeStyle = colours.muted;
  g.fillStyle = colours.muted;
  g.lineWidth = 1.4;
  g.font = '12.5px "Atkinson Hyperlegible Next Variable", sans-serif';
  g.textBaseline = 'middle';
  g.beginPath();
  g.moveTo(x, camera.heightY(0));
  g.lineTo(x, Math.max(84, camera.heightY(top)));
  const { metres, figure, sign } = SCALES[units()];
  for (let half = 0; (half / 2) * metres <= top + 0.01; half++) {
    const y = camera.heightY((half / 2) * metres);
    if (y < 84) break;
    g.moveTo(x, y);
    g.lineTo(x + (half % 2 === 0 ? 11 : 6), y);
  }
  g.stroke();
  g.textAlign = 'right';
  for (let mark = 0; mark * metres <= top + 0.01; mark++) {
    const y = camera.heightY(mark * metres);
    if (y > 84) {
      g.fillText(mark === 0 ? `0 ${sign}` : String(mark * figure), x - 6, y);
    }
  }
  for (const { at, text } of lines) {
    const y = camera.heightY(at);
    if (y < LINE_TOP) {
      continue;
    }
    g.setLineDash([2, 5]);
    g.lineWidth = 1.2;
    g.beginPath();
    g.moveTo(LABEL_X, y);
    g.lineTo(camera.width - 18, y);
    g.stroke();
    g.setLineDash([]);
    const beside = y - LABEL_UP >= NAME_BOTTOM;
    g.textAlign = beside ? 'left' : 'right';
    const x = beside ? LABEL_X : camera.width - 18;
    g.save();
    // leaf may stand behind the words
    g.setLineDash([]);
    g.lineWidth = 3;
    g.strokeStyle = colours.paper;
    g.strokeText(text, x, y - LABEL_UP);
    g.restore();
    g.fillText(text, x, y - LABEL_UP);
  }
}
