import { spawn, spawnSync } from 'node:child_process';
import { copyFileSync, cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { afterAll, expect, test } from 'vitest';
import { childEnvironment, freePort, startServer, temporaryFolder, until } from './harness';

const folder = temporaryFolder();
afterAll(() => folder.remove());

/** A script run to its end; what it said and how it ended. */
function run(script: string, env: Record<string, string>, ...args: string[]) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${script}.mjs`, ...args], {
    env: childEnvironment(env),
    encoding: 'utf8',
  });
  return { status, stdout, stderr: stderr.trim().split('\n') };
}

test.each(['demo', 'start'])('npm run %s on a busy port: one line, exit code 1', async (script) => {
  const port = await freePort();
  const other = createServer();
  await new Promise<void>((listening) => other.listen(port, '127.0.0.1', listening));
  const ended = await new Promise<{ code: number | null; stderr: string }>((done) => {
    const child = spawn(process.execPath, [`scripts/${script}.mjs`], {
      env: childEnvironment({ PORT: String(port), READY_STOOL_DB: join(folder.path, 'x.sqlite') }),
    });
    let stderr = '';
    child.stderr.on('data', (text: Buffer) => (stderr += text.toString()));
    child.on('exit', (code) => done({ code, stderr }));
  });
  other.close();
  expect(ended.code).toBe(1);
  expect(ended.stderr.trim().split('\n')).toHaveLength(1);
  expect(ended.stderr).toContain(`Port ${port} is taken`);
});

test('a path that cannot be written: one line, exit code 1', async () => {
  const { status, stderr } = run('start', {
    READY_STOOL_DB: '/dev/null/register.sqlite',
    PORT: String(await freePort()),
  });
  expect(status).toBe(1);
  expect(stderr).toHaveLength(1);
  expect(stderr[0]).toContain('READY_STOOL_DB');
});

test('a register from a newer version: one line, exit code 1, untouched', async () => {
  const file = join(folder.path, 'newer.sqlite');
  const raw = new SQLite(file);
  raw.exec('create table something (x); pragma user_version = 99; pragma application_id = 1382306676');
  raw.close();
  const before = readFileSync(file);
  const { status, stderr } = run('start', { READY_STOOL_DB: file, PORT: String(await freePort()) });
  expect(status).toBe(1);
  expect(stderr).toHaveLength(1);
  expect(stderr[0]).toContain('newer version');
  expect(readFileSync(file).equals(before)).toBe(true);
});

test('the demo: one line with the address, the hall of 36, a copy while it runs, an end on SIGTERM', async () => {
  const port = String(await freePort());
  const file = join(folder.path, 'demo.sqlite');
  const child = spawn(process.execPath, ['scripts/demo.mjs'], {
    env: childEnvironment({ PORT: port, READY_STOOL_DB: file }),
  });
  let stdout = '';
  child.stdout.on('data', (text: Buffer) => (stdout += text.toString()));
  // It loads eight weeks of classes, beside whatever else the machine does.
  await until(() => stdout.includes('\n'), 240_000);
  expect(stdout.trim().split('\n')).toHaveLength(1);
  expect(stdout).toContain(`http://127.0.0.1:${port}`);
  expect(await (await fetch(`http://127.0.0.1:${port}/`)).text()).toContain('Tern Quay hall');

  const copy = join(folder.path, 'copy.sqlite');
  expect(run('backup', { READY_STOOL_DB: file }, copy).status).toBe(0);
  const db = new SQLite(copy, { readonly: true });
  expect(db.prepare('select count(*) as n from person').get()).toEqual({ n: 36 });
  expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
  db.close();
  expect(run('backup', { READY_STOOL_DB: file }, copy)).toMatchObject({ status: 1 });

  const code = await new Promise((ended) => {
    child.on('exit', ended);
    child.kill('SIGTERM');
  });
  expect(code).toBe(0);
  await until(() =>
    fetch(`http://127.0.0.1:${port}/api/health`).then(
      () => false,
      () => true,
    ),
  );
});

test.each(['SIGTERM', 'SIGINT', 'SIGHUP'] as const)(
  'stopped by %s the one file holds everything: a copy of it alone has everybody',
  async (signal) => {
    const file = join(folder.path, `stopped-${signal}.sqlite`);
    const server = await startServer({ file, today: '2026-03-02' });
    const answer = await fetch(`${server.url}/api/v1/people`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Ada Stopper', birthDate: '1950-01-02' }),
    });
    expect(answer.status).toBe(201);
    await server.stop(signal);
    const copy = join(folder.path, `copy-${signal}.sqlite`);
    copyFileSync(file, copy);
    const db = new SQLite(copy, { readonly: true });
    expect(db.prepare('select name from person').all()).toEqual([{ name: 'Ada Stopper' }]);
    db.close();
  },
);

test('a server that dies is started again; one that dies four times within a minute is left, and the file is whole', async () => {
  const file = join(folder.path, 'killed.sqlite');
  const port = await freePort();
  const start = spawn(process.execPath, ['scripts/start.mjs'], {
    env: childEnvironment({ PORT: String(port), READY_STOOL_DB: file }),
  });
  let stderr = '';
  start.stderr.on('data', (text: Buffer) => (stderr += text.toString()));
  const gone = new Promise((ended) => start.on('exit', ended));
  const url = `http://127.0.0.1:${port}`;
  const up = () =>
    fetch(`${url}/api/health`).then(
      (a) => a.ok,
      () => false,
    );
  const headers = { 'content-type': 'application/json' };
  for (let kill = 1; kill <= 4; kill++) {
    await until(up);
    const body = JSON.stringify({ name: `Ada Killed${'ABCD'[kill - 1]}`, birthDate: `1950-01-0${kill}` });
    expect((await fetch(`${url}/api/v1/people`, { method: 'POST', headers, body })).status).toBe(201);
    const { stdout } = spawnSync('pgrep', ['-P', String(start.pid)], { encoding: 'utf8' });
    process.kill(Number(stdout.trim().split('\n')[0]), 'SIGKILL');
    if (kill < 4) await until(() => stderr.split('is started again').length === kill + 1);
  }
  expect(await gone).toBe(1);
  expect(stderr.trim().split('\n').at(-1)).toContain('4 times within a minute and is left alone');
  const db = new SQLite(file, { readonly: true });
  expect(db.prepare('select count(*) as n from person').get()).toEqual({ n: 4 });
  db.close();
  expect(existsSync(`${file}-wal`) && statSync(`${file}-wal`).size > 0).toBe(false);
}, 60_000);

test('a second server on the same register is refused by name; another day than one of the calendar too: one line each', async () => {
  const file = join(folder.path, 'served.sqlite');
  const server = await startServer({ file, today: '2026-03-02' });
  const env = { READY_STOOL_DB: file, PORT: String(await freePort()) };
  const second = run('start', env);
  expect([second.status, second.stderr.length]).toEqual([1, 1]);
  expect(second.stderr[0]).toContain(`served already at ${server.url}`);
  expect(run('restore', env, file).stderr[0]).toMatch(/is being served|register itself/);
  expect((await fetch(`${server.url}/api/health`)).status).toBe(200);
  await server.stop('SIGTERM');
  const wrong = run('start', { ...env, READY_STOOL_TODAY: '2026-02-30' });
  expect([wrong.status, wrong.stderr.length]).toEqual([1, 1]);
  expect(wrong.stderr[0]).toContain('READY_STOOL_TODAY must be a day of the calendar');
});

test('a copy is made each day beside the register, and npm run restore takes one back, the old one put aside', async () => {
  const file = join(folder.path, 'kept', 'register.sqlite');
  const add = async (url: string, name: string) => {
    const body = JSON.stringify({ name, birthDate: '1950-01-02' });
    const headers = { 'content-type': 'application/json' };
    expect((await fetch(`${url}/api/v1/people`, { method: 'POST', headers, body })).status).toBe(201);
  };
  const first = await startServer({ file, today: '2026-03-02' });
  await add(first.url, 'Ada Early');
  await first.stop('SIGTERM');
  const second = await startServer({ file, today: '2026-03-03' });
  const copy = join(folder.path, 'kept', 'copies', 'register-2026-03-03.sqlite');
  await until(() => existsSync(copy));
  await add(second.url, 'Bea Late');
  await second.stop('SIGTERM');
  expect((statSync(copy).mode & 0o777).toString(8)).toBe('600');
  const env = { READY_STOOL_DB: file };
  // Somebody who only looks changes nothing.
  const looked = run('restore', env, copy);
  expect([looked.status, looked.stderr]).toEqual([1, ['Nothing was changed. Say --yes to take it.']]);
  expect(looked.stdout).toContain('holds 1 person, 0 results');
  expect(looked.stdout).toContain('not in the copy: 1 person, 0 results and 0 notes');
  expect(run('restore', env, copy, '--yes').status).toBe(0);
  const names = (of: string) => {
    const db = new SQLite(of, { readonly: true });
    const rows = db.prepare('select name from person order by name').pluck().all();
    db.close();
    return rows;
  };
  expect(names(file)).toEqual(['Ada Early']);
  const aside = readdirSync(join(folder.path, 'kept')).find((name) => name.startsWith('register-before-')) ?? '';
  expect(names(join(folder.path, 'kept', aside))).toEqual(['Ada Early', 'Bea Late']);
});

test('from a copy without a build, with READY_STOOL_DB set: the build opens no register, and the hall is full', async () => {
  // Inside this folder, as the packages are linked and not copied.
  const copy = join(process.cwd(), 'data', 'clean-copy');
  rmSync(copy, { recursive: true, force: true });
  mkdirSync(copy, { recursive: true });
  for (const part of [
    'src',
    'scripts',
    'package.json',
    'package-lock.json',
    'next.config.ts',
    'postcss.config.mjs',
    'tsconfig.json',
  ])
    cpSync(part, join(copy, part), { recursive: true, preserveTimestamps: true });
  expect(spawnSync('cp', ['-rl', 'node_modules', copy]).status).toBe(0);
  const file = join(folder.path, 'from-a-clean-copy.sqlite');
  const port = String(await freePort());
  const child = spawn(process.execPath, ['scripts/demo.mjs'], {
    cwd: copy,
    env: childEnvironment({ PORT: port, READY_STOOL_DB: file }),
  });
  let stdout = '';
  child.stdout.on('data', (text: Buffer) => (stdout += text.toString()));
  await until(() => stdout.includes('The demo hall is at'), 360_000);
  expect(await (await fetch(`http://127.0.0.1:${port}/`)).text()).toContain('Tern Quay hall');
  expect(existsSync(join(copy, 'data/register.sqlite'))).toBe(false);
  await new Promise((ended) => {
    child.on('exit', ended);
    child.kill('SIGTERM');
  });
  rmSync(copy, { recursive: true, force: true });
});

test('--fresh throws away a demo register only', async () => {
  const file = join(folder.path, 'mine.sqlite');
  const start = spawn(process.execPath, ['scripts/start.mjs'], {
    env: childEnvironment({ PORT: String(await freePort()), READY_STOOL_DB: file }),
  });
  await until(() => existsSync(file));
  await new Promise((ended) => {
    start.on('exit', ended);
    start.kill('SIGTERM');
  });
  const { status, stderr } = run('demo', { READY_STOOL_DB: file, PORT: String(await freePort()) }, '--fresh');
  expect(status).toBe(1);
  expect(stderr.join(' ')).toContain('not a demo register');
  expect(existsSync(file)).toBe(true);
});
