#!/usr/bin/env node
// Retakes docs/screenshots from the demo hall on a fixed day. npm run shots [-- name ...] takes only the named ones.
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { chromiumPath } from './chromium.mjs';
import { build, childEnv, install, nextBin, node, portFree, root } from './prepare.mjs';

install();
build();
const { default: puppeteer } = await import('puppeteer-core');
const dir = mkdtempSync(join(tmpdir(), 'shots-'));
const file = join(dir, 'demo.sqlite');
childEnv.READY_STOOL_TODAY = '2026-03-02';
childEnv.TZ = 'UTC';
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
    (a) => a.ok,
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
const page = await browser.newPage();
const target = process.env.SHOTS_DIR ?? join(root, 'docs/screenshots');
mkdirSync(target, { recursive: true });
const only = process.argv.slice(2);
const visit = async (path) => page.goto(url + path, { waitUntil: 'networkidle0' });
const idOf = async (name) => {
  await visit('/people');
  return page.$$eval(
    'tbody a',
    (links, n) =>
      links
        .find((a) => a.textContent === n)
        .getAttribute('href')
        .split('/')
        .pop(),
    name,
  );
};
const shoot = async (name) => page.screenshot({ path: join(target, `${name}.png`) });
const odile = await idOf('Odile Brandvoll');
const bertil = await idOf('Bertil Kvarnholm');
const adelheid = await idOf('Adelheid Pomm');

const shots = {
  today: () => visit('/'),
  people: () => visit('/people'),
  'add-person': () => visit('/people/new'),
  person: () => visit(`/people/${odile}`),
  'not-today': () => visit(`/people/${adelheid}`),
  scores: () => visit(`/people/${odile}/scores`),
  levels: () => visit(`/people/${bertil}/levels`),
  retest: () => visit(`/people/${odile}/retest`),
  'hall-scores': () => visit('/scores'),
  'hall-levels': () => visit('/levels'),
  'hall-retests': () => visit('/retest'),
  library: () => visit('/library'),
  cupboard: () => visit('/library/cupboard'),
  paper: () => visit(`/people/${odile}/paper`),
  'choose-person': () => visit('/test'),
  'set-up': () => visit(`/test?person=${odile}`),
  lane: async () => {
    await visit(`/test?person=${odile}`);
    await page.keyboard.press('Space');
    await page.waitForSelector('[data-testid=practice]');
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-testid=lane]');
    await page.waitForFunction(() => /^\d/.test(document.querySelector('[data-testid=time-left]').textContent));
    for (let n = 0; n < 5; n++) {
      await new Promise((later) => setTimeout(later, 2100 + 90 * n));
      await page.keyboard.press('Space');
    }
    await page.waitForFunction(() => document.querySelector('[data-testid=count]').textContent === '5');
    await new Promise((later) => setTimeout(later, 400));
  },
};
for (const [name, go] of Object.entries(shots)) {
  if (only.length > 0 && !only.includes(name)) continue;
  await go();
  await shoot(name);
}
await browser.close();
server.kill('SIGTERM');
rmSync(dir, { recursive: true, force: true, maxRetries: 5 });
