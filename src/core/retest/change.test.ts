import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import { protocolById } from '../../catalogue/protocols';
import type { TestResult } from '../shapes/facts';
import type { NormTable } from '../shapes/norms';
import {
  changeBetween,
  clearZ,
  isJudged,
  judgements,
  probableZ,
  type Change,
  type JudgedChange,
  type Sat,
} from './change';
import { together } from './together';

const sat = (value: number, on: string, more: Partial<TestResult> = {}, ageYears = 77): Sat => ({
  on,
  ageYears,
  protocolVersion: 1,
  result: { test: 'chair-stand-30s', testedOn: on, outcome: 'done', value, seatHeightCm: 43, ...more },
});
const [then, now] = ['2026-01-01', '2026-03-02'];
const change = (older: Sat | undefined, newer: Sat) => changeBetween(chairStand30s, older, newer, 'female');
const judgedChange = (found: Change): JudgedChange => {
  if (!isJudged(found)) throw new Error(`not judged: ${found.kind}`);
  return found;
};
const protocolOf = (id: string) => {
  const protocol = protocolById(id);
  if (!protocol) throw new Error(`no test ${id}`);
  return protocol;
};
const other = (test: string, older: number, newer: number, more: { sex?: NormTable; ageYears?: number } = {}) =>
  changeBetween(
    protocolOf(test),
    sat(older, then, { test }, more.ageYears),
    sat(newer, now, { test }, more.ageYears),
    more.sex === undefined ? 'female' : more.sex,
  );

// Women of 75 to 79: middle half 10 to 15, so SD 5 / 1.349 = 3.707; R 0.89; SEM 3.707 sqrt(0.11) = 1.229; sqrt 2 SEM = 1.738.
describe('chair stands of women of 75 to 79, by hand: z = change / 1.738', () => {
  test('4 more is 2.30, clearly; 3 more 1.73 and 2 more 1.15, probably; 1 more 0.58, about the same; less is the mirror', () => {
    const at = (value: number) => judgedChange(change(sat(9, then), sat(value, now)));
    expect([13, 12, 11, 10, 9, 8, 7, 6, 5].map((n) => at(n).kind)).toEqual([
      ...['clearly-better', 'probably-better', 'probably-better', 'about-the-same', 'about-the-same'],
      ...['about-the-same', 'probably-less', 'probably-less', 'clearly-less'],
    ]);
    expect([13, 12, 11, 10].map((n) => at(n).z?.toFixed(2))).toEqual(['2.30', '1.73', '1.15', '0.58']);
    expect(at(12)).toMatchObject({ by: 3, unit: 'stands', better: true, nearest: false, days: 60 });
    expect(at(12).smallestReal).toBeCloseTo(3.41, 2);
  });
  test('beside real, noticed: people notice 2 (Wright et al. 2011)', () => {
    expect(judgedChange(change(sat(9, then), sat(12, now))).noticed).toMatchObject({ by: 2 });
  });
  test('the error is that of the row of the newer result (women 85-89 to 90-94: 3.41 to 4.77)', () => {
    const crossed = (from: number, to: number) =>
      judgedChange(change(sat(9, then, {}, from), sat(13, now, {}, to))).smallestReal?.toFixed(2);
    expect([crossed(89, 90), crossed(88, 89)]).toEqual(['4.77', '3.41']);
  });
  test('beyond the ages of the table the error is that of the nearest row, and said so; with the table open the wider', () => {
    const old = judgedChange(change(sat(9, then, {}, 96), sat(14, now, {}, 97)));
    expect([old.nearest, old.smallestReal?.toFixed(2)]).toEqual([true, '4.77']);
    const open = other('chair-stand-30s', 9, 12, { sex: null });
    expect(judgedChange(open).z).toBeLessThanOrEqual(judgedChange(other('chair-stand-30s', 9, 12)).z ?? 0);
  });
  test('the lines between the verdicts: z of 1.00 and 1.96 belong to the stronger word', () => {
    // A row made for it: SD 1.349 from a middle half one wide to each side, R 0.5: SEM 0.954, sqrt 2 SEM 1.349.
    const made = {
      ...chairStand30s,
      reliability: { r: 0.5, source: chairStand30s.reliability.source },
      norms: {
        ...chairStand30s.norms,
        rows: [{ sex: 'female' as const, ageLow: 60, ageHigh: 94, p25: 9.09, p75: 10.91 }],
      },
    };
    const unit = judgedChange(changeBetween(made, sat(10, then), sat(11, now), 'female'));
    const one = 1 / (unit.z ?? 1);
    const at = (z: number) => changeBetween(made, sat(10, then), sat(10 + z * one, now), 'female').kind;
    expect([0.99, probableZ, 1.95, clearZ].map(at)).toEqual([
      'about-the-same',
      'probably-better',
      'probably-better',
      'clearly-better',
    ]);
    expect([-0.99, -probableZ, -1.95, -clearZ].map(at)).toEqual([
      'about-the-same',
      'probably-less',
      'probably-less',
      'clearly-less',
    ]);
  });
  test('5 stands, 2.02 SD under the middle: regression alone would give 5.8 (12.5 + 0.89 x (5 - 12.5))', () => {
    expect(judgedChange(change(sat(5, then), sat(8, now))).regressionTo).toBeCloseTo(5.825, 3);
    expect(judgedChange(change(sat(11, then), sat(12, now))).regressionTo).toBeNull();
  });
});

describe('not like for like, and hands', () => {
  test('another seat, aid, shoes, side or version: the size is told and not judged', () => {
    expect(change(sat(9, then), sat(15, now, { seatHeightCm: 46 }))).toEqual({
      ...{ kind: 'not-comparable', by: 6, unit: 'stands', why: 'another seat (43 cm, then 46 cm)' },
    });
    expect(change({ ...sat(9, then), protocolVersion: 2 }, sat(12, now))).toMatchObject({
      kind: 'not-comparable',
      by: 3,
    });
    const walked = change({ ...sat(9, then), aid: 'none' }, { ...sat(9, now), aid: 'stick' });
    expect(walked).toMatchObject({ kind: 'not-comparable', why: 'another aid (none, then stick)' });
    const arm = (side: 'L' | 'R') =>
      changeBetween(protocolOf('arm-curl'), sat(8, then, { side: 'L' }), sat(20, now, { side }), 'female').kind;
    expect([arm('L'), arm('R')]).toEqual(['clearly-better', 'not-comparable']);
  });
  test('from hands to none is said in words; with hands both times it is told, and the first clean one is said', () => {
    const hands = { handsUsed: true };
    expect(change(sat(12, then, hands), sat(9, now))).toEqual({ kind: 'hands', words: 'now without hands' });
    expect(change(sat(9, then, hands), sat(12, now, hands))).toMatchObject({
      kind: 'told',
      by: 3,
      better: true,
      firstClean: 0,
    });
    expect(change(sat(9, then, hands), sat(12, now, { ...hands, cleanBeforeHands: 1 }))).toMatchObject({
      firstClean: 1,
    });
    expect(
      change(sat(9, then, { ...hands, cleanBeforeHands: 1 }), sat(12, now, { ...hands, cleanBeforeHands: 2 })),
    ).toMatchObject({ firstClean: 0 });
    expect(change(sat(9, then, hands), sat(12, now, { ...hands, seatHeightCm: 50 })).kind).toBe('not-comparable');
  });
  test('the first result has no change; without a result there is none', () => {
    expect(change(undefined, sat(9, now)).kind).toBe('first-time');
    const unable = { ...sat(0, now), result: { ...sat(0, now).result, outcome: 'unable' as const, value: null } };
    expect(change(sat(9, then), unable)).toMatchObject({ kind: 'not-comparable', by: null });
  });
});

describe('other tests', () => {
  // Women of 75 to 79: MDC95 1.01 s; 20 % of 8 s is 1.6, of 4 s 0.8.
  test('up and go: a time moves by at least 20 % of the older one (common practice, no published source)', () => {
    expect(judgedChange(other('up-and-go-8ft', 8, 6.5))).toMatchObject({
      kind: 'probably-better',
      by: -1.5,
      better: true,
    });
    expect(judgedChange(other('up-and-go-8ft', 8, 6.5)).smallestReal).toBeCloseTo(1.6, 9);
    expect(other('up-and-go-8ft', 8, 6.4).kind).toBe('clearly-better');
    expect(other('up-and-go-8ft', 8, 9.6).kind).toBe('clearly-less');
    expect(judgedChange(other('up-and-go-8ft', 4, 3)).smallestReal?.toFixed(2)).toBe('1.01');
  });
  test('a walk is told as speed: 5.0 to 4.3 s is +0.13 m/s, over the published 0.11 (Goldberg & Schepens 2011)', () => {
    expect(other('gait-4m', 5, 4.3)).toMatchObject({ kind: 'clearly-better', by: 0.13, unit: 'm/s', better: true });
    expect(other('gait-4m', 5, 4.5)).toMatchObject({ kind: 'probably-better', by: 0.09, noticed: { by: 0.05 } });
  });
  test('five stands go by the published SEM of 0.9 s (Goldberg et al. 2012), or 20 %: of 15 s that is 3', () => {
    expect(other('five-stands', 15, 12.1).kind).toBe('probably-better');
    expect(other('five-stands', 15, 12).kind).toBe('clearly-better');
    expect(judgedChange(other('five-stands', 10, 9)).smallestReal?.toFixed(2)).toBe('2.49');
  });
  test('without a known error the difference is told; at the top both times there is nothing to tell', () => {
    expect(other('thigh-hold', 20, 40)).toMatchObject({ kind: 'told', by: 20, unit: 's', better: true });
    expect(other('four-stage', 2, 4)).toMatchObject({ kind: 'told', by: 2, better: true });
    expect(other('four-stage', 4, 4)).toEqual({ kind: 'at-top', top: 4 });
  });
});

describe('one leg is judged by its tries', () => {
  const tried = (on: string, ...trials: number[]) =>
    sat(Math.max(...trials), on, { test: 'one-leg', side: 'L', trials });
  const at = (older: number[], newer: number[]) =>
    changeBetween(protocolOf('one-leg'), tried(then, ...older), tried(now, ...newer), 'female').kind;
  test('every try longer than every try then, three and three, and the second best 1.5 times: clearly longer', () => {
    expect(at([4, 5, 6], [7, 8, 9])).toBe('clearly-better');
    expect(at([4, 5, 6], [6, 8, 9])).toBe('about-the-same');
    expect(at([4, 5, 6], [6.5, 7, 9])).toBe('about-the-same');
    expect(at([7, 8, 9], [4, 5, 5.3])).toBe('clearly-less');
    expect(at([10, 11, 12], [45, 45, 45])).toBe('clearly-better');
  });
  test('with fewer tries a step of 5, 10, 20 or 45 s is crossed by the second best, 60 % of a single one', () => {
    // 7 s once: 4.2; 12 s once: 7.2, which crosses 5 and is 1.71 times.
    expect(at([7], [12])).toBe('longer-by-a-step');
    expect(at([7], [8.5])).toBe('about-the-same');
    expect(at([4, 4.5], [6, 8])).toBe('longer-by-a-step');
    expect(at([12], [7])).toBe('shorter-by-a-step');
    expect(at([10], [14])).toBe('about-the-same');
  });
});

describe('properties', () => {
  const rank = (found: Change) => (isJudged(found) ? judgements.indexOf(found.kind) : null);
  const mirrored = (kind: string): string =>
    isJudged({ kind } as Change)
      ? (judgements[judgements.length - 1 - judgements.indexOf(kind as JudgedChange['kind'])] ?? kind)
      : kind;
  test('turned round from the same older result, +d and -d give mirrored verdicts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 20 }), fc.integer({ min: 0, max: 8 }), (from, d) => {
        const [up, down] = [change(sat(from, then), sat(from + d, now)), change(sat(from, then), sat(from - d, now))];
        expect(down.kind).toBe(mirrored(up.kind));
      }),
    );
  });
  test('one leg: two days swapped give the mirrored verdict', () => {
    const tries = fc.array(
      fc.integer({ min: 1, max: 450 }).map((n) => n / 10),
      { minLength: 1, maxLength: 3 },
    );
    fc.assert(
      fc.property(tries, tries, (a, b) => {
        const make = (on: string, trials: number[]) => sat(Math.max(...trials), on, { test: 'one-leg', trials });
        const there = changeBetween(protocolOf('one-leg'), make(then, a), make(now, b), 'female').kind;
        const back = changeBetween(protocolOf('one-leg'), make(then, b), make(now, a), 'female').kind;
        if (there === 'at-top') return;
        expect(back).toBe(mirrored(there));
      }),
    );
  });
  test('a better newer result never gives a worse verdict', () => {
    const tests = fc.constantFrom('chair-stand-30s', 'up-and-go-8ft', 'five-stands', 'gait-4m', 'step-2min');
    const value = fc.integer({ min: 20, max: 300 }).map((n) => n / 10);
    fc.assert(
      fc.property(tests, value, value, value, (id, from, a, b) => {
        const whole = protocolOf(id).range.whole;
        const [x, y] = [a, b].map((v) => (whole ? Math.round(v) : v)) as [number, number];
        const better = protocolOf(id).better === 'higher' ? Math.max(x, y) : Math.min(x, y);
        const worse = better === x ? y : x;
        const [best, least] = [rank(other(id, from, better)), rank(other(id, from, worse))];
        if (best !== null && least !== null) expect(best).toBeLessThanOrEqual(least);
      }),
    );
  });
});

describe('taken together', () => {
  const compared = (z: number, more: object = {}) => ({
    ...{ test: 'chair-stand-30s', from: then, on: now },
    change: { ...judgedChange(change(sat(9, then), sat(10, now))), z, better: z > 0 },
    ...more,
  });
  const pooled = ['chair-stand-30s', 'step-2min', 'up-and-go-8ft'];
  test('z of 1.44, 1.32 and 1.17 are 2.27 over three: clearly better; of two alone 1.95, and that is not said', () => {
    const all = [1.44, 1.32, 1.17].map((z, i) => compared(z, { test: pooled[i] }));
    expect(together(all, pooled)).toMatchObject({ verdict: 'clearly-better', better: 3, of: 3, from: then, on: now });
    expect(together(all, pooled)?.z).toBeCloseTo(2.27, 2);
    const two = together(all.slice(0, 2), pooled);
    expect([two?.verdict, two?.z.toFixed(2)]).toEqual(['about-the-same', '1.95']);
  });
  test('one test alone, tests of other days and tests not taken together make none; those without an error count by their sign', () => {
    expect(together([compared(3)], pooled)).toBeNull();
    expect(together([compared(2), compared(2, { test: 'step-2min', from: '2025-10-01' })], pooled)).toBeNull();
    expect(together([compared(2), compared(2, { test: 'one-leg' })], pooled)).toBeNull();
    const told = { kind: 'told', by: 20, unit: 's', better: false, firstClean: 0, noticed: null } as const;
    const all = [compared(2), compared(2, { test: 'step-2min' }), { ...compared(1), test: 'thigh-hold', change: told }];
    expect(together(all, pooled)).toMatchObject({ tests: ['chair-stand-30s', 'step-2min'], better: 2, of: 3 });
  });
});
