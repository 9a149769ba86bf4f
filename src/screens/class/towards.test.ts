import { expect, test } from 'vitest';
import { towards } from './towards';

const at = (id: string, left: number, top: number) => ({ id, left, top, width: 10, height: 10 });
const rail = [at('r1', 0, 0), at('r2', 90, 0), at('r3', 180, 0)];
const floor = [at('f1', 40, 200), at('f2', 200, 200), at('f3', 40, 400)];
const all = [...rail, ...floor];
const next = (from: string, key: string) => {
  const box = all.find((b) => b.id === from);
  if (!box) throw new RangeError(from);
  return towards(box, key, all)?.id ?? null;
};

test('along the wall by left and right, from row to row by up and down', () => {
  expect(['ArrowRight', 'ArrowLeft', 'ArrowDown', 'ArrowUp'].map((key) => next('r2', key))).toEqual([
    ...['r3', 'r1', 'f1', null],
  ]);
  expect(next('f1', 'ArrowDown')).toBe('f3');
  expect(next('f1', 'ArrowUp')).toBe('r1');
  expect(next('f2', 'ArrowLeft')).toBe('f1');
});
test('at the end of a row it goes on to what lies that way at all; another key goes nowhere', () => {
  expect(next('r3', 'ArrowRight')).toBe('f2');
  expect(next('f2', 'ArrowRight')).toBeNull();
  expect(next('r1', 'Enter')).toBeNull();
});
