import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { limiterKinds } from '../core/shapes/facts';
import type { Need } from '../core/shapes/ladder';
import { ladders } from './ladders';
import { limiterRows } from './limiters/limiters';
import { protocols } from './protocols';
import { levelRules } from './rules';

test('the 21 tests of the product table, each once, each in a folder of its own name', () => {
  const ids = protocols.map((p) => p.id);
  expect(new Set(ids).size).toBe(21);
  for (const id of ids)
    expect(readFileSync(new URL(`./protocols/${id}/protocol.ts`, import.meta.url), 'utf8')).toContain(`id: '${id}'`);
});

test('the core five come first (common practice, no published source)', () => {
  expect(protocols.slice(0, 5).map((p) => p.id)).toEqual([
    'four-stage',
    'chair-stand-30s',
    'one-leg',
    'up-and-go-8ft',
    'step-2min',
  ]);
});

test.each(protocols)('$id crosses to the browser unchanged, names a source and says what to do', (p) => {
  expect(JSON.parse(JSON.stringify(p))).toEqual(p);
  expect(p.range.min).toBeLessThan(p.range.max);
  for (const words of [p.title, p.say, p.source, ...p.setUp, ...p.cautions]) expect(words.length).toBeGreaterThan(3);
});

test.each(protocols.filter((p) => p.norms))('$id: rows of one sex cover each age once, quartiles in order', (p) => {
  const { norms } = p;
  for (const sex of ['female', 'male'] as const) {
    const rows = norms?.rows.filter((r) => r.sex === sex || r.sex === 'both') ?? [];
    expect(rows.length).toBeGreaterThan(1);
    rows.slice(1).forEach((row, i) => {
      expect(row.ageLow).toBe((rows[i]?.ageHigh ?? NaN) + 1);
    });
    for (const row of rows) if ('p25' in row) expect(row.p75 > row.p25).toBe(p.better === 'higher');
  }
});

test.each(ladders)('$title: rungs from 1 without a gap, every need names a measured fact', ({ rungs }) => {
  expect(rungs.map((r) => r.rung)).toEqual(rungs.map((_, i) => i + 1));
  const known = new Set(levelRules.measured.map((m) => m.id));
  const facts = (n: Need): string[] => ('anyOf' in n ? n.anyOf.flatMap(facts) : 'fact' in n ? [n.fact] : []);
  for (const fact of rungs.flatMap((r) => r.needs.flatMap(facts))) expect(known).toContain(fact);
});

test.each(ladders)(
  '$title: hands are fixed where nobody stands, the floor comes after the way up from it',
  ({ rungs }) => {
    for (const { name, stance, support } of rungs)
      if (stance === 'seated' || stance === 'lying') expect([name, support !== undefined]).toEqual([name, true]);
    const floor = rungs.findIndex((r) => r.floor);
    const below = floor < 0 ? [] : rungs.slice(0, floor + 1).flatMap((r) => r.needs);
    if (floor >= 0) expect(below.some((n) => 'fact' in n && n.fact === 'floorTransfer')).toBe(true);
  },
);

test('a limiter closes only rungs that are built, or ladders that are not', () => {
  for (const { title, closes } of limiterRows)
    for (const { pattern, rungs } of ladders)
      for (const [from, to] of closes[pattern] ?? [])
        expect([title, from >= 1 && from <= to && to <= rungs.length]).toEqual([title, true]);
});

test('every limiter kind has a row, and closes only tests that exist', () => {
  expect(new Set(limiterRows.map((r) => r.kind))).toEqual(new Set(limiterKinds));
  const ids = new Set(protocols.map((p) => p.id));
  for (const test of limiterRows.flatMap((r) => r.closesTests)) expect(ids).toContain(test);
});

test('every measured fact reads a test that exists', () => {
  const ids = protocols.map((p) => p.id);
  for (const { test } of levelRules.measured) expect(ids).toContain(test);
});
