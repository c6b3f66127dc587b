import type { Haste } from './haste';
import type { Camera } from './camera';
import type { Foliage, Places } from './foliage';
import type { StandAxis } from './geometry';

/** A picture of a spray or a flower cluster, drawn once and set down many times. */
type Sprite = HTMLCanvasElement;

const SPRITE = 64;
const VARIANTS = 5;
/** How much darker leaf is in deep shade, and lighter in the open. */
const TONES = [0.62, 0.86, 1.12];
/** Light of a fruiting place, as a share of open light, from which its leaf is drawn in the next tone. */
const TONE_FROM = [0.35, 0.65];
const LEAVES = 10;
const PETALS = 5;
/** While the tree turns, one spray in so many is drawn. */
const ONE_IN = { 0: 1, 1: 4, 2: 8, 3: 16 };

const kept = new Map<string, Sprite[]>();

function sprites(key: string, draw: (g: CanvasRenderingContext2D, variant: number) => void): Sprite[] {
  const before = kept.get(key);
  if (before) return before;
  const made = Array.from({ length: VARIANTS }, (_, variant) => {
    const canvas = document.createElement('canvas');
    canvas.width = SPRITE;
    canvas.height = SPRITE;
    const g = canvas.getContext('2d');
    if (g) {
      g.translate(SPRITE / 2, SPRITE / 2);
      draw(g, variant);
    }
    return canvas;
  });
  kept.set(key, made);
  return made;
}

function toned(hex: string, tone: number): string {
  const part = (from: number) =>
    Math.max(0, Math.min(255, Math.round(parseInt(hex.slice(from, from + 2), 16) * tone)));
  return `rgb(${part(1)},${part(3)},${part(5)})`;
}

function leafSprites(colour: string, tone: number): Sprite[] {
  return sprites(`leaf ${colour} ${tone}`, (g, variant) => {
    for (let k = 0; k < LEAVES; k++) {
      // scattered over the disc as seeds are in a sunflower; leaves hang outward and a little down
      const turn = 2.4 * k + variant * 1.1;
      const away = SPRITE * 0.36 * Math.sqrt((k + 0.4) / LEAVES);
      g.save();
      g.translate(Math.cos(turn) * away, Math.sin(turn) * away);
      g.rotate(turn * 1.7 + variant);
      const long = SPRITE * (0.125 + 0.02 * ((k + variant) % 3));
      g.fillStyle = toned(colour, tone * (0.8 + 0.13 * ((k * 2 + variant) % 4)));
      g.beginPath();
      g.moveTo(-long, 0);
      g.bezierCurveTo(-long * 0.4, -long * 0.75, long * 0.5, -long * 0.6, long * 1.1, 0);
      g.bezierCurveTo(long * 0.5, long * 0.6, -long * 0.4, long * 0.75, -long, 0);
      g.fill();
      g.restore();
    }
  });
}

function flowerSprites(colour: string, clustered: boolean): Sprite[] {
  return sprites(`flower ${colour} ${clustered}`, (g, variant) => {
    const flowers = clustered ? 5 : 1;
    for (let k = 0; k < flowers; k++) {
      const turn = (2 * Math.PI * k) / flowers + variant;
      const away = clustered ? SPRITE * 0.24 : 0;
      const size = clustered ? SPRITE * 0.22 : SPRITE * 0.4;
      g.save();
      g.translate(Math.cos(turn) * away, Math.sin(turn) * away);
      g.rotate(turn);
      for (let petal = 0; petal < PETALS; petal++) {
        g.rotate((2 * Math.PI) / PETALS);
        g.fillStyle = toned(colour, petal % 2 === 0 ? 1 : 0.95);
        g.beginPath();
        g.ellipse(size * 0.52, 0, size * 0.5, size * 0.36, 0, 0, 2 * Math.PI);
        g.fill();
        g.strokeStyle = toned(colour, 0.8);
        g.lineWidth = 1;
        g.stroke();
      }
      g.fillStyle = '#c9a53a';
      g.beginPath();
      g.arc(0, 0, size * 0.17, 0, 2 * Math.PI);
      g.fill();
      g.restore();
    }
  });
}

function setDown(
  g: CanvasRenderingContext2D,
  camera: Camera,
  places: Places,
  wide: number,
  pictures: Sprite[],
  seed: number,
  haste: Haste,
): void {
  // while the tree turns, fewer and wider ones
  const every = ONE_IN[haste];
  const step = 3 * every;
  const wider = wide * Math.sqrt(every);
  for (let i = 3 * (seed % (step / 3)); i < places.length; i += step) {
    const at = camera.see(places[i] ?? 0, places[i + 1] ?? 0, places[i + 2] ?? 0);
    const size = Math.max(2.5, wider * at.scale);
    const picture = pictures[(seed + i / 3) % VARIANTS];
    if (picture) g.drawImage(picture, at.x - size / 2, at.y - size / 2, size, size);
  }
}

/** Paints the leaf of one axis; what stands in shade is darker. */
export function paintLeaf(
  g: CanvasRenderingContext2D,
  camera: Camera,
  axis: StandAxis,
  foliage: Foliage,
  colour: string,
  haze: number,
  haste: Haste,
): void {
  const places = foliage.leaf.get(axis.index);
  if (!places) return;
  const light = axis.light ?? 1;
  const tone = TONES[TONE_FROM.filter((from) => light >= from).length] ?? 1;
  g.globalAlpha = 1 - haze * 0.7;
  setDown(g, camera, places, foliage.sprayM, leafSprites(colour, tone), axis.index, haste);
  g.globalAlpha = 1;
}

/** From so wide, metres, what opens from one bud is a cluster of flowers. */
const CLUSTER_M = 0.035;
/** The first leaves beside the flowers are so much smaller and lighter than summer's. */
const YOUNG = { size: 0.4, tone: 1.3 };

/** Paints the flowers of one axis, with the first small leaves. */
export function paintFlowers(
  g: CanvasRenderingContext2D,
  camera: Camera,
  axis: StandAxis,
  foliage: Foliage,
  look: { leaf: string; blossom: string; blossomM: number },
  haze: number,
  haste: Haste,
): void {
  g.globalAlpha = 1 - haze * 0.7;
  const leaves = foliage.leaf.get(axis.index);
  if (leaves && haste === 0) {
    setDown(
      g,
      camera,
      leaves,
      foliage.sprayM * YOUNG.size,
      leafSprites(look.leaf, YOUNG.tone),
      axis.index,
      haste,
    );
  }
  const open = foliage.flowers.get(axis.index);
  if (open) {
    const pictures = flowerSprites(look.blossom, look.blossomM >= CLUSTER_M);
    setDown(g, camera, open, look.blossomM * 1.25, pictures, axis.index, haste);
  }
  g.globalAlpha = 1;
}
