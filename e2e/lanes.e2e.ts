import SQLite from 'better-sqlite3';
import type { CDPSession, Page } from 'puppeteer-core';
import { describe, expect, test } from 'vitest';
import { addReadyTo, boxOf, hallFor, press, says, send, settled, until, watchedPage } from './harness';

/** Several people at one test, and every kind of measuring, by the keys and fingers of a hall. */
const today = '2026-03-02';
const hall = hallFor(today);
const addReady = (name: string, more?: object) => addReadyTo(hall, name, today, more);

interface Event {
  readonly kind: string;
  readonly atMs: number;
  readonly by: string;
}
interface Stored {
  readonly state: string;
  readonly side: string | null;
  readonly value: number | null;
  readonly outcome: string;
  readonly tries: readonly { readonly value: number | null }[];
  readonly events: readonly Event[];
}

/** What the register holds of somebody at a test. */
function stored(personId: string, test: string): Stored[] {
  const db = new SQLite(hall.file, { readonly: true });
  const rows = db
    .prepare('select client_key, state, side, result_json from attempt where person_id = ? and test = ? order by side')
    .all(personId, test) as { client_key: string; state: string; side: string | null; result_json: string }[];
  const events = db.prepare('select content_json from attempt_event where client_key = ? order by seq');
  const found = rows.map(({ client_key: key, state, side, result_json: result }) => ({
    ...(JSON.parse(result) as Omit<Stored, 'events' | 'side'>),
    state,
    side,
    events: (events.all(key) as { content_json: string }[]).map((e) => JSON.parse(e.content_json) as Event),
  }));
  db.close();
  return found;
}
const finished = (personId: string, test: string, most = 1) =>
  until(() => stored(personId, test).filter((a) => a.state === 'finished').length === most);

/** Opens the station for people at a test, answers the check of the day of each, and goes on to the test. */
async function seat(page: Page, test: string, ids: readonly string[]): Promise<void> {
  const people = ids.map((id) => `person=${id}`).join('&');
  await page.goto(`${hall.server.url}/test?test=${test}&${people}`, { waitUntil: 'load' });
  for (const id of ids) {
    await page.waitForSelector('[data-testid=day-check]');
    await settled(page);
    await page.keyboard.press('w');
    await page.waitForFunction((last) => document.body.textContent.includes('Put up') || !last, {}, id === ids.at(-1));
  }
  await says(page, 'main', 'Put up');
  await settled(page);
}
async function toTheTest(page: Page): Promise<void> {
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=run], [data-testid=practice]');
  await settled(page);
}

const lane = (id: string) => `[data-testid=lane][data-person-id="${id}"]`;
const countOf = (page: Page, id: string): Promise<string> =>
  page.$eval(`${lane(id)} [data-testid=count]`, (e) => e.textContent);
const counts = (page: Page, id: string, n: number) => until(async () => (await countOf(page, id)) === String(n));

/** Waits until the clock of the page has run so far since its go. */
const gone = (page: Page, seconds: number) =>
  page.waitForFunction(
    (s) => {
      const left = /^([\d.]+) s left/.exec(document.querySelector('[data-testid=time-left]')?.textContent ?? '')?.[1];
      return left !== undefined && Number(left) <= 30 - s;
    },
    { timeout: 60_000, polling: 20 },
    seconds,
  );
/** Waits until the clock of a try shows at least so much. */
const clockAt = (page: Page, seconds: number) =>
  page.waitForFunction(
    (s) => Number(document.querySelector('[role=timer][data-testid=clock]')?.textContent ?? 0) >= s,
    { timeout: 60_000, polling: 20 },
    seconds,
  );

describe('two people on the chair stand, side by side', () => {
  test('by keys: one start, each their own count, undo, hands and answer at the tone; both are in the register', async () => {
    const [ada, ben] = [await addReady('Ada Abel'), await addReady('Ben Bode', { normTable: 'male' })];
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, 2);
    await seat(page, 'chair-stand-30s', [ada, ben]);
    await toTheTest(page);
    const face = await watchedPage(hall.browser, hall.server.url, 2);
    await face.page.goto(`${hall.server.url}/face`, { waitUntil: 'networkidle0' });
    await says(face.page, '[data-testid=face]', 'Ada A.');
    await page.bringToFront();
    for (const key of ['1', '2', '2'] as const) await page.keyboard.press(key);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-testid=lane]');
    await gone(page, 1);
    for (const key of ['1', '2', '1', '2', '1'] as const) await page.keyboard.press(key);
    await counts(page, ada, 3);
    await counts(page, ben, 2);
    await page.keyboard.press('q');
    await counts(page, ada, 2);
    await page.keyboard.press('s');
    await page.keyboard.press('2');
    await counts(page, ben, 3);
    await page.keyboard.down('Shift');
    await page.keyboard.press('Digit1');
    await page.keyboard.up('Shift');
    await counts(page, ada, 1);
    // Who is tested sees name and time, and no count before the end.
    expect(await face.page.$('[data-testid=face-result]')).toBeNull();
    expect(await face.page.$eval('[data-testid=face]', (e) => e.textContent)).toMatch(/AAda A\..*BBen B\./);
    await until(async () => (await page.$$('[aria-label="At the tone"]')).length === 2);
    await settled(page);
    await page.keyboard.press('1');
    await page.keyboard.press('w');
    await page.waitForSelector('[data-testid=outcome]');
    await until(async () => (await face.page.$$('[data-testid=face-result]')).length === 2);
    expect(face.faults).toEqual([]);
    await face.page.close();
    await page.bringToFront();
    await finished(ada, 'chair-stand-30s');
    await finished(ben, 'chair-stand-30s');
    const [of] = stored(ada, 'chair-stand-30s');
    expect(of).toMatchObject({ value: 2, halfRepCounted: true });
    expect(of?.events.map((e) => e.kind)).toEqual([
      ...['practice', 'start', 'rep', 'rep', 'rep', 'undo', 'not-full', 'end', 'half-rep'],
    ]);
    expect(stored(ben, 'chair-stand-30s')).toMatchObject([{ value: 0, handsUsed: true, cleanBeforeHands: 2 }]);
    // How hard it was is asked afterwards, and is one event more.
    await settled(page);
    await press(page, '7');
    await until(() => stored(ada, 'chair-stand-30s')[0]?.events.at(-1)?.kind === 'effort');
    expect(stored(ada, 'chair-stand-30s')[0]?.value).toBe(2);
    expect(faults).toEqual([]);
    await page.close();
  });

  test('by touch, two fingers at once count both; stop of one leaves the other counting', async () => {
    const [ada, ben] = [await addReady('Ada Touch'), await addReady('Ben Touch')];
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, 2);
    await page.setViewport({ width: 820, height: 1180, hasTouch: true });
    await seat(page, 'chair-stand-30s', [ada, ben]);
    await toTheTest(page);
    await press(page, 'Start all');
    await page.waitForSelector('[data-testid=lane]');
    await gone(page, 1);
    const cdp = await page.createCDPSession();
    const both = async () => {
      const points = [
        { x: 200, y: 500, id: 1 },
        { x: 620, y: 500, id: 2 },
      ];
      await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: points });
      await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    };
    for (let n = 1; n <= 3; n++) {
      await both();
      await counts(page, ada, n);
      await counts(page, ben, n);
    }
    const stop = await page.waitForSelector('[aria-label="Stop: Ben T."]');
    await stop?.tap();
    await says(page, lane(ben), 'Stopped. Why?');
    await both();
    await counts(page, ada, 4);
    expect(await countOf(page, ben)).toBe('3');
    await press(page, 'Pain');
    await says(page, lane(ben), 'Stopped. Seat them.');
    await page.touchscreen.tap(200, 500);
    await counts(page, ada, 5);
    await until(() => stored(ben, 'chair-stand-30s').some((a) => a.state === 'stopped'));
    await says(page, lane(ada), 'Half up?');
    await settled(page);
    const no = await page.waitForSelector(
      `${lane(ada)} ::-p-xpath(.//button[starts-with(., "No") and not(contains(., "full"))])`,
    );
    await no?.tap();
    await finished(ada, 'chair-stand-30s');
    expect(stored(ada, 'chair-stand-30s')).toMatchObject([{ value: 5 }]);
    await says(page, 'main', 'Hold: open the sheet');
    expect(faults).toEqual([]);
    await page.close();
  });

  test('somebody with a stick is proposed alone, with why; beside all the same is noted with the attempt', async () => {
    const [ada, leaning] = [await addReady('Ada Steady'), await addReady('Lena Leaning', { aidOutdoors: 'stick' })];
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await seat(page, 'chair-stand-30s', [ada, leaning]);
    await says(page, 'main', 'Lena Leaning is better watched alone: walks with an aid.');
    expect(await page.$eval('[data-hotkey=Space]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
    await press(page, 'Beside all the same');
    await toTheTest(page);
    await page.keyboard.press('Enter');
    await until(async () => (await page.$$('[aria-label="At the tone"]')).length === 2);
    await settled(page);
    for (const key of ['q', 'w'] as const) await page.keyboard.press(key);
    await finished(leaning, 'chair-stand-30s');
    const noteEvent = stored(leaning, 'chair-stand-30s')[0]?.events.find((e) => e.kind === 'note');
    expect(noteEvent).toMatchObject({ text: expect.stringContaining('walks with an aid') as string });
    expect(stored(ada, 'chair-stand-30s')[0]?.events.some((e) => e.kind === 'note')).toBe(false);
    expect(faults).toEqual([]);
    await page.close();
  });

  test('they sit the other way round: swapped before the start or after the end, the counts go to whom they belong', async () => {
    const [ada, ben] = [await addReady('Ada Left'), await addReady('Ben Right')];
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await seat(page, 'chair-stand-30s', [ada, ben]);
    await toTheTest(page);
    await press(page, 'Swap names');
    await page.waitForFunction(
      () => document.querySelector('[data-testid=practice] button[class]')?.textContent !== '',
    );
    await until(async () => (await page.$eval('[data-testid=practice]', (e) => e.textContent)).includes('A Ben R.'));
    await settled(page);
    await page.keyboard.press('Enter');
    await gone(page, 1);
    await page.keyboard.press('1');
    await counts(page, ben, 1);
    await until(async () => (await page.$$('[aria-label="At the tone"]')).length === 2);
    await settled(page);
    for (const key of ['q', 'w'] as const) await page.keyboard.press(key);
    await finished(ben, 'chair-stand-30s');
    await finished(ada, 'chair-stand-30s');
    const values = () => [stored(ben, 'chair-stand-30s')[0]?.value, stored(ada, 'chair-stand-30s')[0]?.value];
    expect(values()).toEqual([1, 0]);
    expect(stored(ada, 'chair-stand-30s')).toHaveLength(1);
    // Noticed only afterwards: each is given to the other, and back.
    await settled(page);
    await press(page, 'Swap names');
    await until(() => values().join() === '0,1');
    await says(page, 'main', 'Kept for Ada Left: the names were swapped.');
    await press(page, 'Swap names back');
    await until(() => values().join() === '1,0');
    expect(faults).toEqual([]);
    await page.close();
  });
});

/** Presses a key at a moment of the wall clock, seconds since 1970. */
async function keyAt(cdp: CDPSession, digit: number, seconds: number): Promise<void> {
  const key = { code: `Digit${digit}`, key: String(digit), windowsVirtualKeyCode: 48 + digit };
  await cdp.send('Input.dispatchKeyEvent', { type: 'rawKeyDown', timestamp: seconds, ...key });
  await cdp.send('Input.dispatchKeyEvent', { type: 'keyUp', timestamp: seconds + 0.004, ...key });
}

test('four lanes at 12 taps a second each: none is lost, none doubled, and the times between them are kept to 0.5 ms', async () => {
  const ids: string[] = [];
  for (const name of ['Quick Ash', 'Quick Birch', 'Quick Cedar', 'Quick Dill']) ids.push(await addReady(name));
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 1);
  await seat(page, 'step-2min', ids);
  // Two pairs of eyes: who counts the other two is chosen, and on record.
  expect(await page.$eval('[data-hotkey=Space]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
  await page.select('::-p-xpath(//label[starts-with(., "C and D watched by")]//select)', 'somebody shown how today');
  await toTheTest(page);
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    () => / s left$/.test(document.querySelector('[data-testid=time-left]')?.textContent ?? ''),
    {
      polling: 20,
    },
  );
  const cdp = await page.createCDPSession();
  const perLane = 60;
  const startS = (await page.evaluate(() => performance.timeOrigin + performance.now())) / 1000 + 0.2;
  for (let n = 0; n < perLane; n++)
    for (let digit = 1; digit <= 4; digit++) await keyAt(cdp, digit, startS + n / 12 + digit * 0.005);
  for (const id of ids) await counts(page, id, perLane);
  await page.keyboard.press('Escape');
  for (let n = 0; n < 4; n++) await press(page, 'Asked to stop');
  await page.waitForSelector('[data-testid=outcome]');
  for (const id of ids) {
    await until(() => stored(id, 'step-2min').some((a) => a.state === 'stopped'));
    const reps = stored(id, 'step-2min')[0]?.events.filter((e) => e.kind === 'rep') ?? [];
    expect(reps).toHaveLength(perLane);
    const watched = stored(id, 'step-2min')[0]?.events.some((e) => e.kind === 'note');
    expect(watched).toBe(ids.indexOf(id) >= 2);
    const off = reps.slice(1).map((e, i) => Math.abs(e.atMs - (reps[i]?.atMs ?? NaN) - 1000 / 12));
    expect(Math.max(...off)).toBeLessThanOrEqual(0.5);
  }
  expect(faults).toEqual([]);
  await page.close();
});

test('two on one leg need a spotter each: without one it is said, with one ticked in the hall both are timed', async () => {
  const ids = [await addReady('Ada Oneleg'), await addReady('Ben Oneleg')];
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 4);
  await seat(page, 'one-leg', ids);
  await says(page, 'main', 'Ben Oneleg has no spotter');
  expect(await page.$eval('[data-hotkey=Space]', (b) => (b as HTMLButtonElement).disabled)).toBe(true);
  await page.goto(`${hall.server.url}/hall`, { waitUntil: 'networkidle0' });
  await page.type(boxOf('Name of a helper'), 'Runa Feld');
  await page.keyboard.press('Enter');
  const tick = await page.waitForSelector('[aria-label="Runa Feld may spot"]');
  await tick?.click();
  await says(page, 'main', 'since 2 Mar 2026, this device');
  await page.goto(`${hall.server.url}/test?test=one-leg&${ids.map((id) => `person=${id}`).join('&')}`, {
    waitUntil: 'load',
  });
  await says(page, 'main', 'B spotted by');
  await settled(page);
  await toTheTest(page);
  for (const key of ['1', '2', '2', '1'] as const) {
    await page.keyboard.press(key);
    await new Promise((later) => setTimeout(later, 300));
  }
  // The hold of one ended while the other went on; both show what was held.
  const held = () => page.$$eval('[aria-label=Side]', (all) => all.map((e) => /\d/.test(e.textContent)));
  await until(async () => (await held()).join() === 'true,true');
  await page.keyboard.press('Escape');
  for (let n = 0; n < 2; n++) await press(page, 'Asked to stop');
  await page.waitForSelector('[data-testid=outcome]');
  const texts = (id: string) =>
    stored(id, 'one-leg').flatMap((a) => a.events.flatMap((e) => ('text' in e ? [e.text] : [])));
  await until(() => ids.every((id) => stored(id, 'one-leg').some((a) => a.state === 'stopped')));
  await until(() => texts(ids[1] ?? '').length > 0);
  expect(texts(ids[0] ?? '')).toEqual([]);
  expect(new Set(texts(ids[1] ?? ''))).toEqual(new Set(['Watched by Runa Feld.']));
  expect(faults).toEqual([]);
  await page.close();
});

describe('each kind of measuring, from setting up to the register', () => {
  test('a hold: both legs in turn, from one press to the next, by a presenter’s clicker too; the best of three a side', async () => {
    const id = await addReady('Hanna Hold');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, 4);
    await seat(page, 'one-leg', [id]);
    await toTheTest(page);
    const once = async (seconds: number) => {
      await page.keyboard.press('Space');
      await clockAt(page, seconds);
      await page.keyboard.press('PageDown');
      await page.waitForFunction(() => document.querySelector('[role=timer][data-testid=clock]') === null);
    };
    await once(3);
    await says(page, '[aria-label=Side] [aria-pressed=true]', 'right');
    await once(2);
    await once(4);
    for (const seconds of [1, 1, 1]) await once(seconds);
    await page.waitForSelector('[data-testid=outcome]');
    await finished(id, 'one-leg', 2);
    const [left, right] = stored(id, 'one-leg');
    expect([left?.side, left?.tries.length, right?.side, right?.tries.length]).toEqual(['L', 3, 'R', 3]);
    expect(left?.value).toBeGreaterThanOrEqual(4);
    expect(right?.value).toBeGreaterThanOrEqual(2);
    expect(left?.value).toBe(Math.max(...(left?.tries.map((t) => t.value ?? 0) ?? [])));
    expect(faults).toEqual([]);
    await page.close();
  });

  test('a time: two tries from go to the tap, the better one counts', async () => {
    const id = await addReady('Tilda Time');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, 4);
    await seat(page, 'up-and-go-8ft', [id]);
    await toTheTest(page);
    for (const seconds of [7, 6]) {
      await page.keyboard.press('Enter');
      await clockAt(page, seconds);
      await page.keyboard.press('Space');
      await page.waitForFunction(() => document.querySelector('[role=timer][data-testid=clock]') === null);
      await settled(page);
    }
    await page.waitForSelector('[data-testid=outcome]');
    await finished(id, 'up-and-go-8ft');
    const [walk] = stored(id, 'up-and-go-8ft');
    expect(walk?.tries).toHaveLength(2);
    expect(walk?.value).toBe(Math.min(...(walk?.tries.map((t) => t.value ?? 999) ?? [])));
    expect(faults).toEqual([]);
    await page.close();
  });

  test('positions: two held their ten seconds by the clock, the third until the feet moved', async () => {
    const id = await addReady('Paula Position');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, 4);
    await seat(page, 'four-stage', [id]);
    await toTheTest(page);
    for (const next of ['Instep beside', 'Heel touching toe']) {
      await page.keyboard.press('Space');
      await says(page, '[data-testid=lane-words]', next);
      await settled(page);
    }
    await page.keyboard.press('Space');
    await clockAt(page, 4);
    await page.keyboard.press('Space');
    await page.waitForSelector('[data-testid=outcome]');
    await finished(id, 'four-stage');
    expect(stored(id, 'four-stage')).toMatchObject([
      { value: 2, seconds: { sideBySide: 10, semiTandem: 10, oneLeg: 0 } },
    ]);
    expect(faults).toEqual([]);
    await page.close();
  });

  test('touches felt or not, by two keys; seats lower and lower, by two buttons', async () => {
    const id = await addReady('Tove Touch');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await seat(page, 'foot-feel', [id]);
    await toTheTest(page);
    for (const [i, key] of (['y', 'y', 'n', 'y', 'y', 'y'] as const).entries()) {
      await says(page, '[data-testid=run]', `${i + 1} of 6`);
      await page.keyboard.press(key);
    }
    await page.waitForSelector('[data-testid=outcome]');
    await finished(id, 'foot-feel');
    expect(stored(id, 'foot-feel')).toMatchObject([{ value: 5 }]);
    await page.goto(`${hall.server.url}/test?test=lowest-seat&person=${id}`, { waitUntil: 'networkidle0' });
    await says(page, 'main', 'Put up');
    await settled(page);
    await toTheTest(page);
    const heights: string[] = [];
    for (const words of ['Stood, hands free', 'Hands, a drop', 'Hands, a drop']) {
      heights.push(await page.$eval('[data-testid=seat]', (e) => e.textContent));
      await says(page, '[data-testid=lane-words]', `Stand ${heights.length} of`);
      await press(page, words);
      if (heights.length < 3) await says(page, '[data-testid=lane-words]', `Stand ${heights.length + 1} of`);
    }
    await page.waitForSelector('[data-testid=outcome]');
    await finished(id, 'lowest-seat');
    expect(stored(id, 'lowest-seat')).toMatchObject([{ value: Number(heights[0]) }]);
    expect(heights[1]).toBe(heights[2]);
    expect(faults).toEqual([]);
    await page.close();
  });

  test('a reach: read before and after, three times, one in which they stepped is read again; a slip is refused by name', async () => {
    const id = await addReady('Rita Reach');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await seat(page, 'reach-forward', [id]);
    await toTheTest(page);
    const read = async (before: string, after: string) => {
      await page.type('[name=before]', before);
      await page.type('[name=reading]', after);
      await page.keyboard.press('Enter');
    };
    await read('80', '1042');
    await says(page, '#reading-fault', 'Write what the tape says: 0 to 80 cm. Nothing is kept yet.');
    await page.$eval('[name=reading]', (box) => (box as HTMLInputElement).select());
    await page.type('[name=reading]', '104');
    await page.keyboard.press('Enter');
    await says(page, '[data-testid=lane-words]', 'Try 2 of 3');
    await press(page, 'Stepped or caught');
    await says(page, '[data-testid=tries]', 'does not count');
    for (const [before, after] of [
      ['81', '107'],
      ['80,5', '108,5'],
    ] as const) {
      await page.waitForFunction(() => document.querySelector<HTMLInputElement>('[name=before]')?.value === '');
      await read(before, after);
    }
    await page.waitForSelector('[data-testid=outcome]');
    await finished(id, 'reach-forward');
    expect(stored(id, 'reach-forward')).toMatchObject([{ value: 26 }]);
    expect(faults).toEqual([]);
    await page.close();
  });
});

test('between two tries the page may be made anew: what was measured is there, and the next try goes on', async () => {
  const id = await addReady('Rosa Reload');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 4);
  await seat(page, 'knee-to-wall', [id]);
  await toTheTest(page);
  await page.type('[name=reading]', '7.5');
  await page.keyboard.press('Enter');
  await says(page, '[aria-label=Side]', '7.5');
  await page.reload({ waitUntil: 'networkidle0' });
  await says(page, '[aria-label=Side]', '7.5');
  await says(page, '[aria-label=Side] [aria-pressed=true]', 'right');
  expect(faults).toEqual([]);
  await page.close();
});

test('put right afterwards: something left out with its reason, the old result in sight, and taken back', async () => {
  const id = await addReady('Cora Corrected');
  const events = [
    { kind: 'start', atMs: 0 },
    ...Array.from({ length: 9 }, (_, i) => ({ kind: 'rep', atMs: 3000 * (i + 1) })),
    { kind: 'end', atMs: 30_000 },
    { kind: 'half-rep', counts: false, atMs: 31_000 },
  ].map((e, seq) => ({ ...e, seq, wallMs: 1000 + e.atMs, by: 'key' }));
  const head = { test: 'chair-stand-30s', protocolVersion: 1, sittingDate: today, side: null, conditions: {} };
  await send(hall, 'PUT', '/api/v1/attempts/corrected-attempt', { personId: id, ...head, events });
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 1);
  await page.goto(`${hall.server.url}/people/${id}/scores/chair-stand-30s`, { waitUntil: 'networkidle0' });
  await press(page, 'taken here');
  await says(page, '[data-testid=reads]', 'It reads 9 stands.');
  await press(page, 'Leave out');
  await says(page, 'main', 'Say why, in a few words');
  await press(page, 'tapped twice');
  const leave = await page.waitForSelector('[aria-label="Leave out: stand at 27.0 s"]');
  await leave?.click();
  await says(page, '[data-testid=reads]', 'It reads 8 stands; as it was taken down 9 stands.');
  expect(stored(id, 'chair-stand-30s')).toMatchObject([{ value: 8 }]);
  await press(page, 'tapped twice');
  await press(page, 'Take it back');
  await says(page, '[data-testid=reads]', 'It reads 9 stands.');
  expect(faults).toEqual([]);
  await page.close();
});

test('two tablets on one person: two tests at once are two results; the same test twice at once asks which is kept', async () => {
  const id = await addReady('Tova Twice');
  const tablets = await Promise.all(
    [0, 1].map(async () => {
      const context = await hall.browser.createBrowserContext();
      return { context, ...(await watchedPage(context, hall.server.url)) };
    }),
  );
  const [a, b] = tablets;
  if (!a || !b) throw new Error('no tablets');
  /** Up to the test; whoever answered the check of the day did so for both. */
  const open = async (page: Page, test: string, who: string) => {
    await page.goto(`${hall.server.url}/test?test=${test}&person=${who}`, { waitUntil: 'load' });
    await page.waitForSelector('[data-testid=day-check], [role=img][aria-label^="The station"]');
    await settled(page);
    if ((await page.$('[data-testid=day-check]')) !== null) await page.keyboard.press('w');
    await says(page, 'main', 'Put up');
    await settled(page);
    await toTheTest(page);
  };
  const count = async (page: Page, reps: number) => {
    for (let n = 0; n < reps; n++) await page.keyboard.press('Space');
  };
  const atTheTone = async (page: Page) => {
    await page.waitForSelector('[aria-label="At the tone"]', { timeout: 60_000 });
    await settled(page);
    await page.keyboard.press('n');
    await page.waitForSelector('[data-testid=result]');
  };
  await open(a.page, 'chair-stand-30s', id);
  await open(b.page, 'heel-rise', id);
  await a.page.keyboard.press('Enter');
  await gone(a.page, 1);
  await count(a.page, 2);
  await count(b.page, 5);
  await press(b.page, 'Finish');
  await atTheTone(a.page);
  await finished(id, 'chair-stand-30s');
  await finished(id, 'heel-rise');
  await a.page.goto(`${hall.server.url}/people/${id}`, { waitUntil: 'networkidle0' });
  expect(await a.page.$('[data-testid=to-decide]')).toBeNull();

  const twice = await addReady('Tilda Twice');
  await open(a.page, 'chair-stand-30s', twice);
  await open(b.page, 'chair-stand-30s', twice);
  await a.page.keyboard.press('Enter');
  await b.page.keyboard.press('Enter');
  for (const [page, reps] of [[a.page, 2] as const, [b.page, 3] as const]) {
    await gone(page, 1);
    await count(page, reps);
  }
  await atTheTone(a.page);
  await atTheTone(b.page);
  await finished(twice, 'chair-stand-30s', 2);
  // Said where the score is looked at next.
  await b.page.goto(`${hall.server.url}/people/${twice}/scores/chair-stand-30s`, { waitUntil: 'networkidle0' });
  await says(b.page, '[data-testid=to-decide]', '30-second chair stand was taken twice at once');
  await press(b.page, 'Keep 3 stands');
  await b.page.waitForFunction(() => document.querySelector('[data-testid=to-decide]') === null);
  await says(b.page, '[data-testid=score-value]', '3 stands');
  expect(
    stored(twice, 'chair-stand-30s')
      .map((s) => s.value)
      .sort(),
  ).toEqual([2, 3]);
  expect([...a.faults, ...b.faults]).toEqual([]);
  await Promise.all(tablets.map(({ context }) => context.close()));
});
