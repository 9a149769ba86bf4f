import { expect, test } from 'vitest';
import { protocols } from '../../../catalogue/protocols';
import { daySets } from '../../../catalogue/testing-day/daySets';
import type { DayStaff, DayTest } from '../../shapes/day';
import { forToday, offerDay, type DayComer } from './offer';

const tests: readonly DayTest[] = protocols.map(({ id, station }) => ({ ...station, id }));
const staff: readonly DayStaff[] = [
  { id: 'instructor', may: ['instructor', 'spots', 'counts'] },
  { id: 'second', may: ['spots', 'counts'] },
];
const comers = (n: number, more: Partial<DayComer> = {}): DayComer[] =>
  Array.from({ length: n }, (_, i) => ({ id: `p${i}`, alone: false, over85: false, withCare: false, ...more }));

test('six people do all five inside the hour, twenty three today and two on the next class day', () => {
  const six = offerDay(comers(6), tests, staff, daySets);
  expect([six.today.length, six.nextDay, six.minutes <= 60]).toEqual([5, [], true]);
  const twenty = offerDay(comers(20), tests, staff, daySets);
  expect(twenty.today).toEqual(daySets.first);
  expect(twenty.nextDay).toEqual(['up-and-go-8ft', 'step-2min']);
  expect(twenty.fullMinutes).toBeGreaterThan(60);
  expect(twenty.minutes).toBeLessThanOrEqual(60);
});

test('the day over the hour by one minute is two days', () => {
  const { fullMinutes } = offerDay(comers(8), tests, staff, daySets);
  const most = (minutes: number) => ({ ...daySets, mostS: 60 * minutes });
  expect(offerDay(comers(8), tests, staff, most(fullMinutes)).nextDay).toEqual([]);
  expect(offerDay(comers(8), tests, staff, most(fullMinutes - 1)).nextDay).not.toEqual([]);
});

test('three leg tests a day, two over 85 or ready with care; what is left out is the last of the order', () => {
  const all = ['step-2min', 'chair-stand-30s', 'four-stage', 'up-and-go-8ft', 'thigh-hold'];
  const of = (who: { withCare: boolean; over85: boolean }) => forToday(who, all, tests, daySets);
  expect(of({ withCare: false, over85: false })).toEqual([
    'four-stage',
    'chair-stand-30s',
    'up-and-go-8ft',
    'step-2min',
  ]);
  const two = ['four-stage', 'chair-stand-30s', 'up-and-go-8ft'];
  expect([of({ withCare: true, over85: false }), of({ withCare: false, over85: true })]).toEqual([two, two]);
});

test('the sets name tests that there are', () => {
  for (const id of [...daySets.full, ...daySets.first]) expect(protocols.some((p) => p.id === id)).toBe(true);
});
