import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { normsVersion, protocolById } from '../catalogue/protocols';
import { levelRules } from '../catalogue/rules';
import type { Register } from '../database/connection';
import { demoCopy } from '../demo/demoCopy';
import { printNorms } from '../formats/normsCsv';
import { enterSheet } from './enterSheet';
import { askRegister, wholeRegister } from './everybody';
import { changeNorms } from './norms';
import { keepPrinted, pagesMoved, readPrinted, readReport } from './printedPages';
import { readPerson } from './readPeople';
import { deskOf } from './desk';

const today = '2026-03-02';
const at = new Date('2026-03-02T10:00:00Z');
const asked = { reader: 'clinician', percent: false } as const;
const folder = mkdtempSync(join(tmpdir(), 'printed-'));
let db: Register;
let odile: string;
beforeAll(async () => {
  db = await demoCopy(today);
  odile = (await askRegister(deskOf(db, today), { ...wholeRegister, search: 'Odile' })).lines[0]?.id ?? '';
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const shown = async (day = today) => {
  const view = await readPerson(deskOf(db, day), odile);
  if (!view) throw new Error('Odile is gone');
  return readReport(deskOf(db, day), view, asked);
};
/** The demo hall handed out others before. */
const keptToday = async () => (await readPrinted(deskOf(db), odile)).filter((p) => p.report.printedOn === today);
const print = async (fingerprint: string) => keepPrinted(deskOf(db, today, at), odile, { ...asked, fingerprint });

test('a printed page is kept as it was, with the versions it was made by, and once however often it is printed', async () => {
  const page = await shown();
  expect(await print(page.fingerprint)).toEqual({ kind: 'kept' });
  expect(await print(page.fingerprint)).toEqual({ kind: 'kept' });
  const kept = await keptToday();
  expect(kept.map((p) => p.report)).toEqual([JSON.parse(JSON.stringify(page.report))]);
  expect(kept[0]?.report).toMatchObject({ normsVersion, rulesVersion: levelRules.version, reader: 'clinician' });
  expect(kept[0]?.moved).toEqual([]);
});

test('other figures change no page that was handed out: it reads as printed, and says what reads otherwise now', async () => {
  const stands = protocolById('chair-stand-30s')?.norms;
  if (stands?.kind !== 'middle-half') throw new Error('the chair stand has quartiles');
  const rows = stands.rows.map((r) => (r.sex === 'female' && r.ageLow === 75 ? { ...r, p25: 9 } : r));
  const form = { table: printNorms(rows, 'stands'), cite: 'Own hall', who: 'Bo', why: 'a cell was read wrongly' };
  await changeNorms(deskOf(db, undefined, at), 'chair-stand-30s', 'cell-1', form);
  const [page] = await keptToday();
  const then = page?.report.tests.find((t) => t.test === 'chair-stand-30s')?.series[0]?.results[0];
  expect(then?.score.normSet).toBe('chair-stand-middle-half');
  expect(
    page?.moved.map(({ test, was, is }) => [
      test,
      ...[was, is].map(({ rank }) => rank.kind === 'ranked' && Math.round(rank.percentile)),
    ]),
  ).toEqual([['chair-stand-30s', 17, 25]]);
  expect((await pagesMoved(deskOf(db), 'chair-stand-30s')).pages.map((p) => p.id)).toEqual(
    (await readPrinted(deskOf(db), odile)).map((p) => p.id),
  );
  expect(await pagesMoved(deskOf(db), 'up-and-go-8ft')).toEqual({ pages: [], older: 0 });
  await changeNorms(deskOf(db, undefined, at), 'chair-stand-30s', 'back-1', { ...form, table: null });
  expect(await pagesMoved(deskOf(db), 'chair-stand-30s')).toEqual({ pages: [], older: 0 });
});

test('a page on screen since before a new result is not kept as if it held it', async () => {
  const { fingerprint } = await shown();
  const line = {
    ...{ key: 'heel-0001', personId: odile, test: 'heel-rise', side: null, aid: 'none', outcome: 'done' },
    ...{ tries: [12], handsUsed: false, cleanBeforeHands: null, seconds: null, help: null },
  };
  const sheet = { testedOn: today, who: 'Bo', seatHeightCm: 43, shoes: 'flat', lines: [line] };
  expect(await enterSheet(deskOf(db, today), sheet)).toEqual({ kind: 'saved', results: 1 });
  expect(await print(fingerprint)).toEqual({ kind: 'changed' });
  expect(await keptToday()).toHaveLength(1);
  expect(await print((await shown()).fingerprint)).toEqual({ kind: 'kept' });
  expect((await keptToday()).map((p) => p.report.tests.some((t) => t.test === 'heel-rise'))).toEqual([true, false]);
});

test('a page nobody knows, and one asked for in words that are none, are not kept', async () => {
  expect(await keepPrinted(deskOf(db, today, at), 'nobody', { ...asked, fingerprint: 'x' })).toEqual({
    kind: 'not-found',
  });
  expect(await keepPrinted(deskOf(db, today, at), odile, { ...asked, reader: 'neighbour', fingerprint: 'x' })).toEqual({
    kind: 'rejected',
  });
});
