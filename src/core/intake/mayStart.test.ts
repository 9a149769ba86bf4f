import { describe, expect, test } from 'vitest';
import { limiterRows } from '../../catalogue/limiters/limiters';
import { protocolById, protocols } from '../../catalogue/protocols';
import type { Limiter } from '../shapes/facts';
import { heldByLimiters, heldByReadiness } from './mayStart';

const named = (id: string) => {
  const found = protocolById(id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};

describe('readiness', () => {
  test('not today closes every test', () => {
    expect(protocols.filter((p) => heldByReadiness('not-today', p).length === 0)).toEqual([]);
  });
  test('ask first leaves seated arm work, and nothing else', () => {
    expect(protocols.filter((p) => heldByReadiness('ask-first', p).length === 0).map((p) => p.id)).toEqual(
      protocols.filter((p) => 'seatedArms' in p && p.seatedArms).map((p) => p.id),
    );
    expect(heldByReadiness('ask-first', named('arm-curl'))).toEqual([]);
  });
  test('ready, with care or without, closes none', () => {
    expect(
      protocols.flatMap((p) => [...heldByReadiness('ready', p), ...heldByReadiness('ready-with-care', p)]),
    ).toEqual([]);
  });
});

describe('limiters', () => {
  const closed = (id: string, ...limiters: Limiter[]) => heldByLimiters({ limiters }, named(id), limiterRows);
  test('knee pain of 3 closes the held part squat, of 5 also the way to the floor; of 2 neither (house rule)', () => {
    const knee = (pain: number): Limiter => ({ kind: 'knee-pain', side: 'R', pain });
    expect([2, 3, 5].map((pain) => closed('thigh-hold', knee(pain)).length > 0)).toEqual([false, true, true]);
    expect([2, 3, 5].map((pain) => closed('floor-transfer', knee(pain)).length > 0)).toEqual([false, false, true]);
  });
  test('a pain that was noted without a number is read as the worst, never as none', () => {
    expect(closed('floor-transfer', { kind: 'knee-pain', pain: null })).not.toEqual([]);
  });
  test('one not asked about yet closes as if it were there, and says that it was not asked', () => {
    expect(closed('floor-transfer', { kind: 'cannot-kneel', unasked: true }).join()).toContain('not asked yet');
  });
  test('left and right of one limiter are one reason', () => {
    const both: Limiter[] = ['L', 'R'].map((side) => ({ kind: 'ankle-pain', side: side as 'L' | 'R', pain: 8 }));
    expect(closed('one-leg', ...both)).toHaveLength(1);
  });
  test('nothing noted closes nothing', () => {
    expect(protocols.flatMap((p) => closed(p.id))).toEqual([]);
  });
});
