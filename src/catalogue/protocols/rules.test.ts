import { describe, expect, test } from 'vitest';
import type { Protocol } from '../../core/shapes/protocol';
import { protocols, protocolById } from '.';

/** The published rules of each test, from memory, against what the catalogue says; the source stands beside each. */
const rules: readonly (readonly [string, string, (p: Protocol) => unknown, unknown])[] = [
  ['chair-stand-30s', 'seat 43.2 cm; Rikli & Jones 1999', (p) => p.seatCm, 43.2],
  [
    'chair-stand-30s',
    '30 s, over half-way at the end counts; Rikli & Jones 1999',
    (p) => p.capture,
    { kind: 'count', ends: { time: 30 }, capS: 30, halfAtTone: true },
  ],
  ['chair-stand-30s', 'arms used: 0 by rule; CDC sheet 2017', (p) => p.handsMakeZero, true],
  [
    'step-2min',
    'two minutes, calls at 1 min and 30 s left; Rikli & Jones manual',
    (p) => [p.capture, p.calls?.map((c) => c.atS)],
    [{ kind: 'count', ends: { time: 120 }, capS: 120, halfAtTone: false }, [60, 90]],
  ],
  [
    'step-2min',
    'rest and touch allowed and noted; Rikli & Jones manual',
    (p) => p.offers.map((o) => o.mark),
    ['not-full', 'touch', 'rest'],
  ],
  [
    'arm-curl',
    '30 s, over half-way counts, weights of 5 and 8 lb; Rikli & Jones 1999',
    (p) => [p.capture, p.place?.flatMap((n) => (n.what === 'weight' ? n.kg : []))],
    [{ kind: 'count', ends: { time: 30 }, capS: 30, halfAtTone: true }, [2.3, 3.6]],
  ],
  [
    'up-and-go-8ft',
    'best of 2, to 0.1 s; Rikli & Jones 1999',
    (p) => [p.tries, p.readTo],
    [{ count: 2, by: 'best' }, 0.1],
  ],
  [
    'up-and-go-3m',
    'one counted after one practice, to 0.1 s; CDC sheet 2017',
    (p) => [p.tries, p.readTo],
    [undefined, 0.1],
  ],
  [
    'sit-reach',
    'best of 2; in inches to the half, in cm to the whole; Rikli & Jones manual',
    (p) => [p.tries, p.readTo, p.range.min < 0],
    [{ count: 2, by: 'best' }, 1, true],
  ],
  [
    'back-scratch',
    'best of 2, signed; Rikli & Jones manual',
    (p) => [p.tries, p.range.min < 0],
    [{ count: 2, by: 'best' }, true],
  ],
  [
    'five-stands',
    'to the full stand of the fifth, over 60 s not done, to 0.01 s; Guralnik 1994',
    (p) => [p.capture, p.readTo],
    [{ kind: 'timed', capS: 60, reps: 5 }, 0.01],
  ],
  [
    'gait-4m',
    'standing start, faster of 2, to 0.01 s; Guralnik 1994',
    (p) => [p.version, p.tries, p.readTo],
    [2, { count: 2, by: 'best' }, 0.01],
  ],
  [
    'four-stage',
    'four positions of 10 s, stops at the first not held; CDC sheet 2017',
    (p) => p.capture,
    {
      kind: 'staged',
      ends: 'first-not',
      stages: ['sideBySide', 'semiTandem', 'tandem', 'oneLeg'].map((id) => ({ id, holdS: 10 })),
    },
  ],
  [
    'one-leg',
    'three tries a side, cap 45 s, from foot-off; Springer 2007',
    (p) => [p.capture, p.sides],
    [{ kind: 'hold', capS: 45, starts: 'foot-off' }, 'both'],
  ],
  [
    'one-leg',
    '34 s are enough for a side; common practice, no published source',
    (p) => p.tries,
    { count: 3, by: 'best', enoughAt: 34 },
  ],
  ['reach-forward', 'mean of 3; Duncan 1990', (p) => p.tries, { count: 3, by: 'mean' }],
  ['knee-to-wall', 'best of 3 a side; Bennell 1998', (p) => [p.tries, p.sides], [{ count: 3, by: 'best' }, 'both']],
  [
    'foot-feel',
    'toes 1, 3 and 5 of each foot, of 6; Rayman 2011',
    (p) => [p.capture.kind === 'staged' ? p.capture.stages.map((s) => s.id).sort() : [], p.range.max],
    [['L1', 'L3', 'L5', 'R1', 'R3', 'R5'], 6],
  ],
  [
    'stand-up-pressure',
    'seated, then 1 and 3 min standing; Shaw 2017',
    (p) => (p.capture.kind === 'staged' ? p.capture.stages.map((s) => s.afterS) : []),
    [undefined, 60, 180],
  ],
  [
    'heel-rise',
    'to the beat, at most 25; common practice, no published source',
    (p) => [p.capture.kind === 'count' && p.capture.ends, p.beatS],
    [{ count: 25 }, 1],
  ],
  [
    'thigh-hold',
    'first stop sign, cap 45 s; common practice, no published source',
    (p) => p.capture,
    { kind: 'hold', capS: 45, starts: 'in-place' },
  ],
  [
    'lowest-seat',
    'at most six stands; common practice, no published source',
    (p) => p.capture.kind === 'staged' && p.capture.stages.length,
    6,
  ],
  [
    'fan-reach',
    'three rounds a side and no clock; common practice, no published source',
    (p) => [p.capture.kind === 'count' && p.capture.ends, p.range.max],
    [{ count: 3 }, 3],
  ],
  [
    'bridge-one-leg',
    'ten lifts a side and no clock; common practice, no published source',
    (p) => [p.capture.kind === 'count' && p.capture.ends, p.range.max],
    [{ count: 10 }, 10],
  ],
  [
    'floor-transfer',
    'begun when they are ready, help kept; common practice, no published source',
    (p) => [p.capture, p.asksHelp],
    [{ kind: 'timed', capS: 600, unhurried: true }, true],
  ],
];

test.each(rules)('%s: %s', (id, _rule, says, expected) => {
  const protocol = protocolById(id);
  expect(protocol && says(protocol)).toEqual(expected);
});

test('every test has a rule it is held against', () => {
  expect(new Set(rules.map(([id]) => id))).toEqual(new Set(protocols.map((p) => p.id)));
});

describe.each(protocols)('$id', (p) => {
  test('a hand that holds a clock holds nobody: balance, turns and reaches are run by somebody who may spot', () => {
    const balance = ['four-stage', 'one-leg', 'reach-forward', 'up-and-go-8ft', 'up-and-go-3m'].includes(p.id);
    if (balance) expect([p.station.staff, p.station.lanes]).toEqual(['spots', 1]);
    expect(p.station.lanes === 1 || p.capture.kind === 'count').toBe(true);
  });
  test('what is read has a step where it is a time or a length, and none where it is a count', () => {
    expect(p.readTo !== undefined).toBe(p.unit === 's' || p.unit === 'cm' || p.id === 'four-stage');
  });
  test('an earlier version has a number below this one', () => {
    for (const { version } of p.earlier ?? []) expect(version).toBeLessThan(p.version);
  });
});
