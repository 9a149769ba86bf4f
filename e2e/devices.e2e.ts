import { spawn, spawnSync } from 'node:child_process';
import SQLite from 'better-sqlite3';
import { describe, expect, test } from 'vitest';
import type { DeviceNews } from '../src/core/shapes/device';
import { dueMs, listen, newEar, pass } from '../src/core/signal/hear';
import {
  addReadyTo,
  childEnvironment,
  hallFor,
  laneAt,
  press,
  says,
  send,
  settled,
  until,
  watchedPage,
  wellToday,
} from './harness';

/** A seat switch beside the hand: heard, counted, fallen silent, agreed to; and the stand-in that ships. */
const today = '2026-03-02';
const hall = hallFor(today);

/** A switch in step with the clock of a page, which may run fast. */
function seatSwitch(id: string, nowMs: () => number) {
  const boot = crypto.randomUUID().slice(0, 8);
  let n = 0;
  const say = async (kind: string) => {
    const ms = nowMs();
    const told = { boot, sentMs: ms, events: [{ n: n++, ms, kind }] };
    expect((await send(hall, 'POST', `/api/v1/devices/${id}/events`, told)).status).toBe(202);
  };
  return say;
}

const stateOf = (personId: string) => {
  const db = new SQLite(hall.file, { readonly: true });
  const row = db.prepare('select state, value, conditions_json from attempt where person_id = ?').get(personId);
  db.close();
  return row as { state: string; value: number | null; conditions_json: string } | undefined;
};

describe('a seat switch beside the hand', () => {
  test('is proposed when it is heard, counts, is told silent, and its count is a result only after a yes', async () => {
    const ada = await addReadyTo(hall, 'Ada Abel', today);
    const { page, faults } = await watchedPage(hall.browser, hall.server.url, 2);
    await page.goto(`${hall.server.url}/test?person=${ada}`, { waitUntil: 'load' });
    await wellToday(page);
    const from = performance.now();
    const say = seatSwitch('seat-1', () => Math.round(2 * (performance.now() - from)));
    const beats = setInterval(() => void say('alive'), 250);
    await says(page, 'main', 'seat switch 1');
    await says(page, 'main', 'Kept as 44 cm');
    await say('down');
    await page.keyboard.press('Space');
    await page.waitForSelector('[data-testid=practice]');
    await settled(page);
    await page.keyboard.press('Enter');
    await page.waitForSelector('[data-testid=lane]');
    await says(page, '[data-testid=device]', 'The seat switch 1 counts. Tap what it misses.');
    await laneAt(page, 1);
    const count = async (is: string) => says(page, '[data-testid=count]', is);
    await say('up');
    await count('1');
    await say('down');
    // The same stand tapped by a hand is one.
    await new Promise((later) => setTimeout(later, 400));
    await say('up');
    await count('2');
    await page.keyboard.press('Space');
    await say('down');
    clearInterval(beats);
    await says(page, '[data-testid=device]', 'The seat switch 1 fell silent. Count by hand.');
    await page.keyboard.press('Space');
    await count('3');
    await page.waitForSelector('[aria-label="At the tone"]', { timeout: 60_000 });
    await settled(page);
    await page.keyboard.press('Backspace');
    await says(page, '[data-testid=told]', '3 stands');
    await says(page, '[data-testid=agree]', 'fell silent');
    await until(() => stateOf(ada)?.state === 'to-agree');
    expect(stateOf(ada)).toMatchObject({ value: null, conditions_json: expect.stringContaining('44') as string });
    await settled(page);
    // One was none.
    await page.click('[data-testid=agree] [role=group] button');
    await says(page, '[data-testid=told]', '2 stands');
    await press(page, 'Yes: 2 stands');
    await says(page, '[data-testid=result]', '2');
    await until(() => stateOf(ada)?.state === 'finished');
    expect(stateOf(ada)?.value).toBe(2);
    expect(faults).toEqual([]);
    await page.close();
  });

  test('of a lane that is not there, or a word of another device, is refused by name; a stream of nothing too', async () => {
    const told = { boot: 'b', sentMs: 5, events: [{ n: 0, ms: 5, kind: 'step' }] };
    const seven = await send(hall, 'POST', '/api/v1/devices/seat-7/events', told);
    expect([seven.status, seven.body['errors']]).toMatchObject([422, [{ path: '/id' }]]);
    const word = await send(hall, 'POST', '/api/v1/devices/seat-1/events', told);
    expect([word.status, word.body['errors']]).toEqual([
      422,
      [{ path: '/events/0/kind', message: 'seat-1 says down, up, alive' }],
    ]);
    expect((await send(hall, 'GET', '/api/v1/stream?devices=seat-1,seat-9')).body['errors']).toMatchObject([
      { path: '/devices', message: 'there is no seat-9; write such as seat-1,seat-2' },
    ]);
  });
});

describe('the stand-in', () => {
  const run = ['scripts/device.mjs'];
  test('says what it takes when it is asked for something else', () => {
    const asked = (...args: string[]) =>
      spawnSync(process.execPath, [...run, ...args], { env: childEnvironment({}), encoding: 'utf8' });
    expect(asked('--kind', 'hat')).toMatchObject({ status: 1, stderr: '--kind hat: there is seat and steps.\n' });
    expect(asked('--lane', '5')).toMatchObject({ status: 1, stderr: '--lane 5: write a whole number up to 4.\n' });
    expect(asked('--script', 'x').stderr).toContain('slow-starter: begins late');
  });

  test('plays a restless switch over a server: what a page hears of it is as many stands as it says', async () => {
    const ended = new AbortController();
    const stream = await fetch(`${hall.server.url}/api/v1/stream?devices=seat-3`, { signal: ended.signal });
    let ear = newEar;
    let stands = 0;
    const take = (said: ReturnType<typeof pass>) => {
      ear = said.ear;
      stands += said.reps.length;
    };
    const hear = (async () => {
      const text = new TextDecoder();
      let rest = '';
      for await (const part of stream.body ?? []) {
        const lines = (rest + text.decode(part, { stream: true })).split('\n\n');
        rest = lines.pop() ?? '';
        for (const line of lines.filter((l) => l.startsWith('data: '))) {
          const due = dueMs(ear);
          if (due !== null && due < performance.now()) take(pass(ear, performance.now()));
          take(listen(ear, JSON.parse(line.slice(6)) as DeviceNews, performance.now()));
        }
      }
    })().catch(() => undefined);
    const args = ['--kind', 'seat', '--lane', '3', '--script', 'restless', '--seconds', '9', '--in', '1'];
    const child = spawn(process.execPath, [...run, ...args, '--port', String(hall.port)], {
      env: childEnvironment({}),
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    child.stdout.on('data', (text: Buffer) => (said += text.toString()));
    await new Promise((done) => child.once('exit', done));
    ended.abort();
    await hear;
    expect(said).toContain('A page listens to seat-3.');
    const told = Number(/seat-3: (\d+) stands in 9 s/.exec(said)?.[1]);
    expect(told).toBeGreaterThan(2);
    expect(stands).toBe(told);
  });
});
