import { expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import type { Facts } from '../shapes/facts';
import { assignLevels } from './assign';
import { decidingTests } from './deciding';
import { done, legs, someone, stands } from './madeUp';

const deciding = (more: Partial<Facts>) =>
  decidingTests(assignLevels(levelRules, someone(more)), levelRules.measured).map((d) => `${d.test} ${d.rung}`);
const sides = (id: string, value: number) => (['L', 'R'] as const).map((side) => done(id, value, { side }));
const levels = (more: Partial<Facts>) =>
  assignLevels(levelRules, someone(more)).levels.map((l) => `${l.pattern}${l.rung}`);

test('of somebody never tested a test decides where it alone is missing, and done well it opens that rung', () => {
  const had = { results: [stands(14), done('four-stage', 4)] };
  const said = deciding(had);
  expect(said.length).toBeGreaterThan(0);
  for (const one of said) {
    const [id, rung] = one.split(' ') as [string, string];
    const best = { 'floor-transfer': 12, 'one-leg': 45, 'thigh-hold': 45, 'bridge-one-leg': 20, 'lowest-seat': 38 }[id];
    expect([id, best]).not.toEqual([id, undefined]);
    const more =
      id === 'one-leg' ? legs(best ?? 0) : id === 'bridge-one-leg' ? sides(id, best ?? 0) : [done(id, best ?? 0)];
    const opened = levels({ results: [...had.results, ...more] });
    const [pattern, nth] = [rung.charAt(0), rung.slice(1)];
    expect([one, opened.some((l) => l.startsWith(pattern) && Number(l.slice(1)) >= Number(nth))]).toEqual([one, true]);
  }
});

test('a test that was taken and fell short decides nothing: more of it is another day’s', () => {
  const short = deciding({
    results: [stands(3), done('four-stage', 1), ...legs(1)],
  });
  expect(
    short.filter((s) => s.startsWith('chair-stand') || s.startsWith('four-stage') || s.startsWith('one-leg')),
  ).toEqual([]);
});
