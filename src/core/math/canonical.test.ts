import fc from 'fast-check';
import { expect, test } from 'vitest';
import { canonicalJson } from './canonical';

/** The same content written in another order, at every depth. */
const turned = (value: unknown): unknown =>
  Array.isArray(value)
    ? value.map(turned)
    : typeof value === 'object' && value !== null
      ? Object.fromEntries(
          Object.entries(value)
            .reverse()
            .map(([k, v]) => [k, turned(v)]),
        )
      : value;

test('members in another order are the same content, items in another order are not', () => {
  expect(canonicalJson({ b: { d: 1, c: 2 }, a: 3 })).toBe('{"a":3,"b":{"c":2,"d":1}}');
  expect(canonicalJson([1, 2])).not.toBe(canonicalJson([2, 1]));
});

test('whatever is written, turning its members round changes nothing and reading it back loses nothing', () => {
  fc.assert(
    fc.property(fc.jsonValue(), (value) => {
      expect(canonicalJson(turned(value))).toBe(canonicalJson(value));
      expect(canonicalJson(JSON.parse(canonicalJson(value)))).toBe(canonicalJson(value));
    }),
  );
});
