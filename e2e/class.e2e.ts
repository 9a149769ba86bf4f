import type { Page } from 'puppeteer-core';
import { beforeAll, expect, onTestFinished, test } from 'vitest';
import { findings } from './axe';
import {
  addGroup,
  addHelper,
  addReadyTo,
  hallFor,
  press,
  says,
  send,
  startServer,
  textOf,
  until,
  watchedPage,
} from './harness';
import { looksWrong, resize, sizes } from './looks';

/** An hour from the plan to the next level, with the server killed on the way. */
const today = '2026-03-02';
const hall = hallFor(today);
const names = ['Ada Class', 'Ben Class', 'Cleo Class', 'Dora Class', 'Egon Class', 'Frida Class'];
const ids: string[] = [];
async function enter(personId: string, name: string, value: number): Promise<void> {
  const entered = { seq: 0, atMs: 0, wallMs: Date.parse(today), by: 'hand', kind: 'entered', value, handsUsed: false };
  const said = await send(hall, 'PUT', `/api/v1/attempts/${personId}-${name}`, {
    ...{ personId, test: name, protocolVersion: 1, sittingDate: today, side: null, events: [entered] },
    conditions: name === 'chair-stand-30s' ? { seatHeightCm: 43 } : {},
  });
  expect([name, said.status]).toEqual([name, 201]);
}
beforeAll(async () => {
  for (const [i, name] of names.entries()) {
    const id = await addReadyTo(hall, name, today, { heightCm: 160 + i, classesSoFar: 5 });
    ids.push(id);
    await enter(id, 'chair-stand-30s', 8 + i);
    await enter(id, 'four-stage', 3);
  }
  addGroup(hall, 'monday', 'Monday morning', ids);
  addHelper(hall, 'bo', 'Bo');
});

const visit = async (path: string) => {
  const watched = await watchedPage(hall.browser, hall.server.url, 1);
  onTestFinished(() => watched.page.close());
  await watched.page.goto(hall.server.url + path, { waitUntil: 'networkidle0' });
  return watched;
};
const looksRight = async (page: Page) => {
  for (const [width, height] of sizes) {
    await resize(page, width, height);
    expect([width, await looksWrong(page)]).toEqual([width, []]);
  }
  await resize(page, 1280, 800);
  expect((await findings(page)).violations).toEqual([]);
};
const blocks = (page: Page) => page.$$eval('[data-testid=block] .text-lg', (all) => all.map((b) => b.textContent));
/** A button by its whole name. */
const push = async (page: Page, name: string) => {
  const button = await page.waitForSelector(`::-p-aria([name="${name}"][role="button"])`);
  await button?.click();
};
/** What a drag by keys says of itself. */
const announced = (page: Page, words: string) =>
  page.waitForFunction(
    (w) => [...document.querySelectorAll('[aria-live=assertive]')].some((el) => el.textContent.includes(w)),
    {},
    words,
  );
/** What was different with somebody: the name, then a tap or two. */
const different = async (page: Page, who: string, ...taps: readonly string[]) => {
  const name = `::-p-xpath(//section[@aria-label="Who does what"]//button[contains(., "${who}")])`;
  await (await page.waitForSelector(name))?.click();
  await page.waitForSelector('[role=dialog]');
  for (const tap of taps) await push(page, tap);
  await page.waitForSelector('[role=dialog]', { hidden: true });
};
const keyOf = (page: Page): string => page.url().split('/').pop() ?? '';
let key = '';

test('nobody has a level yet: the plan says who must be tested or confirmed, and stands all the same', async () => {
  const { page, faults } = await visit('/class/plan?group=monday');
  await says(page, '[data-testid=plan-told]', 'Ada Class waits for your yes on Levels');
  await page.goto(`${hall.server.url}/levels`, { waitUntil: 'networkidle0' });
  await press(page, 'Confirm all');
  await page.waitForFunction(
    () => ![...document.querySelectorAll('main button')].some((b) => b.textContent.includes('Confirm')),
  );
  expect(faults).toEqual([]);
});

test('a plan out of a group: shortened it says what goes; dragged by mouse and by keys, repeated, taken out, undone; kept', async () => {
  const { page, faults } = await visit('/class');
  await looksRight(page);
  await press(page, 'Plan its class');
  await says(page, 'h1', 'A class for Monday morning');
  await looksRight(page);
  const whole = await blocks(page);
  expect(whole.slice(0, 4)).toEqual(['Room check', 'Warm-up', 'Squat', 'Hinge']);
  await press(page, 'only 20 minutes today');
  await says(page, '[data-testid=plan-told]', 'To fit, this goes: everything beside the four; third rounds; the floor');
  await press(page, 'Undo');
  await page.waitForFunction(() => document.querySelector('[data-testid=minutes]')?.textContent === '40 min');
  // By mouse: the squat under the hinge.
  const grip = async (name: string) => (await page.waitForSelector(`[aria-label="Drag ${name}"]`))?.boundingBox();
  const [from, to] = [await grip('Squat'), await grip('Hinge')];
  await page.mouse.move((from?.x ?? 0) + 20, (from?.y ?? 0) + 20);
  await page.mouse.down();
  await page.mouse.move((to?.x ?? 0) + 20, (to?.y ?? 0) + 40, { steps: 12 });
  await page.mouse.up();
  await until(async () => (await blocks(page))[2] === 'Hinge');
  // By keys: back again.
  await page.focus('[aria-label="Drag Squat"]');
  await page.keyboard.press('Space');
  await announced(page, 'Squat is over Squat.');
  await page.keyboard.press('ArrowUp');
  await announced(page, 'Squat is over Hinge.');
  await page.keyboard.press('Space');
  await until(async () => (await blocks(page))[2] === 'Squat');
  // One tap makes somebody’s own a step easier, another brings it back.
  await page.click('[data-testid=block] summary');
  await push(page, 'Ada C. easier');
  await says(page, '[data-testid=block] details[open]', 'one step easier, as the plan says');
  await push(page, 'Ada C. harder');
  await page.waitForFunction(
    () => !document.querySelector('[data-testid=block] details[open]')?.textContent.includes('as the plan says'),
  );
  await page.click('[data-testid=block] summary');
  await push(page, 'Squat twice');
  await until(async () => (await blocks(page)).filter((b) => b === 'Squat').length === 2);
  await press(page, 'Undo');
  await until(async () => (await blocks(page)).join() === whole.join());
  await push(page, 'Ankles or step-up out');
  await until(async () => !(await blocks(page)).includes('Ankles or step-up'));
  // What was put together is kept as a class of our own, and the plan goes on from it.
  await press(page, 'Keep these blocks as a class of ours');
  await page.keyboard.type('Without ankles');
  await page.keyboard.press('Enter');
  await says(page, 'main', 'Kept: Without ankles.');
  expect(await page.$eval('select', (e) => e.selectedOptions[0]?.textContent)).toContain('Without ankles');
  await looksRight(page);
  await (await page.waitForSelector('::-p-xpath(//label[contains(., "Bo")]//input)'))?.click();
  await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('[data-fixed] button')?.disabled);
  await press(page, 'Keep it and go to the class');
  await page.waitForSelector('[data-testid=now-clock]');
  key = keyOf(page);
  expect(faults).toEqual([]);
});

test('it runs: a jump to the squat, four to look at, six exceptions, the server killed and a reload; nothing is lost, nothing twice', async () => {
  const { page, faults } = await visit(`/class/${key}`);
  await says(page, '[data-testid=now-block]', 'Without ankles');
  await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('[data-fixed] button')?.disabled);
  await page.keyboard.press('Space');
  await says(page, '[data-testid=now-block]', 'Room check');
  await looksRight(page);
  // The day after is asked with its joint.
  await page.click('section[aria-label="The day after"] ul button');
  await push(page, 'knee');
  await says(page, '[data-testid=last-line]', 'Ada C.: worse the day after');
  await press(page, 'Take back');
  await page.keyboard.press('ArrowRight');
  await says(page, '[data-testid=now-block]', 'Warm-up');
  await page.keyboard.press('ArrowRight');
  await says(page, '[data-testid=now-block]', 'Squat');
  await until(async () => (await page.$$('[data-testid=eyes] button')).length === 4);
  await page.click('[data-testid=eyes] button');
  await says(page, '[data-testid=last-line]', 'Ada C.: seen clean');
  await different(page, 'Ben C.', 'Fewer, counted …', '1 whole round');
  await says(page, '[data-testid=last-line]', '1 round');
  await hall.server.stop('SIGKILL');
  await different(page, 'Cleo C.', 'Form …', 'Not put right', 'Heel leaves the floor');
  await different(page, 'Dora C.', 'Pain …', 'shoulder', 'left', '2');
  await different(page, 'Egon C.', 'More hands');
  await different(page, 'Frida C.', 'Went home, or never came');
  await says(page, '[data-testid=run-told]', 'wait in this browser and will be sent');
  // A slip is taken back.
  await different(page, 'Ben C.', 'Not done');
  await press(page, 'Take back');
  await says(page, '[data-testid=last-line]', 'Frida C.: not here');
  hall.server = await startServer({ file: hall.file, today, port: hall.port });
  await page.reload({ waitUntil: 'networkidle0' });
  await says(page, '[data-testid=now-block]', 'Squat');
  await page.waitForFunction(() => document.querySelector('[data-testid=run-told]')?.textContent === '');
  const { body } = await send(hall, 'GET', `/api/v1/classes/${key}`);
  const lines = (body as { lines: { content: { kind: string } }[] }).lines.map((l) => l.content.kind);
  expect(lines.filter((k) => !['start', 'jump'].includes(k)).sort()).toEqual([
    ...['absent', 'fewer', 'form', 'next-day', 'not-done', 'pain', 'seen', 'strike', 'strike', 'support'],
  ]);
  expect(faults.filter((f) => !/ERR_CONNECTION_REFUSED|Failed to load resource/.test(f))).toEqual([]);
});

test('left to itself for over three minutes, at thirty times the speed, it goes from block to block; paused it stands still', async () => {
  const blocks = ['check', 'warm-up', 's', 'log'].map((id) => ({ id, of: `intervals/${id}`, more: 0 }));
  const plan = { day: today, groupId: null, template: 'intervals', minutes: 30, leader: '', helpers: [], people: ids };
  expect((await send(hall, 'PUT', '/api/v1/classes/clock-class-1', { ...plan, blocks })).status).toBe(201);
  const { page, faults } = await watchedPage(hall.browser, hall.server.url, 30);
  onTestFinished(() => page.close());
  await page.goto(`${hall.server.url}/class/clock-class-1`, { waitUntil: 'load' });
  await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('[data-fixed] button')?.disabled);
  await page.keyboard.press('Space');
  for (const block of ['Room check', 'Warm-up', 'Squat']) await says(page, '[data-testid=now-block]', block);
  await says(page, '[data-testid=now-state]', 'round 2 of 3');
  await page.keyboard.press('Space');
  await says(page, '[data-testid=now-state]', 'Paused');
  const stood = await textOf(page, '[data-testid=now-clock]');
  await page.evaluate(() => new Promise((later) => setTimeout(later, 20_000)));
  expect(await textOf(page, '[data-testid=now-clock]')).toBe(stood);
  await page.keyboard.press('Space');
  await says(page, '[data-testid=now-state]', 'round 3 of 3');
  expect(faults).toEqual([]);
});

test('a second tablet has the people it was given; what two say otherwise is asked; a movement that hurts gets another one', async () => {
  const { page, faults } = await visit(`/class/${key}`);
  await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('[data-fixed] button')?.disabled);
  await different(page, 'Egon C.', 'With Bo');
  await says(page, 'section[aria-label="Who does what"]', 'with Bo');
  const { page: second, faults: theirs } = await visit(`/class/${key}?for=bo`);
  await says(second, '[data-testid=given]', 'With Bo');
  const names = await second.$$eval('section[aria-label="Who does what"] button', (all) =>
    all.map((b) => b.textContent.slice(0, 7)),
  );
  expect(names).toEqual(['Egon C.']);
  await looksRight(second);
  await different(second, 'Egon C.', 'Seen clean');
  await page.bringToFront();
  await different(page, 'Egon C.', 'Under half');
  await says(page, '[data-testid=clash]', 'Egon C.: one tablet says seen clean, another under half');
  expect((await findings(page)).violations).toEqual([]);
  await press(page, 'Only: seen clean');
  await page.waitForSelector('[data-testid=clash]', { hidden: true });
  const name = '::-p-xpath(//section[@aria-label="Who does what"]//button[contains(., "Dora C.")])';
  await (await page.waitForSelector(name))?.click();
  await push(page, 'It hurts: another one …');
  await push(page, 'knee');
  await push(page, '0 to 2');
  await page.waitForFunction(() => document.querySelectorAll('[data-testid=instead] button').length > 1);
  await looksRight(page);
  await page.click('[data-testid=instead] button');
  await says(page, '[data-testid=last-line]', 'Dora C.: did ');
  await press(page, 'Take back');
  expect([...faults, ...theirs]).toEqual([]);
});

test('the screen of the hall shows the variants by number, no name and no word of health', async () => {
  const { page, faults } = await visit(`/face/${key}`);
  await says(page, 'h1', 'Squat');
  const words = await textOf(page, 'main');
  for (const name of names) expect(words).not.toContain(name.split(' ')[0]);
  expect(words).not.toMatch(/pain|sore|[SLHB]\d\//i);
  expect(await page.$$eval('svg[role=img]', (all) => all.length)).toBeGreaterThan(0);
  expect((await findings(page)).violations).toEqual([]);
  expect(faults).toEqual([]);
});

test('it ends: the two questions, what follows with the lines that made it; taken back, and the next class starts from it', async () => {
  const { page, faults } = await visit(`/class/${key}`);
  await page.waitForFunction(() => !document.querySelector<HTMLButtonElement>('[data-fixed] button')?.disabled);
  while (!(await textOf(page, '[data-testid=now-block]')).includes('Two questions')) {
    const was = await textOf(page, '[data-testid=now-block]');
    await page.keyboard.press('ArrowRight');
    await page.waitForFunction(
      (before) => document.querySelector('[data-testid=now-block]')?.textContent !== before,
      {},
      was,
    );
  }
  const unasked = () =>
    page.$$eval(
      'section[aria-label="Two questions"] button',
      (all) => all.filter((b) => b.textContent.startsWith('Asked everybody')).length,
    );
  for (let left = await unasked(); left > 0; left--) {
    await press(page, 'Asked everybody: no more hands');
    await until(async () => (await unasked()) === left - 1);
  }
  await looksRight(page);
  await page.keyboard.press('ArrowRight');
  await press(page, 'End the class');
  await press(page, 'What follows from it');
  await says(page, 'h1', 'After the class');
  await says(page, 'main', '5 there');
  await looksRight(page);
  const row = (who: string, pattern: string) =>
    page.$$eval(
      'main li',
      (all, w, p) =>
        all.find((li) => li.textContent.includes(w) && li.querySelector('b')?.textContent === p)?.textContent ?? '',
      who,
      pattern,
    );
  expect(await row('Ben Class', 'S')).toContain('Short, fewer');
  expect(await row('Cleo Class', 'S')).toContain('Heavy, heel leaves the floor');
  // On a shelf under his own rung: that counts neither for it nor against it.
  expect(await row('Egon Class', 'S')).toBe('');
  expect(await row('Frida Class', 'S')).toBe('');
  expect(await row('Ada Class', 'S')).toContain('becomes');
  // It was somebody else’s heel: struck with a reason, and what follows is worked out without it.
  await push(page, 'Strike Cleo Class: heel leaves the floor, not put right');
  await push(page, 'Strike it');
  await says(page, 'section[aria-labelledby=logged]', 'Write why, in a few words.');
  await page.keyboard.type('the heel of another');
  await push(page, 'Strike it');
  await says(page, 'section[aria-labelledby=logged]', 'Struck; what follows was worked out anew.');
  expect(await row('Cleo Class', 'S')).toContain('becomes');
  expect((await findings(page)).violations).toEqual([]);
  await push(page, 'Take back Ada Class, S');
  await page.waitForFunction(() => document.querySelector('main')?.textContent.includes('taken back'));
  await page.goto(`${hall.server.url}/people/${ids[1] ?? ''}`, { waitUntil: 'networkidle0' });
  await says(page, 'dl[aria-labelledby=training]', 'S5, short.');
  expect((await findings(page)).violations).toEqual([]);
  // The next plan of the group knows that one was held today.
  await page.goto(`${hall.server.url}/class/plan?group=monday`, { waitUntil: 'networkidle0' });
  await says(page, '[data-testid=plan-told]', 'A class of this group was held today already');
  expect(faults).toEqual([]);
});

test('who sits where: two chairs for six say two waves or who has none, what would do, and how to hold on; drawn, listed, one page on paper', async () => {
  const plan = { day: today, groupId: null, template: 'intervals', minutes: 60, leader: '', helpers: [], people: ids };
  const intervals = await send(hall, 'GET', `/api/v1/classes/${key}`);
  const { blocks: of } = (intervals.body as { plan: { blocks: unknown } }).plan;
  expect((await send(hall, 'PUT', '/api/v1/classes/seats-class-1', { ...plan, blocks: of })).status).toBe(201);
  const { page, faults } = await visit('/class');
  const link = await page.waitForSelector('::-p-xpath(//li[contains(., "planned")]//a[contains(., "Who sits where")])');
  await link?.click();
  await says(page, 'h1', 'Who sits where');
  await says(page, '[data-testid=set-up-told]', 'sit at once');
  await says(page, '[data-testid=set-up-told]', 'Nobody wrote how much free wall there is');
  const places = await page.$$eval('[data-testid=set-up-places] li', (all) => all.map((li) => li.textContent));
  expect(places.join(' ')).toContain('chair of 43 cm');
  for (const name of names) expect(places.join(' ')).toContain(`${name.split(' ')[0] ?? ''} C.`);
  expect(await textOf(page, '[data-testid=set-up-carry]')).toContain('1 chair of 43 cm');
  await looksRight(page);
  const paper = Buffer.from(await page.pdf({ preferCSSPageSize: true, format: 'A4' })).toString('latin1');
  expect(paper.match(/\/Type\s*\/Page[^s]/g)).toHaveLength(1);
  await press(page, 'To the class');
  await page.waitForSelector('[data-testid=now-clock]');
  expect(faults).toEqual([]);
  await page.goto(`${hall.server.url}/class/nobody-planned-it/set-up`);
  await says(page, 'main', 'not');
});

/** Writes on the page of the cupboard how many stand at rails, and saves it. */
async function railPlaces(page: Page, places: string): Promise<void> {
  await page.click('[aria-label="rail places"]', { count: 3 });
  await page.keyboard.type(places);
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => location.pathname === '/hall');
}

test('somebody put elsewhere in the hall: dragged off the rail it says what that breaks, stays over a reload, goes back by keys, and two taps do too', async () => {
  // What is in the cupboard by now counts: two places at a rail.
  const { page, faults } = await visit('/library/cupboard');
  await railPlaces(page, '2');
  await page.goto(`${hall.server.url}/class/seats-class-1/set-up`, { waitUntil: 'networkidle0' });
  const atRail = async () =>
    page.$eval('button[aria-label$=", rail 1"]', (b) => (b.getAttribute('aria-label') ?? '').slice('Move '.length, -8));
  await page.waitForSelector('button[aria-label$=", rail 1"]');
  const who = await atRail();
  const middle = async (selector: string) => {
    const box = await (await page.waitForSelector(selector))?.boundingBox();
    if (!box) throw new Error(`${selector} is not there`);
    return [box.x + box.width / 2, box.y + box.height / 2] as const;
  };
  const [x, y] = await middle('button[aria-label$=", rail 1"]');
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y + 20, { steps: 4 });
  const to = await middle('button[aria-label*=", free"][aria-label*="floor"]');
  await page.mouse.move(...to, { steps: 8 });
  await page.mouse.up();
  await says(page, '[data-testid=set-up-broken]', 'there is nothing to hold');
  await says(page, '[data-testid=set-up-places]', 'put there by hand');
  await looksRight(page);
  await says(page, '[data-testid=set-up-move]', 'Kept.');
  await page.reload();
  await says(page, '[data-testid=set-up-broken]', 'there is nothing to hold');
  // By keys: picked up, carried to the rail, put down.
  await page.focus(`button[aria-label^="Move ${who}"]`);
  await page.keyboard.press('Enter');
  await page.waitForSelector('button[aria-label$=", free"]');
  const over = () => page.$eval('[id^=DndLiveRegion]', (said) => said.textContent);
  for (const key of ['ArrowUp' as const, ...Array.from({ length: 8 }, () => 'ArrowLeft' as const)]) {
    if ((await over()).includes('rail 1')) break;
    const before = await over();
    await page.keyboard.press(key);
    await page.waitForFunction((was) => document.querySelector('[id^=DndLiveRegion]')?.textContent !== was, {}, before);
  }
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('[data-testid=set-up-broken]')?.textContent === '');
  await press(page, 'Let all go');
  await page.waitForFunction(() => !document.body.textContent.includes('put there by hand'));
  // And by two taps.
  await page.click(`button[aria-label^="Move ${who}"]`);
  await page.click('button[aria-label*="Put down at floor"][aria-label$=", free"]');
  await says(page, '[data-testid=set-up-broken]', 'there is nothing to hold');
  await press(page, 'Hinge');
  await says(page, '[data-testid=set-up-places]', 'hinge');
  // Nobody answers: it stands there, says so, and is kept when somebody does.
  await says(page, '[data-testid=set-up-move]', 'Kept.');
  await page.setOfflineMode(true);
  await press(page, 'Let all go');
  await says(page, 'main', 'Not kept yet: the server did not answer.');
  await page.setOfflineMode(false);
  await press(page, 'Try again');
  await says(page, '[data-testid=set-up-move]', 'Kept.');
  await page.reload({ waitUntil: 'networkidle0' });
  await page.waitForFunction(() => !document.body.textContent.includes('put there by hand'));
  await looksRight(page);
  // The cupboard is changed on another tablet meanwhile: it is said, and worked out again with one press.
  const other = await visit('/library/cupboard');
  await railPlaces(other.page, '5');
  await page.bringToFront();
  await says(page, 'main', 'The cupboard was changed since this was worked out');
  await press(page, 'Work it out again');
  await page.waitForFunction(() => !document.body.textContent.includes('since this was worked out'));
  await says(page, '[data-testid=hall-plan]', 'rail, 5');
  // On a phone, where there is no picture: out of a list.
  await resize(page, 390, 844);
  await page.click('[data-testid=set-up-places] button[aria-expanded=false]');
  const list = '[data-testid=set-up-places] select';
  const last = await page.$eval(list, (places) => places.options[places.childElementCount - 1]?.value);
  await looksRight(page);
  await page.select(list, last ?? '');
  await says(page, '[data-testid=set-up-places]', 'put there by hand');
  await resize(page, 1280, 800);
  expect(faults).toEqual([]);
});
