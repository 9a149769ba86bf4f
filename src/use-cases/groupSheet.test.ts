import { afterAll, beforeAll, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import { readGroupSheet } from './groupSheet';
import { readGroups } from './groups';
import type { Register } from './openRegister';

const today = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, today);
beforeAll(async () => {
  db = await demoCopy(today);
});
afterAll(() => db.destroy());

test('a line a person with what they do, on which seat, with which hands, and where somebody stands by; no code, no reason', async () => {
  const { rows, patterns } = await readGroupSheet(desk(), {});
  expect(patterns.map((p) => p.pattern)).toEqual(['S', 'L', 'H', 'B']);
  const odile = rows.find((r) => r.name === 'Odile Brandvoll');
  expect(odile?.cells[0]).toEqual({
    pattern: 'S',
    name: 'Seat tap',
    seatCm: 48,
    much: null,
    support: 'h',
    helper: false,
  });
  // Whoever helps is told how far it goes, in the words of the rung.
  const hinges = rows.flatMap((r) => r.cells.filter((c) => c.pattern === 'H'));
  expect(hinges.some((c) => c.much !== null && c.much.startsWith('hands to'))).toBe(true);
  const words = JSON.stringify(rows);
  expect(words).not.toMatch(/[SLHB]\d\/|@|pain|sore|weaker|fall/i);
  // Somebody of the demo hall walks with an aid or fell: a helper stands by where they stand, and not on their own seat.
  const helped = rows.flatMap((r) => r.cells.filter((c) => c.helper));
  expect(helped.length).toBeGreaterThan(0);
  expect(helped.every((c) => !(c.pattern === 'S' && c.support === '2'))).toBe(true);
});

test('of one group and one ladder only these, and only what these need', async () => {
  const [group] = await readGroups(desk());
  const some = await readGroupSheet(desk(), { group: group?.id ?? '', pattern: 'S' });
  const all = await readGroupSheet(desk(), {});
  expect(some.group?.name).toBe(group?.name);
  expect(some.patterns.map((p) => p.pattern)).toEqual(['S']);
  expect(some.rows.length).toBeLessThan(all.rows.length);
  expect(some.rows.every((r) => r.cells.every((c) => c.pattern === 'S'))).toBe(true);
  expect(some.needs.mats).toBe(0);
});

test('a group that is not there shows everybody', async () => {
  expect((await readGroupSheet(desk(), { group: 'none', pattern: 'X' })).rows).toEqual(
    (await readGroupSheet(desk(), {})).rows,
  );
});
