import { copyFileSync, existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, SqliteDialect } from 'kysely';
import { expect, test, vi } from 'vitest';
import { readinessRules } from '../catalogue/readiness/readiness';
import { knownOn } from '../core/intake/known';
import { listAttempts } from './attempts';
import { openRegister } from './connection';
import { listEntries } from './entries';
import { partsOf } from './file';
import { firstLoop } from './migrations/0001-first-loop';
import { findPerson, listIntakes } from './people';
import { findPlace } from './place';

/** A register as the first version left it, written with its own words. */
async function oldRegister(file: string): Promise<void> {
  const raw = new SQLite(file);
  const db = new Kysely<unknown>({ dialect: new SqliteDialect({ database: raw }) });
  await db.transaction().execute((trx) => firstLoop(trx));
  const intake = raw.prepare('INSERT INTO intake VALUES (?, ?, ?, ?, ?)');
  raw.prepare('INSERT INTO person VALUES (?, ?, ?, ?, ?)').run('p1', 'Old Hand', '1948-05-06', 'female', '2025-01-01');
  const first = {
    heightCm: 160,
    massKg: 64,
    seatHeightCm: 43,
    readiness: 'ready',
    readinessWhy: '',
    limiters: [{ kind: 'knee-pain', pain: 3, side: 'R' }, { kind: 'numb-feet' }],
    falls12m: 0,
    injuredInFall: false,
    walkingAid: 'stick',
    aidIndoors: false,
    sitsUnsupported: true,
    heelDownAtTarget: false,
    classesSoFar: 3,
  };
  intake.run('i1', 'p1', '2025-06-01', '2025-06-01T10:00:00Z', JSON.stringify(first));
  const second = {
    ...first,
    falls12m: 2,
    injuredInFall: true,
    readiness: 'not-today',
    readinessWhy: 'fever',
    limiters: [],
  };
  intake.run('i2', 'p1', '2025-07-01', '2025-07-01T10:00:00Z', JSON.stringify(second));
  const kit = {
    chairs: [{ heightCm: 43, arms: true }],
    padsCm: [3, 3, 5],
    weightsKg: [1],
    raisedSurface: true,
    rail: true,
    mat: false,
    box: true,
  };
  raw
    .prepare('INSERT INTO place VALUES (1, ?)')
    .run(JSON.stringify({ name: 'Old hall', town: '', emergencyNumber: '112', floorSlides: true, kit }));
  raw
    .prepare('INSERT INTO attempt VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)')
    .run(
      ...['old-attempt-1', 'p1', 'chair-stand-30s', 1, '2025-06-02', null, '{"seatHeightCm":43}', 1, 'finished'],
      ...['{"state":"finished","counted":9,"handsUsed":false}', 1, '2025-06-02T10:00:00Z'],
    );
  raw.exec('CREATE TABLE kysely_migration (name varchar(255) PRIMARY KEY, timestamp varchar(255) NOT NULL)');
  raw.exec("INSERT INTO kysely_migration VALUES ('0001-first-loop', '2025-01-01')");
  raw.pragma('user_version = 1');
  await db.destroy();
}

test('a register of the first version opens with everything it knew, and is migrated once', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'migrate-'));
  const file = join(folder, 'register.sqlite');
  await oldRegister(file);
  for (let round = 0; round < 2; round++) {
    const db = await openRegister(file);
    expect(await findPerson(db, 'p1')).toMatchObject({ name: 'Old Hand', archived: false });
    const record = {
      intakes: (await listIntakes(db, ['p1'])).map((i) => i.intake),
      entries: await listEntries(db, ['p1']),
    };
    expect(record.entries.map((e) => [e.on, e.content.kind])).toEqual([
      ['2025-06-01', 'pain'],
      ['2025-06-01', 'carried-over'],
      ['2025-07-01', 'fall'],
      ['2025-07-01', 'fall'],
      ['2025-07-01', 'carried-over'],
    ]);
    expect((await listAttempts(db, ['p1'])).map((a) => a.trial)).toEqual([
      { kind: 'count', state: 'finished', counted: 9, handsUsed: false, who: null },
    ]);
    const june = knownOn(record, '2025-06-02', readinessRules);
    expect(june?.readiness).toMatchObject({ outcome: 'ready', asked: 'current' });
    expect(june?.limiters).toMatchObject([{ kind: 'knee-pain', pain: 3, side: 'R' }, { kind: 'numb-feet' }]);
    expect(june?.intake).toMatchObject({ aidOutdoors: 'stick', aidIndoors: 'none', classesSoFar: 3 });
    const july = knownOn(record, '2025-07-02', readinessRules);
    expect(july?.readiness.outcome).toBe('not-today');
    expect(july?.falls.map((f) => f.content.hurt)).toEqual([true, false]);
    expect((await findPlace(db))?.cupboard).toMatchObject({
      chairs: [{ heightCm: 43, arms: true, stable: true, count: 1 }],
      pads: [
        { thickCm: 3, count: 2 },
        { thickCm: 5, count: 1 },
      ],
      bars: 1,
      floors: [{ where: 'hall', slides: true }],
      boxes: [{ heightCm: null, count: 1 }],
      ...{ railPlaces: 0, tables: 0, wallM: null },
    });
    expect((await findPlace(db))?.cupboard).not.toHaveProperty('box');
    await db.destroy();
  }
  rmSync(folder, { recursive: true });
});

/** What a register holds, without the names it makes up for itself and the moments it was migrated at. */
function contents(file: string): unknown {
  const raw = new SQLite(file, { readonly: true });
  const schema = raw.prepare('SELECT type, name, sql FROM sqlite_master ORDER BY type, name').all();
  const tables = raw
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' ORDER BY name")
    .pluck()
    .all() as string[];
  const madeUp = new Set(['id', 'timestamp', 'is_locked']);
  const rows = tables.map((table) => [
    table,
    raw
      .prepare(`SELECT * FROM "${table}"`)
      .all()
      .map((row) =>
        Object.entries(row as object).filter(
          ([name, value]) => !madeUp.has(name) && !/^[0-9a-f]{32}$/.test(String(value)),
        ),
      ),
  ]);
  const versions = [raw.pragma('user_version', { simple: true }), raw.pragma('application_id', { simple: true })];
  raw.close();
  return { schema, rows, versions };
}

test('killed before any statement of the way to the newest version it is brought there by the next start, the same as without', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'migrate-kills-'));
  const file = join(folder, 'register.sqlite');
  await oldRegister(file);
  // What lies on the disk before a statement is what a kill at that moment leaves.
  const left: string[] = [];
  const { prepare } = SQLite.prototype as { prepare: (this: SQLite.Database, query: string) => SQLite.Statement };
  const watched = vi.spyOn(SQLite.prototype, 'prepare').mockImplementation(function (
    this: SQLite.Database,
    query: string,
  ) {
    if (this.name === file && !this.readonly) {
      const copy = join(folder, `killed-${left.length}.sqlite`);
      for (const [n, part] of partsOf(file).entries())
        if (existsSync(part)) copyFileSync(part, partsOf(copy)[n] ?? copy);
      left.push(copy);
    }
    return prepare.call(this, query);
  });
  await (await openRegister(file)).destroy();
  watched.mockRestore();
  const whole = contents(file);
  expect(left.length).toBeGreaterThan(100);
  for (const copy of left) {
    await (await openRegister(copy)).destroy();
    expect([copy, contents(copy)]).toEqual([copy, whole]);
  }
  rmSync(folder, { recursive: true });
}, 60_000);
