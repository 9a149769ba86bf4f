import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { protocolById, protocols } from '../../catalogue/protocols';
import { batteryRule } from '../../catalogue/rules/battery';
import { compositeRules } from '../../catalogue/rules/composites';
import type { FourStageSeconds, TestResult } from '../shapes/facts';
import { scoreBattery } from './battery';
import { compositesOf } from './composites';
import { sideDifference, sidesFlagged, type SideDifference } from './sides';

const all: FourStageSeconds = { sideBySide: 10, semiTandem: 10, tandem: 10, oneLeg: 10 };
const timed = (test: string, value: number | null, more: Partial<TestResult> = {}): TestResult => ({
  test,
  testedOn: '2026-03-02',
  outcome: value === null ? 'unable' : 'done',
  value,
  ...more,
});
const battery = (walkS: number | null, standsS: number | null, seconds = all, more: Partial<TestResult> = {}) =>
  scoreBattery(batteryRule, {
    fourStage: seconds,
    gait: timed('gait-4m', walkS),
    fiveStands: timed('five-stands', standsS, more),
  });

describe('the three-part battery (Guralnik et al. 1994, J Gerontol 49:M85-94; 4 m walk as in the later forms; from memory)', () => {
  test.each([
    [4.81, 4],
    [4.82, 3],
    [6.2, 3],
    [6.21, 2],
    [8.7, 2],
    [8.71, 1],
    [4.814, 4],
    [4.815, 3],
    [null, 0],
  ])('walk in %s s: %s points', (seconds, points) => {
    expect(battery(seconds, 10)?.gait).toBe(points);
  });
  test.each([
    [11.19, 4],
    [11.2, 3],
    [13.69, 3],
    [13.7, 2],
    [16.69, 2],
    [16.7, 1],
    [60, 1],
    [60.01, 0],
    [null, 0],
  ])('five stands in %s s: %s points', (seconds, points) => {
    expect(battery(4, seconds)?.stands).toBe(points);
  });
  test.each([
    [[9.99, 10, 10], 0],
    [[10, 9.9, 10], 1],
    [[10, 10, 2.99], 2],
    [[10, 10, 3], 3],
    [[10, 10, 9.99], 3],
    [[10, 10, 10], 4],
  ] as const)('side by side, semi-tandem, tandem %s s: %s points', ([sideBySide, semiTandem, tandem], points) => {
    expect(battery(4, 10, { ...all, sideBySide, semiTandem, tandem })?.balance).toBe(points);
  });
  test('12 at best; 8 and under is low (EWGSOP2 2019), 9 is not; hands make the stands 0', () => {
    expect(battery(4, 10)).toMatchObject({ total: 12, low: false });
    expect(battery(8, 13.7)).toMatchObject({ total: 8, low: true });
    expect(battery(8, 13)).toMatchObject({ total: 9, low: false });
    expect(battery(4, 10, all, { handsUsed: true })).toMatchObject({ total: 8, stands: 0 });
  });
  test('a part that was not tried leaves the whole open', () => {
    const gait = timed('gait-4m', null, { outcome: 'not-tried' });
    expect(scoreBattery(batteryRule, { fourStage: all, gait, fiveStands: timed('five-stands', 10) })).toBeNull();
    expect(scoreBattery(batteryRule, { fourStage: null, gait, fiveStands: null })).toBeNull();
  });
  test('a faster walk or faster stands never give fewer points', () => {
    const time = fc.double({ min: 1, max: 70, noNaN: true });
    fc.assert(
      fc.property(time, time, time, (walk, stands, by) => {
        const [slow, fast] = [battery(walk + by, stands + by), battery(walk, stands)];
        return (slow?.total ?? NaN) <= (fast?.total ?? NaN);
      }),
    );
  });
});

describe('left and right', () => {
  const oneLeg = protocolById('one-leg');
  const kneeToWall = protocolById('knee-to-wall');
  if (!oneLeg || !kneeToWall) throw new Error('tests missing');
  test('on one leg only under 5 s beside 10 s and more is large', () => {
    const large = (left: number, right: number) => sideDifference(oneLeg, { left, right }, 24.1).large;
    expect([large(4.9, 10), large(5, 30), large(4, 9.9), large(12, 3)]).toEqual([true, false, false, true]);
  });
  test('else over 15 % of the better side, and over the smallest real change where one is known', () => {
    const large = (left: number, mdc95: number | null) => sideDifference(kneeToWall, { left, right: 10 }, mdc95).large;
    expect([large(8.4, null), large(8.5, null), large(8.4, 2)]).toEqual([true, false, false]);
    expect(sideDifference(kneeToWall, { left: 7, right: 10 }, null)).toEqual({ by: 3, lower: 'L', large: true });
  });
  test('flagged when it was large twice running, on the same side', () => {
    const large = (lower: 'L' | 'R'): SideDifference => ({ by: 4, lower, large: true });
    expect([
      sidesFlagged(large('L'), large('L')),
      sidesFlagged(large('L'), large('R')),
      sidesFlagged(large('L'), null),
      sidesFlagged(large('L'), { ...large('L'), large: false }),
    ]).toEqual([true, false, false, false]);
  });
});

describe('several results together', () => {
  const body = { ageYears: 77, sex: 'female' as const, heightCm: 160, massKg: 64 };
  const of = (...results: TestResult[]) => compositesOf(compositeRules, protocols, results, () => body);
  const on = (testedOn: string, test: string, value: number, more: Partial<TestResult> = {}) =>
    timed(test, value, { testedOn, seatHeightCm: 43, ...more });
  test('parts of the battery up to 14 days apart are one battery, of the last day; 15 days are not', () => {
    const parts = (day: string) =>
      of(
        on('2026-03-02', 'four-stage', 4, { seconds: all }),
        on(day, 'gait-4m', 4),
        on('2026-03-02', 'five-stands', 11),
      ).battery;
    expect(parts('2026-02-16')).toMatchObject({ total: 12, on: '2026-03-02' });
    expect(parts('2026-02-15')).toBeNull();
  });
  test('power comes from the five stands where they are as new as the counted ones, not from those of a year ago', () => {
    const counted = on('2026-03-02', 'chair-stand-30s', 10);
    const from = (day: string) => of(counted, on(day, 'five-stands', 12)).power?.test;
    expect([from('2026-03-02'), from('2026-02-20'), from('2025-03-02')]).toEqual([
      'five-stands',
      'five-stands',
      'chair-stand-30s',
    ]);
  });
  test('ten stands in 30 s are five in 15 s: the same power either way', () => {
    const counted = of(on('2026-03-02', 'chair-stand-30s', 10)).power?.watts;
    expect(of(on('2026-03-02', 'five-stands', 15)).power?.watts).toBeCloseTo(counted ?? NaN, 9);
  });
  test('hands, no seat height or no body: no power', () => {
    expect(of(on('2026-03-02', 'chair-stand-30s', 10, { handsUsed: true })).power).toBeNull();
    expect(of(on('2026-03-02', 'chair-stand-30s', 10, { seatHeightCm: null })).power).toBeNull();
    const unknown = compositesOf(compositeRules, protocols, [on('2026-03-02', 'chair-stand-30s', 10)], () => ({
      ...body,
      massKg: null,
    }));
    expect(unknown.power).toBeNull();
  });
});
