import { spawn, spawnSync } from 'node:child_process';
import { copyFileSync, cpSync, existsSync, mkdirSync, readFileSync, rmSync, statSync } from 'node:fs';
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
  raw.exec('create table something (x); pragma user_version = 99');
  raw.close();
  const before = readFileSync(file);
  const { status, stderr } = run('start', { READY_STOOL_DB: file, PORT: String(await freePort()) });
  expect(status).toBe(1);
  expect(stderr).toHaveLength(1);
  expect(stderr[0]).toContain('newer version');
  expect(readFileSync(file).equals(before)).toBe(true);
});

test('the demo: one line with the address, the hall of 24, a copy while it runs, an end on SIGTERM', async () => {
  const port = String(await freePort());
  const file = join(folder.path, 'demo.sqlite');
  const child = spawn(process.execPath, ['scripts/demo.mjs'], {
    env: childEnvironment({ PORT: port, READY_STOOL_DB: file }),
  });
  let stdout = '';
  child.stdout.on('data', (text: Buffer) => (stdout += text.toString()));
  await until(() => stdout.includes('\n'));
  expect(stdout.trim().split('\n')).toHaveLength(1);
  expect(stdout).toContain(`http://127.0.0.1:${port}`);
  expect(await (await fetch(`http://127.0.0.1:${port}/`)).text()).toContain('Tern Quay hall');

  const copy = join(folder.path, 'copy.sqlite');
  expect(run('backup', { READY_STOOL_DB: file }, copy).status).toBe(0);
  const db = new SQLite(copy, { readonly: true });
  expect(db.prepare('select count(*) as n from person').get()).toEqual({ n: 24 });
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

test('a server that was killed leaves a whole file all the same, once the start script is gone too', async () => {
  const file = join(folder.path, 'killed.sqlite');
  const port = await freePort();
  const start = spawn(process.execPath, ['scripts/start.mjs'], {
    env: childEnvironment({ PORT: String(port), READY_STOOL_DB: file }),
  });
  const up = () =>
    fetch(`http://127.0.0.1:${port}/api/health`).then(
      (a) => a.ok,
      () => false,
    );
  await until(up);
  const body = JSON.stringify({ name: 'Ada Killed', birthDate: '1950-01-02' });
  const headers = { 'content-type': 'application/json' };
  await fetch(`http://127.0.0.1:${port}/api/v1/people`, { method: 'POST', headers, body });
  const gone = new Promise((ended) => start.on('exit', ended));
  const { stdout } = spawnSync('pgrep', ['-P', String(start.pid)], { encoding: 'utf8' });
  process.kill(Number(stdout.trim().split('\n')[0]), 'SIGKILL');
  await gone;
  const db = new SQLite(file, { readonly: true });
  expect(db.prepare('select name from person').all()).toEqual([{ name: 'Ada Killed' }]);
  db.close();
  expect(existsSync(`${file}-wal`) && statSync(`${file}-wal`).size > 0).toBe(false);
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
  await until(() => stdout.includes('The demo hall is at'), 240_000);
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
