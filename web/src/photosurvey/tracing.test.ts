import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  isMeasurable,
  moved,
  nameOf,
  nearestHandle,
  passedOver,
  requestOf,
  touched,
  told,
  untouched,
  wanted,
  withAllOn,
  without,
  type Picture,
} from './tracing';

const at = (x: number, y = x) => ({ x, y });

/** A picture after so many touches, each at its own number. */
function after(touches: number, view = 0): Picture {
  let picture = untouched(1000, 1500, 0);
  for (let i = 1; i <= touches; i += 1) picture = touched(picture, view, at(i));
  return picture;
}

describe('what a touch means', () => {
  it('is the staff, the top, then base, bend and tip of one limb after the other', () => {
    const order = Array.from({ length: 10 }, (_, i) => wanted(after(i)));
    expect(order).toEqual(['foot', 'head', 'top', 'base', 'bend', 'tip', 'base', 'bend', 'tip', 'base']);
    expect(after(9).limbs[1]).toEqual({ id: '2', parent: 'trunk', base: at(7), bend: at(8), tip: at(9) });
  });

  it('passes over a top nobody sees and a bend that is none', () => {
    let picture = passedOver(after(2));
    expect(wanted(picture)).toBe('base');
    picture = passedOver(touched(picture, 0, at(50)));
    expect(wanted(picture)).toBe('tip');
    picture = touched(picture, 0, at(60));
    expect(picture.limbs).toEqual([{ id: '1', parent: 'trunk', base: at(50), straight: true, tip: at(60) }]);
    expect(passedOver(picture)).toBe(picture);
  });

  it('never loses a touch, whatever is passed over', () => {
    fc.assert(
      fc.property(fc.array(fc.boolean(), { maxLength: 40 }), (touches) => {
        let picture = untouched(1000, 1500, 0);
        let made = 0;
        touches.forEach((isTouch, i) => {
          picture = isTouch ? touched(picture, 0, at(i)) : passedOver(picture);
          made += isTouch ? 1 : 0;
        });
        const points =
          [picture.foot, picture.head, picture.top].filter(Boolean).length +
          picture.limbs.flatMap((limb) => [limb.base, limb.bend, limb.tip].filter(Boolean)).length;
        expect(points).toBe(made);
      }),
    );
  });
});

describe('names', () => {
  it('are numbers in the first picture and letters in the second, and come once', () => {
    expect([0, 1, 11].map((count) => nameOf(0, count))).toEqual(['1', '2', '12']);
    expect([0, 25, 26].map((count) => nameOf(1, count))).toEqual(['a', 'z', 'a1']);
    const picture = without(after(9), '1');
    const ids = [...picture.limbs, ...touched(picture, 0, at(5)).limbs.slice(1)].map((limb) => limb.id);
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('points', () => {
  it('are moved where they are taken hold of', () => {
    const picture = after(6);
    const handle = nearestHandle(picture, at(5.2), 3);
    expect(handle).toMatchObject({ limb: '1', part: 'bend' });
    expect(nearestHandle(picture, at(500), 3)).toBeUndefined();
    expect(handle && moved(picture, handle, at(99)).limbs[0]?.bend).toEqual(at(99));
    expect(moved(picture, { part: 'foot', at: at(1) }, at(7)).foot).toEqual(at(7));
  });

  it('go with their limb, and with what stands on it', () => {
    const picture = told(told(after(12), '2', { parent: '1' }), '3', { parent: '2' });
    expect(withAllOn(picture, '2')).toEqual(new Set(['2', '3']));
    expect(without(picture, '1').limbs).toEqual([]);
    expect(without(picture, '2').limbs.map((limb) => limb.id)).toEqual(['1']);
  });
});

describe('what is sent', () => {
  it('leaves out what is not finished', () => {
    expect(isMeasurable(after(5))).toBe(false);
    expect(isMeasurable(after(6))).toBe(true);
    const sent = requestOf([after(8), after(2, 1)], 200, [{ first: '1', second: 'a' }]);
    expect(sent.views).toHaveLength(1);
    expect(sent.views?.[0]?.limbs?.map((limb) => limb.id)).toEqual(['1']);
    expect(sent.pairs).toEqual([]);
  });

  it('says who is who where a person has said so', () => {
    const pairs = [
      { first: '1', second: 'a' },
      { first: '2', second: null },
      { first: '9', second: 'a' },
    ];
    expect(requestOf([after(9), after(6, 1)], 200, pairs).pairs).toEqual([
      { first: '1', second: 'a' },
      { first: '2' },
    ]);
  });
});
