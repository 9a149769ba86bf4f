import SQLite from 'better-sqlite3';
import type { Page } from 'puppeteer-core';
import { afterEach, beforeAll, expect, test } from 'vitest';
import {
  hallFor,
  laneAt,
  says,
  screened,
  settled,
  startServer,
  toTheLane,
  until,
  watchedPage,
  wellToday,
  fast,
} from './harness';

const today = '2026-03-02';
const hall = hallFor(today);
let personIds: string[];
beforeAll(() => {
  personIds = ['sleep', 'kill', 'swift'].map((name) => addPerson(name));
});

// A page that a failed test left open would take up what the next one leaves alone on purpose.
afterEach(async () => {
  for (const page of (await hall.browser.pages()).slice(1)) await page.close();
});

/** Straight into the file, as another program would: the server must see it at the next page. */
function addPerson(name: string): string {
  const db = new SQLite(hall.file);
  const id = `person-${name}`;
  const facts = {
    ...{ heightCm: 170, massKg: 70, shankCm: null, kneecapCm: null, hipBoneCm: null, seatHeightCm: 43 },
    ...{ limiters: [], aidOutdoors: 'none', aidIndoors: 'none', sitsUnsupported: true, heelDownAtTarget: false },
    ...{ classesSoFar: 2, medicines: '', bloodThinners: false, sugarLowering: false, toComplete: [] },
    contact: { name: '', phone: '' },
    clinician: { name: '', phone: '' },
  };
  db.prepare('insert into person (id, name, birth_date, norm_table, added_at) values (?, ?, ?, ?, ?)').run(
    id,
    name,
    '1950-05-06',
    'female',
    '2026-03-01',
  );
  db.prepare('insert into entry (id, person_id, on_day, saved_at, kind, content_json) values (?, ?, ?, ?, ?, ?)').run(
    `entry-${name}`,
    id,
    '2026-03-01',
    '2026-03-01',
    'screening',
    JSON.stringify(screened()),
  );
  db.prepare('insert into intake values (?, ?, ?, ?, ?)').run(
    `intake-${name}`,
    id,
    '2026-03-01',
    '2026-03-01',
    JSON.stringify(facts),
  );
  db.close();
  return id;
}

function stored(personId: string): { state: string; counted: number; gapMs: number; reps: number }[] {
  const db = new SQLite(hall.file, { readonly: true });
  const rows = db
    .prepare(
      `select state, json_extract(result_json, '$.tries[0].value') as counted, json_extract(result_json, '$.gapMs') as gapMs,
       (select count(*) from attempt_event e where e.client_key = a.client_key and json_extract(content_json, '$.kind') = 'rep') as reps
       from attempt a where person_id = ?`,
    )
    .all(personId) as { state: string; counted: number; gapMs: number; reps: number }[];
  db.close();
  return rows;
}

async function startTest(page: Page, personId: string): Promise<void> {
  await page.goto(`${hall.server.url}/test?person=${personId}`, { waitUntil: 'networkidle0' });
  await wellToday(page);
  await toTheLane(page);
}

async function stand(page: Page, secondsGone: number, count: number): Promise<void> {
  await laneAt(page, secondsGone);
  await page.keyboard.press('Space');
  await says(page, '[data-testid=count]', String(count));
}

async function finish(page: Page): Promise<void> {
  await says(page, '[data-testid=lane-words]', 'Time.');
  await settled(page);
  await page.keyboard.press('n');
  await page.waitForSelector('[data-testid=result]');
  await settled(page);
}

/**
 * Reloads after two stands, marks a third, and says what the register holds of it; at real speed, as a reload takes as
 * long as it takes.
 */
async function reloadInMidTest(personId: string) {
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 1);
  await startTest(page, personId);
  await stand(page, 2, 1);
  await stand(page, 4, 2);
  await page.reload({ waitUntil: 'domcontentloaded' });
  await page.waitForSelector('[data-testid=lane], [data-testid=outcome]');
  const goesOn = (await page.$('[data-testid=lane]')) !== null;
  if (goesOn) {
    await says(page, '[data-testid=count]', '2');
    await stand(page, 12, 3);
    await finish(page);
  }
  await until(() => ['finished', 'to-repeat'].includes(stored(personId)[0]?.state ?? ''));
  expect(faults).toEqual([]);
  await page.close();
  return stored(personId);
}

test('a reload in mid-test: the wall clock ran on, a short gap is marked, every stand is there once', async () => {
  // How long a reload takes is the machine's affair: whatever it took, the rule of two seconds must have been kept.
  // A busy machine may need more than one try to be quick enough to see the trial go on.
  for (let tries = 0; tries < 6; tries++) {
    const [attempt, ...more] = await reloadInMidTest(addPerson(`reload-${tries}`));
    expect(more).toEqual([]);
    expect(attempt?.gapMs).toBeGreaterThan(0);
    if ((attempt?.gapMs ?? 0) <= 2000) {
      expect(attempt).toMatchObject({ state: 'finished', counted: 3, reps: 3 });
      return;
    }
    expect(attempt).toMatchObject({ state: 'to-repeat', counted: 2, reps: 2 });
  }
  throw new Error('six reloads in a row took longer than two seconds');
});

test('away for longer than two seconds: no result, the record kept, to be repeated', async () => {
  const personId = personIds[0] ?? '';
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await startTest(page, personId);
  await stand(page, 2, 1);
  await page.goto('about:blank');
  const left = performance.now();
  await until(() => performance.now() - left > 2600 / fast);
  await page.goto(`${hall.server.url}/test`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=outcome]', 'broke off');
  await until(() => stored(personId)[0]?.state === 'to-repeat');
  expect(stored(personId)).toMatchObject([{ counted: 1, reps: 1 }]);
  await page.goto(`${hall.server.url}/people/${personId}`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=next]', 'Repeat the test');
  expect(faults).toEqual([]);
  await page.close();
});

test('away between a stop and its reason: it is asked on, counts from the press, and nothing was counted meanwhile', async () => {
  const personId = addPerson('stopped');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await startTest(page, personId);
  await stand(page, 2, 1);
  await page.keyboard.press('Escape');
  await says(page, '[data-testid=lane]', 'Stopped. Why?');
  await page.waitForFunction(
    () =>
      new Promise<boolean>((told) => {
        const opened = indexedDB.open('ready-stool');
        opened.onsuccess = () => {
          const asked = opened.result.transaction('attempts').objectStore('attempts').getAll();
          asked.onsuccess = () => {
            opened.result.close();
            told(asked.result.some((a: { stopAskedWallMs?: number | null }) => typeof a.stopAskedWallMs === 'number'));
          };
        };
      }),
  );
  await page.goto('about:blank');
  const left = performance.now();
  await until(() => performance.now() - left > 3000 / fast);
  await page.goto(`${hall.server.url}/test`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=lane]', 'Stopped. Why?');
  await page.keyboard.press('Space');
  await page.keyboard.press('4');
  await until(() => stored(personId)[0]?.state === 'stopped');
  expect(stored(personId)).toMatchObject([{ counted: 1, reps: 1 }]);
  expect(faults).toEqual([]);
  await page.close();
});

test('the server killed in mid-test and started again: nothing lost, nothing twice', async () => {
  const personId = personIds[1] ?? '';
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await startTest(page, personId);
  await stand(page, 2, 1);
  await hall.server.stop('SIGKILL');
  await stand(page, 4, 2);
  await stand(page, 6, 3);
  await finish(page);
  await page.keyboard.press('s');
  await says(page, '[role=alert]', 'The server does not answer');
  await says(page, '[data-testid=outbox]', 'One result waits');
  hall.server = await startServer({ file: hall.file, today, port: hall.port });
  await until(() => stored(personId)[0]?.state === 'finished');
  await page.waitForFunction(() => document.querySelector('[data-testid=outbox]')?.textContent === '');
  expect(stored(personId)).toMatchObject([{ counted: 3, reps: 3, state: 'finished' }]);
  await page.keyboard.press('s');
  await says(page, '[data-testid=score-value]', '3');
  expect(faults).toEqual([]);
  await page.close();
});

test('held keys, a stop with its reason, a false start', async () => {
  const personId = personIds[2] ?? '';
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 3);
  await startTest(page, personId);
  await page.keyboard.press('F8');
  await laneAt(page, 1);
  await page.keyboard.down('Space');
  await page.keyboard.down('Space');
  await page.keyboard.down('Space');
  await page.keyboard.up('Space');
  await says(page, '[data-testid=count]', '1');
  await page.keyboard.press('Escape');
  await page.waitForSelector('[aria-label="Why is it stopped?"]');
  await page.keyboard.press('Escape');
  await stand(page, 4, 2);
  await page.keyboard.press('Escape');
  await page.keyboard.press('3');
  await says(page, '[data-testid=outcome]', 'Stopped after 2 stands');
  await until(() => stored(personId)[0]?.state === 'stopped');
  expect(stored(personId)).toMatchObject([{ counted: 2, reps: 2 }]);
  expect(faults).toEqual([]);
  await page.close();
});
