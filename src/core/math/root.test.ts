import fc from 'fast-check';
import { expect, test } from 'vitest';
import { lastHolding, root } from './root';

const at = (f: (x: number) => number, from: number, to: number): number => {
  const found = root(f, from, to);
  if (!('at' in found)) throw new Error('no root');
  return found.at;
};

test('roots known by hand', () => {
  expect(at((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 12);
  expect(at((x) => Math.cos(x) - x, 0, 1)).toBeCloseTo(0.7390851332151607, 12);
  expect(at((x) => x - 1, 0, 2)).toBe(1);
  expect(at((x) => x, 0, 1)).toBeCloseTo(0, 12);
});

test('of several the first upward', () => {
  expect(at(Math.sin, 1, 10)).toBeCloseTo(Math.PI, 12);
});

test('flat, steep and stepped ones are closed in on as well', () => {
  expect(at((x) => (x - 0.3) ** 9, 0, 1)).toBeCloseTo(0.3, 9);
  expect(at((x) => Math.expm1(60 * (x - 0.7)), 0, 1)).toBeCloseTo(0.7, 12);
  expect(at((x) => (x < 0.123456789 ? -1 : 1e9), 0, 1)).toBeCloseTo(0.123456789, 12);
});

test('where there is none the value nearest to zero is told', () => {
  expect(root((x) => x * x + 1, -1, 1)).toEqual({ near: 1 });
});

test('any cubic with one root, to a thousandth of a millionth, in few looks', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 0.99, noNaN: true }),
      fc.double({ min: 0.01, max: 5, noNaN: true }),
      (zero, bend) => {
        let looks = 0;
        const found = at((x) => (looks++, (x - zero) * (1 + bend * x * x)), 0, 1);
        expect(Math.abs(found - zero)).toBeLessThan(1e-12);
        expect(looks).toBeLessThan(60);
      },
    ),
  );
});

test('the last place where something holds', () => {
  expect(lastHolding((x) => x <= 0.4, 0, 1, 50)).toBeCloseTo(0.4, 12);
  expect(lastHolding(() => true, 0, 1, 50)).toBe(1);
});
