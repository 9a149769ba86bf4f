import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { afterAll, beforeAll, expect, test } from 'vitest';
import { chairStand30s } from '../catalogue/protocols/chair-stand-30s/protocol';
import { readTrial } from '../core/measure/readTrial';
import type { AttemptEvent } from '../core/shapes/attempt';
import { eventsOf, listAttempts, storeAttempt, type AttemptHead } from './attempts';
import { openRegister, type Register } from './connection';

const folder = mkdtempSync(join(tmpdir(), 'attempts-'));
let db: Register;
beforeAll(async () => {
  db = await openRegister(join(folder, 'register.sqlite'));
  await db
    .insertInto('person')
    .values({ id: 'p', name: 'P', birth_date: '1950-01-01', norm_table: null, added_at: '' })
    .execute();
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const derive = (events: readonly AttemptEvent[]) => ({ trial: readTrial(chairStand30s, events), version: 1 });
const head = (clientKey: string): AttemptHead => ({
  clientKey,
  personId: 'p',
  test: 'chair-stand-30s',
  protocolVersion: 1,
  sittingDate: '2026-03-02',
  side: null,
  conditions: {},
});
const whole: AttemptEvent[] = [
  { kind: 'start' as const, atMs: 0 },
  ...Array.from({ length: 12 }, (_, i) => ({ kind: 'rep' as const, atMs: 2000 * (i + 1) })),
  { kind: 'hands' as const, atMs: 24_500 },
  { kind: 'rep' as const, atMs: 27_000 },
  { kind: 'end' as const, atMs: 30_000 },
  { kind: 'half-rep' as const, counts: true, atMs: 31_000 },
].map((event, seq) => ({ ...event, seq, wallMs: seq, by: 'key' as const }));

test('in whatever pieces, order and number of times a list is sent, the register holds it once and the result is the same', async () => {
  const wanted = readTrial(chairStand30s, whole);
  const pieces = fc.array(fc.subarray(whole, { minLength: 1 }), { maxLength: 6 });
  await fc.assert(
    fc.asyncProperty(pieces, fc.uuid(), async (sent, key) => {
      for (const piece of [...sent, whole, ...sent]) {
        const answer = await storeAttempt(db, head(key), piece, derive, new Date(), 'somebody');
        expect(['created', 'known']).toContain(answer.kind);
      }
      expect(await eventsOf(db, key)).toEqual(whole);
      expect((await listAttempts(db)).find((a) => a.clientKey === key)?.trial).toEqual(wanted);
    }),
    { numRuns: 40 },
  );
});

test('what clashes is kept beside what was first, and does not change the result', async () => {
  await storeAttempt(db, head('clash'), whole, derive, new Date(), 'somebody');
  const other = whole.map((event) => (event.seq === 3 ? { ...event, atMs: 5555 } : event));
  for (let times = 0; times < 2; times++)
    expect(await storeAttempt(db, head('clash'), other, derive, new Date(), 'somebody')).toMatchObject({
      kind: 'conflict',
      seqs: [3],
    });
  expect(await eventsOf(db, 'clash')).toEqual(whole);
  expect(await db.selectFrom('attempt_event_conflict').selectAll().execute()).toHaveLength(1);
});

test('a key that belongs to another day is not written to', async () => {
  await storeAttempt(db, head('day'), whole.slice(0, 3), derive, new Date(), 'somebody');
  expect(
    await storeAttempt(db, { ...head('day'), sittingDate: '2026-03-01' }, whole, derive, new Date(), 'somebody'),
  ).toEqual({
    kind: 'other-attempt',
    differs: ['day'],
  });
  expect(await eventsOf(db, 'day')).toHaveLength(3);
});

test('an attempt of nobody is refused by the file itself, and nothing of it stays', async () => {
  await expect(
    storeAttempt(db, { ...head('ghost'), personId: 'nobody' }, whole, derive, new Date(), 'somebody'),
  ).rejects.toThrow(/FOREIGN KEY/);
  expect(await eventsOf(db, 'ghost')).toEqual([]);
});
