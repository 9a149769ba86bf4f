// A built server on a throw-away demo hall of a fixed day, and a browser: for pictures and measurements.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumPath } from './chromium.mjs';
import { build, childEnv, install, nextBin, node, portFree, root } from './prepare.mjs';

export async function withDemo(work) {
  install();
  build();
  const { default: puppeteer } = await import('puppeteer-core');
  const dir = mkdtempSync(join(tmpdir(), 'ready-stool-'));
  const file = join(dir, 'demo.sqlite');
  Object.assign(childEnv, { READY_STOOL_TODAY: '2026-03-02', TZ: 'UTC' });
  node('--import', 'tsx', 'src/demo/load.ts', file);
  let port = 4310;
  while (!(await portFree(port, '127.0.0.1'))) port++;
  const url = `http://127.0.0.1:${port}`;
  const server = spawn(process.execPath, [nextBin, 'start', '-p', String(port), '-H', '127.0.0.1'], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...childEnv, NODE_ENV: 'production', READY_STOOL_DB: file },
  });
  const up = () =>
    fetch(`${url}/api/health`).then(
      (answer) => answer.ok,
      () => false,
    );
  while (!(await up())) await new Promise((again) => setTimeout(again, 100));
  const browser = await puppeteer.launch({
    executablePath: chromiumPath(),
    userDataDir: join(dir, 'profile'),
    defaultViewport: { width: 1280, height: 800 },
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
  const idOf = async (name) => {
    const page = await browser.newPage();
    await page.goto(`${url}/people`, { waitUntil: 'networkidle0' });
    const id = await page.$$eval(
      'tbody a',
      (links, n) =>
        links
          .find((a) => a.textContent === n)
          .getAttribute('href')
          .split('/')
          .pop(),
      name,
    );
    await page.close();
    return id;
  };
  try {
    await work({ browser, url, idOf });
  } finally {
    await browser.close();
    server.kill('SIGTERM');
    rmSync(dir, { recursive: true, force: true, maxRetries: 5 });
  }
}
