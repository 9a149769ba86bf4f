import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import type { ElementHandle, Page } from 'puppeteer-core';
import { describe, expect, test } from 'vitest';
import {
  boxOf,
  hallFor,
  laneAt,
  says,
  screened,
  send,
  settled,
  startServer,
  textOf,
  toTheLane,
  until,
  watchedPage,
  wellToday,
} from './harness';

const today = '2026-03-02';
const hall = hallFor(today);

/** Puts the focus on a control by its words and presses Enter, as somebody does who goes there by Tab. */
async function press(page: Page, words: string): Promise<void> {
  const target = await page.waitForSelector(
    `::-p-xpath(//*[self::a or self::button][starts-with(normalize-space(.), ${JSON.stringify(words)})])`,
  );
  await target?.focus();
  await page.keyboard.press('Enter');
}

async function typeInto(page: Page, label: string, text: string): Promise<void> {
  const field = await page.waitForSelector(boxOf(label));
  await field?.focus();
  await page.keyboard.type(text);
}

/** Somebody new through the open interface, with the questions answered. */
async function addPerson(name: string, yes: readonly string[] = ['active']): Promise<string> {
  const added = await send(hall, 'POST', '/api/v1/people', {
    name,
    birthDate: '1950-05-06',
    normTable: 'female',
    heightCm: 165,
    massKg: 70,
  });
  expect(added.status).toBe(201);
  const id = String(added.body['id']);
  const entry = { personId: id, on: today, content: screened(yes) };
  expect((await send(hall, 'PUT', `/api/v1/entries/screening-${id}`, entry)).status).toBe(201);
  return id;
}

const outcomeOf = async (id: string) =>
  ((await send(hall, 'GET', `/api/v1/people/${id}`)).body['readiness'] as { outcome: string }).outcome;

test('a roster by keyboard: dropped, looked at, taken at once, chosen into the sitting of the day, undone', async () => {
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  const roster = join(hall.folder, 'spring.csv');
  writeFileSync(
    roster,
    'Name,Born,Sex,Height,Group\nMirabel Okonjo,14.03.1951,f,158,Tuesday 10:00\nAnsel Drayton,02.11.1946,m,176,\n' +
      'Tim Lost,31.02.1949,m,,\nTilda Fennimore,30.06.1948,f,163,\n',
  );
  await page.goto(`${hall.server.url}/people/import`, { waitUntil: 'networkidle0' });
  const input = (await page.$('input[type=file]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(roster);
  await says(page, '[data-testid=import-count]', '3 to take, 1 left out');
  expect(await textOf(page, 'main')).toContain('“31.02.1949”: There is no day 31 in month 2 of 1949.');
  expect((await send(hall, 'GET', '/api/v1/people')).body['total']).toBe(0);
  await press(page, 'Take 3 people');
  await says(page, '[data-testid=import-said]', '3 people are in the register, 1 rows were left out.');

  await page.goto(`${hall.server.url}/people`, { waitUntil: 'networkidle0' });
  await typeInto(page, 'Find', 't');
  await page.waitForFunction(() => document.querySelectorAll('a[data-row]').length > 0);
  await page.keyboard.press('Backspace');
  await page.keyboard.type('tilde');
  await says(page, '[data-testid=how-many]', '1 of 3');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await says(page, '[data-testid=chosen]', 'Tilda Fennimore chosen');
  await press(page, 'Sit today');
  await says(page, 'main', 'Tilda Fennimore in today’s sitting.');
  await page.goto(`${hall.server.url}/test`, { waitUntil: 'networkidle0' });
  const listed = await textOf(page, 'main');
  expect([listed.includes('Tilda Fennimore'), listed.includes('Ansel Drayton')]).toEqual([true, false]);

  await page.goto(`${hall.server.url}/people/import`, { waitUntil: 'networkidle0' });
  await press(page, 'Undo this import');
  await says(page, '[data-testid=import-said]', 'people are out of the register again');
  expect(faults).toEqual([]);
  await page.close();
});

test('a file that is no roster is refused with its reason, and nothing is taken', async () => {
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  const broken = join(hall.folder, 'letter.csv');
  writeFileSync(broken, 'Dear all,\nplease find the list below.\n');
  const before = (await send(hall, 'GET', '/api/v1/people')).body['total'];
  await page.goto(`${hall.server.url}/people/import`, { waitUntil: 'networkidle0' });
  const input = (await page.$('input[type=file]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(broken);
  await says(page, 'main', 'No column for the name was found');
  expect(await page.$eval('main', (m) => m.querySelector('button[disabled]')?.textContent)).toContain('Take');
  expect((await send(hall, 'GET', '/api/v1/people')).body['total']).toBe(before);
  expect(faults).toEqual([]);
  await page.close();
});

test('a walk-in by keyboard is in the line with six answers; the rest waits and closes what depends on it', async () => {
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}/people`, { waitUntil: 'networkidle0' });
  await page.keyboard.press('w');
  await page.waitForSelector('[aria-label="Question 6"]');
  await press(page, 'Save and set up the test');
  // All that is missing is marked at once.
  const missing = ['Write a name', 'Write the age', 'Answer yes or no.', 'Choose one.'];
  for (const words of missing) await says(page, 'main', words);
  expect((await textOf(page, 'main')).match(/Answer yes or no\./g)).toHaveLength(5);
  await typeInto(page, 'Name', 'Petra Latecomer');
  await typeInto(page, 'Age', '71');
  await press(page, 'women');
  for (const [question, answer] of [
    [1, 'no'],
    [2, 'no'],
    [3, 'no'],
    [4, 'yes'],
    [5, 'none'],
    [6, 'no'],
  ] as const) {
    const button = await page.waitForSelector(
      `::-p-xpath(//*[@aria-label="Question ${question}"]/button[normalize-space(.)="${answer}"])`,
    );
    await button?.focus();
    await page.keyboard.press('Space');
  }
  await press(page, 'Save and set up the test');
  // The first answer was the check of the day: nobody is asked for chest pain twice.
  await says(page, 'main', 'Put up');
  expect(await textOf(page, 'main')).toContain('Petra Latecomer');
  const [person] = (await send(hall, 'GET', '/api/v1/people?search=Latecomer')).body['people'] as { id: string }[];
  await page.goto(`${hall.server.url}/people/${person?.id ?? ''}/tests`, { waitUntil: 'networkidle0' });
  expect(await textOf(page, 'main')).toContain('not asked yet');
  await page.goto(`${hall.server.url}/people/${person?.id ?? ''}`, { waitUntil: 'networkidle0' });
  expect(await textOf(page, 'main')).toContain('To complete:');
  expect(faults).toEqual([]);
  await page.close();
});

test('ask first: the test is refused with its reason, the note is printed, the answer noted, and the way is free', async () => {
  const id = await addPerson('Ada Asker', ['disease']);
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}/test?person=${id}`, { waitUntil: 'networkidle0' });
  await says(page, 'main', 'Ask first: a known disease of heart, vessels or kidneys, or diabetes');
  await settled(page);
  await page.keyboard.press('Space');
  await press(page, 'See what is noted');
  await page.waitForSelector('#q-active');
  await press(page, 'Print the note');
  await says(page, 'main', 'A question before exercise');
  await page.emulateMediaType('print');
  const pdf = await page.pdf({ format: 'A4' });
  // A page tree counts its pages in the open.
  expect(
    Buffer.from(pdf)
      .toString('latin1')
      .match(/\/Count (\d+)/)?.[1],
  ).toBe('1');
  await page.emulateMediaType('screen');

  await page.goto(`${hall.server.url}/people/${id}/readiness`, { waitUntil: 'networkidle0' });
  await page.focus('summary');
  await page.keyboard.press('Enter');
  await typeInto(page, 'Who answered', 'Dr Mila Orr');
  await press(page, 'Note the answer');
  await says(page, 'main', 'Choose the day that stands on the answer.');
  await typeInto(page, 'Answered on', '03012026');
  await typeInto(page, 'may, with limits', ' ');
  await typeInto(page, 'Limits', 'pulse under 120');
  await press(page, 'Note the answer');
  await says(page, '[data-testid=outcome-words]', 'ready, with care');
  expect(await textOf(page, 'main')).toContain('pulse under 120');
  await page.goto(`${hall.server.url}/test?person=${id}`, { waitUntil: 'networkidle0' });
  await wellToday(page);
  expect(await textOf(page, 'main')).toContain('pulse under 120');
  expect(faults).toEqual([]);
  await page.close();
});

test('the check of the day cannot be passed over in silence; what it finds refuses the start', async () => {
  const id = await addPerson('Ilse Unwell');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}/test?person=${id}`, { waitUntil: 'networkidle0' });
  await settled(page);
  await press(page, 'Leave the check out');
  await press(page, 'Go on without');
  await says(page, '[data-testid=day-check]', 'Write in a few words why it is left out.');
  // A pressure that cannot be is said in its place, and nothing is kept.
  await typeInto(page, 'Pressure, upper', '80');
  await typeInto(page, 'lower', '120');
  await press(page, 'Save the check');
  await says(page, '[data-testid=day-check]', 'The upper number of the pressure is the higher one: look again.');
  expect(await outcomeOf(id)).toBe('ready');
  for (const label of ['Pressure, upper', 'lower']) {
    await page.focus(boxOf(label));
    for (let n = 0; n < 3; n++) await page.keyboard.press('Backspace');
  }
  await typeInto(page, 'Pulse', '128');
  await press(page, 'Save the check');
  await says(page, 'main', 'Not today: resting pulse 128, over 120');
  expect(await page.$('[data-testid=practice]')).toBeNull();
  await until(async () => (await outcomeOf(id)) === 'not-today');
  await page.goto(`${hall.server.url}/people/${id}`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=next]', 'not today');
  expect(faults).toEqual([]);
  await page.close();
});

describe('hold', () => {
  test('in mid-test, with the server dead: the lane freezes, the sheet is kept and sent later, nothing more today', async () => {
    const id = await addPerson('Vera Halt');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await page.goto(`${hall.server.url}/test?person=${id}`, { waitUntil: 'networkidle0' });
    await wellToday(page);
    await toTheLane(page);
    await laneAt(page, 2);
    await page.keyboard.press('Space');
    await says(page, '[data-testid=count]', '1');
    await hall.server.stop('SIGKILL');
    await page.keyboard.press('F9');
    await page.waitForSelector('[role=dialog]');
    expect(await textOf(page, '[role=dialog]')).toContain('112');
    expect(await textOf(page, '[role=dialog]')).toContain('Vera Halt');
    await press(page, 'Save the sheet');
    await says(page, '[role=dialog]', 'Choose what happened. Everything written is kept.');
    await press(page, 'a fall');
    await page.reload({ waitUntil: 'domcontentloaded' }).catch(() => null);
    hall.server = await startServer({ file: hall.file, today, port: hall.port });
    await page.goto(`${hall.server.url}/people/${id}`, { waitUntil: 'networkidle0' });
    // The sheet was left open: it comes back, on whatever page.
    await page.waitForSelector('[role=dialog]');
    const pressed = await page.$$eval('[role=dialog] [aria-pressed=true]', (all) => all.map((b) => b.textContent));
    expect(pressed).toContain('a fall');
    await press(page, 'Save the sheet');
    await page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
    await until(async () => (await outcomeOf(id)) === 'not-today');
    await until(() => {
      const db = new SQLite(hall.file, { readonly: true });
      const row = db.prepare('select state from attempt where person_id = ?').get(id) as { state: string } | undefined;
      db.close();
      return row?.state === 'to-repeat';
    });
    await page.goto(`${hall.server.url}/test?person=${id}`, { waitUntil: 'networkidle0' });
    await says(page, 'main', 'Not today: an incident today');
    const { body } = await send(hall, 'GET', `/api/v1/people/${id}`);
    expect([body['falls12m'], (body['results'] as unknown[]).length]).toMatchObject([[{ fellOn: today }], 0]);
    expect(faults).toEqual([]);
    await page.close();
  });
  test('pressed by mistake: nothing is noted and the page is as it was', async () => {
    const id = await addPerson('Nils Slip');
    const { page, faults } = await watchedPage(hall.browser, hall.server.url);
    await page.goto(`${hall.server.url}/people/${id}`, { waitUntil: 'networkidle0' });
    await page.keyboard.press('F9');
    await page.waitForSelector('[role=dialog]');
    await press(page, 'Nothing happened');
    await page.waitForFunction(() => document.querySelector('[role=dialog]') === null);
    await page.reload({ waitUntil: 'networkidle0' });
    expect(await page.$('[role=dialog]')).toBeNull();
    expect(await outcomeOf(id)).toBe('ready');
    expect(faults).toEqual([]);
    await page.close();
  });
});

test('erased by keyboard: no trace in the register file, its -wal or its -shm', async () => {
  const id = await addPerson('Zenobia Quarrington');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}/people/${id}/leave`, { waitUntil: 'networkidle0' });
  await typeInto(page, 'Write the name', 'Zenobia');
  await press(page, 'Erase Zenobia');
  await says(page, 'main', 'Nothing was erased');
  await typeInto(page, 'Write the name', ' Quarrington');
  await press(page, 'Erase Zenobia');
  await page.waitForFunction(() => location.pathname === '/people');
  const traces = ['', '-wal', '-shm'].filter((end) => {
    const bytes = readFileSync(hall.file + end).toString('latin1');
    return bytes.includes('Quarrington') || bytes.includes(id);
  });
  expect(traces).toEqual([]);
  expect((await send(hall, 'GET', `/api/v1/people/${id}`)).status).toBe(404);
  expect(faults).toEqual([]);
  await page.close();
});

describe('GET and POST /api/v1/people', () => {
  test('a person is added once, found with a slip of the finger, paged; a double is told, bad fields are named', async () => {
    const body = { name: 'Rosalind Ferreby', birthDate: '1947-01-09' };
    const first = await send(hall, 'POST', '/api/v1/people', body);
    expect(first.status).toBe(201);
    const again = await send(hall, 'POST', '/api/v1/people', body);
    expect([again.status, again.body['status']]).toEqual([409, 409]);
    const found = await send(hall, 'GET', '/api/v1/people?search=roslaind&limit=1');
    expect(found.body).toMatchObject({ people: [{ name: 'Rosalind Ferreby', ageYears: 79 }] });
    const bad = await send(hall, 'POST', '/api/v1/people', { name: '', birthDate: '2030-01-01', shoeSize: 41 });
    expect(bad.status).toBe(422);
    expect((bad.body['errors'] as { path: string }[]).map((e) => e.path).sort()).toEqual([
      '/birthDate',
      '/name',
      '/shoeSize',
    ]);
    expect((await send(hall, 'GET', '/api/v1/people?limit=1000')).status).toBe(422);
  });
});

test('a hall without an emergency number is asked for it before anybody is tested, and never again', async () => {
  const db = new SQLite(hall.file);
  db.prepare("update place set content_json = json_set(content_json, '$.emergencyNumber', '')").run();
  db.close();
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}/test`, { waitUntil: 'networkidle0' });
  await page.waitForSelector('[data-testid=emergency-number]');
  await page.keyboard.type('112');
  await page.keyboard.press('Enter');
  await says(page, 'main', 'Who sits down next?');
  await page.goto(`${hall.server.url}/test`, { waitUntil: 'networkidle0' });
  await says(page, 'main', 'Who sits down next?');
  expect(faults).toEqual([]);
  await page.close();
});
