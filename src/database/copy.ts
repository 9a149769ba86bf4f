import { chmodSync, closeSync, existsSync, fsyncSync, openSync, renameSync, rmSync } from 'node:fs';
import SQLite from 'better-sqlite3';
import { rawOf, type Register } from './connection';
import { RegisterUnusable } from './faults';
import { lookAt, partsOf } from './file';

/** What a register holds, to be told to somebody who chooses between two. */
export interface Holds {
  readonly people: number;
  readonly results: number;
  readonly notes: number;
  /** The newest day of a result or a note; `null` where there is none. */
  readonly newestOn: string | null;
}

/**
 * Copies a register while it is in use: beside the target first, looked at there, then put in its place in one step. A
 * register with damage is not copied, as its copy would stand for one that is whole.
 * @param from the open register of this process, whose writes the copy takes along, or the file of another
 * @throws RegisterUnusable with a line that says why there is no copy
 */
export async function copyRegister(from: Register | string, to: string): Promise<Holds> {
  const part = `${to}.part`;
  const source = typeof from === 'string' ? openForCopy(from) : rawOf(from);
  try {
    for (const name of partsOf(part)) rmSync(name, { force: true });
    const before = holdsOf(source).people;
    // Of another process in one step: a writer would have it begin again for ever.
    await (typeof from === 'string' ? source.backup(part, { progress: () => everyPage }) : source.backup(part));
    const held = checked(part);
    const after = holdsOf(source).people;
    if (held.people < Math.min(before, after) || held.people > Math.max(before, after))
      throw new RegisterUnusable(
        `The copy held ${held.people} people and not ${after}: it was thrown away. Try again.`,
      );
    putInPlace(part, to);
    return held;
  } catch (error) {
    for (const name of partsOf(part)) rmSync(name, { force: true });
    if (error instanceof RegisterUnusable) throw error;
    throw new RegisterUnusable(
      `No copy was made at ${to}: ${error instanceof Error ? error.message : String(error)}. The register is as it was.`,
      { cause: error },
    );
  } finally {
    if (typeof from === 'string') source.close();
  }
}

const everyPage = 2 ** 31 - 1;

function openForCopy(file: string): SQLite.Database {
  refuseUnlessWhole(file);
  return new SQLite(file, { readonly: true, fileMustExist: true });
}

function refuseUnlessWhole(file: string): void {
  const seen = existsSync(file) ? lookAt(file) : ({ kind: 'unreadable', why: 'it is not there' } as const);
  if (seen.kind === 'unreadable')
    throw new RegisterUnusable(`${file} could not be read: ${seen.why}. Nothing was done.`);
  if (seen.kind === 'foreign')
    throw new RegisterUnusable(`${file} is a database of another program. Nothing was done.`);
  if (seen.damage !== null)
    throw new RegisterUnusable(`${file} is damaged (${seen.damage}). Nothing was done; take a copy that is whole.`);
}

/** What is in a copy, which is made to stand alone. @throws RegisterUnusable where not every page and index is right */
function checked(file: string): Holds {
  const copy = new SQLite(file);
  try {
    copy.pragma('journal_mode = DELETE');
    const found = String(copy.pragma('integrity_check(1)', { simple: true }));
    if (found !== 'ok') throw new RegisterUnusable(`The copy was not whole (${found}): it was thrown away. Try again.`);
    return holdsOf(copy);
  } finally {
    copy.close();
  }
}

function putInPlace(part: string, to: string): void {
  chmodSync(part, 0o600);
  const handle = openSync(part, 'r');
  fsyncSync(handle);
  closeSync(handle);
  renameSync(part, to);
}

function holdsOf(db: SQLite.Database): Holds {
  const one = (query: string) => db.prepare(query).pluck().get();
  const count = (table: string) => Number(one(`SELECT count(*) FROM ${table}`));
  const newest = [one('SELECT max(sitting_date) FROM attempt'), one('SELECT max(on_day) FROM entry')];
  return {
    ...{ people: count('person'), results: count('attempt'), notes: count('entry') },
    newestOn:
      newest
        .flatMap((day) => (typeof day === 'string' ? [day] : []))
        .sort()
        .at(-1) ?? null,
  };
}

/** What a file holds. @throws RegisterUnusable where it is no register, or is damaged */
export function holdsOfFile(file: string): Holds {
  refuseUnlessWhole(file);
  const db = new SQLite(file, { readonly: true, fileMustExist: true });
  try {
    return holdsOf(db);
  } finally {
    db.close();
  }
}

/** What is in one register and not in another, as it would be lost by putting the other in its place. */
export function onlyIn(
  file: string,
  other: string,
): { readonly people: number; readonly results: number; readonly notes: number } {
  const db = new SQLite(file, { readonly: true, fileMustExist: true });
  try {
    db.prepare('ATTACH ? AS other').run(other);
    const missing = (table: string, key: string) =>
      Number(
        db
          .prepare(`SELECT count(*) FROM main.${table} WHERE ${key} NOT IN (SELECT ${key} FROM other.${table})`)
          .pluck()
          .get(),
      );
    return {
      people: missing('person', 'id'),
      results: missing('attempt', 'client_key'),
      notes: missing('entry', 'id'),
    };
  } finally {
    db.close();
  }
}

/**
 * Puts a copy in the place of a register that nobody serves; the one that was there is put aside, never thrown away.
 * @param aside where the one that was there goes
 * @throws RegisterUnusable where the copy is no register or is damaged: nothing is changed then
 */
export async function takeBack(copy: string, file: string, aside: string): Promise<void> {
  refuseUnlessWhole(copy);
  const next = `${file}.next`;
  await copyRegister(copy, next);
  if (existsSync(file)) {
    // What lies in its log belongs to it, also where it is damaged: it goes along.
    for (const [n, part] of partsOf(file).entries()) if (existsSync(part)) renameSync(part, partsOf(aside)[n] ?? aside);
  }
  renameSync(next, file);
}
