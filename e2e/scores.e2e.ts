import SQLite from 'better-sqlite3';
import type { Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { boxOf, hallFor, says, textOf, watchedPage } from './harness';

const today = '2026-03-02';
const hall = hallFor(today);

async function send(method: string, path: string, body: unknown): Promise<Record<string, unknown>> {
  const answer = await fetch(hall.server.url + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(answer.status).toBeLessThan(300);
  return (await answer.json()) as Record<string, unknown>;
}

async function add(name: string, birthDate: string): Promise<string> {
  const added = await send('POST', '/api/v1/people', {
    name,
    birthDate,
    normTable: 'female',
    heightCm: 160,
    massKg: 64,
  });
  return String(added['id']);
}

/** As another program would, so that no screen is needed for what is not looked at here. */
function intoGroup(ids: readonly string[]): void {
  const db = new SQLite(hall.file);
  db.prepare('insert into person_group values (?, ?, ?, ?)').run('group-1', 'Tuesday 10:00', 2, '10:00');
  for (const id of ids) db.prepare('insert into group_member values (?, ?)').run('group-1', id);
  db.close();
}

async function pagesOf(page: Page, format: 'A4' | 'Letter'): Promise<string | undefined> {
  const pdf = await page.pdf({ format, margin: { top: '12mm', bottom: '12mm', left: '14mm', right: '14mm' } });
  return /\/Count (\d+)/.exec(Buffer.from(pdf).toString('latin1'))?.[1];
}

const save = async (page: Page) => {
  await page.focus('form button[type=submit]');
  await page.keyboard.press('Enter');
};

test('a sheet down a group by keyboard, then the hall, a trend, both papers and the figures of the hall', async () => {
  const ids = [await add('Alda Averly', '1949-01-10'), await add('Berta Brodd', '1944-07-01')];
  intoGroup(ids);
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  for (const [day, typed] of [
    ['01052026', ['8', '12']],
    ['02022026', ['9', '12']],
    ['03022026', ['10', '13']],
  ] as const) {
    await page.goto(`${hall.server.url}/people/sheet?group=group-1&test=chair-stand-30s`, {
      waitUntil: 'networkidle0',
    });
    await page.click('input[type=date]', { offset: { x: 24, y: 24 } });
    await page.keyboard.type(day);
    await page.type('input[inputmode=decimal]', '43');
    await page.focus('input[data-column="0"]');
    for (const value of typed) {
      await page.keyboard.type(value);
      await page.keyboard.press('Enter');
    }
    await says(page, 'form', 'Save 2 results');
    await save(page);
    await page.waitForFunction(() => location.pathname === '/scores');
  }
  await says(page, 'tbody', 'Alda Averly');
  expect(await textOf(page, 'tbody')).toMatch(/10 stands.*13 stands|13 stands.*10 stands/);

  await page.goto(`${hall.server.url}/people/${ids[0] ?? ''}/scores/chair-stand-30s`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=percentile]', 'about 25 in 100');
  await says(page, 'main', 'covers 67 %');
  expect(await page.$$('.recharts-line-dots circle')).toHaveLength(3);
  expect(await textOf(page, 'main')).toContain('Rikli & Jones 1999');

  for (const [way, words] of [
    ['', 'Like most people my age.'],
    ['?percent=1', 'As good as or better than about 25 of 100'],
    ['?for=clinician', '7:129-161, n = 82'],
  ] as const) {
    await page.goto(`${hall.server.url}/people/${ids[0] ?? ''}/report${way}`, { waitUntil: 'networkidle0' });
    await says(page, 'article', way === '?for=clinician' ? 'Norms 2026' : words);
    await says(page, 'article', 'Fitness screening, not a diagnosis');
    for (const format of ['A4', 'Letter'] as const) expect(await pagesOf(page, format)).toBe('1');
    if (way === '') expect(await textOf(page, 'article')).not.toContain('of 100');
    await says(page, 'main', 'The page is kept as printed.');
    await says(page, 'main', 'Handed out before');
  }

  await page.goto(`${hall.server.url}/library/norms/chair-stand-30s?age=77&sex=female&value=10`, {
    waitUntil: 'networkidle0',
  });
  await says(page, '[data-testid=calculated]', 'about 25 in 100');
  await page.focus('summary');
  await page.keyboard.press('Enter');
  await page.focus('textarea');
  await page.$eval('textarea', (t) => {
    t.setSelectionRange(t.value.indexOf('female,75,79,10'), t.value.indexOf('female,75,79,10') + 15);
  });
  await page.keyboard.type('female,75,79,16');
  await page.keyboard.press('Tab');
  await page.evaluate(() => {
    const button = [...document.querySelectorAll('button')].find((b) => b.textContent === 'Score by this table');
    button?.focus();
  });
  await page.keyboard.press('Enter');
  await says(page, 'main', 'female 75-79: p25 must be less than p75.');
  await page.$eval('textarea', (t) => {
    t.focus();
    t.setSelectionRange(t.value.indexOf('female,75,79,16'), t.value.indexOf('female,75,79,16') + 15);
  });
  await page.keyboard.type('female,75,79,9');
  for (const [label, words] of [
    ['Where from', 'our own copy'],
    ['Who', 'Bo'],
    ['Why', 'a cell was misread'],
  ] as const) {
    const field = await page.waitForSelector(boxOf(label));
    await field?.focus();
    await page.keyboard.type(words);
  }
  await page.keyboard.press('Enter');
  await says(page, 'main', 'Figures of this hall are in force');
  await page.goto(`${hall.server.url}/people/${ids[0] ?? ''}/scores`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=hall-figures]', 'Scored by figures of this hall');
  await says(page, '[data-testid=reads-otherwise]', 'chair stands: about 33 in 100; on the page about 25 in 100');
  await page.click('[data-testid=reads-otherwise] a');
  await says(page, 'main', 'As handed out on');
  await says(page, 'article', 'about 25 in 100');
  await page.goto(`${hall.server.url}/people/${ids[0] ?? ''}/scores/chair-stand-30s`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=shipped-says]', 'The printed ones say: about 25 in 100');
  expect(faults).toEqual([]);
  await page.close();
});

test('10,000 rows of CSV come back scored, and the description of the interface is served', async () => {
  const row = 'A,77,female,chair-stand-30s,9\n';
  const answer = await fetch(`${hall.server.url}/api/v1/score`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: `person,age,sex,test,value\n${row.repeat(10_000)}`,
  });
  expect(answer.headers.get('content-type')).toContain('text/csv');
  const lines = (await answer.text()).trim().split('\r\n');
  expect(lines).toHaveLength(10_001);
  expect(lines[0]).toBe('person,age,sex,test,value,percentile,z,band,pastCutoffs,standardMet,sem,mdc90,mdc95,error');
  const refused = await fetch(`${hall.server.url}/api/v1/score`, {
    method: 'POST',
    headers: { 'content-type': 'text/csv' },
    body: 'age,shoe\n77,42\n',
  });
  expect([refused.status, ((await refused.json()) as { detail: string }).detail]).toEqual([
    422,
    expect.stringContaining('No such column: shoe.') as string,
  ]);
  const description = (await (await fetch(`${hall.server.url}/api/v1/openapi.json`)).json()) as { openapi: string };
  expect(description.openapi).toBe('3.1.0');
});

test('a hall in inches writes and reads inches; what is kept and told to other programs is cm', async () => {
  const id = await add('Inga Inch', '1949-01-10');
  const { page, faults } = await watchedPage(hall.browser, hall.server.url);
  await page.goto(`${hall.server.url}/hall`, { waitUntil: 'networkidle0' });
  await page.select('form select', 'us');
  await save(page);
  await says(page, 'main', 'Saved.');
  await page.goto(`${hall.server.url}/people/${id}/paper`, { waitUntil: 'networkidle0' });
  const seat = await page.waitForSelector(boxOf('Seat, in'));
  await seat?.type('17');
  const first = 'input[aria-label="Sit and reach: try 1, in"]';
  await page.type(first, '40');
  await page.select('select[aria-label="Sit and reach: side chosen"]', 'R');
  await save(page);
  await says(page, 'main', 'a number from -23.6 to 23.6 in');
  await page.click(first, { count: 3 });
  await page.keyboard.type('-2');
  await says(page, 'table', '-2 in');
  await save(page);
  await page.waitForFunction(() => location.pathname.endsWith('/scores'));
  await says(page, 'tbody', '-2 in');
  const body = (await (await fetch(`${hall.server.url}/api/v1/people/${id}`)).json()) as {
    results: { value: number }[];
  };
  expect(body.results.map((r) => r.value)).toEqual([-5.08]);
  expect(faults).toEqual([]);
  await page.close();
});
