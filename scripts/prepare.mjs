// What every script needs before it can work: packages, a build, a free port. Plain Node, nothing installed yet.
import { spawnSync } from 'node:child_process';
import { accessSync, constants, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const nextBin = join(root, 'node_modules/next/dist/bin/next');

/** One line and out. */
export function fail(line) {
  process.stderr.write(`${line}\n`);
  process.exit(1);
}

// The native build takes Node's own headers where they lie beside Node, so that nothing is fetched for it.
const prefix = dirname(dirname(process.execPath));
const headers = existsSync(join(prefix, 'include/node/node.h')) ? { npm_config_nodedir: prefix } : {};
export const childEnv = { ...headers, NEXT_TELEMETRY_DISABLED: '1', ...process.env };

export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', env: childEnv, ...options });
  if (error) fail(`${command} could not be started: ${error.message}`);
  if (status !== 0) process.exit(status ?? 1);
}

export const node = (...args) => run(process.execPath, args);

const changedAt = (path) => statSync(path).mtimeMs;

export function install() {
  const done = join(root, 'node_modules/.package-lock.json');
  if (existsSync(done) && changedAt(done) >= changedAt(join(root, 'package-lock.json'))) return;
  run('npm', ['ci', '--no-audit', '--no-fund']);
}

function newest(path) {
  if (!statSync(path).isDirectory()) return changedAt(path);
  return readdirSync(path).reduce((latest, name) => Math.max(latest, newest(join(path, name))), 0);
}

export function build() {
  const built = join(root, '.next/BUILD_ID');
  const inputs = ['src', 'package-lock.json', 'next.config.ts', 'postcss.config.mjs', 'tsconfig.json'];
  const latest = Math.max(...inputs.map((name) => newest(join(root, name))));
  if (existsSync(built) && changedAt(built) > latest) return;
  // The build looks at every page; it is given no register that it could open or make.
  const { READY_STOOL_DB, ...env } = childEnv;
  run(process.execPath, [nextBin, 'build'], { env });
}

export function portFree(port, host) {
  return new Promise((answer) => {
    const probe = createServer();
    probe.once('error', () => answer(false));
    probe.listen(port, host, () => probe.close(() => answer(true)));
  });
}

/** The register's file, in a folder that can be written to. */
export function registerFile(usual) {
  const file = resolve(root, process.env.READY_STOOL_DB ?? usual);
  try {
    mkdirSync(dirname(file), { recursive: true });
    accessSync(dirname(file), constants.W_OK);
    if (existsSync(file)) accessSync(file, constants.W_OK);
  } catch (error) {
    fail(`The register cannot be written at ${file} (${error.code}). Choose another place with READY_STOOL_DB.`);
  }
  return file;
}

/** Puts what lies in the log beside a register into the file itself; nothing is lost where that cannot be done now. */
export async function settle(file) {
  if (!existsSync(file) || !existsSync(`${file}-wal`)) return;
  const { default: SQLite } = await import('better-sqlite3');
  const db = new SQLite(file, { fileMustExist: true, timeout: 500 });
  try {
    db.pragma('wal_checkpoint(TRUNCATE)');
  } finally {
    db.close();
  }
}
