import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FIRST, fromAddress, toAddress } from './question';

describe('the address of a question about a limb', () => {
  it('holds all of it', () => {
    const some = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
    const number = some(fc.integer({ min: 0, max: 900 }));
    fc.assert(
      fc.property(
        fc.record({
          species: fc.constantFrom('apple', 'peach'),
          system: some(fc.constantFrom('tall-spindle', 'open-centre')),
          condition: some(fc.constantFrom('dead', 'diseased')),
          leaf: number,
          trunkMm: number,
          diameterMm: number,
          lengthCm: number,
          angleDeg: number,
          atCm: number,
          over: some(fc.constant(true)),
        }),
        (question) => {
          const told = Object.fromEntries(
            Object.entries(question).filter(([, value]) => value !== undefined),
          );
          expect(fromAddress(new URLSearchParams(toAddress(question)))).toEqual(told);
        },
      ),
    );
  });

  it('begins with a limb there is something to say of, and passes over what is no number', () => {
    expect(fromAddress(new URLSearchParams())).toEqual(FIRST);
    expect(fromAddress(new URLSearchParams('species=apple&leaf=many'))).toEqual({ species: 'apple' });
  });
});
