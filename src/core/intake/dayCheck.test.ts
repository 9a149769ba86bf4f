import { describe, expect, test } from 'vitest';
import { readinessRules as rules } from '../../catalogue/readiness/readiness';
import { addDays } from '../math/days';
import { questionIds, type Entry, type EntryContent, type Joint } from '../shapes/intake';
import { contentsOfCheck, toBeChecked, unsaid, wellToday, type CheckSaid, type FallSaid } from './dayCheck';
import { knownOn, type Known } from './known';
import { madeUpIntake } from './madeUp';

const today = '2026-03-02';
const intake = madeUpIntake({ notedOn: '2026-01-01' });
const entry = (content: EntryContent, on: string, n = 0): Entry => ({
  ...{ id: `${content.kind} ${on} ${n}`, personId: 'ada', on, savedAt: `${on}T10:00:0${n}.000Z`, content },
});
const pain = (joint: Joint, level: number, daysAgo: number) =>
  entry(
    { kind: 'pain', joint, side: joint === 'back' ? null : 'R', level, since: '2025-06-01' },
    addDays(today, -daysAgo),
  );
const asked = entry(
  { kind: 'screening', answers: Object.fromEntries(questionIds.map((id) => [id, id === 'active'])) },
  '2026-02-01',
);
const measured = { pulse: null, pressures: [], skippedBecause: null };
const knownWith = (...entries: Entry[]): Known => {
  const known = knownOn(
    { intakes: [{ ...intake, savedAt: '2026-01-01T08:00:00.000Z' }], entries: [asked, ...entries] },
    today,
    rules,
  );
  if (!known) throw new Error('nothing known');
  return known;
};
const nothing: FallSaid = { fellOn: null, lookedAt: null, hurt: null, headStruck: null };
const said = (more: Partial<CheckSaid> = {}): CheckSaid => ({
  ...{ signs: [], levels: {}, fall: nothing, hot: null },
  ...more,
});
const noted = (known: Known, more: Partial<CheckSaid>) =>
  contentsOfCheck(known, said(more), measured, today, rules.hotJointPain);
/** What follows when it is saved. */
const after = (more: Partial<CheckSaid>, ...before: Entry[]) => {
  const contents = noted(knownWith(...before), more);
  return knownWith(...before, ...contents.map((content, n) => entry(content, today, n))).readiness;
};
const fell: FallSaid = { fellOn: today, lookedAt: true, hurt: false, headStruck: false };

describe('sore places', () => {
  const knee = () => pain('knee', 4, 10);
  test('each is asked anew, the oldest first; nothing is chosen before somebody says', () => {
    const known = knownWith(knee(), pain('back', 2, 40));
    expect(unsaid(known, said())).toMatchObject({ kind: 'pain', pain: { joint: 'back' } });
    expect(unsaid(known, said({ levels: { 'back/': 2 } }))).toMatchObject({ kind: 'pain', pain: { joint: 'knee' } });
    expect(unsaid(known, said({ levels: { 'knee/R': 4, 'back/': 0 } }))).toBeNull();
  });
  test('the same is kept with its day, and keeps since when', () => {
    expect(noted(knownWith(knee()), { levels: { 'knee/R': 4 } })).toEqual([
      { kind: 'pain', joint: 'knee', side: 'R', level: 4, since: '2025-06-01' },
      { kind: 'day-check', signs: [], ...measured },
    ]);
    const again = knownWith(knee(), pain('knee', 4, 0));
    expect(again.pains).toMatchObject([{ level: 4, askedOn: today, stale: false }]);
  });
  test('an answer given today already is not noted twice; another one is', () => {
    const known = knownWith(pain('knee', 4, 0));
    expect(unsaid(known, said({ levels: { 'knee/R': 4 } }))).toBeNull();
    expect(noted(known, { levels: { 'knee/R': 4 } })).toHaveLength(1);
    expect(noted(known, { levels: { 'knee/R': 6 } })).toMatchObject([{ kind: 'pain', level: 6 }, {}]);
  });
  test('left out with a reason, no pain is noted that nobody asked', () => {
    const why = { ...measured, skippedBecause: 'asked at the door' };
    expect(contentsOfCheck(knownWith(knee()), said(), why, today, rules.hotJointPain)).toEqual([
      { kind: 'day-check', signs: [], ...why },
    ]);
  });
});

test('read to the room, sore places are still asked at the chair; left out with a reason nothing more is', () => {
  const knee = pain('knee', 4, 10);
  expect(toBeChecked(knownWith(), today)).toBe(true);
  expect(toBeChecked(knownWith(entry(wellToday, today)), today)).toBe(false);
  expect(toBeChecked(knownWith(knee, entry(wellToday, today)), today)).toBe(true);
  expect(toBeChecked(knownWith(knee, pain('knee', 4, 0), entry(wellToday, today, 1)), today)).toBe(false);
  const skipped = entry({ kind: 'day-check', signs: [], ...measured, skippedBecause: 'asked at the door' }, today);
  expect(toBeChecked(knownWith(knee, skipped), today)).toBe(false);
});

describe('a joint hot or swollen today', () => {
  test('which one is asked; it counts as 6, as more where more was said, and keeps since when', () => {
    const known = knownWith(pain('knee', 2, 10));
    expect(unsaid(known, said({ signs: ['hot-joint'], levels: { 'knee/R': 2 } }))).toEqual({ kind: 'hot-joint' });
    const hot = { joint: 'knee', side: 'R' } as const;
    const of = (level: number) => noted(known, { signs: ['hot-joint'], levels: { 'knee/R': level }, hot })[0];
    expect([of(2), of(8)]).toEqual([6, 8].map((level) => ({ kind: 'pain', ...hot, level, since: '2025-06-01' })));
    const elsewhere = { joint: 'ankle', side: 'L' } as const;
    expect(noted(known, { signs: ['hot-joint'], levels: { 'knee/R': 2 }, hot: elsewhere })).toMatchObject([
      { joint: 'knee', level: 2 },
      { joint: 'ankle', level: 6, since: null },
      { kind: 'day-check', signs: ['hot-joint'] },
    ]);
  });
  test('new and strong, it asks for the questions again', () => {
    expect(after({ signs: ['hot-joint'], hot: { joint: 'hand', side: 'L' } })).toMatchObject({
      outcome: 'ask-first',
      asked: 'lapsed',
    });
  });
});

describe('a fall since last time', () => {
  test('is not noted before all of it was said', () => {
    for (const missing of Object.keys(fell))
      expect(unsaid(knownWith(), said({ signs: ['fall'], fall: { ...fell, [missing]: null } }))).toEqual({
        kind: 'fall',
      });
    expect(unsaid(knownWith(), said({ signs: ['fall'], fall: fell }))).toBeNull();
  });
  test('looked at, it is a fall and no sign: the questions are put again, and then they go on', () => {
    expect(noted(knownWith(), { signs: ['fall'], fall: fell })).toEqual([
      { kind: 'fall', ...fell, unexplained: false },
      { kind: 'day-check', signs: [], ...measured },
    ]);
    expect(after({ signs: ['fall'], fall: fell })).toMatchObject({ outcome: 'ask-first', asked: 'lapsed' });
  });
  test('not looked at: nothing more today, and it is asked about tomorrow', () => {
    const answer = after({ signs: ['fall'], fall: { ...fell, lookedAt: false, hurt: true } });
    expect(answer.outcome).toBe('not-today');
    expect(answer.reasons.map((r) => r.id)).toContain('day:fall');
  });
  test('said in an earlier check of the day it is not noted again', () => {
    const known = knownWith(entry({ kind: 'day-check', signs: ['fall'], ...measured }, today));
    expect(noted(known, { signs: ['fall'], fall: nothing })).toEqual([
      { kind: 'day-check', signs: ['fall'], ...measured },
    ]);
    expect(unsaid(known, said({ signs: ['fall'] }))).toBeNull();
  });
});

test.each(['tablets', 'worse', 'shoes'] as const)('%s: ready with care, for the day', (id) => {
  expect(after({ signs: [id] }).outcome).toBe('ready-with-care');
  const check = entry({ kind: 'day-check', signs: [id], ...measured }, addDays(today, -1));
  expect(knownWith(check).readiness.outcome).toBe('ready');
});
