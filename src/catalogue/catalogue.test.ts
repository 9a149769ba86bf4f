import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { limiterKinds, setPatterns, type Pattern } from '../core/shapes/facts';
import { forbiddenIn } from '../core/shapes/forbids';
import type { LimiterRow, Need } from '../core/shapes/ladder';
import { accessories, ladders } from './ladders';
import { openAllTheSame } from './limiters/byLoad';
import { limiterRows } from './limiters/limiters';
import { protocols } from './protocols';
import { levelRules } from './rules';

const all = [...ladders, ...accessories];

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

test.each(all)('$title: rungs from 1 without a gap, every need names a measured fact', ({ rungs }) => {
  expect(rungs.map((r) => r.rung)).toEqual(rungs.map((_, i) => i + 1));
  const known = new Set(levelRules.measured.map((m) => m.id));
  const facts = (n: Need): string[] => ('anyOf' in n ? n.anyOf.flatMap(facts) : 'fact' in n ? [n.fact] : []);
  for (const fact of rungs.flatMap((r) => r.needs.flatMap(facts))) expect(known).toContain(fact);
});

// The floor transfer is learned on its own ladder: it does not ask for itself.
test.each(all.filter((l) => l.pattern !== 'F' && !setPatterns.has(l.pattern)))(
  '$title: hands are fixed where nobody stands, the floor comes after the way up from it',
  ({ rungs }) => {
    for (const { name, stance, support } of rungs)
      if (stance === 'seated' || stance === 'lying') expect([name, support !== undefined]).toEqual([name, true]);
    const floor = rungs.findIndex((r) => r.floor);
    const below = floor < 0 ? [] : rungs.slice(0, floor + 1).flatMap((r) => r.needs);
    if (floor >= 0) expect(below.some((n) => 'fact' in n && n.fact === 'floorTransfer')).toBe(true);
  },
);

test('a limiter closes only rungs that are built', () => {
  for (const { title, closes } of limiterRows)
    for (const { pattern, rungs } of all)
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

describe('limiters and rungs', () => {
  const rungs = all.flatMap(({ pattern, rungs: of }) =>
    of.map((rung) => ({ code: `${pattern}${rung.rung}`, pattern, rung })),
  );
  const isOfTheFour = ({ pattern }: { pattern: Pattern }): boolean => ladders.some((l) => l.pattern === pattern);
  const closes = (row: LimiterRow, code: string): boolean =>
    row.closes[code[0] as Pattern]?.some(([from, to]) => from <= Number(code[1]) && Number(code[1]) <= to) === true;

  test('what the sentence of a limiter forbids, the rung that has it in its own words is closed', () => {
    const faults = limiterRows.flatMap((row) =>
      rungs.flatMap(({ code, rung }) => {
        const forbidden = forbiddenIn(row, rung);
        // Rows of one kind add up: a weaker one holds whenever the stronger does.
        const together = limiterRows.filter(
          (r) => r.kind === row.kind && r.forDays === row.forDays && (r.painAtLeast ?? 0) <= (row.painAtLeast ?? 10),
        );
        const closed = closes(row, code) || together.some((r) => closes(r, code));
        return forbidden.length > 0 && !closed ? [`${row.title}: ${code} has ${forbidden.join(', ')}`] : [];
      }),
    );
    expect(faults).toEqual([]);
  });

  test('what a pain closes follows from what the rungs load, but for three that are written down with why', () => {
    expect(openAllTheSame.map(({ joint, rung }) => `${joint} ${rung}`)).toEqual(['knee S2', 'back H1', 'back H2']);
    for (const { why } of openAllTheSame) expect(why.length).toBeGreaterThan(10);
    const spans = (kind: string, painAtLeast: number) =>
      rungs
        .filter(isOfTheFour)
        .filter(({ code }) =>
          limiterRows.some((r) => r.kind === kind && (r.painAtLeast ?? 99) <= painAtLeast && closes(r, code)),
        )
        .map(({ code }) => code)
        .join(' ');
    // As the table of common practice has them, no published source.
    expect(spans('knee-pain', 3)).toBe('S6 S8 S9 L4 L5 L6 L7 L8 H7 H8');
    expect(spans('knee-pain', 5)).toBe('S3 S4 S5 S6 S7 S8 S9 L2 L3 L4 L5 L6 L7 L8 H5 H6 H7 H8');
    expect(spans('hip-pain', 4)).toBe('S6 S7 S8 S9 L4 L5 L6 L7 L8 H5 H6 H7 H8 B5 B6');
    expect(spans('back-pain', 4)).toBe('S8 S9 L7 L8 H4 H5 H6 H7 H8 B4 B5 B6');
    expect(spans('back-pain', 6)).toBe('S7 S8 S9 L4 L5 L6 L7 L8 H3 H4 H5 H6 H7 H8 B2 B3 B4 B5 B6');
    expect(spans('ankle-pain', 4)).toBe('S8 S9 L5 L6 L7 L8 H6 H7 H8');
  });

  test('beside the four a limiter closes what the table has, and what its own words forbid', () => {
    const closed = (title: string) =>
      rungs
        .filter((r) => !isOfTheFour(r))
        .filter(({ code }) => limiterRows.some((r) => r.title === title && closes(r, code)))
        .map(({ code }) => code)
        .join(' ');
    const wide = 'W3 W4 W5 W6';
    const punches = 'W6';
    const trunk = 'K1 K2 K3 K4 K5';
    const floor = 'F1 F2 F3';
    const [hop, step] = ['U4', 'U3 U4'];
    // As the tables of common practice have them, no published source: what closes S6 closes the wide holds, L4 the high
    // step and the hop, S9 the hop, the floor transfer test what goes to the floor.
    expect(closed('knee pain from 3')).toBe(`${wide} ${step}`);
    expect(closed('knee pain from 4')).toBe('M2');
    expect(closed('knee pain from 5')).toBe(`W3 W4 W5 W6 A4 U1 U2 U3 U4 ${floor} K2 K3 K4 K5 M2`);
    expect(closed('hip pain from 4')).toBe(`W1 W2 ${wide} A4 ${step} M2`);
    expect(closed('back pain from 4')).toBe(`${punches} A4 ${hop} ${trunk}`);
    expect(closed('back pain from 6')).toBe(`W5 W6 ${step} ${floor} Q2 Q3 ${trunk} M2`);
    expect(closed('ankle pain from 4')).toBe('A4 U1 U2 U3 U4 M1');
    expect(closed('shoulder pain from 4')).toBe(`${punches} K3 K4 K5 M3`);
    expect(closed('knee replaced under 6 months ago')).toBe(`${wide} ${step}`);
    expect(closed('hip replaced under a year ago')).toBe(`A4 ${hop}`);
    expect(closed('knee replaced')).toBe(hop);
    expect(closed('hip replaced, limits in force or unknown')).toBe(`W1 W2 ${wide} A4 ${step} ${floor} ${trunk} M2`);
    expect(closed('fragile bone')).toBe(`${hop} ${trunk}`);
    expect(closed('spine fracture')).toBe(`${punches} A4 ${hop} ${trunk}`);
    expect(closed('spine fracture, not cleared')).toBe(`${wide} ${step} ${floor} M2`);
    expect(closed('dizziness, known')).toBe(`A4 ${hop} ${floor} ${trunk} M2`);
    expect(closed('numb feet')).toBe(hop);
    expect(closed('does not see well')).toBe('U1 U2 U3 U4');
    expect(closed('a lost limb, or a brace')).toBe(`A4 ${hop}`);
    expect(closed('cannot lie down')).toBe(`${floor} ${trunk} M2`);
    expect(closed('cannot kneel')).toBe(`${floor} ${trunk} M2`);
    expect(closed('head must not be low, or breathless lying')).toBe('');
    expect(closed('Parkinson’s, stroke, MS or similar, not released')).toBe(`${wide} A4 U1 U2 U3 U4`);
  });

  test('no limiter leaves a rung open above one it closes, but for what is written down', () => {
    const left = limiterRows.flatMap((row) =>
      all.flatMap(({ pattern, rungs: of }) => {
        if (setPatterns.has(pattern)) return [];
        const closed = of.map(({ rung }) => closes(row, `${pattern}${rung}`));
        const from = closed.indexOf(true);
        return from < 0
          ? []
          : of.flatMap(({ rung }, i) => (i > from && !closed[i] ? [`${row.title}: ${pattern}${rung}`] : []));
      }),
    );
    expect(left).toEqual(['knee pain from 3: S7', 'Parkinson’s, stroke, MS or similar, not released: L4']);
  });

  test('hands are named in a rung only where the movement fixes them, so that no card says two counts', () => {
    const named = rungs.filter(({ rung }) => /\b(two|both|one) hands?\b|fingertips/i.test(rung.name));
    for (const { code, rung } of named)
      expect([code, rung.support !== undefined || rung.freest !== undefined]).toEqual([code, true]);
  });
});
