import SQLite from 'better-sqlite3';
import type { Page } from 'puppeteer-core';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { findings } from './axe';
import { looksWrong, resize, sizes } from './looks';
import {
  addReadyTo,
  boxOf,
  hallFor,
  press,
  says,
  send,
  settled,
  startServer,
  textOf,
  until,
  watchedPage,
  type Watched,
} from './harness';

/** A morning with twelve people, one helper who may spot, and all that comes between. */
const today = '2026-03-02';
const hall = hallFor(today);
const names = [
  ...['Aino Vest', 'Berit Lund', 'Carla Moe', 'Dagny Holm', 'Elin Rask', 'Frida Sund'],
  ...['Gerd Aas', 'Hilda Berg', 'Inga Dahl', 'Jorun Eng', 'Kari Foss', 'Liv Gran'],
];
const ids = new Map<string, string>();
const idOf = (name: string): string => ids.get(name) ?? '';
let watched: Watched;
let page: Page;

beforeAll(async () => {
  for (const name of names) ids.set(name, await addReadyTo(hall, name, today));
  const db = new SQLite(hall.file);
  for (const id of ids.values()) db.prepare('insert into sitting_person (day, person_id) values (?, ?)').run(today, id);
  const may = JSON.stringify({ day: today, by: 'the instructor' });
  db.prepare('insert into helper (id, name, may_count_json, may_spot_json) values (?, ?, ?, ?)').run(
    'mira',
    'Mira',
    may,
    may,
  );
  db.close();
  watched = await watchedPage(hall.browser, hall.server.url);
  page = watched.page;
});
afterAll(() => page.close());

interface Day {
  readonly notes: readonly { readonly event: { readonly kind: string; readonly people?: readonly string[] } }[];
  readonly results: readonly {
    readonly personId: string;
    readonly test: string;
    readonly state: string;
    readonly why: string;
  }[];
}
const dayNow = async () => (await send(hall, 'GET', `/api/v1/days/${today}`)).body as unknown as Day;
const kinds = async () => (await dayNow()).notes.map((n) => n.event.kind);
const board = () => page.waitForSelector('[data-testid=day-board]');
const nowAt = (staff: string) =>
  page.$eval(`[data-station="${staff}"]`, (e) => e.querySelector('[data-now]')?.textContent ?? '');
const nextAt = (staff: string) => textOf(page, `[data-station="${staff}"] [data-next]`);
const inStation = async (staff: string, words: string) => {
  const button = await page.waitForSelector(
    `::-p-xpath(//*[@data-station="${staff}"]//button[contains(normalize-space(.), "${words}")])`,
  );
  await button?.click();
};
/** On the helper’s own tablet, which sends it like any tablet. */
const measured = async (name: string, test: string, value: number) => {
  const sides = test === 'one-leg' ? ['L', 'R'] : [null];
  for (const side of sides)
    await send(hall, 'PUT', `/api/v1/attempts/${crypto.randomUUID()}`, {
      ...{ personId: idOf(name), test, protocolVersion: 1, sittingDate: today, side, conditions: {} },
      events: [{ seq: 0, atMs: 0, wallMs: Date.now(), by: 'hand', kind: 'entered', value, handsUsed: false }],
    });
};
const person = async (name: string) => {
  await page.waitForSelector('[data-testid=day-board]');
  await settled(page);
  const tile = await page.waitForSelector(`[data-person-name="${name}"]`);
  // Clear of the bar at the foot.
  await tile?.evaluate((e) => e.scrollIntoView({ block: 'center' }));
  await tile?.click();
  await page.waitForSelector('[data-testid=sitting]');
};
const closed = () => page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
/** From the plan, or from the day check, to what to put up. */
async function setUp(): Promise<void> {
  await page.waitForFunction(() =>
    /Anything of this today|Put up/.test(document.querySelector('main')?.textContent ?? ''),
  );
  await settled(page);
  if (await page.$('[data-testid=day-check]')) {
    await page.keyboard.press('w');
    await says(page, 'main', 'Put up');
    await settled(page);
  }
}

/** Two positions held by the clock, the third until the feet moved. */
async function fourPositions(): Promise<void> {
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=run]');
  await settled(page);
  for (const next of ['Instep beside', 'Heel touching toe']) {
    await page.keyboard.press('Space');
    await says(page, '[data-testid=lane-words]', next);
    await settled(page);
  }
  await page.keyboard.press('Space');
  await page.waitForFunction(() => Number(document.querySelector('[data-testid=clock]')?.textContent ?? 0) >= 3);
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=outcome]');
}

describe('a morning with twelve people', () => {
  test('core three is proposed as five do not end inside the hour; with nobody who may spot it is said', async () => {
    await page.goto(`${hall.server.url}/test/day`, { waitUntil: 'networkidle0' });
    const proposed = await textOf(page, '[data-testid=day-plan] label:has(input:checked)');
    expect(proposed).toMatch(/^Core three today, two on the next class day.*proposed/);
    expect(await textOf(page, '[data-testid=day-plan]')).toContain('Who is here: 12');
    // Another chair is told beside the norms, and nothing is lost.
    const seat = await page.waitForSelector('#day-seat');
    await seat?.click({ clickCount: 3 });
    await seat?.type('48');
    await says(page, '[data-testid=off-norm]', 'The norms assume a seat of 43.2 cm');
    // Back on the usual seat each lane has its chair.
    await seat?.click({ clickCount: 3 });
    await seat?.type('43');
    await says(page, '[data-testid=chairs-out]', 'chair of 43 cm');
    expect((await findings(page)).violations).toEqual([]);
    // Four positions are taken once, for the battery and for themselves.
    const battery = await page.waitForSelector(boxOf('Three-part battery'));
    await battery?.click();
    await says(page, '[data-testid=plan-says]', 'The four positions are taken once');
    await (await page.waitForSelector(boxOf('Core three today')))?.click();
    await page.type('#assessor', 'Runa Feld');
    await page.select('#day-floor', 'wood');
    await press(page, 'Begin: to the board');
    await board();
    expect(await kinds()).toEqual(['conditions', 'plan']);
  });

  test('the signs are read once to the room, two are asked at their chair, and the warm-up is said once', async () => {
    await settled(page);
    await press(page, 'Read the signs to the room');
    await page.waitForSelector('[data-testid=room-check]');
    await settled(page);
    for (const name of ['Elin Rask', 'Frida Sund']) await press(page, name);
    await (await page.waitForSelector(boxOf('The room has warmed up')))?.click();
    await press(page, 'Nobody else: 10 well');
    await board();
    await until(() => {
      const db = new SQLite(hall.file, { readonly: true });
      const { n } = db.prepare("select count(*) as n from entry where kind = 'day-check'").get() as { n: number };
      db.close();
      return n === 10;
    });
    expect((await findings(page)).violations).toEqual([]);
    for (const [width, height] of sizes) {
      await resize(page, width, height);
      expect([width, await looksWrong(page, 7)]).toEqual([width, []]);
    }
    await resize(page, 1280, 800);
    await person('Aino Vest');
    expect([...(await findings(page)).violations, ...(await looksWrong(page, 7))]).toEqual([]);
    await page.keyboard.press('Escape');
    await closed();
  });

  test('who is next is called with one press and tested here; the rest of their visit comes next', async () => {
    await settled(page);
    const first = await nextAt('instructor');
    // On a tile that has the focus Space opens that one.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('Space');
    await setUp();
    // The chair, floor and who measures came with the plan.
    await fourPositions();
    await says(page, 'main', 'Next: One leg');
    await until(async () => (await dayNow()).results.length === 1);
    const db = new SQLite(hall.file, { readonly: true });
    const kept = db.prepare('select conditions_json as json from attempt').get() as { json: string };
    db.close();
    expect(JSON.parse(kept.json)).toMatchObject({ assessor: 'Runa Feld', floor: 'wood', shoes: 'flat' });
    await settled(page);
    await page.keyboard.press('n');
    await setUp();
    await press(page, 'Somebody else');
    await board();
    expect(await nowAt('instructor')).toBe(first);
    expect(await textOf(page, '[data-station="instructor"]')).toContain('one leg');
  });

  test('not tried is a result with its reason, and the queue moves by itself', async () => {
    const now = await nowAt('instructor');
    const name = names.find((n) => n.startsWith(now.split(' ')[0] ?? '-')) ?? '';
    await person(name);
    await press(page, 'Not tried');
    await press(page, 'would rather not');
    await says(page, '[data-testid=sitting]', 'not tried: would rather not');
    await page.keyboard.press('Escape');
    await closed();
    await until(async () => (await nowAt('instructor')) === '');
    await until(async () =>
      (await dayNow()).results.some((r) => r.state === 'declined' && r.why === 'would rather not'),
    );
  });

  test('not now is two places back; who leaves is called no more', async () => {
    await settled(page);
    const called = await nextAt('mira');
    await inStation('mira', 'Call');
    await until(async () => (await nowAt('mira')) === called);
    await inStation('mira', 'Not now');
    await until(async () => (await nowAt('mira')) === '' && (await nextAt('mira')) !== called);
    await person('Liv Gran');
    await press(page, 'Leaves');
    await press(page, 'has to go');
    await closed();
    await says(page, '[data-person-name="Liv Gran"]', 'left');
    await until(async () => (await kinds()).includes('left'));
  });

  test('who walks in is at the end, with four positions and the chair stand', async () => {
    await page.goto(`${hall.server.url}/people/walk-in`, { waitUntil: 'networkidle0' });
    await page.type('#name', 'Petra Latecomer');
    await page.type('#ageYears', '71');
    await press(page, 'women');
    for (const [question, answer] of Object.entries({ 1: 'no', 2: 'no', 3: 'no', 4: 'yes', 5: 'none', 6: 'no' })) {
      const button = await page.waitForSelector(
        `::-p-xpath(//*[@aria-label="Question ${question}"]/button[normalize-space(.)="${answer}"])`,
      );
      await button?.click();
    }
    await press(page, 'Save and set up the test');
    await board();
    await says(page, '[data-person-name="Petra Latecomer"]', '0 of 2');
    const all = await page.$$eval('[data-station] li b', (b) => b.map((e) => e.textContent));
    expect(all.join()).not.toContain('Petra');
  });

  test('a hold stands on every board until it is let go; only what is seated may start meanwhile', async () => {
    const other = await watchedPage(hall.browser, hall.server.url);
    await other.page.goto(`${hall.server.url}/test`, { waitUntil: 'load' });
    await other.page.waitForSelector('[data-testid=day-board]');
    await page.bringToFront();
    await settled(page);
    await page.keyboard.press('F9');
    await page.waitForSelector('[role=dialog]');
    await press(page, 'Nothing happened');
    await closed();
    await says(page, '[data-testid=day-board]', 'Hold: every station stands');
    await other.page.bringToFront();
    await says(other.page, '[data-testid=day-board]', 'Hold: every station stands');
    await says(other.page, '[data-testid=day-board]', 'Another board is open on this day');
    expect(await other.page.$$eval('[data-held]', (all) => all.length)).toBeGreaterThan(8);
    expect(await other.page.$$('[data-next]')).toEqual([]);
    await press(other.page, 'Let go');
    await page.bringToFront();
    await page.waitForFunction(() => !document.body.textContent.includes('Hold: every station stands'));
    expect(other.faults).toEqual([]);
    await other.page.close();
  });

  test('with the server away two more are noted; all of it is there when it is back, and after a reload', async () => {
    await board();
    await settled(page);
    await hall.server.stop('SIGKILL');
    await says(page, '[data-testid=day-board]', 'The server does not answer');
    const name = 'Kari Foss';
    await person(name);
    await press(page, 'Not tried');
    await press(page, 'tired');
    await says(page, '[data-testid=sitting]', 'not tried: tired');
    await page.keyboard.press('Escape');
    await closed();
    await says(page, `[data-person-name="${name}"]`, '1 of 3');
    // Who is next by now is called, and timed, as if nothing were.
    const next = await nextAt('instructor');
    const timed = names.find((n) => n.startsWith((next.split(' ')[0] ?? '') + ' ')) ?? '';
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('Space');
    await setUp();
    await fourPositions();
    await settled(page);
    await page.keyboard.press('o');
    await board();
    await says(page, `[data-person-name="${timed}"]`, 'at a station');
    hall.server = await startServer({ file: hall.file, today, port: hall.port });
    await until(async () => (await dayNow()).results.filter((r) => r.personId === idOf(name)).length === 1);
    await until(async () =>
      (await dayNow()).results.some((r) => r.personId === idOf(timed) && r.test === 'four-stage'),
    );
    await page.reload({ waitUntil: 'load' });
    await board();
    await says(page, `[data-person-name="${name}"]`, '1 of 3');
    expect(await nowAt('instructor')).toContain(next.split(' ')[0]);
    await says(page, '[data-person-name="Liv Gran"]', 'left');
  });

  test('with all of it measured the board says so, every result is there, and the next morning says what was left', async () => {
    for (const name of names.filter((n) => n !== 'Liv Gran'))
      for (const [of, value] of [
        ['four-stage', 4],
        ['one-leg', 12],
        ['chair-stand-30s', 11],
      ] as const)
        if (!(await dayNow()).results.some((r) => r.personId === idOf(name) && r.test === of))
          await measured(name, of, value);
    // On paper everybody is on it, with what they had; nothing of the screen.
    await page.emulateMediaType('print');
    const paper = await textOf(page, '[data-testid=board-paper]');
    for (const name of names) expect(paper).toContain(name);
    expect(await page.$$eval('[data-testid=day-board] button', (all) => all.some((b) => b.checkVisibility()))).toBe(
      false,
    );
    await page.emulateMediaType();
    await person('Petra Latecomer');
    for (let left = 2; left > 0; left--) await press(page, 'On paper');
    await page.keyboard.press('Escape');
    await closed();
    await says(page, 'main', 'Everybody here has had what was planned.');
    const { results } = await dayNow();
    expect(results).toHaveLength(11 * 3);
    expect(results.filter((r) => r.state === 'declined')).toHaveLength(2);
    expect(watched.faults).toEqual([]);
    await hall.server.stop();
    hall.server = await startServer({ file: hall.file, today: '2026-03-03', port: hall.port });
    await page.goto(`${hall.server.url}/test/day`, { waitUntil: 'networkidle0' });
    await says(page, '[data-testid=left-over]', 'Liv Gran');
    expect(await textOf(page, '[data-testid=left-over]')).toContain('1 person has tests left');
  });
});
