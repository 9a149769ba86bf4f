// Runs the built server, says one line when it answers, and passes the end on to it.
import { spawn } from 'node:child_process';
import { childEnv, nextBin, root, settle } from './prepare.mjs';

const host = '127.0.0.1';

export function serve({ file, port, label }) {
  const child = spawn(process.execPath, [nextBin, 'start', '-p', String(port), '-H', host], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...childEnv, NODE_ENV: 'production', READY_STOOL_DB: file },
  });
  let asked = false;
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      asked = true;
      child.kill('SIGTERM');
      // Committed data is safe; a server that will not go is ended.
      setTimeout(() => child.kill('SIGKILL'), 3000).unref();
    });
  child.on('exit', (code) => {
    // However the server ended: from here on the one file holds everything, and a copy of it is whole.
    settle(file).finally(() => process.exit(asked ? 0 : (code ?? 1)));
  });
  sayWhenUp(`http://${host}:${port}`, label, file);
}

async function sayWhenUp(address, label, file) {
  for (;;) {
    const up = await fetch(`${address}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (up) return console.log(`${label} is at ${address} (register: ${file})`);
    await new Promise((again) => setTimeout(again, 100));
  }
}
