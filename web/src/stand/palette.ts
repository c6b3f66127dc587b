/** Colours of wood by age, of marks and of the place; by day and at dusk. */
export interface Palette {
  skyTop: string;
  skyLow: string;
  hill: string;
  hillNear: string;
  grass: string;
  grassNear: string;
  soil: string;
  ink: string;
  muted: string;
  paper: string;
  tape: string;
  tapeDark: string;
  fog: [number, number, number];
  wood: [number, number, number][];
  dead: [number, number, number];
  spur: [number, number, number];
  bud: string;
  leafBud: string;
  light: [number, number, number][];
  cutFace: string;
  shadow: string;
  blossom: [number, number, number];
  blossomEdge: [number, number, number];
  measured: [number, number, number];
  counted: [number, number, number];
  expected: [number, number, number];
  fruitEdge: string;
  sprout: string;
  target: string;
  /** Spreaders, strings and weights. */
  held: string;
}

export const DAY: Palette = {
  skyTop: '#c3d3da',
  skyLow: '#f0eee4',
  hill: '#c2cdcb',
  hillNear: '#b3bfb4',
  grass: '#b9bd9c',
  grassNear: '#949c74',
  soil: '#a28f78',
  ink: '#241f1c',
  muted: '#4f4b46',
  paper: '#fbfbf8',
  tape: '#c2185b',
  tapeDark: '#7d0d3a',
  fog: [222, 226, 222],
  // index is age: 1 last season's shoot, 2, 3, 4–5, 6 and older
  wood: [
    [160, 58, 44],
    [160, 58, 44],
    [126, 74, 56],
    [108, 80, 62],
    [94, 78, 64],
    [84, 73, 63],
  ],
  dead: [150, 146, 138],
  spur: [112, 88, 68],
  bud: '#caa183',
  leafBud: '#8a5a48',
  light: [
    [62, 70, 108],
    [186, 138, 30],
    [98, 146, 60],
  ],
  cutFace: '#ead9b8',
  shadow: 'rgba(52, 46, 34, 0.13)',
  blossom: [246, 226, 214],
  blossomEdge: [142, 74, 70],
  measured: [66, 56, 50],
  counted: [150, 92, 62],
  expected: [122, 132, 138],
  sprout: '#7fae3c',
  fruitEdge: '#6b4a10',
  target: '#3f6a33',
  held: '#2b4f7a',
};

export const DUSK: Palette = {
  skyTop: '#27333f',
  skyLow: '#6d6a6a',
  hill: '#3c4650',
  hillNear: '#343d42',
  grass: '#3a4034',
  grassNear: '#2a2f27',
  soil: '#4b443b',
  ink: '#f1ece3',
  muted: '#d0c9bd',
  paper: '#23262a',
  tape: '#ff6f9f',
  tapeDark: '#a83a64',
  fog: [84, 88, 92],
  wood: [
    [222, 122, 98],
    [222, 122, 98],
    [196, 142, 116],
    [184, 154, 130],
    [178, 160, 140],
    [172, 160, 146],
  ],
  dead: [132, 130, 126],
  spur: [186, 160, 134],
  bud: '#efd0b2',
  leafBud: '#b98a76',
  light: [
    [128, 140, 206],
    [226, 186, 84],
    [160, 206, 116],
  ],
  cutFace: '#f3e4c6',
  shadow: 'rgba(0, 0, 0, 0.22)',
  blossom: [250, 232, 222],
  blossomEdge: [120, 62, 60],
  measured: [226, 216, 204],
  counted: [214, 160, 124],
  expected: [150, 162, 170],
  sprout: '#a5cf66',
  fruitEdge: '#5a3f10',
  target: '#b5d59a',
  held: '#9dc3ee',
};

/** The palette the reader's system asks for. */
export function paletteNow(): Palette {
  return window.matchMedia('(prefers-color-scheme: dark)').matches ? DUSK : DAY;
}

/** Mixes a colour towards another; 0 keeps it. */
export function mixed(a: [number, number, number], b: [number, number, number], share: number): string {
  const one = (i: 0 | 1 | 2) => Math.round(a[i] + (b[i] - a[i]) * share);
  return `rgb(${one(0)},${one(1)},${one(2)})`;
}

/** Index of the wood colour for an age in years. */
export function woodOf(age: number): number {
  return age <= 1 ? 1 : age <= 3 ? age : age <= 5 ? 4 : 5;
}

/** Index of the light colour for a share of open light, by the lines for fruit and for flower buds. */
export function lightOf(light: number, [fruit, buds]: readonly [number, number]): number {
  return light < fruit ? 0 : light < buds ? 1 : 2;
}
