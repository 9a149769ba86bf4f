import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, Migrator, SqliteDialect } from 'kysely';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import type { AttemptEvent } from '../core/shapes/attempt';
import { inNewWords } from '../core/shapes/oldWords';
import { listAttempts } from '../database/attempts';
import { openRegister, type Register } from '../database/connection';
import { listDecidedLevels, listDecisions } from '../database/decisions';
import { listPrintedPages } from '../database/printedPages';
import { migrations } from '../database/migrations';
import { deskOf } from './desk';
import { bringResultsUpToDate, rebuildResults, saveAttempt } from './saveAttempt';

const folder = mkdtempSync(join(tmpdir(), 'up-to-date-'));
const file = join(folder, 'register.sqlite');
const today = '2026-03-02';
let db: Register;

interface Old {
  readonly test: string;
  readonly events: readonly object[];
  /** As the version before had derived it: the parts of it that are still told. */
  readonly was: { readonly state: string; readonly value: number | null; readonly handsUsed: boolean };
  readonly counted?: number;
}
const stamp = (kind: string, atMs: number, more: object = {}) => ({
  kind,
  atMs,
  wallMs: 1000 + atMs,
  by: 'key',
  ...more,
});
const reps = (n: number) => Array.from({ length: n }, (_, i) => stamp('rep', 2000 * (i + 1)));
const ended = [stamp('end', 30_000, { by: 'device' }), stamp('half-rep', 31_000, { counts: true })];
const paper = (more: object) => [stamp('entered', 0, { by: 'hand', handsUsed: false, value: null, ...more })];
const done = (value: number | null, handsUsed = false) => ({ state: 'finished', value, handsUsed });
const kept: readonly Old[] = [
  { test: 'chair-stand-30s', events: [stamp('start', 0), ...reps(9), ...ended], was: done(10), counted: 10 },
  {
    test: 'chair-stand-30s',
    events: [stamp('start', 0), ...reps(4), stamp('hands', 8500), stamp('rep', 11_000), ...ended],
    was: done(0, true),
    counted: 6,
  },
  {
    test: 'chair-stand-30s',
    events: [stamp('start', 0), ...reps(2), stamp('hold', 6000)],
    was: { state: 'to-repeat', value: null, handsUsed: false },
    counted: 2,
  },
  {
    test: 'chair-stand-30s',
    events: [stamp('start', 0), ...reps(1), stamp('gap', 9000, { lengthMs: 4000, by: 'device' })],
    was: { state: 'to-repeat', value: null, handsUsed: false },
    counted: 1,
  },
  {
    test: 'chair-stand-30s',
    events: [...paper({ value: 11 }), stamp('add', 1, { value: 12, reason: 'misread' })],
    was: done(12),
    counted: 12,
  },
  { test: 'up-and-go-8ft', events: paper({ trials: [9.1, 8.4] }), was: done(8.4) },
  { test: 'reach-forward', events: paper({ trials: [24, 25, 26.5] }), was: done(25.2) },
  {
    test: 'four-stage',
    events: paper({ seconds: { sideBySide: 10, semiTandem: 10, tandem: 6, oneLeg: 0 } }),
    was: done(2),
  },
  { test: 'five-stands', events: paper({ outcome: 'unable' }), was: done(null) },
  { test: 'floor-transfer', events: paper({ value: 41, help: 'furniture' }), was: done(41) },
];

/** A register as the version before left it: its tables, its words, its results. */
async function before(): Promise<void> {
  const raw = new SQLite(file);
  const old = new Kysely<unknown>({ dialect: new SqliteDialect({ database: raw }) });
  const known = Object.fromEntries(Object.entries(migrations).slice(0, 6));
  await new Migrator({ db: old, provider: { getMigrations: () => Promise.resolve(known) } }).migrateToLatest();
  raw
    .prepare('INSERT INTO person (id, name, birth_date, norm_table, added_at) VALUES (?, ?, ?, ?, ?)')
    .run('p', 'Petra Before', '1948-05-06', 'female', '2026-01-01');
  const attempt = raw.prepare(`INSERT INTO attempt (client_key, person_id, test, protocol_version, sitting_date, side,
    conditions_json, started_wall_ms, state, result_json, measure_version, received_at, sent_for, sent_conditions_json)
    VALUES (?, 'p', ?, 1, '2026-02-23', NULL, '{}', 0, ?, ?, 3, '2026-02-23T10:00:00Z', 'p', '{}')`);
  const event = raw.prepare('INSERT INTO attempt_event VALUES (?, ?, ?)');
  for (const [i, { test, events, was }] of kept.entries()) {
    const key = `attempt-old-${i}`;
    attempt.run(key, test, was.state, JSON.stringify({ kind: 'measured', ...was }));
    for (const [seq, e] of events.entries()) event.run(key, seq, JSON.stringify({ ...e, seq }));
  }
  const level = raw.prepare('INSERT INTO confirmed_level VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)');
  const confirm = (id: string, pattern: string, code: string, at: string) =>
    level.run(
      ...[id, 'p', pattern, Number(code[1]), 'h', code, at.slice(0, 10), at, 'rules-1', 'norms-1'],
      ...['{"results":[]}', JSON.stringify({ pattern, code, rung: Number(code[1]) })],
    );
  confirm('l1', 'S', 'S3/46/2@5x1', '2026-01-10T09:00:00Z');
  confirm('l2', 'S', 'S4/46/h@4x1', '2026-02-23T11:00:00Z');
  raw
    .prepare('INSERT INTO printed_page VALUES (?, ?, ?, ?, ?, ?, ?)')
    .run(
      'page',
      'p',
      '2026-02-24T10:00:00Z',
      'n',
      'r',
      'f',
      '{"tests":[{"test":"one-leg","series":[{"side":"L","sittings":[{"key":"k"}]}]}]}',
    );
  confirm('l3', 'L', 'L1/2@5x1', '2026-02-23T11:00:00Z');
  await old.destroy();
}

beforeAll(async () => {
  await before();
  db = await openRegister(file);
  expect(await bringResultsUpToDate(deskOf(db, today))).toBe(kept.length);
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

describe('a register of the version before', () => {
  test('every result is what it was, and can be derived again', async () => {
    const attempts = new Map((await listAttempts(db)).map((a) => [a.clientKey, a.trial]));
    for (const [i, { was, counted }] of kept.entries()) {
      const trial = attempts.get(`attempt-old-${i}`);
      expect([i, trial?.state, trial?.value, trial?.handsUsed]).toEqual([i, was.state, was.value, was.handsUsed]);
      if (counted !== undefined) expect([i, trial?.tries[0]?.value]).toEqual([i, counted]);
    }
    expect(await rebuildResults(deskOf(db, today))).toEqual([]);
    expect(await bringResultsUpToDate(deskOf(db, today))).toBe(0);
  });
  test('its words are those of now: halt for the emergency, the page for what it marked by itself', async () => {
    const rows = await db.selectFrom('attempt_event').select('content_json').execute();
    const events = rows.map((r) => JSON.parse(r.content_json) as AttemptEvent);
    expect(events.filter((e) => ['hold', 'halt'].includes(e.kind)).map((e) => e.kind)).toEqual(['halt']);
    expect(new Set(events.map((e) => e.by))).toEqual(new Set(['key', 'page', 'hand']));
    expect(events.filter((e) => e.by === 'page').map((e) => e.kind)).toEqual(['end', 'end', 'gap']);
  });
  test('what a test gave is a result, also on a page handed out before', async () => {
    const [page] = await listPrintedPages(db, 'p');
    expect(page?.report.tests).toEqual([{ test: 'one-leg', series: [{ side: 'L', results: [{ key: 'k' }] }] }]);
  });
  test('levels confirmed with one press are one decision with its facts once; their order stays', async () => {
    const decisions = await listDecisions(db, 'p');
    expect(decisions.map((d) => [d.day, d.kind, d.by, d.levels.map((l) => l.code)])).toEqual([
      ['2026-01-10', 'test', 'this device', ['S3/46/2@5x1']],
      ['2026-02-23', 'test', 'this device', ['S4/46/h@4x1', 'L1/2@5x1']],
    ]);
    expect((await listDecidedLevels(db)).map((l) => l.level.code)).toEqual(['S3/46/2@5x1', 'S4/46/h@4x1', 'L1/2@5x1']);
  });
});

describe('a browser that waited since then', () => {
  const resend = (i: number, events: readonly object[]) =>
    saveAttempt(deskOf(db, today), `attempt-old-${i}`, {
      ...{ personId: 'p', test: kept[i]?.test, protocolVersion: 1, sittingDate: '2026-02-23', side: null },
      ...{ conditions: {}, events: events.map((e, seq) => ({ ...e, seq })) },
    });
  test('sends the old words and is taken as known: no conflict', async () => {
    for (const [i, { events }] of kept.entries()) expect([i, (await resend(i, events)).kind]).toEqual([i, 'known']);
    const rows = await db.selectFrom('attempt_event_conflict').selectAll().execute();
    expect(rows).toEqual([]);
  });
  test('what a real device marked, which says its boot, keeps its word', () => {
    const pressed = { kind: 'rep', by: 'device', boot: 'b1', n: 3 };
    expect(inNewWords(pressed)).toBe(pressed);
    expect(inNewWords({ kind: 'hold', by: 'device' })).toEqual({ kind: 'halt', by: 'key' });
    expect([inNewWords(null), inNewWords('hold')]).toEqual([null, 'hold']);
  });
});
