import { createServer } from 'node:http';
import SQLite from 'better-sqlite3';
import type { Page } from 'puppeteer-core';
import { describe, expect, test } from 'vitest';
import {
  addReadyTo,
  hallFor,
  laneAt,
  noteOf,
  press,
  says,
  send,
  settled,
  startServer,
  textOf,
  toTheLane,
  until,
  watchedPage,
  wellToday,
} from './harness';

/** What went wrong once in a hall, driven in the browser as it happened. */
const today = '2026-03-02';
const hall = hallFor(today);

const addReady = (name: string) => addReadyTo(hall, name, today);
const note = (personId: string, content: object) => noteOf(hall, personId, today, content);

function stored(personId: string): { state: string; counted: number; reason: string | null }[] {
  const db = new SQLite(hall.file, { readonly: true });
  const rows = db
    .prepare(
      `select state, json_extract(result_json, '$.tries[0].value') as counted, json_extract(result_json, '$.stopReason') as reason
       from attempt where person_id = ?`,
    )
    .all(personId) as ReturnType<typeof stored>;
  db.close();
  return rows;
}

const open = (page: Page, path: string) => page.goto(hall.server.url + path, { waitUntil: 'networkidle0' });
/** What is done in the middle of a test takes as long as the machine takes: the clock must not run out meanwhile. */
const asInAHall = 1;

async function inTheLane(page: Page, personId: string, stands: number): Promise<void> {
  await open(page, `/test?person=${personId}`);
  await wellToday(page);
  await toTheLane(page);
  for (let n = 1; n <= stands; n++) {
    await laneAt(page, n * 1.2);
    await page.keyboard.press('Space');
    await says(page, '[data-testid=count]', String(n));
  }
}

test('five bounces of Enter on the name end at the check of the day; nobody is said to be well', async () => {
  const id = await addReady('Bounce Quick');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await open(page, '/test');
  await page.waitForSelector('input');
  await page.keyboard.type('Bounce');
  for (let n = 0; n < 5; n++) await page.keyboard.press('Enter');
  await page.waitForSelector('[data-testid=day-check]');
  await settled(page);
  for (const key of ['Enter', 'Space'] as const) await page.keyboard.press(key);
  await settled(page);
  expect(await page.$('[data-testid=day-check]')).not.toBeNull();
  expect((await send(hall, 'GET', `/api/v1/people/${id}`)).body).toMatchObject({ readiness: { outcome: 'ready' } });
  const db = new SQLite(hall.file, { readonly: true });
  expect(db.prepare("select count(*) as n from entry where kind = 'day-check' and person_id = ?").get(id)).toEqual({
    n: 0,
  });
  db.close();
  expect(faults).toEqual([]);
  await page.close();
});

test('stopped for pain: the big button is the sheet, a repeat is not offered, and their page says why', async () => {
  const id = await addReady('Pia Painful');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await inTheLane(page, id, 1);
  await page.keyboard.press('Escape');
  await page.keyboard.press('3');
  await says(page, '[data-testid=outcome]', 'Stopped after 1 stand: pain');
  const words = await textOf(page, 'main');
  expect(words).toContain('Hold: open the sheet');
  expect(words).not.toContain('Repeat the test');
  await settled(page);
  await press(page, 'Seated, well again: check of the day');
  await page.waitForSelector('[data-testid=day-check]');
  await until(() => stored(id)[0]?.reason === 'pain');
  await open(page, `/people/${id}`);
  await says(page, 'main', 'stopped, pain');
  expect(faults).toEqual([]);
  await page.close();
});

test('what is typed into the incident sheet is typed: no key reaches the page behind it', async () => {
  const id = await addReady('Ina Behind');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await open(page, `/test?person=${id}`);
  await page.waitForSelector('[data-testid=day-check]');
  await settled(page);
  await page.keyboard.press('F9');
  await page.waitForSelector('[role=dialog] textarea');
  await page.focus('[role=dialog] textarea');
  await page.keyboard.type('new walk, wants n and w ');
  expect(await page.$eval('[role=dialog] textarea', (t) => t.value)).toBe('new walk, wants n and w ');
  await page.focus('[role=dialog] button');
  await page.keyboard.press('w');
  await page.keyboard.press('n');
  await press(page, 'Nothing happened');
  await page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
  expect(await page.$('[data-testid=day-check]')).not.toBeNull();
  expect(new URL(page.url()).pathname).toBe('/test');
  expect(faults).toEqual([]);
  await page.close();
});

test('somebody held on another tablet is not started here: the server is asked before each start', async () => {
  const id = await addReady('Olga Elsewhere');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await open(page, `/test?person=${id}`);
  await wellToday(page);
  const incident = { at: '2026-03-02T10:00:00+00:00', what: ['dizzy'], head: 'no', bloodThinners: 'no' };
  await note(id, { kind: 'incident', ...incident, called: '', note: '' });
  await page.keyboard.press('Space');
  await says(page, 'main', 'Not today: an incident today');
  expect(await page.$('[data-testid=practice]')).toBeNull();
  expect(faults).toEqual([]);
  await page.close();
});

test('a sign that asks for help stays for the day, whatever a later check says, and goes only as a mistake with a word why', async () => {
  const id = await addReady('Signe Signed');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await open(page, `/test?person=${id}`);
  await page.waitForSelector('[data-testid=day-check]');
  await settled(page);
  await press(page, 'chest pain or pressure');
  await press(page, 'Save the check');
  await says(page, 'main', 'Not today: chest pain or pressure');
  await settled(page);
  await press(page, 'Do the check of today again');
  await page.waitForSelector('[data-testid=day-check]');
  await settled(page);
  await page.keyboard.press('w');
  await says(page, 'main', 'Not today: chest pain or pressure');
  await settled(page);
  await press(page, 'Ticked by mistake');
  await page.waitForSelector('form input');
  expect(await page.$eval('form button[type=submit]', (b) => b.disabled)).toBe(true);
  await page.type('form input', 'meant the line below');
  await press(page, 'Take it back');
  // The check is made anew, with nothing ticked.
  await wellToday(page);
  await until(async () => {
    const { body } = await send(hall, 'GET', `/api/v1/people/${id}`);
    return (body as { readiness: { outcome: string } }).readiness.outcome === 'ready';
  });
  expect(faults).toEqual([]);
  await page.close();
});

test('two browsers on one person: what each noted is there once, and the confirmation of one is told to the other', async () => {
  const id = await addReady('Tessa Twice');
  const contexts = await Promise.all([hall.browser, await hall.browser.createBrowserContext()].map((b) => b.newPage()));
  const events = [{ seq: 0, atMs: 0, wallMs: 1, by: 'hand', kind: 'entered', value: 12, handsUsed: false }];
  const body = { personId: id, test: 'chair-stand-30s', protocolVersion: 1, sittingDate: today, side: null };
  await send(hall, 'PUT', '/api/v1/attempts/twice-0001', { ...body, conditions: { seatHeightCm: 43 }, events });
  await Promise.all(contexts.map((page) => open(page, `/people/${id}/levels`)));
  const [first, second] = contexts as [Page, Page];
  await first.keyboard.press('c');
  await says(first, '[data-testid=confirmed]', 'Confirmed');
  await second.keyboard.press('c');
  await says(second, 'main', 'Confirmed already at');
  await Promise.all(contexts.map((page) => page.close()));
});

describe('a running test', () => {
  test('a browser that crashed says so on whichever page it is opened again, and sends what was kept', async () => {
    const id = await addReady('Carla Crashed');
    const { page } = await watchedPage(hall.browser, hall.server.url);
    await inTheLane(page, id, 2);
    await page.close();
    const again = await watchedPage(hall.browser, hall.server.url);
    await open(again.page, '/people');
    await says(again.page, '[data-testid=outbox]', 'The test of Carla Crashed broke off');
    await until(() => stored(id)[0]?.state === 'to-repeat');
    expect(stored(id)).toMatchObject([{ counted: 2 }]);
    expect(again.faults).toEqual([]);
    await again.page.close();
  });

  test('a second page leaves a test alone that another one runs', async () => {
    const id = await addReady('Della Doubled');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, asInAHall);
    await inTheLane(page, id, 1);
    const other = await watchedPage(hall.browser, hall.server.url);
    await open(other.page, '/test');
    await says(other.page, 'main', 'Who sits down next?');
    await open(other.page, '/people');
    await other.page.close();
    await page.bringToFront();
    await page.keyboard.press('Space');
    await says(page, '[data-testid=count]', '2');
    await page.keyboard.press('Escape');
    await page.keyboard.press('1');
    await until(() => stored(id)[0]?.state === 'stopped');
    expect(stored(id)).toMatchObject([{ counted: 2 }]);
    expect(faults).toEqual([]);
    await page.close();
  });

  test('a browser that can keep no more says so, holds the taps, ends the lane, and the server has every one', async () => {
    const id = await addReady('Fulla Disk');
    const { page } = await watchedPage(hall.browser, hall.server.url, asInAHall);
    await inTheLane(page, id, 1);
    await page.evaluate(() => {
      IDBObjectStore.prototype.add = () => {
        throw new DOMException('The disk is full', 'QuotaExceededError');
      };
    });
    for (const n of [2, 3]) {
      await page.keyboard.press('Space');
      await says(page, '[data-testid=count]', String(n));
    }
    await says(page, '[data-testid=not-kept]', 'can keep nothing more');
    await page.keyboard.press('Escape');
    await page.keyboard.press('1');
    await says(page, '[data-testid=outcome]', 'Stopped after 3 stands');
    await until(() => stored(id)[0]?.counted === 3);
    await says(page, '[data-testid=not-kept]', 'The server has all of this test');
    await page.close();
  });

  test('the way back from too early a start stands on the screen for five seconds and nothing moves when it goes', async () => {
    const id = await addReady('Nora Nervous');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, asInAHall);
    // Of the writes that wait for the disk: when each was asked for.
    await page.evaluateOnNewDocument(() => {
      const onDisk: number[] = [];
      Object.assign(window, { onDisk });
      const own = Object.getOwnPropertyDescriptor(IDBDatabase.prototype, 'transaction');
      IDBDatabase.prototype.transaction = function (...asked: Parameters<IDBDatabase['transaction']>) {
        const [names, , how] = asked;
        if (how?.durability === 'strict' && names === 'attempts') onDisk.push(performance.now());
        return (own?.value as (...args: typeof asked) => IDBTransaction).apply(this, asked);
      };
    });
    await inTheLane(page, id, 1);
    const placeOfUndo = () =>
      page.$$eval('[data-testid=lane] footer button', (all) =>
        all.filter((b) => b.textContent.includes('Undo')).map((b) => b.getBoundingClientRect().x),
      );
    const before = await placeOfUndo();
    await press(page, 'Too early: again');
    await page.waitForFunction(() =>
      /starts in/.test(document.querySelector('[data-testid=time-left]')?.textContent ?? ''),
    );
    await says(page, '[data-testid=count]', '0');
    await laneAt(page, 5.3);
    expect(await page.$eval('[data-testid=lane] footer', (f) => f.textContent)).not.toContain('Too early');
    expect(await placeOfUndo()).toEqual(before);
    // A dead battery loses no more than two seconds: from one such write to the next, with a beat to spare.
    const onDisk = await page.evaluate(() => (window as unknown as { onDisk: number[] }).onDisk);
    expect(onDisk.length).toBeGreaterThanOrEqual(3);
    expect(Math.max(...onDisk.slice(1).map((ms, i) => ms - (onDisk[i] ?? 0)))).toBeLessThan(4500);
    await page.keyboard.press('Escape');
    await page.keyboard.press('1');
    await page.waitForSelector('[data-testid=outcome]');
    expect(faults).toEqual([]);
    await page.close();
  });
});

describe('somebody else at the address', () => {
  test('a log-in page that answers everything forgets nothing; the register has it when it is back', async () => {
    const id = await addReady('Gerda Gateway');
    const { page } = await watchedPage(hall.browser, hall.server.url);
    await inTheLane(page, id, 1);
    await hall.server.stop('SIGKILL');
    const stranger = createServer((_, answer) => {
      answer.writeHead(200, { 'content-type': 'text/html' });
      answer.end('<h1>Welcome to the network: please log in</h1>');
    });
    await new Promise<void>((up) => stranger.listen(hall.port, '127.0.0.1', up));
    await page.keyboard.press('Escape');
    await page.keyboard.press('1');
    await page.waitForSelector('[data-testid=outcome]');
    await says(page, '[data-testid=outbox]', 'One result waits');
    await settled(page);
    await settled(page);
    stranger.closeAllConnections();
    await new Promise((down) => stranger.close(down));
    expect(stored(id).map((a) => a.state)).not.toContain('stopped');
    hall.server = await startServer({ file: hall.file, today, port: hall.port });
    await until(() => stored(id)[0]?.state === 'stopped');
    expect(stored(id)).toMatchObject([{ counted: 1 }]);
    await page.waitForFunction(() => document.querySelector('[data-testid=outbox]')?.textContent === '');
    await page.close();
  });

  test('what the register refuses says why, and is given to whom it belongs', async () => {
    const [gone, right] = [await addReady('Erna Erased'), await addReady('Rita Right')];
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await inTheLane(page, gone, 2);
    const db = new SQLite(hall.file);
    db.pragma('foreign_keys = OFF');
    for (const table of ['attempt_trace', 'attempt', 'entry', 'intake'])
      db.prepare(`delete from ${table} where person_id = ?`).run(gone);
    db.prepare('delete from person where id = ?').run(gone);
    db.close();
    await page.keyboard.press('Escape');
    await page.keyboard.press('1');
    await says(page, '[data-testid=outbox]', 'Not taken by the register: Erna Erased');
    await open(page, '/waiting');
    await says(page, '[data-testid=waiting-item]', '30-second chair stand: 2');
    expect(await textOf(page, '[data-testid=waiting-item]')).toContain('nobody in the register has this id');
    await press(page, 'It is of somebody else');
    await page.waitForSelector('[data-testid=waiting-item] input');
    await page.keyboard.type('Rita');
    await press(page, 'Rita Right');
    await page.waitForSelector('[data-testid=nothing-waits]');
    await until(() => stored(right).length === 1);
    expect(stored(right)).toMatchObject([{ state: 'stopped', counted: 2 }]);
    // The browser itself says that the register refused, and nothing else.
    expect(faults.filter((f) => !f.includes('status of 422'))).toEqual([]);
    await page.close();
  });

  test('an incident without a server and without a name: the sheet waits, and is sent when somebody says who', async () => {
    const id = await addReady('Hanna Nameless');
    const { page } = await watchedPage(hall.browser, hall.server.url);
    await open(page, '/test');
    await page.waitForSelector('[data-listed-person]');
    await hall.server.stop('SIGKILL');
    await page.keyboard.press('F9');
    await page.waitForSelector('[role=dialog]');
    // Everybody on the page can be chosen without a server.
    await page.keyboard.press('Tab');
    const field = await page.waitForSelector('[role=dialog] label input');
    await field?.type('hanna');
    await says(page, '[role=dialog]', 'Hanna Nameless');
    await press(page, 'a fall');
    await press(page, 'Save the sheet');
    await page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
    await says(page, '[data-testid=outbox]', 'One incident sheet has no name yet');
    hall.server = await startServer({ file: hall.file, today, port: hall.port });
    await open(page, '/waiting');
    await press(page, 'Say whom it is about');
    await page.waitForSelector('[data-testid=waiting-item] input');
    await page.keyboard.type('Hanna');
    await press(page, 'Hanna Nameless');
    await page.waitForSelector('[data-testid=nothing-waits]');
    const { body } = await send(hall, 'GET', `/api/v1/people/${id}`);
    expect(body).toMatchObject({ readiness: { outcome: 'not-today' } });
    await page.close();
  });
});

test('put aside while the server is dead: it says so, and nothing was changed', async () => {
  const id = await addReady('Anni Aside');
  const { page } = await watchedPage(hall.browser, hall.server.url);
  await open(page, `/people/${id}/leave`);
  await hall.server.stop('SIGKILL');
  await press(page, 'Put aside');
  await says(page, 'main', 'The server did not answer; nothing was changed.');
  hall.server = await startServer({ file: hall.file, today, port: hall.port });
  await press(page, 'Put aside');
  await page.waitForFunction(() => location.pathname === '/people');
  expect((await send(hall, 'GET', '/api/v1/people?search=Anni&filter=archived')).body).toMatchObject({ total: 1 });
  await page.close();
});

test('two tablets hold for one fall: both sheets are kept, and it is one fall', async () => {
  const id = await addReady('Frida Fell');
  const pages = await Promise.all([hall.browser, await hall.browser.createBrowserContext()].map((b) => b.newPage()));
  for (const page of pages) {
    await open(page, `/people/${id}`);
    await page.keyboard.press('F9');
    await page.waitForSelector('[role=dialog]');
    await press(page, 'a fall');
  }
  await Promise.all(pages.map((page) => press(page, 'Save the sheet')));
  await Promise.all(pages.map((page) => page.waitForFunction(() => document.querySelector('[role=dialog]') === null)));
  const db = new SQLite(hall.file, { readonly: true });
  const kept = db.prepare("select count(*) as n from entry where kind = 'incident' and person_id = ?").get(id);
  db.close();
  expect(kept).toEqual({ n: 2 });
  const { body } = await send(hall, 'GET', `/api/v1/people/${id}`);
  expect(body).toMatchObject({ readiness: { outcome: 'not-today' }, falls12m: [{ fellOn: today }] });
  await Promise.all(pages.map((page) => page.close()));
});

test('two tablets on one intake: what only one changed is kept from both, what both changed is asked about', async () => {
  const id = await addReady('Ida Intake');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  const other = await hall.browser.newPage();
  for (const p of [page, other]) await open(p, `/people/${id}/intake`);
  const change = async (p: Page, field: string, value: string) => {
    await p.click(field, { count: 3 });
    await p.keyboard.type(value);
  };
  // A page behind another one draws nothing and cannot be clicked.
  await other.bringToFront();
  await change(other, '#massKg', '70');
  await change(other, '#medicines', 'Quillipril');
  await press(other, 'Save the intake');
  await other.waitForFunction((path) => location.pathname === path, {}, `/people/${id}`);
  await page.bringToFront();
  await change(page, '#massKg', '72');
  await change(page, '#heightCm', '166');
  await press(page, 'Save the intake');
  await says(page, '[data-testid=clashes]', 'mass, kg');
  expect(await textOf(page, '[data-testid=clashes]')).toContain('here: 72');
  await press(page, 'there: 70');
  await press(page, 'Save the intake');
  await page.waitForFunction((path) => location.pathname === path, {}, `/people/${id}`);
  const { body } = await send(hall, 'GET', `/api/v1/people/${id}`);
  expect(body).toMatchObject({ intake: { massKg: 70, heightCm: 166, medicines: 'Quillipril' } });
  expect(faults).toEqual([]);
  await page.close();
  await other.close();
});

// Last, as the hall stands on another day afterwards.
test('left open overnight, the station asks for the check of the new day', async () => {
  const id = await addReady('Mona Morning');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await open(page, `/test?person=${id}`);
  await wellToday(page);
  await hall.server.stop('SIGTERM');
  hall.server = await startServer({ file: hall.file, today: '2026-03-03', port: hall.port });
  // A server that has just begun may need longer for its first answer than a start waits for one.
  await send(hall, 'GET', `/api/station/${id}`);
  // Yesterday's page is woken by nothing: the start itself finds the new day.
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=day-check]');
  // Looked at again it comes anew, with the people of the new day.
  await Promise.all([page.waitForNavigation(), page.evaluate(() => window.dispatchEvent(new Event('focus')))]);
  await page.waitForSelector('[data-testid=day-check]');
  expect(stored(id)).toEqual([]);
  expect(faults).toEqual([]);
  await page.close();
});

test('a register that can keep nothing is told of on every page, in words, and no more once it can again', async () => {
  const { page } = await watchedPage(hall.browser, hall.server.url);
  const words = 'The disk of this computer is full';
  let full = true;
  await page.setRequestInterception(true);
  page.on('request', (request) => {
    const answer = { status: 507, contentType: 'application/problem+json', body: JSON.stringify({ detail: words }) };
    void (full && request.url().endsWith('/api/health') ? request.respond(answer) : request.continue());
  });
  for (const path of ['/people', '/library/seat']) {
    await page.goto(hall.server.url + path, { waitUntil: 'load' });
    await says(page, '[aria-live=assertive]', words);
  }
  full = false;
  await page.waitForFunction(() => document.querySelector('[aria-live=assertive]')?.textContent === '');
  await page.close();
});
