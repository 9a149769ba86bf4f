import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import puppeteer, { type Browser, type Page } from 'puppeteer-core';
import { afterAll, beforeAll } from 'vitest';
import { questionIds } from '../src/core/shapes/intake';

export function freePort(): Promise<number> {
  return new Promise((found, failed) => {
    const probe = createServer();
    probe.once('error', failed);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      if (address === null || typeof address === 'string') throw new Error('no port was given');
      probe.close(() => found(address.port));
    });
  });
}

export interface Server {
  readonly url: string;
  readonly log: () => string;
  readonly stop: (signal?: NodeJS.Signals) => Promise<void>;
}

/** A clean environment: the test runner puts its own NODE_ENV and BASE_URL into this process. */
export function childEnvironment(more: Readonly<Record<string, string>>): NodeJS.ProcessEnv {
  const { PATH = '', HOME = '' } = process.env;
  return { PATH, HOME, LANG: 'C.UTF-8', TZ: 'UTC', NODE_ENV: 'production', NEXT_TELEMETRY_DISABLED: '1', ...more };
}

/** The built server on a register file, with the day pretended to be `today`. */
export async function startServer(options: { file: string; today: string; port?: number }): Promise<Server> {
  const port = options.port ?? (await freePort());
  const child = spawn(
    process.execPath,
    ['node_modules/next/dist/bin/next', 'start', '-p', String(port), '-H', '127.0.0.1'],
    {
      env: childEnvironment({ READY_STOOL_DB: options.file, READY_STOOL_TODAY: options.today }),
      stdio: ['ignore', 'pipe', 'pipe'],
    },
  );
  let log = '';
  child.stdout.on('data', (text: Buffer) => (log += text.toString()));
  child.stderr.on('data', (text: Buffer) => (log += text.toString()));
  const url = `http://127.0.0.1:${port}`;
  await until(() => {
    if (child.exitCode !== null) throw new Error(`the server ended with ${child.exitCode}: ${log}`);
    return answers(url);
  });
  return { url, log: () => log, stop: (signal = 'SIGTERM') => end(child, signal) };
}

const answers = (url: string): Promise<boolean> =>
  fetch(`${url}/api/health`).then(
    (answer) => answer.ok,
    () => false,
  );

function end(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  return new Promise((ended) => {
    if (child.exitCode !== null || child.signalCode !== null) {
      ended();
      return;
    }
    child.once('exit', () => ended());
    child.kill(signal);
    // As the start script does, sooner: a page that asks again and again keeps a server from going by itself.
    setTimeout(() => child.kill('SIGKILL'), 20_000).unref();
  });
}

/** Waits for something to be so; fails after a minute and a half, never guesses how long it takes. */
export async function until(isSo: () => Promise<boolean> | boolean, mostMs = 90_000): Promise<void> {
  const start = performance.now();
  while (!(await isSo())) {
    if (performance.now() - start > mostMs) throw new Error(`waited ${mostMs} ms in vain for ${isSo.toString()}`);
    await new Promise((again) => setTimeout(again, 50));
  }
}

export function temporaryFolder(): { readonly path: string; readonly remove: () => void } {
  const path = mkdtempSync(join(tmpdir(), 'ready-stool-e2e-'));
  return { path, remove: () => rmSync(path, { recursive: true, force: true, maxRetries: 5 }) };
}

export async function startBrowser(profile: string): Promise<Browser> {
  return puppeteer.launch({
    executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium',
    userDataDir: profile,
    defaultViewport: { width: 1280, height: 800 },
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--disable-dev-shm-usage',
      '--lang=en-US',
    ],
  });
}

export interface Hall {
  /** Cleared away after the tests. */
  readonly folder: string;
  readonly file: string;
  readonly port: number;
  readonly browser: Browser;
  /** Changed by a test that kills it and starts another. */
  server: Server;
}

/** A register of its own, a server on it and a browser, for all tests of a file; cleared away after them. */
export function hallFor(today: string): Hall {
  const folder = temporaryFolder();
  const hall: Partial<Hall> & { file: string } = { file: join(folder.path, 'register.sqlite') };
  Object.assign(hall, { folder: folder.path });
  beforeAll(async () => {
    const port = await freePort();
    const server = await startServer({ file: hall.file, today, port });
    giveNumber(hall.file);
    Object.assign(hall, { port, server, browser: await startBrowser(join(folder.path, 'profile')) });
  });
  afterAll(async () => {
    await hall.browser?.close();
    await hall.server?.stop();
    folder.remove();
  });
  // Filled before the first test runs.
  return hall as Hall;
}

/** Asks the open interface of a hall something. */
export async function send(hall: Hall, method: string, path: string, body?: unknown) {
  const answer = await fetch(hall.server.url + path, {
    method,
    ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
  });
  return { status: answer.status, body: (await answer.json()) as Record<string, unknown> };
}

export interface Watched {
  readonly page: Page;
  /** Requests to another origin, refusals of the security policy, errors of the page; must stay empty. */
  readonly faults: readonly string[];
}

/** So much faster than the clock on the wall a browser runs, where nobody listens to its tones or reloads it. */
export const fast = 10;
/** The moment from which on all fast pages of this run count, so that their wall clocks agree, also after a reload. */
const epoch = Date.now();

/** Makes the clock of a page run faster, before anything on it runs: now, Date, timers, frames and the stamps of events. */
async function speedUp(page: Page, times: number): Promise<void> {
  await page.evaluateOnNewDocument(
    (times, epoch) => {
      const RealDate = Date;
      const now = performance.now.bind(performance);
      const stamp = Object.getOwnPropertyDescriptor(Event.prototype, 'timeStamp');
      const later = window.setTimeout.bind(window);
      const again = window.setInterval.bind(window);
      const frame = window.requestAnimationFrame.bind(window);
      const wall = (ms: number) => epoch + (ms - epoch) * times;
      const origin = wall(performance.timeOrigin);
      Object.defineProperty(performance, 'now', { value: () => now() * times });
      Object.defineProperty(performance, 'timeOrigin', { value: origin });
      Object.defineProperty(Event.prototype, 'timeStamp', {
        get(this: Event): number {
          return Number(stamp?.get?.call(this) ?? 0) * times;
        },
      });
      window.Date = new Proxy(RealDate, {
        construct: (target, args: unknown[]) =>
          Reflect.construct(target, args.length === 0 ? [wall(RealDate.now())] : args) as object,
        get: (target, name) => (name === 'now' ? () => wall(RealDate.now()) : (Reflect.get(target, name) as unknown)),
      });
      const quick = (ms: unknown) => Number(ms ?? 0) / times;
      Object.assign(window, {
        setTimeout: (call: TimerHandler, ms?: number, ...args: unknown[]) => later(call, quick(ms), ...args),
        setInterval: (call: TimerHandler, ms?: number, ...args: unknown[]) => again(call, quick(ms), ...args),
        requestAnimationFrame: (call: FrameRequestCallback) => frame((ms) => call(ms * times)),
      });
    },
    times,
    epoch,
  );
}

/**
 * A page that writes down everything that must never happen.
 * @param times how much faster its clock runs than the one on the wall
 */
export async function watchedPage(browser: Pick<Browser, 'newPage'>, url: string, times = fast): Promise<Watched> {
  const page = await browser.newPage();
  if (times !== 1) await speedUp(page, times);
  const faults: string[] = [];
  page.on('request', (request) => {
    const to = request.url();
    if (!to.startsWith(url) && !to.startsWith('data:') && !to.startsWith('blob:')) faults.push(`request to ${to}`);
  });
  page.on('pageerror', (error) => {
    faults.push(`page error: ${error instanceof Error ? error.message : String(error)}`);
  });
  page.on('console', (message) => {
    // A server that was killed on purpose, or is on its way out, makes the browser say so; nothing else may.
    const gone = ['net::ERR_', 'status of 503'].some((words) => message.text().includes(words));
    if (message.type() === 'error' && !gone)
      faults.push(`console: ${message.text()} ${message.location().url ?? ''}`.trim());
  });
  await page.evaluateOnNewDocument(() => {
    document.addEventListener('securitypolicyviolation', (event) => {
      console.error(`security policy: ${event.violatedDirective} ${event.blockedURI}`);
    });
  });
  return { page, faults };
}

export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (element) => element.textContent);

/** The box that is typed into under a label that begins with these words, inside it or tied to it. */
export const boxOf = (label: string): string => {
  const its = `label[starts-with(normalize-space(.), ${JSON.stringify(label)})]`;
  return `::-p-xpath(//${its}//input | //input[@id = //${its}/@for])`;
};

/** Waits until an element holds these words. */
export async function says(page: Page, selector: string, words: string): Promise<void> {
  await page.waitForFunction(
    (s, w) => (document.querySelector(s)?.textContent ?? '').includes(w),
    { timeout: 60_000 },
    selector,
    words,
  );
}

/**
 * A step takes no key or tap in its first 0.7 s from its first paint on: waits until that is over. A page that comes from
 * another one may be painted late; one in the background is not painted at all.
 */
export async function settled(page: Page): Promise<void> {
  const painted = await page.evaluate(
    () =>
      new Promise<number>((now) => {
        const say = () => now(performance.now());
        requestAnimationFrame(() => requestAnimationFrame(say));
        setTimeout(say, 1000);
      }),
  );
  await page.waitForFunction((since) => performance.now() - since > 760, { polling: 30 }, painted);
}

/** Answers the check of the day for somebody well, and waits until the practice can be begun. */
export async function wellToday(page: Page): Promise<void> {
  await page.waitForSelector('[data-testid=day-check]');
  await settled(page);
  // Each sore place is asked; the same is an answer.
  for (let left = (await page.$$('[data-testid=pain]')).length; left > 0; left--) await page.keyboard.press('s');
  await page.keyboard.press('w');
  await says(page, 'main', 'Put up');
  await settled(page);
}

/** From what to put up to the lane. */
export async function toTheLane(page: Page): Promise<void> {
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=practice]');
  await settled(page);
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-testid=lane]');
}

/** The number of the hall, without which nobody is tested, straight into the file. */
export function giveNumber(file: string): void {
  const db = new SQLite(file);
  const nothing = {
    chairs: [],
    pads: [],
    boxes: [],
    steps: [],
    bars: 0,
    railPlaces: 0,
    tables: 0,
    wallM: null,
    straps: 0,
    wedges: 0,
    bands: 0,
    mats: 0,
    weightsKg: [],
  };
  const cupboard = {
    ...{ ...nothing, raisedSurface: false, walkwayM: null },
    chairs: [43, 46].map((heightCm) => ({ heightCm, arms: false, stable: true, count: 1 })),
    pads: [3, 5].map((thickCm) => ({ thickCm, count: 1 })),
    ...{ bars: 1, weightsKg: [1, 2], floors: [{ where: 'hall', slides: true }], things: ['tape', 'wall'] },
  };
  const place = { name: 'This hall', town: '', emergencyNumber: '112', units: 'metric', cupboard };
  db.prepare('insert into place (id, content_json) values (1, ?)').run(JSON.stringify(place));
  db.close();
}

/** Waits until the clock of the lane has run this far. */
export async function laneAt(page: Page, secondsGone: number): Promise<void> {
  await page.waitForFunction(
    (gone) => {
      const left = /^([\d.]+) s left/.exec(document.querySelector('[data-testid=time-left]')?.textContent ?? '')?.[1];
      return left !== undefined && Number(left) <= 30 - gone;
    },
    { timeout: 60_000, polling: 20 },
    secondsGone,
  );
}

/** Notes something of somebody. */
export const noteOf = (hall: Hall, personId: string, on: string, content: object) =>
  send(hall, 'PUT', `/api/v1/entries/${crypto.randomUUID()}`, { personId, on, content });

/** Every readiness question answered. */
export const screened = (yes: readonly string[] = ['active']) => ({
  kind: 'screening',
  answers: Object.fromEntries(questionIds.map((id) => [id, yes.includes(id)])),
});

/** Somebody ready to be tested. */
export async function addReadyTo(hall: Hall, name: string, on: string, more: object = {}): Promise<string> {
  const { body } = await send(hall, 'POST', '/api/v1/people', {
    ...{ name, birthDate: '1950-05-06', normTable: 'female', heightCm: 165, massKg: 64, toComplete: [], evenSo: true },
    ...more,
  });
  const id = String(body['id']);
  await noteOf(hall, id, on, screened());
  return id;
}

/** Makes a group of Tuesday mornings and puts people into it. */
export function addGroup({ file }: Hall, id: string, name: string, people: readonly string[]): void {
  const db = new SQLite(file);
  db.prepare('insert into person_group (id, name, weekday, time) values (?, ?, 2, ?)').run(id, name, '10:00');
  for (const person of people)
    db.prepare('insert into group_member (group_id, person_id) values (?, ?)').run(id, person);
  db.close();
}

/** Somebody who helps, who may not spot. */
export function addHelper({ file }: Hall, id: string, name: string): void {
  const db = new SQLite(file);
  db.prepare('insert into helper (id, name, may_count_json, may_spot_json) values (?, ?, null, null)').run(id, name);
  db.close();
}

/** Presses a button or a link by its words. */
export async function press(page: Page, words: string): Promise<void> {
  const target = await page.waitForSelector(
    `::-p-xpath(//*[self::a or self::button][contains(normalize-space(.), ${JSON.stringify(words)})])`,
  );
  await target?.click();
}
