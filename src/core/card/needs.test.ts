import { expect, test } from 'vitest';
import { posesOf } from '../../catalogue/ladders/poses';
import { parseLevelCode } from '../level/code';
import type { Level } from '../level/answer';
import { needsOf } from './needs';

/** A level by its code, with what a need looks at. */
const level = (code: string): Level => {
  const read = parseLevelCode(code);
  if (!read?.dose) throw new Error(code);
  return {
    ...{ pattern: read.pattern, rung: read.rung, name: code, support: read.support, supportWords: '', dose: read.dose },
    ...{
      targetCm: read.heightCm,
      targetFrom: null,
      loadKg: read.loadKg,
      code,
      missing: null,
      reasons: [],
      blockers: [],
    },
  };
};
const of = (...codes: string[]) => needsOf(codes.map(level), posesOf);

test('seats are counted by height, the most wanted first; a box to lift is no seat', () => {
  expect(of('S5/48/h@4x1', 'S4/48/h@4x1', 'S4/43/h@4x1', 'H5/50/0@5x1').seats).toEqual([
    { cm: 48, count: 2 },
    { cm: 43, count: 1 },
  ]);
  expect(of('H5/50/0@5x1').boxes).toBe(1);
});

test('patterns come one after the other: of a thing the pattern that wants most of it counts', () => {
  // Two at the rail in the squat, one in the hinge: two places do.
  expect(of('S5/48/h@4x1', 'S6/48/2@h10x1', 'H7/f@5x1').rail).toBe(2);
  // Free hands need no place; the slide holds a chair back, not the rail.
  expect(of('S7/48/0@5x1', 'L2/2@3x1')).toMatchObject({ rail: 0, chairs: 1 });
  expect(of('B3/0@5x1', 'B4/0@5x1', 'B2/0@5x1')).toMatchObject({ mats: 2, surfaces: 1 });
  expect(of('S8/48/0+2@5x1', 'S8/48/0+2@5x1', 'S8/50/0+1@5x1').weights).toEqual([
    { kg: 2, count: 2 },
    { kg: 1, count: 1 },
  ]);
});

test('nobody needs nothing', () => {
  expect(of('L4/2@3x1', 'L5/f@3x1', 'L2/2@3x1')).toMatchObject({ pads: 2, straps: 0, bands: 0 });
  expect(of()).toEqual({
    seats: [],
    chairs: 0,
    rail: 0,
    mats: 0,
    surfaces: 0,
    steps: 0,
    boxes: 0,
    pads: 0,
    straps: 0,
    bands: 0,
    weights: [],
  });
});
