import { describe, expect, test } from 'vitest';
import type { ClassLogContent, WrittenLine } from '../shapes/classLog';
import { parseDose } from '../level/code';
import type { BlockDoing, Variant } from './variant';
import { weeksOf, type TimedClass } from './weeks';

const variant = (personId: string, pattern: Variant['pattern'], dose: string): Variant => {
  const read = parseDose(dose);
  if (!read) throw new Error(dose);
  return {
    ...{
      personId,
      pattern,
      rung: 1,
      shelf: 'A',
      name: pattern,
      support: '0',
      targetCm: null,
      loadKg: null,
      dose: read,
    },
    ...{ code: '', folded: null, why: null, spotter: null },
  };
};
const doing = (...variants: readonly Variant[]): BlockDoing[] => [{ block: 'x', parts: [variants] }];
const lines = (...of: readonly (readonly [string | null, ClassLogContent])[]): WrittenLine[] =>
  of.map(([personId, content], seq) => ({ writer: 'a', seq, wallMs: seq, personId, content }));
const held = (day: string, more: Partial<TimedClass> = {}): TimedClass => ({
  ...{ key: day, day, people: ['p', 'q'], minutes: 40, lines: [] },
  doing: doing(variant('p', 'S', '10x2'), variant('q', 'S', '8x2'), variant('p', 'H', '30/15x3')),
  ...more,
});
const none = () => 0;

describe('weeks', () => {
  test('begin on a Monday and stand without a gap; of two people 20 + 15 and 16 clean repetitions, by hand', () => {
    const weeks = weeksOf([held('2026-02-17'), held('2026-03-04')], ['p', 'q'], none, '2026-03-05', 4);
    expect(weeks.map((w) => [w.monday, w.classes, w.came, w.planned, w.minutes, w.cleanReps])).toEqual([
      ['2026-02-09', 0, 0, 0, 0, 0],
      ['2026-02-16', 1, 2, 2, 40, 51],
      ['2026-02-23', 0, 0, 0, 0, 0],
      ['2026-03-02', 1, 2, 2, 40, 51],
    ]);
  });
  test('who was not there counts as planned only; of one person only theirs; what was not clean is left out', () => {
    const day = held('2026-03-02', {
      lines: lines(['q', { kind: 'absent' }], ['p', { kind: 'fewer', pattern: 'H', half: 'more' }]),
    });
    const [both] = weeksOf([day], ['p', 'q'], none, '2026-03-02', 1);
    expect([both?.came, both?.planned, both?.cleanReps]).toEqual([1, 2, 20]);
    const [q] = weeksOf([day], ['q'], none, '2026-03-02', 1);
    expect([q?.classes, q?.came, q?.planned, q?.minutes, q?.cleanReps]).toEqual([0, 0, 1, 0, 0]);
  });
  test('an effort of 5 is over the band in the first eight classes and in it later', () => {
    const hard = lines(['p', { kind: 'effort', pattern: null, value: 5 }]);
    const of = (before: number) => weeksOf([held('2026-03-02', { lines: hard })], ['p'], () => before, '2026-03-02', 1);
    expect([of(0)[0]?.cleanReps, of(8)[0]?.cleanReps]).toEqual([0, 35]);
  });
  test('holds are no repetitions; a class out of the weeks still counts as one before', () => {
    const hold = held('2026-03-02', { doing: doing(variant('p', 'S', 'h15x3')) });
    expect(weeksOf([held('2025-01-07'), hold], ['p'], none, '2026-03-02', 1)[0]).toMatchObject({
      cleanReps: 0,
      came: 1,
    });
  });
});
