import { describe, expect, it } from 'vitest';
import { Camera } from './camera';
import { draggedTo, handleAt, type Handle } from './handles';

const CAMERA = new Camera(
  { top: 3, radius: 1.5 },
  { bearing: Math.PI, tilt: 0, zoom: 1, panX: 0, panY: 0 },
  800,
  600,
);

const TIP: Handle = { id: 'tip', at: [1, 0, 2] };
const BASE: Handle = { id: 'base', at: [0, 0, 1.2] };

describe('handles of a limb', () => {
  it('are taken hold of within reach, the nearer one', () => {
    const tip = CAMERA.see(...TIP.at);
    expect(handleAt([BASE, TIP], CAMERA, tip.x + 5, tip.y - 5)).toBe(TIP);
    expect(handleAt([BASE, TIP], CAMERA, tip.x + 40, tip.y)).toBeNull();
    expect(handleAt([], CAMERA, tip.x, tip.y)).toBeNull();
  });

  it('go where they are dragged, no nearer and no further', () => {
    const from = CAMERA.see(...TIP.at);
    const to = draggedTo(TIP, CAMERA, from.x, from.y - 50);
    expect(to[2]).toBeGreaterThan(2);
    expect(CAMERA.see(...to).depth).toBeCloseTo(from.depth, 9);
    expect(CAMERA.see(...to).y).toBeCloseTo(from.y - 50, 6);
  });

  it('stay where they are when they are let go at once', () => {
    const from = CAMERA.see(...BASE.at);
    draggedTo(BASE, CAMERA, from.x, from.y).forEach((value, i) => {
      expect(value).toBeCloseTo(BASE.at[i] ?? 0, 9);
    });
  });
});
