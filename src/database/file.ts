import { chmodSync, closeSync, existsSync, mkdirSync, openSync, readSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import SQLite from 'better-sqlite3';
import { RegisterUnusable, storageFault } from './faults';
import { newestVersion } from './migrations';
import { applicationId } from './migrations/0009-whose-file';

/**
 * Looks at a file without writing to it: one of another program, of a newer version or with damage must not even be
 * switched to another journal. One that is not there, or has nothing in it, is free to be made.
 * @throws RegisterUnusable with a line that says what is wrong and what to do
 */
export function refuseOthers(file: string): void {
  if (!existsSync(file) || statSync(file).size === 0) return;
  const seen = lookAt(file);
  const left = 'It was left untouched';
  if (seen.kind === 'unreadable')
    throw new RegisterUnusable(`The register ${file} could not be read: ${seen.why}. Nothing was changed.`);
  if (seen.kind === 'foreign')
    throw new RegisterUnusable(
      `${file} is a database of another program. ${left}; name another file with READY_STOOL_DB.`,
    );
  if (seen.version > newestVersion)
    throw new RegisterUnusable(
      `The register ${file} was written by a newer version of Ready Stool (${seen.version}, this one knows ${newestVersion}). ${left}; start the newer version.`,
    );
  if (seen.damage !== null)
    throw new RegisterUnusable(
      `The register ${file} is damaged (${seen.damage}). ${left}; take the newest good copy back with: npm run restore -- FILE`,
    );
}

export type Seen =
  | { readonly kind: 'unreadable'; readonly why: string }
  | { readonly kind: 'foreign' }
  /** `damage` is the first thing that a check of every page found. */
  | { readonly kind: 'register'; readonly version: number; readonly damage: string | null };

/** What a file is, read only. */
export function lookAt(file: string): Seen {
  let looker: SQLite.Database;
  try {
    looker = new SQLite(file, { readonly: true, fileMustExist: true });
  } catch (error) {
    return { kind: 'unreadable', why: String(error) };
  }
  try {
    const own = Number(looker.pragma('application_id', { simple: true }));
    const version = Number(looker.pragma('user_version', { simple: true }));
    const tables = looker.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all() as string[];
    // The first versions did not mark their files.
    const unmarked =
      own === 0 && (tables.length === 0 || (tables.includes('person') && tables.includes('kysely_migration')));
    if (own !== applicationId && !unmarked) return { kind: 'foreign' };
    const found = String(looker.pragma('quick_check(1)', { simple: true }));
    // The first line only says in which database.
    return { kind: 'register', version, damage: found === 'ok' ? null : (found.split('\n').at(-1) ?? found) };
  } catch (error) {
    // It begins as a register does, and breaks off or is rotten further on.
    if (storageFault(error) === 'damaged' && isDatabase(file))
      return { kind: 'register', version: 0, damage: String(error) };
    return { kind: 'unreadable', why: String(error) };
  } finally {
    looker.close();
  }
}

/** @see https://sqlite.org/fileformat.html#magic_header_string */
function isDatabase(file: string): boolean {
  const head = Buffer.alloc(15);
  const handle = openSync(file, 'r');
  readSync(handle, head);
  closeSync(handle);
  return head.toString('latin1') === 'SQLite format 3';
}

/** What lies beside a register while it is open. */
export const partsOf = (file: string): string[] => [file, `${file}-wal`, `${file}-shm`];

/** What SQLite calls a register that is on no disk. */
const inMemory = ':memory:';

/** A file that holds notes of health is for its owner only, one that was copied here with wider rights too. */
export function ownerOnly(file: string): void {
  if (file === inMemory) return;
  mkdirSync(dirname(file), { recursive: true, mode: 0o700 });
  closeSync(openSync(file, 'a', 0o600));
  for (const part of partsOf(file).filter((name) => existsSync(/* turbopackIgnore: true */ name))) {
    const { mode, uid } = statSync(part);
    // Somebody else’s file that we may write is theirs to open up or not.
    if ((mode & 0o077) !== 0 && uid === process.getuid?.()) chmodSync(part, 0o600);
  }
}
