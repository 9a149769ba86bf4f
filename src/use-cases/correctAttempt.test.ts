import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { openRegister, type Register } from '../database/connection';
import { correctAttempt, readAttemptRecord } from './correctAttempt';
import { deskOf } from './desk';
import { readPerson } from './readPeople';
import { rebuildResults, saveAttempt } from './saveAttempt';
import { addPerson, emptyPersonForm } from './savePerson';

const folder = mkdtempSync(join(tmpdir(), 'corrections-'));
const today = '2026-03-02';
let db: Register;
beforeAll(async () => {
  db = await openRegister(join(folder, 'register.sqlite'));
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const desk = () => deskOf(db, today);
async function somebody(name: string, birthDate = '1948-05-06'): Promise<string> {
  const saved = await addPerson(
    desk(),
    { ...emptyPersonForm, name, birthDate, normTable: 'female' as const },
    { evenSo: true },
  );
  if (saved.kind !== 'saved') throw new Error(JSON.stringify(saved));
  return saved.id;
}
const body = (personId: string, stands: number) => ({
  ...{ personId, test: 'chair-stand-30s', protocolVersion: 1, sittingDate: today, side: null, conditions: {} },
  events: [
    { kind: 'start', atMs: 0 },
    ...Array.from({ length: stands }, (_, i) => ({ kind: 'rep', atMs: 2000 * (i + 1) })),
    { kind: 'end', atMs: 30_000 },
    { kind: 'half-rep', counts: false, atMs: 31_000 },
  ].map((e, seq) => ({ ...e, seq, wallMs: 1000 + e.atMs, by: 'key' })),
});
const counted = async (id: string) =>
  (await readPerson(desk(), id))?.tests.find((t) => t.test === 'chair-stand-30s')?.series[0]?.results[0]?.result.value;
const reason = 'tapped twice';

describe('an attempt put right at the desk', () => {
  test('an event left out: the result follows, what was taken down stays beside it with its reason', async () => {
    const id = await somebody('Ada Struck');
    await saveAttempt(desk(), 'struck-attempt', body(id, 9));
    expect(await correctAttempt(desk(), 'struck-attempt', { kind: 'strike', ofSeq: 4, reason })).toEqual({
      ...{ kind: 'saved', personId: id },
    });
    expect(await counted(id)).toBe(8);
    const record = await readAttemptRecord(desk(), id, 'struck-attempt');
    expect([record?.before.value, record?.attempt.trial.value]).toEqual([9, 8]);
    expect(record?.line.find((l) => l.event.seq === 4)?.struckBy?.reason).toBe(reason);
    expect(await correctAttempt(desk(), 'struck-attempt', { kind: 'strike', ofSeq: 4, reason })).toMatchObject({
      ...{ kind: 'rejected', errors: [{ path: '/ofSeq' }] },
    });
  });
  test('taken back it reads as before, and both are in the list', async () => {
    const id = await somebody('Ada Back');
    await saveAttempt(desk(), 'back-attempt', body(id, 9));
    await correctAttempt(desk(), 'back-attempt', { kind: 'add', value: 12, reason: 'three were missed' });
    expect(await counted(id)).toBe(12);
    const added = (await readAttemptRecord(desk(), id, 'back-attempt'))?.line.at(-1)?.event.seq;
    await correctAttempt(desk(), 'back-attempt', { kind: 'strike', ofSeq: added, reason: 'nine it was' });
    expect(await counted(id)).toBe(9);
    expect((await readAttemptRecord(desk(), id, 'back-attempt'))?.line.map((l) => l.event.kind).slice(-2)).toEqual([
      'add',
      'strike',
    ]);
  });
  test('given to whom it belongs: it lies in that file, the trace in the first, and a move is taken back', async () => {
    const [wrong, right] = [await somebody('Ada Wrong'), await somebody('Ada Right')];
    await saveAttempt(desk(), 'moved-attempt', body(wrong, 7));
    expect(
      await correctAttempt(desk(), 'moved-attempt', { kind: 'move', toPersonId: right, reason: 'wrong name' }),
    ).toEqual({ kind: 'saved', personId: right });
    expect([await counted(wrong), await counted(right)]).toEqual([undefined, 7]);
    expect((await readPerson(desk(), wrong))?.movedAway).toHaveLength(1);
    const record = await readAttemptRecord(desk(), right, 'moved-attempt');
    expect(record?.names[right]).toBe('Ada Right');
    const move = record?.line.at(-1)?.event.seq;
    await correctAttempt(desk(), 'moved-attempt', { kind: 'strike', ofSeq: move, reason: 'it was hers' });
    expect([await counted(wrong), await counted(right)]).toEqual([7, undefined]);
  });
  test('what the station still sends later does not meet what the desk put right', async () => {
    const id = await somebody('Ada Late');
    const sent = body(id, 5);
    await saveAttempt(desk(), 'late-attempt', sent);
    await correctAttempt(desk(), 'late-attempt', { kind: 'add', value: 6, reason: 'one was missed' });
    const effort = { kind: 'effort', value: 4, atMs: 40_000, wallMs: 41_000, by: 'touch', seq: sent.events.length };
    expect(await saveAttempt(desk(), 'late-attempt', { ...sent, events: [...sent.events, effort] })).toMatchObject({
      ...{ kind: 'known', trial: { value: 6, marks: { effort: 4 } } },
    });
    expect(await rebuildResults(desk())).toEqual([]);
  });
  test.each([
    [{ kind: 'add', value: 500, reason }, '/value', /60/],
    [{ kind: 'add', reason }, '/value', /Write the result/],
    [{ kind: 'add', value: 9, reason: '' }, '/reason', /Say why/],
    [{ kind: 'move', toPersonId: 'nobody', reason }, '/toPersonId', /Choose/],
    [{ kind: 'strike', ofSeq: 999, reason }, '/ofSeq', /left out already/],
  ])('%o is refused by name, and nothing is changed', async (sent, path, words) => {
    const id = await somebody(`Ada Refused ${JSON.stringify(sent).length}${path}`);
    const key = `refused-${JSON.stringify(sent).length}-${path.slice(1)}`;
    await saveAttempt(desk(), key, body(id, 5));
    const answer = await correctAttempt(desk(), key, sent);
    expect(answer.kind === 'rejected' && answer.errors.find((e) => e.path === path)?.message).toMatch(words);
    expect(await counted(id)).toBe(5);
  });
  test('nobody not yet born is given one', async () => {
    const [ada, young] = [await somebody('Ada Old'), await somebody('Yan Young', '1950-01-01')];
    const early = { ...body(ada, 5), sittingDate: '1949-05-01' };
    await saveAttempt(desk(), 'early-attempt', early);
    expect(
      await correctAttempt(desk(), 'early-attempt', { kind: 'move', toPersonId: young, reason: 'hers' }),
    ).toMatchObject({ kind: 'rejected', errors: [{ path: '/toPersonId' }] });
  });
});
