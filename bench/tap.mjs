// Input to paint of a tap in the lane, over that of a bare counter page in the same run, processor slowed four times.
// Event Timing gives durations in steps of 8 ms and tells nothing under 16 ms; a tap it does not tell of counts as 16.
import { createServer } from 'node:http';

const taps = 200;
const everyMs = 120;

const barePage = `<!doctype html><meta name="viewport" content="width=device-width"><title>bare counter</title>
<body style="margin:0;height:100vh;display:grid;place-items:center;font:200px monospace"><output>0</output>
<script>let n = 0; addEventListener('pointerdown', () => { document.querySelector('output').textContent = ++n; });</script>`;

export async function tapBench({ browser, url, personIds }) {
  const bare = createServer((_request, answer) => answer.setHeader('content-type', 'text/html').end(barePage));
  await new Promise((listening) => bare.listen(0, '127.0.0.1', listening));
  const bareUrl = `http://127.0.0.1:${bare.address().port}/`;
  const onBare = await measure(browser, async (page) => {
    await page.goto(bareUrl);
  });
  bare.close();
  for (const [name, ids] of [
    ['one lane', personIds.slice(0, 1)],
    ['four lanes', personIds.slice(0, 4)],
  ]) {
    const onLane = await measure(browser, (page) => toTheLane(page, url, ids));
    report(`${name}, median`, onLane.median, onBare.median);
    report(`${name}, 95th percentile`, onLane.p95, onBare.p95);
  }
}

/** People added for it, who are ready and sore nowhere: what the demo hall is told of its own may change. */
export async function readyPeople(url, count, today) {
  const put = async (method, path, body) => {
    const headers = { 'content-type': 'application/json' };
    const answer = await fetch(url + path, { method, headers, body: JSON.stringify(body) });
    if (!answer.ok) throw new Error(await answer.text());
    return answer.json();
  };
  const no =
    'disease uncontrolled chest breath faint racing swelling calves tired told operation changed wasting'.split(' ');
  const answers = { active: true, ...Object.fromEntries(no.map((id) => [id, false])) };
  const ids = [];
  for (let n = 0; n < count; n++) {
    const who = {
      name: `Bench ${String.fromCharCode(65 + n)}`,
      birthDate: `${1940 + n}-05-06`,
      normTable: 'female',
      toComplete: [],
    };
    const { id } = await put('POST', '/api/v1/people', { ...who, heightCm: 165, massKg: 64, evenSo: true });
    const content = { kind: 'screening', answers };
    await put('PUT', `/api/v1/entries/bench-ready-${id}`, { personId: id, on: today, content });
    ids.push(id);
  }
  return ids;
}

/** From the check of the day to the running lanes of the two-minute step. */
async function toTheLane(page, url, ids) {
  const people = ids.map((id) => `person=${id}`).join('&');
  await page.goto(`${url}/test?test=step-2min&${people}`, { waitUntil: 'networkidle0' });
  // A step takes no key in its first moment.
  const settled = () => new Promise((later) => setTimeout(later, 900));
  for (;;) {
    const shown = await page.waitForSelector('[data-testid=day-check], [role=img][aria-label^="The station"]');
    await settled();
    if (await shown.evaluate((e) => e.getAttribute('role') === 'img')) break;
    await page.keyboard.press('w');
    await page.waitForFunction((e) => !e.isConnected, {}, shown);
  }
  for (;;) {
    const beside = await page.$('::-p-xpath(//button[contains(., "Beside all the same")])');
    if (!beside) break;
    await beside.evaluate((button) => button.click());
    await page.waitForFunction((e) => !e.isConnected, {}, beside);
  }
  const eyes = await page.$('::-p-xpath(//label[starts-with(., "C and D watched by")]//select)');
  if (eyes) await eyes.select('somebody shown how today');
  await page.keyboard.press('Space');
  await page.waitForSelector('[data-testid=practice]');
  await settled();
  await page.keyboard.press('Enter');
  await page.waitForSelector('[data-testid=lane]');
  await page.waitForFunction(() => /^\d/.test(document.querySelector('[data-testid=time-left]').textContent));
}

function report(name, lane, bare) {
  console.log(
    `tap, input to paint, ${name}: lane / bare counter = ${(lane / bare).toFixed(2)} (${lane} ms / ${bare} ms, 4x slow-down, ${taps} taps)`,
  );
}

async function measure(browser, open) {
  // In a browser of its own: what another left running would be taken up.
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  await open(page);
  await page.evaluate(() => {
    window.tapDurations = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.name === 'pointerdown') window.tapDurations.push(entry.duration);
    }).observe({ type: 'event', durationThreshold: 16 });
  });
  await page.emulateCPUThrottling(4);
  const start = performance.now();
  for (let tap = 0; tap < taps; tap++) {
    const wait = start + tap * everyMs - performance.now();
    if (wait > 0) await new Promise((later) => setTimeout(later, wait));
    await page.mouse.click(200, 330);
  }
  await page.evaluate(() => new Promise((painted) => requestAnimationFrame(() => setTimeout(painted, 200))));
  const told = await page.evaluate(() => window.tapDurations);
  await context.close();
  const all = [...told, ...Array.from({ length: Math.max(0, taps - told.length) }, () => 16)].sort((a, b) => a - b);
  return { median: all[Math.floor(all.length / 2)], p95: all[Math.floor(all.length * 0.95)] };
}

const rises = 20;

/** What a seat switch says until the number on its lane has moved, over the plain way to the server and back, in one run. */
export async function deviceBench({ browser, url, personIds }) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport({ width: 1280, height: 800 });
  let n = 0;
  const from = performance.now();
  const say = async (kind) => {
    const ms = Math.round(performance.now() - from);
    const body = JSON.stringify({ boot: 'bench', sentMs: ms, events: [{ n: n++, ms, kind }] });
    const sent = performance.now();
    await fetch(`${url}/api/v1/devices/steps-1/events`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    });
    return performance.now() - sent;
  };
  const alive = setInterval(() => void say('alive'), 500);
  await toTheLane(page, url, personIds.slice(0, 1));
  await page.waitForSelector('[data-testid=device]');
  const ways = [];
  const shown = [];
  for (let i = 1; i <= rises; i++) {
    const moved = page.evaluate(
      (count) =>
        new Promise((done) => {
          const look = () =>
            document.querySelector('[data-testid=count]').textContent === count
              ? requestAnimationFrame(() => done())
              : requestAnimationFrame(look);
          look();
        }),
      String(i),
    );
    const sent = performance.now();
    ways.push(await say('step'));
    await moved;
    shown.push(performance.now() - sent);
    await new Promise((later) => setTimeout(later, 400));
  }
  clearInterval(alive);
  await context.close();
  const median = (all) => all.sort((a, b) => a - b)[Math.floor(all.length / 2)];
  const [lane, way] = [median(shown), median(ways)];
  console.log(
    `a device's word to the number on its lane / to the server and back = ${(lane / way).toFixed(2)} (${lane.toFixed(1)} ms / ${way.toFixed(1)} ms, ${rises} steps)`,
  );
}
