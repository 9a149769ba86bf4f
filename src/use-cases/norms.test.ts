import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { normsVersion, protocolById, protocols } from '../catalogue/protocols';
import { normUnits } from '../core/score/normBook';
import { listDecidedLevels } from '../database/decisions';
import type { Register } from '../database/connection';
import { demoCopy } from '../demo/demoCopy';
import { printNorms, readNorms } from '../formats/normsCsv';
import { askRegister, wholeRegister } from './everybody';
import { changeNorms, normChanges, readBook } from './norms';
import { codesWaiting, confirmLevels } from './confirmLevels';
import { readPerson } from './readPeople';
import { deskOf } from './desk';

const today = '2026-03-02';
const folder = mkdtempSync(join(tmpdir(), 'norms-'));
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

const stands = protocolById('chair-stand-30s');
const shippedRows = stands?.norms?.kind === 'middle-half' ? stands.norms.rows : [];
const said = { cite: 'Own hall, 212 people', who: 'Bo', why: 'a cell was read wrongly' };
const at = new Date('2026-03-02T10:00:00Z');
const change = (id: string, table: string | null, more: object = {}) =>
  changeNorms(deskOf(db, undefined, at), 'chair-stand-30s', id, { table, ...said, ...more });
const percentile = async () => {
  const score = (await readPerson(deskOf(db, today), odile))?.tests.find((t) => t.test === 'chair-stand-30s')?.series[0]
    ?.results[0]?.score;
  return score?.rank.kind === 'ranked' ? [Math.round(score.rank.percentile), score.normSet] : null;
};

test('a table is printed and read back unchanged, for every shipped set', () => {
  for (const { norms } of protocols) {
    if (norms?.kind !== 'middle-half') continue;
    const { rows, unit, faults } = readNorms(printNorms(norms.rows, norms.unit));
    expect(faults).toEqual([]);
    expect(unit).toBe(norms.unit);
    expect(rows).toEqual(norms.rows.map(({ sex, ageLow, ageHigh, p25, p75 }) => ({ sex, ageLow, ageHigh, p25, p75 })));
  }
});

describe('a cell put right in this hall', () => {
  const corrected = shippedRows.map((r) => (r.sex === 'female' && r.ageLow === 75 ? { ...r, p25: 9 } : r));
  test('scores everything anew, says which figures did, and changes the version kept with a level', async () => {
    expect(await percentile()).toEqual([17, 'chair-stand-middle-half']);
    expect(await change('cell-1', printNorms(corrected, 'stands'))).toEqual({
      kind: 'saved',
      version: `${normsVersion}+hall.1`,
    });
    expect(await percentile()).toEqual([25, 'chair-stand-30s-hall-cell-1']);
    expect((await askRegister(deskOf(db, today), { ...wholeRegister, search: 'Odile' })).lines[0]?.toWatch).toBe(0);
    const seen = await codesWaiting(deskOf(db, today), odile);
    await confirmLevels(deskOf(db, today), odile, seen);
    expect((await listDecidedLevels(db, [odile])).map((l) => l.normsVersion).slice(-5)).toEqual([
      normsVersion,
      ...Array.from({ length: 4 }, () => `${normsVersion}+hall.1`),
    ]);
  });
  test('sent twice it is one change; going back is one more, and both stay on record', async () => {
    await change('cell-1', printNorms(corrected, 'stands'));
    expect((await readBook(deskOf(db))).version).toBe(`${normsVersion}+hall.1`);
    await change('back-1', null, { why: 'the paper was right' });
    expect(await percentile()).toEqual([17, 'chair-stand-middle-half']);
    expect((await normChanges(deskOf(db), 'chair-stand-30s')).map((c) => [c.id, c.rows === null])).toEqual([
      ['back-1', true],
      ['cell-1', false],
    ]);
  });
  test.each([
    [
      'a gap in the ages',
      printNorms(corrected.slice(0, 2).concat(corrected.slice(3)), 'stands'),
      'female: no row covers ages 70 to 74.',
    ],
    ['a unit that is not one of the test', printNorms(corrected, 'lb'), 'The unit is stands, not “lb”.'],
    [
      'words for numbers',
      'sex,ageLow,ageHigh,p25,p75,unit\nfemale,60,64,few,17,stands\n',
      'Line 2: p25 and p75 are numbers.',
    ],
    ['no head line', 'female,60,64,12,17,stands\n', 'The head line must name'],
  ])('%s is refused with its line, and nothing changes', async (_, table, fault) => {
    const before = (await readBook(deskOf(db))).version;
    const answer = await change(`bad-${fault.length}`, table);
    expect(answer.kind === 'rejected' && answer.errors.map((e) => e.message).join(' ')).toContain(fault);
    expect((await readBook(deskOf(db))).version).toBe(before);
  });
  test('who, why and where from are asked for', async () => {
    const answer = await change('nobody', printNorms(corrected, 'stands'), { who: ' ', why: '', cite: '' });
    expect(answer.kind === 'rejected' && answer.errors.map((e) => e.path).sort()).toEqual(['/cite', '/who', '/why']);
  });
  test('lengths may come in inches, times and counts may not', () => {
    expect([protocolById('sit-reach'), protocolById('up-and-go-8ft'), stands].map((p) => p && normUnits(p))).toEqual([
      ['cm', 'in'],
      ['s'],
      ['stands'],
    ]);
  });
});
