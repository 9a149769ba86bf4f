import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { chairStand30s } from '../../catalogue/protocols/chair-stand-30s/protocol';
import type { TestResult } from '../shapes/facts';
import { changeBetween, type Sat } from './change';
import { retestDue } from './due';

const sat = (value: number, on: string, more: Partial<TestResult> = {}, ageYears = 77): Sat => ({
  on,
  ageYears,
  protocolVersion: 1,
  result: { test: 'chair-stand-30s', testedOn: on, outcome: 'done', value, seatHeightCm: 43, ...more },
});
const change = (older: Sat | undefined, newer: Sat) => changeBetween(chairStand30s, older, newer, 'female');

describe('change against the error of the test', () => {
  test('women 75-79: 3 more is no clear change, 4 more is clearly better (MDC95 3.41)', () => {
    const at = (value: number) => change(sat(9, '2026-01-01'), sat(value, '2026-03-02')).kind;
    expect([12, 13, 6, 5].map(at)).toEqual(['no-clear-change', 'clearly-better', 'no-clear-change', 'clearly-worse']);
  });
  test('across a birthday the wider error of the two rows is used (women 85-89 to 90-94: MDC95 3.41 to 4.77)', () => {
    const crossed = change(sat(9, '2026-01-01', {}, 89), sat(13, '2026-03-02', {}, 90));
    expect(crossed).toMatchObject({ kind: 'no-clear-change' });
    expect(crossed.kind === 'no-clear-change' && crossed.mdc95.toFixed(2)).toBe('4.77');
  });
  test('another seat: the change is marked and never called clear', () => {
    const other = change(sat(9, '2026-01-01'), sat(15, '2026-03-02', { seatHeightCm: 46 }));
    expect(other).toMatchObject({ kind: 'no-clear-change', by: 6, unlike: ['another seat (43 cm, then 46 cm)'] });
  });
  test('from hands to none is said in words, never as a size', () => {
    expect(change(sat(12, '2026-01-01', { handsUsed: true }), sat(9, '2026-03-02'))).toEqual({
      kind: 'hands',
      words: 'now without hands',
    });
  });
  test('5 stands, 2.02 SD under the middle: regression alone would give 5.8 (12.5 + 0.89 x (5 - 12.5))', () => {
    const found = change(sat(5, '2026-01-01'), sat(8, '2026-03-02'));
    expect(found.kind === 'no-clear-change' && found.regressionTo).toBeCloseTo(5.825, 3);
    const near = change(sat(11, '2026-01-01'), sat(12, '2026-03-02'));
    expect(near.kind === 'no-clear-change' && near.regressionTo).toBeNull();
  });
  test('the first sitting and another protocol version have no change', () => {
    expect(change(undefined, sat(9, '2026-03-02')).kind).toBe('first-time');
    expect(change({ ...sat(9, '2026-01-01'), protocolVersion: 2 }, sat(9, '2026-03-02')).kind).toBe('not-comparable');
  });
  test('turned round, better is worse', () => {
    const opposite: Record<string, string> = { 'clearly-better': 'clearly-worse', 'clearly-worse': 'clearly-better' };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 25 }), fc.integer({ min: 1, max: 25 }), (a, b) => {
        const there = change(sat(a, '2026-01-01'), sat(b, '2026-03-02')).kind;
        expect(change(sat(b, '2026-01-01'), sat(a, '2026-03-02')).kind).toBe(opposite[there] ?? there);
      }),
    );
  });
});

test('12 weeks, 8 past a watch line or ready with care, 4 while a question is open (common practice, no published source)', () => {
  const due = (pastCutoff: boolean, readiness: 'ready' | 'ready-with-care' | 'ask-first') =>
    retestDue('2026-03-02', { pastCutoff, readiness });
  expect(due(false, 'ready')).toMatchObject({ on: '2026-05-25', weeks: 12 });
  expect([due(true, 'ready').weeks, due(false, 'ready-with-care').weeks, due(true, 'ask-first').weeks]).toEqual([
    8, 8, 4,
  ]);
});
