import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { fork, spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { deskOf } from '../use-cases/desk';
import { addPerson, emptyPersonForm } from '../use-cases/savePerson';
import { openRegister, type Register } from './connection';
import { copyRegister, holdsOfFile, onlyIn, takeBack } from './copy';

const today = '2026-03-02';
let folder: string;
let file: string;
let db: Register;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'copy-'));
  file = join(folder, 'register.sqlite');
  db = await openRegister(file);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});
const at = (name: string) => join(folder, name);
let born = 0;
async function add(): Promise<void> {
  const person = { ...emptyPersonForm, name: `Person ${born++}`, birthDate: '1950-06-01' };
  expect((await addPerson(deskOf(db, today), person, { evenSo: true })).kind).toBe('saved');
}
const people = (name: string): number => holdsOfFile(name).people;
const left = () => readdirSync(folder).filter((name) => name.includes('.part') || name.includes('.next'));

describe('a copy', () => {
  test('holds all, stands alone in one file, is for its owner only, and opens as a register', async () => {
    for (let n = 0; n < 5; n++) await add();
    expect(await copyRegister(file, at('copy.sqlite'))).toMatchObject({ people: 5 });
    expect([people(at('copy.sqlite')), (statSync(at('copy.sqlite')).mode & 0o777).toString(8)]).toEqual([5, '600']);
    expect([existsSync(at('copy.sqlite-wal')), left()]).toEqual([false, []]);
    await (await openRegister(at('copy.sqlite'))).destroy();
  });
  test('twenty of them under writes each hold everybody who was acknowledged before they began', async () => {
    let [acknowledged, over] = [0, false];
    const writing = (async () => {
      while (!over) {
        await add();
        acknowledged += 1;
        await new Promise((others) => setImmediate(others));
      }
    })();
    for (let n = 0; n < 20; n++) {
      const before = acknowledged;
      // By the server’s own connection, and by another program, in turn.
      const held = await copyRegister(n % 2 ? db : file, at(`copy-${n}.sqlite`));
      expect(held.people).toBeGreaterThanOrEqual(before);
      expect(people(at(`copy-${n}.sqlite`))).toBe(held.people);
    }
    over = true;
    await writing;
    expect(acknowledged).toBeGreaterThan(20);
  });
  test('one that was cut off leaves nothing that looks like a copy, and the next is whole', async () => {
    for (let n = 0; n < 40; n++) await add();
    const script = at('copier.mts');
    const copying = JSON.stringify(join(process.cwd(), 'src/database/copy.ts'));
    writeFileSync(
      script,
      `import { copyRegister } from ${copying}; process.send('on'); for (;;) await copyRegister(${JSON.stringify(file)}, ${JSON.stringify(at('cut.sqlite'))});`,
    );
    const copier = fork(script, { execArgv: ['--import', 'tsx'], cwd: process.cwd() });
    await new Promise((on) => copier.once('message', on));
    await new Promise((later) => setTimeout(later, 20 + 100 * Math.random()));
    copier.kill('SIGKILL');
    await new Promise((gone) => copier.once('exit', gone));
    // What stands under the name of a copy is one, or there is nothing.
    if (existsSync(at('cut.sqlite'))) expect(people(at('cut.sqlite'))).toBe(40);
    await copyRegister(file, at('cut.sqlite'));
    expect([people(at('cut.sqlite')), left()]).toEqual([40, []]);
  });
  test('of a register with damage, of text and of another program’s database there is none, and each is told apart', async () => {
    for (let n = 0; n < 30; n++) await add();
    await db.destroy();
    copyFileSync(file, at('rotten.sqlite'));
    truncateSync(at('rotten.sqlite'), Math.floor(statSync(file).size / 8192) * 4096);
    writeFileSync(at('text.sqlite'), 'Name,Born\n'.repeat(100));
    new SQLite(at('other.sqlite')).exec('CREATE TABLE song (id TEXT)').close();
    const why = (name: string) =>
      copyRegister(at(name), at('copy.sqlite')).then(
        () => 'copied',
        (error: unknown) => String(error),
      );
    expect(await why('rotten.sqlite')).toMatch(/is damaged/);
    expect(await why('text.sqlite')).toMatch(/could not be read/);
    expect(await why('other.sqlite')).toMatch(/another program/);
    expect(await why('nothing.sqlite')).toMatch(/not there/);
    expect([existsSync(at('copy.sqlite')), left()]).toEqual([false, []]);
    db = await openRegister(file);
  });
  test('where the disk is full there is none, said in one line, and nothing that looks like one is left', async () => {
    for (let n = 0; n < 40; n++) await add();
    const copying = JSON.stringify(join(process.cwd(), 'src/database/copy.ts'));
    writeFileSync(
      at('copier.mts'),
      `import { copyRegister } from ${copying}; process.on('SIGXFSZ', () => {});
       copyRegister(${JSON.stringify(file)}, ${JSON.stringify(at('copy.sqlite'))}).then(() => console.log('copied'), (e) => console.log(e.name + ': ' + e.message));`,
    );
    // The shell allows files of 64 blocks: what a full disk does, without filling one.
    const { stdout, stderr } = spawnSync(
      'bash',
      ['-c', `ulimit -f 64; exec "$0" --import tsx "$1"`, process.execPath, at('copier.mts')],
      {
        cwd: process.cwd(),
        // What tsx keeps for the next time would meet the limit too.
        env: { ...process.env, TSX_DISABLE_CACHE: '1' },
        encoding: 'utf8',
      },
    );
    expect(stdout + stderr).toMatch(/^RegisterUnusable: No copy was made at .*The register is as it was\.\n$/);
    expect([existsSync(at('copy.sqlite')), left()]).toEqual([false, []]);
    expect(people(file)).toBe(40);
  });
  test('where it cannot be written says so in one line, and an earlier copy stays', async () => {
    await add();
    const error = await copyRegister(file, '/dev/null/copy.sqlite').then(
      () => null,
      (e: unknown) => String(e),
    );
    expect(error?.split('\n')).toHaveLength(1);
    await copyRegister(file, at('copy.sqlite'));
    await add();
    await copyRegister(file, at('copy.sqlite'));
    expect(people(at('copy.sqlite'))).toBe(2);
  });
});

describe('taken back', () => {
  test('it shows what would be lost, puts the register aside with its log, and is the register then', async () => {
    for (let n = 0; n < 3; n++) await add();
    await copyRegister(file, at('copy.sqlite'));
    for (let n = 0; n < 2; n++) await add();
    expect(onlyIn(file, at('copy.sqlite'))).toEqual({ people: 2, results: 0, notes: 0 });
    await db.destroy();
    await takeBack(at('copy.sqlite'), file, at('aside.sqlite'));
    expect([people(file), people(at('aside.sqlite')), people(at('copy.sqlite'))]).toEqual([3, 5, 3]);
    db = await openRegister(file);
  });
  test('a copy with damage is refused, and the register stays as it is, byte for byte', async () => {
    for (let n = 0; n < 30; n++) await add();
    await copyRegister(file, at('copy.sqlite'));
    truncateSync(at('copy.sqlite'), Math.floor(statSync(at('copy.sqlite')).size / 8192) * 4096);
    await db.destroy();
    const before = readFileSync(file);
    await expect(takeBack(at('copy.sqlite'), file, at('aside.sqlite'))).rejects.toThrow(/damaged/);
    expect([readFileSync(file).equals(before), existsSync(at('aside.sqlite')), left()]).toEqual([true, false, []]);
    db = await openRegister(file);
  });
});
