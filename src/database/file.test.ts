import {
  chmodSync,
  closeSync,
  existsSync,
  mkdtempSync,
  openSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
  writeSync,
} from 'node:fs';
import { spawn } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { sql } from 'kysely';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { changeCount, emptyLog, inOne, openRegister, proveWritable, type Register } from './connection';
import { storageFault } from './faults';
import { partsOf } from './file';
import { addHelper, listHelpers } from './helpers';
import { giveBack, holderOf, takeLock } from './lock';

let folder: string;
let file: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'file-'));
  file = join(folder, 'register.sqlite');
});
afterEach(() => rmSync(folder, { recursive: true }));

const mode = (name: string) => (statSync(name).mode & 0o777).toString(8);
async function made(): Promise<void> {
  const db = await openRegister(file);
  await addHelper(db, 'h1', 'Hedda');
  await db.destroy();
}

describe('whose the file is', () => {
  test('a new register and all that lies beside it is for its owner only, and so is one that came with wider rights', async () => {
    const db = await openRegister(file);
    await addHelper(db, 'h1', 'Hedda');
    expect(partsOf(file).map((part) => [existsSync(part), mode(part)])).toEqual(partsOf(file).map(() => [true, '600']));
    await db.destroy();
    chmodSync(file, 0o644);
    await (await openRegister(file)).destroy();
    expect(mode(file)).toBe('600');
  });
  test('a database of another program is refused by name, and not one byte of it is changed', async () => {
    const other = new SQLite(file);
    other.exec('CREATE TABLE person (id TEXT)');
    other.pragma('user_version = 3');
    other.close();
    const before = readFileSync(file);
    await expect(openRegister(file)).rejects.toThrow(/database of another program. It was left untouched/);
    const marked = new SQLite(file);
    marked.pragma('application_id = 252006675');
    marked.close();
    await expect(openRegister(file)).rejects.toThrow(/another program/);
    expect(readFileSync(file).subarray(100)).toEqual(before.subarray(100));
    expect(existsSync(`${file}-wal`)).toBe(false);
  });
  test('an empty file is made into a register, and text is said to be none', async () => {
    writeFileSync(file, '');
    await (await openRegister(file)).destroy();
    writeFileSync(file, 'Name,Born\n'.repeat(500));
    await expect(openRegister(file)).rejects.toThrow(/could not be read: .*not a database/);
  });
  test('a register with damage is refused at the start, and told how it is put right', async () => {
    await made();
    const size = statSync(file).size;
    const handle = openSync(file, 'r+');
    // A page in the middle, and not the first, which says what the file is.
    writeSync(handle, Buffer.alloc(4096, 0xa5), 0, 4096, Math.floor(size / 8192) * 4096);
    closeSync(handle);
    const before = readFileSync(file);
    await expect(openRegister(file)).rejects.toThrow(/is damaged .*npm run restore -- FILE/);
    expect(readFileSync(file)).toEqual(before);
  });
});

describe('one server a register', () => {
  test('a second server is refused and told where the first is; what a dead one left counts for nothing', async () => {
    const other = spawn(process.execPath, ['-e', 'setInterval(() => {}, 1000)']);
    const pid = other.pid ?? 0;
    writeFileSync(`${file}.lock`, JSON.stringify({ pid, port: 3007 }));
    expect(() => takeLock(file, 3008)).toThrow(
      new RegExp(`served already at http://127.0.0.1:3007 \\(process ${pid}\\)`),
    );
    // A lock of before the machine was started again, whose number is another process now.
    writeFileSync(`${file}.lock`, JSON.stringify({ pid, port: 3007, began: '1' }));
    if (existsSync('/proc/self/stat')) expect(holderOf(file)).toBeNull();
    other.kill('SIGKILL');
    await new Promise((gone) => other.once('exit', gone));
    writeFileSync(`${file}.lock`, JSON.stringify({ pid, port: 3007 }));
    takeLock(file, 3008);
    expect(holderOf(file)).toMatchObject({ pid: process.pid, port: 3008 });
    expect(mode(`${file}.lock`)).toBe('600');
    giveBack(file);
    expect(existsSync(`${file}.lock`)).toBe(false);
  });
  test('a lock that was cut off while it was written is nobody’s', () => {
    writeFileSync(`${file}.lock`, '{"pid":');
    takeLock(file, null);
    expect(holderOf(file)?.pid).toBe(process.pid);
  });
});

describe('when the file cannot be written', () => {
  let db: Register;
  let other: SQLite.Database;
  beforeEach(async () => {
    db = await openRegister(file);
    other = new SQLite(file);
  });
  afterEach(async () => {
    other.close();
    await db.destroy();
  });
  const faultOf = (deed: Promise<unknown>) => deed.then(() => null, storageFault);

  test('while another program writes, others read at once, and the write is kept as soon as it may be', async () => {
    other.exec('BEGIN IMMEDIATE');
    let kept = false;
    const writing = addHelper(db, 'h1', 'Hedda').then(() => (kept = true));
    for (let n = 0; n < 5; n++) expect(await listHelpers(db)).toEqual([]);
    expect(kept).toBe(false);
    other.exec('COMMIT');
    await writing;
    expect((await listHelpers(db)).map((h) => h.name)).toEqual(['Hedda']);
  });
  test('what breaks inside a deed is not done twice, and nothing of it stays', async () => {
    let times = 0;
    const deed = inOne(db, async (trx) => {
      times += 1;
      await addHelper(trx, 'h1', 'Hedda');
      throw new Error('broke');
    });
    await expect(deed).rejects.toThrow('broke');
    expect([times, await listHelpers(db)]).toEqual([1, []]);
  });
  test('a full disk is told as that, by a write and by the proof that is asked for; with room again all goes on', async () => {
    await proveWritable(db, 1);
    const pages = (await sql<{ page_count: number }>`PRAGMA page_count`.execute(db)).rows[0]?.page_count ?? 0;
    await sql`PRAGMA max_page_count = ${sql.lit(pages)}`.execute(db);
    expect(await faultOf(addHelper(db, 'h1', 'Hedda '.repeat(500_000)))).toBe('full');
    expect(await listHelpers(db)).toEqual([]);
    await sql`PRAGMA max_page_count = 1000000`.execute(db);
    await addHelper(db, 'h1', 'Hedda');
    expect(await listHelpers(db)).toHaveLength(1);
  });
  test('to prove that it can be written is no change of the register, and is asked at most each half minute', async () => {
    const before = await changeCount(db);
    await proveWritable(db, 100_000);
    const proof = () => other.prepare("SELECT value FROM meta WHERE key = 'proof'").pluck().get();
    expect([await changeCount(db), proof()]).toEqual([before, '100000']);
    await proveWritable(db, 120_000);
    expect(proof()).toBe('100000');
    await proveWritable(db, 130_000);
    expect(proof()).toBe('130000');
    await addHelper(db, 'h1', 'Hedda');
    expect(await changeCount(db)).not.toBe(before);
    expect(emptyLog(db)).toBe('emptied');
  });
});
