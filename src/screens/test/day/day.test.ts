import { expect, test } from 'vitest';
import { dayState } from '../../../core/measure/day/dayState';
import type { DayEvent, DayNote } from '../../../core/shapes/day';
import { differing } from './differing';
import { initials, satLine, staffName, testsWords } from './dayWords';
import type { SetUp } from '../station';

const state = (...events: readonly DayEvent[]) =>
  dayState(events.map((event, i): DayNote => ({ key: `note-${i}`, day: '2026-03-02', wallMs: i, event })));
const plan: DayEvent = { kind: 'plan', tests: ['chair-stand-30s'], staff: ['instructor'], minutes: 60 };
const hall: DayEvent = { kind: 'conditions', put: { seatCm: 43, shoes: 'flat' } };
const setUp = (conditions: SetUp['conditions'], device: string | null = null) =>
  ({ person: { id: 'ada' }, conditions, device, side: null, although: null, watchedBy: null }) as unknown as SetUp;

test('another chair or other shoes than the hall’s are noted as theirs, once; the hall’s own are not', () => {
  const day = state(plan, hall);
  expect(differing([setUp({ seatHeightCm: 43, shoes: 'flat' })], day)).toEqual([]);
  const [noted, ...more] = differing([setUp({ seatHeightCm: 46, shoes: 'barefoot' })], day);
  expect(noted).toEqual({ kind: 'conditions', personId: 'ada', put: { seatCm: 46, shoes: 'barefoot' } });
  expect(more).toEqual([]);
  if (!noted) throw new Error('nothing was noted');
  expect(differing([setUp({ seatHeightCm: 46, shoes: 'barefoot' })], state(plan, hall, noted))).toEqual([]);
});

test('the height of a switch on the seat is no other chair, and on a day without a plan nothing is noted', () => {
  expect(differing([setUp({ seatHeightCm: 45 }, 'seat-1')], state(plan, hall))).toEqual([]);
  expect(differing([setUp({ seatHeightCm: 46 })], state(hall))).toEqual([]);
});

test('a sitting says the result in the units of the hall, or why there is none', () => {
  const sat = { test: 'sit-reach', values: [2.54], why: '', stopReason: null, endedWallMs: 0 };
  expect(satLine({ ...sat, state: 'done' }, 'us')).toContain('in');
  const none = { ...sat, values: [], endedWallMs: null };
  expect(satLine({ ...none, state: 'declined', why: 'tired' }, 'metric')).toBe('not tried: tired');
  expect(satLine({ ...none, state: 'stopped', stopReason: 'unwell' }, 'metric')).toBe('stopped: Unwell');
  expect(satLine({ ...none, state: 'open' }, 'metric')).toBe('still to do');
  expect(satLine({ ...none, state: 'paper', why: 'on paper' }, 'metric')).toBe('on paper');
});

test('a hall sees first letters alone; a helper who was taken off is still somebody', () => {
  expect(initials(' Odile  de Brandvoll ')).toBe('O. d. B.');
  expect(staffName('gone', [])).toBe('a helper who is gone');
  expect(testsWords(['four-stage', 'chair-stand-30s'])).toBe('four positions, chair stands');
});
