import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocols } from '../../catalogue/protocols';
import { testViewOf } from '../view/testView';
import { scoreResult } from './scoreResult';
import { bookIn, keptFrom, protocolIn, resultIn } from './shownUnits';

const lengths = protocols.filter((p) => p.unit === 'cm');
const named = (id: string) => {
  const found = protocols.find((p) => p.id === id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};
const result = (test: string, value: number) => ({ test, testedOn: '2026-03-02', outcome: 'done' as const, value });
const woman = { ageYears: 77, sex: 'female' as const };

describe('a length told in inches', () => {
  test('half an inch is 1.27 cm, kept and told without loss', () => {
    const sit = protocolIn('us', named('sit-reach'));
    expect(keptFrom(sit, 0.5)).toBe(1.27);
    for (let half = -40; half <= 40; half++)
      expect(resultIn(sit, result('sit-reach', keptFrom(sit, half / 2))).value).toBe(half / 2);
  });
  test('women 75-79: -1.5 in is the 25th percentile of the chair sit-and-reach (Rikli & Jones 1999, from memory)', () => {
    const { rank } = scoreResult(protocolIn('us', named('sit-reach')), result('sit-reach', -1.5), woman);
    expect(rank.kind === 'ranked' && rank.percentile).toBeCloseTo(25, 9);
  });
  test('-2 in is on the watch line of women and past it, -1.9 in is not; 10 in of reach is the line of falls', () => {
    const past = (id: string, value: number) =>
      scoreResult(protocolIn('us', named(id)), result(id, value), woman).cutoffs.map((c) => [c.limit, c.past]);
    expect(past('sit-reach', -2)).toEqual([[-2, true]]);
    expect(past('sit-reach', -1.9)).toEqual([[-2, false]]);
    expect(past('reach-forward', 10)).toEqual([
      [10, false],
      [6, false],
    ]);
  });
  test('counts, times and the metric hall are left as they are', () => {
    for (const p of protocols) {
      expect(protocolIn('metric', p)).toBe(p);
      if (p.unit !== 'cm') expect(protocolIn('us', p)).toBe(p);
    }
    expect(lengths.map((p) => p.id)).toEqual([
      'reach-forward',
      'sit-reach',
      'back-scratch',
      'knee-to-wall',
      'lowest-seat',
    ]);
  });
});

test('the same result has the same percentile, band, lines and verdict in either unit', () => {
  const inches = bookIn('us', { protocols, version: '1' }).protocols;
  fc.assert(
    fc.property(
      fc.constantFrom(...lengths),
      fc.integer({ min: 60, max: 99 }),
      fc.constantFrom('female' as const, 'male' as const, null),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (protocol, ageYears, sex, a, b) => {
        const shown = inches.find((p) => p.id === protocol.id) ?? protocol;
        const { min, max } = protocol.range;
        const kept = [a, b].map((at) => Math.round((min + at * (max - min)) * 10) / 10);
        const told = (p: typeof protocol) => {
          const sats = kept.map((value, i) => ({
            ...{ key: String(i), on: `2026-0${i + 1}-02`, ageYears, protocolVersion: 1, conditions: {} },
            ...{ fromPaper: true, who: null, result: resultIn(p, { ...result(p.id, value), side: 'L' as const }) },
          }));
          const view = testViewOf(p, sats, sex);
          const newest = view?.series[0]?.results[0];
          const { rank } = newest?.score ?? {};
          const said = [
            rank?.kind === 'ranked' ? rank.band : rank?.kind,
            newest?.score.cutoffs.map((c) => c.past),
            newest?.change.kind,
          ];
          return { said, percentile: rank?.kind === 'ranked' ? rank.percentile : 0 };
        };
        const [inInches, inCm] = [told(shown), told(protocol)];
        expect(inInches.said).toEqual(inCm.said);
        expect(inInches.percentile).toBeCloseTo(inCm.percentile, 3);
      },
    ),
    { numRuns: 1000 },
  );
});

test('what may be written in inches may be kept in cm', () => {
  for (const p of lengths) {
    const shown = protocolIn('us', p);
    for (const end of [shown.range.min, shown.range.max]) {
      expect(keptFrom(shown, end)).toBeGreaterThanOrEqual(p.range.min);
      expect(keptFrom(shown, end)).toBeLessThanOrEqual(p.range.max);
    }
  }
});
