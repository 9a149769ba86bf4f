#!/usr/bin/env node
// Kills the server and the browser in turn, at random moments of a running test, while other tablets send too; then counts
// what was acknowledged or painted and is not there afterwards, or is there twice. npm run soak [-- kills seed]; prints
// its seed and figures, exits 1 on any loss. Bounded in count and time; talks to this machine only.
import { spawn } from 'node:child_process';
import { randomInt, randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromiumPath } from './chromium.mjs';
import { build, childEnv, install, nextBin, node, portFree, root } from './prepare.mjs';

install();
build();
const { default: SQLite } = await import('better-sqlite3');
const { default: puppeteer } = await import('puppeteer-core');
const { tsImport } = await import('tsx/esm/api');
const { seeded } = await tsImport('../src/demo/events.ts', import.meta.url);
const { mutated } = await tsImport('../e2e/mutate.ts', import.meta.url);
const [kills = 50, seed = randomInt(1_000_000)] = process.argv.slice(2).map(Number);
console.log(`${kills} kills, seed ${seed}`);
const chance = seeded(seed);
const between = (low, high) => Math.round(low + chance() * (high - low));

const today = '2026-03-02';
const dir = mkdtempSync(join(tmpdir(), 'ready-stool-soak-'));
const file = join(dir, 'register.sqlite');
const profile = join(dir, 'profile');
Object.assign(childEnv, { READY_STOOL_TODAY: today, TZ: 'UTC' });
const env = { ...childEnv, NODE_ENV: 'production', READY_STOOL_DB: file };
let port = 4410;
while (!(await portFree(port, '127.0.0.1'))) port++;
const url = `http://127.0.0.1:${port}`;
const pause = (ms) => new Promise((later) => setTimeout(later, ms));

async function until(what, isSo, mostMs = 60_000) {
  const since = Date.now();
  for (;;) {
    const answer = await isSo();
    if (answer) return answer;
    if (Date.now() - since > mostMs) throw new Error(`waited in vain until ${what} (seed ${seed})`);
    await pause(50);
  }
}
async function start() {
  const child = spawn(process.execPath, [nextBin, 'start', '-p', String(port), '-H', '127.0.0.1'], {
    cwd: root,
    stdio: 'ignore',
    env,
  });
  await until('the server answers', () =>
    fetch(`${url}/api/health`)
      .then((answer) => answer.ok)
      .catch(() => false),
  );
  return child;
}
const end = (child, signal) =>
  new Promise((gone) => {
    child.once('exit', gone);
    child.kill(signal);
  });
const launch = () => {
  rmSync(join(profile, 'SingletonLock'), { force: true });
  return puppeteer.launch({
    executablePath: chromiumPath(),
    userDataDir: profile,
    defaultViewport: { width: 1280, height: 800 },
    args: ['--no-sandbox', '--disable-gpu', '--no-first-run', '--disable-background-networking', '--disable-sync'],
  });
};
const rows = (query, ...args) => {
  const db = new SQLite(file, { readonly: true });
  try {
    return db.prepare(query).all(...args);
  } finally {
    db.close();
  }
};
const put = (method, path, body) =>
  fetch(url + path, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** Somebody new who is ready to be tested. */
async function addPerson(name) {
  const body = {
    birthDate: '1950-05-06',
    normTable: 'female',
    heightCm: 165,
    massKg: 64,
    toComplete: [],
    evenSo: true,
  };
  const { id } = await (await put('POST', '/api/v1/people', { name, ...body })).json();
  const noTo =
    'disease uncontrolled chest breath faint racing swelling calves tired told operation changed wasting'.split(' ');
  const no = Object.fromEntries(noTo.map((id) => [id, false]));
  const content = { kind: 'screening', answers: { active: true, ...no } };
  await put('PUT', `/api/v1/entries/${randomUUID()}`, { personId: id, on: today, content });
  return { id, name };
}

/** Another tablet: sends one thing after another; whatever was acknowledged is written down. */
async function sendUntil(isOver, acknowledged, personId) {
  for (let n = 0; !isOver(); n++) {
    const key = randomUUID();
    const events = [
      { kind: 'start' },
      ...Array.from({ length: 3 + (n % 12) }, (_, i) => ({ kind: 'rep', atMs: 1000 * (i + 1) })),
      { kind: 'stop', reason: 'asked-to' },
    ].map((e, seq) => ({ seq, atMs: 0, wallMs: 1_772_440_000_000, by: 'key', ...e }));
    const head = { personId, test: 'chair-stand-30s', protocolVersion: 1, sittingDate: today, side: null };
    const answer = await put('PUT', `/api/v1/attempts/${key}`, {
      ...head,
      conditions: { seatHeightCm: 43 },
      events,
    }).catch(() => null);
    if (answer?.ok) acknowledged.set(key, events.length);
    await pause(20);
  }
}

/** What the register holds of somebody at a test. */
const storedOf = ({ id }, test) =>
  rows(
    'select state, side, result_json from attempt where person_id = ? and test = ? order by side desc',
    id,
    test,
  ).map(({ state, side, result_json }) => ({
    ...{ state, side },
    values: JSON.parse(result_json).tries.map((t) => t.value),
  }));

async function openTest(page, test, people) {
  await page.goto(`${url}/test?test=${test}&${people.map((p) => `person=${p.id}`).join('&')}`, {
    waitUntil: 'networkidle0',
  });
  for (;;) {
    const shown = await page.waitForSelector('[data-testid=day-check], [role=img][aria-label^="The station"]');
    await pause(900);
    if (await shown.evaluate((e) => e.getAttribute('role') === 'img')) break;
    await page.keyboard.press('w');
    await page.waitForFunction((e) => !e.isConnected, {}, shown);
  }
  await page.keyboard.press('Space');
}
async function stopAll(page, lanes) {
  await page.keyboard.press('Escape');
  for (let n = 0; n < lanes; n++) {
    const reason = await page.waitForSelector('::-p-xpath(//button[contains(normalize-space(.), "Asked to stop")])');
    await reason.evaluate((button) => button.click());
  }
}

/** Two on the chair stand, side by side. */
const counts = {
  test: 'chair-stand-30s',
  people: 2,
  mostPresses: Infinity,
  async begin(page) {
    await page.waitForSelector('[data-testid=practice]');
    await pause(900);
    await page.keyboard.press('Enter');
    await page.waitForFunction(() =>
      / left$/.test(document.querySelector('[data-testid=time-left]')?.textContent ?? ''),
    );
  },
  async press(page) {
    await page.keyboard.press(chance() < 0.5 ? '1' : '2');
    await pause(between(40, 160));
  },
  painted: (page) => page.$$eval('[data-testid=count]', (all) => all.map((c) => [Number(c.textContent)])),
  values: ([attempt]) => attempt?.values ?? [],
  /** Of a count what was painted is part of what is there. */
  missing: (painted, stored) => Math.max(0, painted[0] - (stored[0] ?? 0)),
  // Away for longer than two seconds: kept, without a result.
  async takeUp(page) {
    await page.goto(`${url}/people`, { waitUntil: 'networkidle0' });
  },
  over: ['to-repeat', 'stopped', 'finished'],
};

/** One on one leg, both sides in turn. */
const holds = {
  test: 'one-leg',
  people: 1,
  // Three tries a side end with the twelfth press: on a quick machine the test would be over before the kill.
  mostPresses: 10,
  async begin(page) {
    await page.waitForSelector('[data-testid=run]');
    await pause(900);
  },
  async press(page) {
    await page.keyboard.press('Space');
    await pause(between(350, 500));
  },
  painted: (page) =>
    page.$$eval('[aria-label=Side]', ([sides]) => [
      [...sides.querySelectorAll('button span')].flatMap((s) => s.textContent.match(/\d+\.?\d*/g) ?? []).map(Number),
    ]),
  values: (attempts) => attempts.flatMap((a) => a.values).filter((v) => v !== null),
  missing: (painted, stored) => painted.filter((value) => !stored.includes(value)).length,
  // Only the try that ran is lost: it goes on where it was.
  async takeUp(page) {
    await page.goto(`${url}/test`, { waitUntil: 'networkidle0' });
    await page.waitForSelector('[data-testid=run]');
    await pause(900);
    await stopAll(page, 1);
  },
  over: ['stopped', 'finished'],
};

node('--import', 'tsx', 'src/demo/load.ts', file);
let server = await start();
let browser = await launch();
const acknowledged = new Map();
const killed = { server: 0, browser: 0 };
let [painted, missing, doubled] = [0, 0, 0];
const sender = await addPerson('Another Tablet');
for (let kill = 0; kill < kills; kill++) {
  const victim = kill % 2 === 0 ? 'browser' : 'server';
  const kind = Math.floor(kill / 2) % 2 === 0 ? counts : holds;
  const people = [];
  for (let n = 0; n < kind.people; n++) people.push(await addPerson(`Kill ${kill} ${'AB'[n]}`));
  let page = await browser.newPage();
  await openTest(page, kind.test, people);
  await kind.begin(page);
  let over = false;
  const sending = sendUntil(() => over, acknowledged, sender.id);
  let presses = 0;
  const pressUntil = async (moment) => {
    for (; Date.now() < moment && presses < kind.mostPresses; presses++) await kind.press(page);
  };
  await pressUntil(Date.now() + between(700, 4000));
  let shown = await kind.painted(page);
  killed[victim] += 1;
  if (victim === 'browser') {
    browser.process().kill('SIGKILL');
    await pause(300);
    browser = await launch();
    page = await browser.newPage();
    await pause(2000);
    await kind.takeUp(page);
  } else {
    await end(server, 'SIGKILL');
    // With a dead server the open page goes on.
    await pressUntil(Date.now() + between(700, 2000));
    shown = await kind.painted(page);
    await stopAll(page, kind.people);
    server = await start();
  }
  over = true;
  await sending;
  for (const [n, person] of people.entries()) {
    const whole = () => {
      const all = storedOf(person, kind.test);
      const isOver = all.length > 0 && all.every((a) => kind.over.includes(a.state));
      return isOver && kind.missing(shown[n], kind.values(all)) === 0;
    };
    // What waits in a browser may take some seconds to be sent; what is not there by then is lost.
    await until('', whole, 30_000).catch(() => null);
    const stored = storedOf(person, kind.test);
    const sides = new Set(stored.map((a) => a.side));
    if (sides.size !== stored.length) doubled += 1;
    painted += kind === counts ? shown[n][0] : shown[n].length;
    const lost = kind.missing(shown[n], kind.values(stored));
    if (lost > 0)
      console.log(`kill ${kill}, ${victim}, ${kind.test}: painted ${shown[n]}, there ${JSON.stringify(stored)}`);
    missing += lost;
  }
  await page.close();
}
/** The server among the processes of this machine: `next start` is the process itself. */
const residentMb = () => {
  const table = `/proc/${server.pid}/status`;
  return existsSync(table) ? Number(/VmRSS:\s+(\d+)/.exec(readFileSync(table, 'utf8'))?.[1] ?? 0) / 1024 : 0;
};
// Ten thousand requests with something wrong in them: none breaks the server, none is answered in pieces, and nothing is kept.
const requests = kills < 50 ? 0 : 10_000;
let broken = 0;
let warmMb = 0;
for (let n = 0; n < requests; n++) {
  const { method, path, sent } = mutated(n, seed, chance);
  const headers = { 'content-type': 'application/json' };
  const answer = await fetch(url + path, { method, headers, body: sent }).catch(() => null);
  const whole = await answer?.json().then(
    () => true,
    () => false,
  );
  if (!answer || answer.status >= 500 || !whole) {
    broken += 1;
    console.log(`request ${n}: ${answer?.status ?? 'no answer'} to ${method} ${path} ${sent.slice(0, 200)}`);
  }
  if (n === requests / 4) warmMb = residentMb();
}
const fullMb = residentMb();
if (requests > 0)
  console.log(
    `${requests} mutated requests, ${broken} broke something; memory of the server after all over after a quarter: ${(fullMb / warmMb).toFixed(2)} (${fullMb.toFixed(0)} and ${warmMb.toFixed(0)} MB)`,
  );
const [{ integrity_check: state }] = rows('pragma integrity_check');
const stored = new Map(
  rows('select client_key, count(*) as n from attempt_event group by client_key').map((r) => [r.client_key, r.n]),
);
const torn = [...acknowledged].filter(([key, events]) => stored.get(key) !== events);
const half = rows('select client_key from attempt where client_key not in (select client_key from attempt_event)');
console.log(
  `server killed ${killed.server} times, browser ${killed.browser} times: ${painted} presses painted, ${missing} lost, ${doubled} attempts doubled; ${acknowledged.size} results acknowledged, ${torn.length} lost or not whole, ${half.length} half-written; the file is ${state}`,
);
await browser.close();
await end(server, 'SIGTERM');
// Only where there is time for all: the properties of the load model, many more times.
if (requests > 0) {
  childEnv.LOAD_RUNS = '3000';
  node(
    'node_modules/vitest/vitest.mjs',
    'run',
    '--project',
    'unit',
    'src/core/load/statics.test.ts',
    '--testTimeout',
    '600000',
  );
}
rmSync(dir, { recursive: true, force: true, maxRetries: 5 });
process.exit(missing + doubled + torn.length + half.length + broken === 0 && state === 'ok' ? 0 : 1);
