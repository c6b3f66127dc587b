import type { Camera } from './camera';
import type { Palette } from './palette';

/** A numbered strip of tape tied at a cut. */
export interface Flag {
  label: string;
  at: [number, number, number];
  chosen: boolean;
}

interface Placed {
  flag: Flag;
  x: number;
  y: number;
  tieX: number;
  tieY: number;
  right: boolean;
}

const WIDTH = 30;
const HEIGHT = 20;

/** As far from the left edge as the words of a height line reach. */
const WORDS_REACH = 240;

/**
 * Hangs the flags to the side of the tree their cut is on, pushed apart so that none hides another, nor the words that
 * stand at the left at the given heights.
 */
export function placeFlags(flags: Flag[], camera: Camera, words: number[] = []): Placed[] {
  const placed = flags.map((flag) => {
    const tie = camera.see(...flag.at);
    const right = tie.x >= camera.width / 2;
    return { flag, tieX: tie.x, tieY: tie.y, right, x: tie.x + (right ? 44 : -44), y: tie.y - 14 };
  });
  for (const side of [true, false]) {
    const column = placed.filter((one) => one.right === side).sort((a, b) => a.y - b.y);
    for (let pass = 0; pass < 12; pass++) {
      for (let i = 1; i < column.length; i++) {
        const above = column[i - 1];
        const below = column[i];
        if (!above || !below || Math.abs(above.x - below.x) > WIDTH + 12) {
          continue;
        }
        const overlap = HEIGHT + 4 - (below.y - above.y);
        if (overlap > 0) {
          above.y -= overlap / 2;
          below.y += overlap / 2;
        }
      }
      for (const one of column) {
        giveWay(one, words);
      }
    }
  }
  return placed;
}

function giveWay(one: Placed, words: number[]): void {
  const left = one.right ? one.x : one.x - WIDTH;
  if (left > WORDS_REACH) {
    return;
  }
  for (const y of words) {
    if (Math.abs(one.y - y) < HEIGHT) {
      one.y = one.y < y ? y - HEIGHT : y + HEIGHT;
    }
  }
}

export function paintFlags(g: CanvasRenderingContext2D, placed: Placed[], colours: Palette): void {
  g.textAlign = 'center';
  g.textBaseline = 'middle';
  g.font = '600 12.5px "Atkinson Hyperlegible Next Variable", sans-serif';
  for (const { flag, x, y, tieX, tieY, right } of placed) {
    g.strokeStyle = colours.tape;
    g.lineWidth = 1.4;
    g.beginPath();
    g.moveTo(tieX, tieY);
    g.quadraticCurveTo((tieX + x) / 2, y, x, y);
    g.stroke();
    g.fillStyle = colours.tape;
    g.beginPath();
    g.arc(tieX, tieY, 2.6, 0, 2 * Math.PI);
    g.fill();
    const out = right ? 1 : -1;
    // a strip of tape with a swallow-tail cut in its loose end
    g.beginPath();
    g.moveTo(x, y - HEIGHT / 2);
    g.lineTo(x + out * WIDTH, y - HEIGHT / 2);
    g.lineTo(x + out * (WIDTH - 6), y);
    g.lineTo(x + out * WIDTH, y + HEIGHT / 2);
    g.lineTo(x, y + HEIGHT / 2);
    g.closePath();
    g.fill();
    if (flag.chosen) {
      g.strokeStyle = colours.ink;
      g.lineWidth = 2;
      g.stroke();
    }
    g.fillStyle = colours.paper;
    g.fillText(flag.label, x + out * (WIDTH / 2 - 3), y + 0.5);
  }
}

/** The flag under a point, by its place in the list. */
export function flagAt(placed: Placed[], x: number, y: number): number | null {
  for (let i = placed.length - 1; i >= 0; i--) {
    const one = placed[i];
    if (!one) {
      continue;
    }
    const left = one.right ? one.x : one.x - WIDTH;
    if (x >= left - 3 && x <= left + WIDTH + 3 && Math.abs(y - one.y) <= HEIGHT / 2 + 3) {
      return i;
    }
  }
  return null;
}

export type { Placed };
