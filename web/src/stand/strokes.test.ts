import { describe, expect, it } from 'vitest';
import { Camera, FIRST_VIEW } from './camera';
import type { StandAxis } from './geometry';
import { DAY, DUSK, lightOf, mixed, woodOf, type Palette } from './palette';
import { between, placesOn, project, type Drawn } from './strokes';

const CAMERA = new Camera({ top: 4, radius: 2 }, { ...FIRST_VIEW, tilt: 0 }, 900, 700);
const LATERAL = {
  kind: 'fruiting-lateral',
  length: 1,
  points: Float64Array.from([0, 0, 1, 0.02, 0.5, 0, 1, 0.015, 1, 0, 1, 0.01]),
  along: Float64Array.from([0, 0.5, 1]),
  ages: Uint8Array.from([3, 2, 1]),
  twigs: Float64Array.from([0.5, 0, 1, 0.5, 0, 1.4]),
} as unknown as StandAxis;

describe('an axis on the screen', () => {
  const drawn: Drawn = project(CAMERA, LATERAL);

  it('lies where the camera sees its points, as wide as it is thick there', () => {
    const tip = CAMERA.see(1, 0, 1);
    expect(drawn.xs[2]).toBeCloseTo(tip.x, 9);
    expect(drawn.ys[2]).toBeCloseTo(tip.y, 9);
    expect(drawn.ws[2]).toBeCloseTo(0.01 * tip.scale, 9);
    expect([...drawn.twigs.slice(2)]).toEqual([CAMERA.see(0.5, 0, 1.4).x, CAMERA.see(0.5, 0, 1.4).y]);
  });

  it('is found at any distance along it, no further than its ends', () => {
    const middle = between(drawn, 0.25);
    expect(middle[0]).toBeCloseTo(((drawn.xs[0] ?? 0) + (drawn.xs[1] ?? 0)) / 2, 6);
    expect(between(drawn, -1)[0]).toBeCloseTo(drawn.xs[0] ?? 0, 9);
    expect(between(drawn, 9)[0]).toBeCloseTo(drawn.xs[2] ?? 0, 9);
  });

  it('spreads buds over the line and its side branches, always the same and never twice in one place', () => {
    const places = placesOn(drawn, 14);
    expect(places).toHaveLength(14);
    expect(placesOn(drawn, 14)).toEqual(places);
    expect(new Set(places.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`)).size).toBe(14);
    const level = CAMERA.see(0, 0, 1).y;
    expect(places.filter(([, y]) => Math.abs(y - level) < 0.01)).toHaveLength(7);
    expect(placesOn(drawn, 0)).toEqual([]);
  });
});

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance([r, g, b]: [number, number, number]): number {
  const part = (value: number) => {
    const share = value / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * part(r) + 0.7152 * part(g) + 0.0722 * part(b);
}

function contrast(a: [number, number, number], b: [number, number, number]): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return ((high ?? 0) + 0.05) / ((low ?? 0) + 0.05);
}

function rgb(hex: string): [number, number, number] {
  const at = (i: number) => parseInt(hex.slice(i, i + 2), 16);
  return [at(1), at(3), at(5)];
}

describe.each([
  ['by day', DAY],
  ['at dusk', DUSK],
] as [string, Palette][])('the colours %s', (_, colours) => {
  it('keep words and numbers legible on the sky', () => {
    for (const sky of [colours.skyTop, colours.skyLow]) {
      expect(contrast(rgb(colours.ink), rgb(sky))).toBeGreaterThan(4.5);
    }
    expect(contrast(rgb(colours.muted), rgb(colours.skyTop))).toBeGreaterThan(4.5);
    expect(contrast(rgb(colours.paper), rgb(colours.tape))).toBeGreaterThan(4.5);
  });

  it('keep wood of each age, and the steps of light, apart', () => {
    const steps = [colours.wood[1], colours.wood[2], colours.wood[5]] as [number, number, number][];
    expect(new Set(steps.map(String)).size).toBe(3);
    const [dark, half, light] = colours.light;
    expect(luminance(dark ?? [0, 0, 0])).toBeLessThan(luminance(half ?? [0, 0, 0]));
    expect(contrast(dark ?? [0, 0, 0], light ?? [0, 0, 0])).toBeGreaterThan(1.5);
  });
});

describe('colours', () => {
  it('mix towards another by a share', () => {
    expect(mixed([0, 100, 200], [100, 200, 0], 0)).toBe('rgb(0,100,200)');
    expect(mixed([0, 100, 200], [100, 200, 0], 0.5)).toBe('rgb(50,150,100)');
    expect(mixed([0, 100, 200], [100, 200, 0], 1)).toBe('rgb(100,200,0)');
  });

  it('go by the age of the wood and the light of a place', () => {
    expect([0, 1, 2, 3, 4, 5, 6, 30].map(woodOf)).toEqual([1, 1, 2, 3, 4, 4, 5, 5]);
    expect([0, 0.29, 0.3, 0.49, 0.5, 1].map((light) => lightOf(light, [0.3, 0.5]))).toEqual([
      0, 0, 1, 1, 2, 2,
    ]);
    expect([0.29, 0.49, 0.5].map((light) => lightOf(light, [0.5, 0.5]))).toEqual([0, 0, 2]);
  });
});
