import { existsSync, mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import SQLite from 'better-sqlite3';
import { Kysely, Migrator, sql, SqliteDialect } from 'kysely';
import { migrations, newestVersion } from './migrations';
import type { Schema } from './schema';

export type Register = Kysely<Schema>;

/** The register cannot be opened; the message is one line for the person who started the program. */
export class RegisterUnusable extends Error {
  override readonly name = 'RegisterUnusable';
}

/**
 * Opens the register, brings it up to date, and refuses one that a newer version wrote before touching it.
 * @throws RegisterUnusable with a line that says which file and what to do
 */
export async function openRegister(file: string): Promise<Register> {
  refuseNewer(file);
  const raw = connect(file);
  const db = new Kysely<Schema>({ dialect: new SqliteDialect({ database: raw }) });
  const migrator = new Migrator({ db, provider: { getMigrations: () => Promise.resolve({ ...migrations }) } });
  const { error } = await migrator.migrateToLatest();
  if (error) {
    await db.destroy();
    throw new RegisterUnusable(
      `The register ${file} could not be brought up to date: ${error instanceof Error ? error.message : 'unknown fault'}. It was left as it was.`,
    );
  }
  files.set(db, raw);
  // What an earlier run left in the log goes into the file, so that the file alone is the register.
  emptyLog(db);
  return db;
}

/**
 * The open file behind a register, for what must be done at once and without waiting. The server is put together out of
 * several bundles, each with this file in it: they share it.
 */
const shared = globalThis as typeof globalThis & { readyStoolFiles?: WeakMap<Register, SQLite.Database> };
const files = (shared.readyStoolFiles ??= new WeakMap());

function fileOf(db: Register): SQLite.Database {
  const raw = files.get(db);
  if (!raw) throw new RangeError('fileOf: this is not a register that openRegister opened');
  return raw;
}

/**
 * Copies the write-ahead log into the file and cuts it to nothing.
 * @returns `in-use` where somebody still reads an older state: nothing is lost, and the log stays for now
 */
export function emptyLog(db: Register): 'emptied' | 'in-use' {
  const raw = fileOf(db);
  if (raw.inTransaction) return 'in-use';
  // Nobody waits for a reader here: whoever calls tries again.
  raw.pragma('busy_timeout = 50');
  try {
    const [row] = raw.pragma('wal_checkpoint(TRUNCATE)') as { busy: number }[];
    return row?.busy === 0 ? 'emptied' : 'in-use';
  } finally {
    raw.pragma(`busy_timeout = ${busyTimeoutMs}`);
  }
}

/** The last thing a process does with its register: all of it into the one file, at once. Closed twice is closed. */
export function closeNow(db: Register): void {
  const raw = fileOf(db);
  if (!raw.open) return;
  emptyLog(db);
  raw.close();
}

const busyTimeoutMs = 5000;

/** Looks without writing: a file of a newer version must not even be switched to another journal. */
function refuseNewer(file: string): void {
  if (!existsSync(file)) return;
  const version = readVersion(file);
  if (version > newestVersion)
    throw new RegisterUnusable(
      `The register ${file} was written by a newer version of Ready Stool (${version}, this one knows ${newestVersion}). It was left untouched; start the newer version.`,
    );
}

function readVersion(file: string): number {
  try {
    const looker = new SQLite(file, { readonly: true, fileMustExist: true });
    try {
      return Number(looker.pragma('user_version', { simple: true }));
    } finally {
      looker.close();
    }
  } catch (error) {
    throw new RegisterUnusable(`The register ${file} could not be read: ${String(error)}. Nothing was changed.`, {
      cause: error,
    });
  }
}

function connect(file: string): SQLite.Database {
  try {
    mkdirSync(dirname(file), { recursive: true });
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

/** Does all of something or nothing; inside another such deed it is part of that. */
export async function inOne<T>(db: Register, deed: (trx: Register) => Promise<T>): Promise<T> {
  return db.isTransaction ? deed(db) : db.transaction().execute(deed);
}

/** Changes with anything written, by this connection or another: what was worked out before may no longer hold. */
export async function changeCount(db: Register): Promise<string> {
  const { rows } = await sql<{ own: number }>`SELECT total_changes() AS own`.execute(db);
  const others = await sql<{ data_version: number }>`PRAGMA data_version`.execute(db);
  return `${rows[0]?.own ?? 0}/${others.rows[0]?.data_version ?? 0}`;
}
