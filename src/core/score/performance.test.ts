import { expect, test } from 'vitest';
import { protocols } from '../../catalogue/protocols';
import { quartileZ } from '../math/normal';
import { performanceScale } from './performance';
import { rankAmongPeers } from './rank';
import { moreIsBetter } from './scoreResult';

const peer = { ageYears: 77, sex: 'female' } as const;

test('better lies to the right in every test that has norms, by time, speed, count and reach', () => {
  const drawn = protocols.filter((p) => p.norms);
  for (const protocol of drawn) {
    const higher = moreIsBetter(protocol);
    const scale = performanceScale(rankAmongPeers(protocol.norms, 8, peer), higher);
    const [more, less] = [scale?.at(9) ?? NaN, scale?.at(8) ?? NaN];
    expect(more > less).toBe(higher);
  }
  expect(drawn.length).toBeGreaterThan(0);
});
test('quartiles of all ranked tests stand under each other', () => {
  for (const { norms } of protocols) {
    const rank = rankAmongPeers(norms, 8, peer);
    if (rank.kind !== 'ranked') continue;
    const scale = performanceScale(rank, true);
    expect(scale?.at(rank.row.p25)).toBeCloseTo(-quartileZ, 9);
    expect(scale?.at(rank.row.p75)).toBeCloseTo(quartileZ, 9);
    expect(scale?.steps).toBe('spread');
  }
});
test('on a limit the step is a quarter of it, and said to be no spread of people', () => {
  const five = protocols.find((p) => p.id === 'five-stands');
  const scale = performanceScale(rankAmongPeers(five?.norms, 12.6, peer), false);
  expect(scale?.at(12.6)).toBeCloseTo(0, 12);
  expect(scale?.at(15.75)).toBeCloseTo(-1, 12);
  expect(scale?.steps).toBe('share');
});
test('without norms there is no scale', () => {
  expect(performanceScale({ kind: 'no-norm', why: 'no-set' }, true)).toBeNull();
});
