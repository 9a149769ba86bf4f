// Runs the built server, says one line when it answers, starts one that died again, and passes the end on to it.
import { spawn } from 'node:child_process';
import { childEnv, nextBin, root, settle } from './prepare.mjs';

const host = '127.0.0.1';
/** One that dies more often than this within a minute would only die again. */
const mostRestarts = 3;
const minuteMs = 60_000;

export function serve({ file, port, label }) {
  let asked = false;
  let everUp = false;
  let child;
  const restarts = [];
  const start = () => {
    child = spawn(process.execPath, [nextBin, 'start', '-p', String(port), '-H', host], {
      cwd: root,
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...childEnv, NODE_ENV: 'production', READY_STOOL_DB: file, PORT: String(port) },
    });
    child.on('exit', ended);
  };
  const ended = (code, signal) => {
    const now = Date.now();
    while (restarts.length > 0 && now - restarts[0] > minuteMs) restarts.shift();
    // One that never came up said why; one that was asked to go is gone.
    const again = !asked && everUp && code !== 0 && restarts.length < mostRestarts;
    if (again) {
      restarts.push(now);
      process.stderr.write(`The server ended (${signal ?? code}) and is started again; what was saved is safe.\n`);
      return start();
    }
    if (!asked && everUp && code !== 0)
      process.stderr.write(
        `The server ended ${mostRestarts + 1} times within a minute and is left alone. What was saved is safe.\n`,
      );
    // However the server ended: from here on the one file holds everything, and a copy of it is whole.
    settle(file).finally(() => process.exit(asked ? 0 : (code ?? 1)));
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      asked = true;
      child.kill('SIGTERM');
      // Committed data is safe; a server that will not go is ended.
      setTimeout(() => child.kill('SIGKILL'), 3000).unref();
    });
  start();
  up(`http://${host}:${port}`).then(() => {
    everUp = true;
    console.log(`${label} is at http://${host}:${port} (register: ${file})`);
  });
}

/** Until it answers, whatever it says. */
async function up(address) {
  for (;;) {
    const answers = await fetch(`${address}/api/health`).then(
      () => true,
      () => false,
    );
    if (answers) return;
    await new Promise((again) => setTimeout(again, 100));
  }
}
