import SQLite from 'better-sqlite3';
import { CompiledQuery, Kysely, Migrator, sql, SqliteDialect, SqliteDriver, type DatabaseConnection } from 'kysely';
import { RegisterUnusable, storageFault } from './faults';
import { ownerOnly, refuseOthers } from './file';
import { migrations } from './migrations';
import type { Schema } from './schema';

export type Register = Kysely<Schema>;

/**
 * Opens the register and brings it up to date. One that a newer version or another program wrote, or that is damaged, is
 * refused before it is touched.
 * @throws RegisterUnusable with a line that says which file and what to do
 */
export async function openRegister(file: string): Promise<Register> {
  refuseOthers(file);
  const raw = connect(file);
  const db = new Kysely<Schema>({ dialect: new Dialect(raw) });
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...migrations }) } });
  const { error } = await migrator.migrateToLatest();
  if (error) {
    await db.destroy();
    throw new RegisterUnusable(
      `The register ${file} could not be brought up to date: ${error instanceof Error ? error.message : 'unknown fault'}. It was left as it was.`,
    );
  }
  files.set(db, { raw, proofs: 0, provenMs: 0 });
  // What an earlier run left in the log goes into the file, so that the file alone is the register.
  emptyLog(db);
  return db;
}

/** A transaction takes the right to write when it begins: one that only found out later could not be tried again. */
class Driver extends SqliteDriver {
  readonly #raw: SQLite.Database;
  constructor(raw: SQLite.Database) {
    super({ database: raw });
    this.#raw = raw;
  }
  override async beginTransaction(connection: DatabaseConnection): Promise<void> {
    await connection.executeQuery(CompiledQuery.raw('BEGIN IMMEDIATE'));
  }
  /** A full disk has undone it already; to undo it once more would hide what happened. */
  override async rollbackTransaction(connection: DatabaseConnection): Promise<void> {
    if (this.#raw.inTransaction) await super.rollbackTransaction(connection);
  }
}
class Dialect extends SqliteDialect {
  readonly #raw: SQLite.Database;
  constructor(raw: SQLite.Database) {
    super({ database: raw });
    this.#raw = raw;
  }
  override createDriver(): SqliteDriver {
    return new Driver(this.#raw);
  }
}

interface Behind {
  readonly raw: SQLite.Database;
  /** Rows written only to see that they can be. */
  proofs: number;
  provenMs: number;
}

/**
 * The open file behind a register, for what must be done at once and without waiting. The server is put together out of
 * several bundles, each with this file in it: they share it.
 */
const shared = globalThis as typeof globalThis & { readyStoolFiles?: WeakMap<Register, Behind> };
const files = (shared.readyStoolFiles ??= new WeakMap());

function behind(db: Register): Behind {
  const found = files.get(db);
  if (!found) throw new RangeError('behind: this is not a register that openRegister opened');
  return found;
}

/** For copying it while it is in use. */
export const rawOf = (db: Register): SQLite.Database => behind(db).raw;

/**
 * Copies the write-ahead log into the file and cuts it to nothing.
 * @returns `in-use` where somebody still reads an older state: nothing is lost, and the log stays for now
 */
export function emptyLog(db: Register): 'emptied' | 'in-use' {
  const { raw } = behind(db);
  if (raw.inTransaction) return 'in-use';
  const [row] = raw.pragma('wal_checkpoint(TRUNCATE)') as { busy: number }[];
  return row?.busy === 0 ? 'emptied' : 'in-use';
}

/** The last thing a process does with its register: all of it into the one file, at once. Closed twice is closed. */
export function closeNow(db: Register): void {
  const { raw } = behind(db);
  if (!raw.open) return;
  emptyLog(db);
  raw.close();
}

/** While this waits the whole server waits: it is short, and whoever writes tries again. */
const busyTimeoutMs = 25;
/** So long a write is tried again while another program holds the file. */
const patienceMs = 5000;

function connect(file: string): SQLite.Database {
  try {
    ownerOnly(file);
    const raw = new SQLite(file);
    raw.pragma('journal_mode = WAL');
    raw.pragma('synchronous = FULL');
    raw.pragma('foreign_keys = ON');
    raw.pragma(`busy_timeout = ${busyTimeoutMs}`);
    raw.pragma('secure_delete = ON');
    return raw;
  } catch (error) {
    throw new RegisterUnusable(
      `The register ${file} could not be opened for writing: ${String(error)}. Choose another place with READY_STOOL_DB.`,
      { cause: error },
    );
  }
}

/**
 * Does all of something or nothing; inside another such deed it is part of that. While another program writes, it is
 * tried again, and others read meanwhile.
 * @throws the error of the file where it could not be kept, see `storageFault`
 */
export async function inOne<T>(db: Register, deed: (trx: Register) => Promise<T>): Promise<T> {
  if (db.isTransaction) return deed(db);
  const since = performance.now();
  for (;;) {
    const state = { begun: false };
    try {
      return await db.transaction().execute((trx) => {
        state.begun = true;
        return deed(trx);
      });
    } catch (error) {
      if (state.begun || storageFault(error) !== 'busy' || performance.now() - since > patienceMs) throw error;
    }
    await new Promise((later) => setTimeout(later, 50));
  }
}

const proofEveryMs = 30_000;

/**
 * Writes a row, so that a disk that is full is found before somebody needs it. It is no change of the register.
 * @throws the error of the file where it cannot be written
 */
export async function proveWritable(db: Register, nowMs: number): Promise<void> {
  const of = behind(db);
  if (of.provenMs !== 0 && Math.abs(nowMs - of.provenMs) < proofEveryMs) return;
  // Until it is proven anew it is not: after a fault every question asks again.
  of.provenMs = 0;
  await inOne(db, async (trx) => {
    const value = String(nowMs);
    await trx
      .insertInto('meta')
      .values({ key: 'proof', value })
      .onConflict((c) => c.column('key').doUpdateSet({ value }))
      .execute();
    of.proofs += 1;
  });
  of.provenMs = nowMs;
}

/** Changes with anything written, by this connection or another: what was worked out before may no longer hold. */
export async function changeCount(db: Register): Promise<string> {
  const { rows } = await sql<{ own: number }>`SELECT total_changes() AS own`.execute(db);
  const others = await sql<{ data_version: number }>`PRAGMA data_version`.execute(db);
  return `${(rows[0]?.own ?? 0) - behind(db).proofs}/${others.rows[0]?.data_version ?? 0}`;
}
