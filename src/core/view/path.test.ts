import { expect, test } from 'vitest';
import { pathOf, type PathFacts } from './path';

const facts: PathFacts = {
  today: '2026-03-02',
  readiness: 'ready',
  readinessWhy: '',
  toAsk: false,
  lacking: [],
  begin: { test: 'four-stage', title: 'Four standing positions, 10 s each' },
  lastTestedOn: null,
  again: null,
  toRepeat: false,
  toWatch: 0,
  levelsWaiting: 0,
  levelName: null,
  dueOn: null,
};
const tested: PathFacts = { ...facts, begin: null, lastTestedOn: '2026-02-23', dueOn: '2026-05-18', levelsWaiting: 4 };

test('one thing is next: first the test, then the level, then waiting for the retest', () => {
  expect(pathOf(facts).next).toEqual({
    ...{ step: 'test', test: 'four-stage', words: 'Run the four standing positions, 10 s each' },
  });
  const begin = { test: 'chair-stand-30s', title: '30-second chair stand' };
  expect(pathOf({ ...tested, begin }).next).toMatchObject({ test: 'chair-stand-30s' });
  expect(pathOf(tested).next).toEqual({ step: 'levels', words: 'Look at the 4 levels that wait and confirm them' });
  expect(pathOf({ ...tested, levelsWaiting: 1 }).next.words).toBe('Look at the level that waits and confirm it');
  expect(pathOf({ ...tested, levelsWaiting: 0 }).next.step).toBe('retest');
  expect(pathOf({ ...tested, levelsWaiting: 0, dueOn: '2026-03-02' }).next).toMatchObject({ step: 'test' });
});
test('a trial that broke off comes before the level', () => {
  expect(pathOf({ ...tested, toRepeat: true }).next).toEqual({ step: 'test', words: 'Repeat the test that broke off' });
});
test('after a fall the three minutes come before all else, but for what holds somebody', () => {
  const again = { why: 'a fall since the last test', test: 'four-stage' };
  expect(pathOf({ ...tested, again, toRepeat: true }).next).toMatchObject({ step: 'test', test: 'four-stage' });
  expect(pathOf({ ...tested, again, readiness: 'not-today' }).next.step).toBe('intake');
});
test('not today blocks the test with its reason, and nothing else is next', () => {
  const path = pathOf({ ...tested, readiness: 'not-today', readinessWhy: 'fever' });
  expect(path.next).toEqual({ step: 'intake', words: 'not today: fever' });
  expect(path.steps.filter((s) => s.state === 'blocked').map((s) => s.step)).toEqual(['test', 'levels']);
  expect(path.steps.find((s) => s.step === 'test')).toMatchObject({ note: 'not today', why: 'not today: fever' });
});
test('exactly one step is marked as now', () => {
  for (const f of [facts, tested, { ...tested, levelsWaiting: 0 }])
    expect(pathOf(f).steps.filter((s) => s.state === 'now')).toHaveLength(1);
});
