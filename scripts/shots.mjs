#!/usr/bin/env node
// Retakes docs/screenshots from the demo hall on a fixed day. npm run shots [-- name ...] takes only the named ones.
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './prepare.mjs';
import { withDemo } from './session.mjs';

const target = process.env.SHOTS_DIR ?? join(root, 'docs/screenshots');
const only = process.argv.slice(2);
// Steps on the way, or much like another view; taken only when named.
const aside = new Set([
  'half-way',
  'practice',
  'lane',
  'walk-in',
  'score-trend',
  'attempt',
  'norms',
  'stopping',
  'keys',
  'hall-retests',
  'not-today',
  'leave',
  'groups',
  'record',
  'library',
  'add-person',
  'import',
  'outcome',
  'stopped',
  'waiting',
  'clashes',
  'set-up',
  'note',
  'tests',
  'tests-held',
  'report-clinician',
  'report-kept',
  'choose-person',
  'score-one-leg',
  'scores-all',
  'one-leg',
  'outcomes',
  'letter',
  'paper',
  'hall-scores',
  'hall-face',
  'sheet',
  'leaf',
  'station-sheet',
  'room-check',
  'cupboard',
  'day-check',
  'card',
  'movement',
  'own-exercise',
  'coaching',
  'history',
  'hold',
  'hall',
  'day-plan',
  'class-face',
  'class-weeks',
  'swap',
]);
mkdirSync(target, { recursive: true });

await withDemo(async ({ browser, url, idOf }) => {
  let page;
  let context;
  // A step takes no key in its first moment.
  const settle = () => new Promise((later) => setTimeout(later, 900));
  const visit = async (path) => page.goto(url + path, { waitUntil: 'networkidle0' });
  const odile = await idOf('Odile Brandvoll');
  const bertil = await idOf('Bertil Kvarnholm');
  const ruben = await idOf('Ruben Sastry');
  const ines = await idOf('Ines Albarrosa');
  const agnes = await idOf('Agnes Tverrå');
  const adelheid = await idOf('Adelheid Pomm');
  const tomasz = await idOf('Tomasz Rekkedal');
  /** Each sore place the same, and nothing else of it today. */
  const allWell = async () => {
    for (let left = (await page.$$('[data-testid=pain]')).length; left > 0; left--) await page.keyboard.press('s');
    await page.keyboard.press('w');
  };
  /** Pictures beside each other as one, each so many pixels wide. */
  const beside = (pictures, widths) =>
    page.evaluate(
      (images, wide) => {
        const row = document.createElement('div');
        row.style.cssText =
          'display:flex;gap:20px;align-items:flex-start;justify-content:center;padding:20px;background:var(--color-floor)';
        for (const [i, src] of images.entries()) {
          const image = new Image();
          image.src = src;
          image.style.cssText = `width:${wide[i]}px;background:white;padding:8px;border:2px solid var(--color-ink)`;
          row.append(image);
        }
        document.body.replaceChildren(row);
      },
      pictures,
      widths,
    );
  const seen = async () => `data:image/png;base64,${await page.screenshot({ encoding: 'base64' })}`;
  const shots = {
    today: () => visit('/'),
    people: () => visit('/people'),
    'add-person': () => visit('/people/new'),
    intake: () => visit(`/people/${odile}/intake`),
    'walk-in': () => visit('/people/walk-in'),
    readiness: () => visit(`/people/${ruben}/readiness`),
    note: () => visit(`/people/${ruben}/note`),
    letter: () => visit(`/people/${ines}/note/tells`),
    tests: () => visit(`/people/${odile}/tests`),
    'tests-held': () => visit(`/people/${ruben}/tests`),
    record: () => visit(`/people/${odile}/record`),
    leave: () => visit(`/people/${odile}/leave`),
    groups: () => visit('/people/groups'),
    import: async () => {
      await visit('/people/import');
      const roster = join(target, 'roster.csv');
      writeFileSync(
        roster,
        'Name;First name;Date of birth;Sex;Height;Weight;Class\n' +
          'Okonjo;Mirabel;14.03.1951;f;158;61;Tuesday 10:00\nDrayton;Ansel;02.11.1946;m;176;80;Tuesday 10:00\n' +
          'Brandvoll;Odile;28.13.1949;f;160;64;\nFennimore;Tilda;30.06.1948;w;1.63;70;Friday walk\nSoames;;07.07.47;m;;;\n',
      );
      const input = await page.$('input[type=file]');
      await input.uploadFile(roster);
      await page.waitForSelector('[data-testid=import-count]');
      rmSync(roster);
    },
    'day-check': () => visit(`/test?person=${odile}`),
    hold: async () => {
      await visit(`/people/${agnes}`);
      await page.keyboard.press('F9');
      await page.waitForSelector('[role=dialog]');
    },
    person: () => visit(`/people/${odile}`),
    'not-today': () => visit(`/people/${adelheid}`),
    scores: () => visit(`/people/${odile}/scores`),
    'scores-all': () => visit(`/people/${tomasz}/scores`),
    'score-trend': () => visit(`/people/${odile}/scores/chair-stand-30s`),
    report: () => visit(`/people/${odile}/report`),
    'report-clinician': () => visit(`/people/${odile}/report?for=clinician`),
    'report-kept': async () => {
      await visit(`/people/${odile}/report`);
      await page.pdf();
      await page.waitForSelector('a[href*="/report/"]');
      await page.click('a[href*="/report/"]');
      await page.waitForFunction(() => /As handed out/.test(document.body.textContent));
    },
    norms: () => visit('/library/norms/chair-stand-30s?age=77&sex=female&value=9'),
    'score-one-leg': () => visit(`/people/${odile}/scores/one-leg`),
    levels: () => visit(`/people/${odile}/levels`),
    card: () => visit(`/people/${odile}/card`),
    // Three papers side by side: of the person, for home, and for whoever helps.
    papers: async () => {
      for (const [pattern, rung] of [
        ['S', 4],
        ['A', 1],
        ['H', 1],
      ])
        await fetch(`${url}/api/v1/entries/shot-shown-${pattern}`, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ personId: odile, on: '2026-03-02', content: { kind: 'shown', pattern, rung } }),
        });
      const papers = [];
      for (const path of [`/people/${odile}/card`, `/people/${odile}/card?kind=home`, '/levels/sheet']) {
        await visit(path);
        await page.emulateMediaType('print');
        const sheet = await page.waitForSelector('[data-sheet]');
        papers.push(`data:image/png;base64,${await sheet.screenshot({ encoding: 'base64' })}`);
      }
      await page.emulateMediaType('screen');
      await beside(papers, [290, 290, 620]);
    },
    movement: () => visit('/library/moves/S5'),
    swap: async () => {
      await visit(`/people/${odile}/swap?level=S5`);
      await settle();
      await clickWords('knee');
      await settle();
      await clickWords('3 to 4');
      await settle();
    },
    coaching: () => visit(`/people/${odile}/coaching`),
    history: () => visit(`/people/${odile}/history`),
    'own-exercise': async () => {
      await visit('/library/exercises/new');
      await page.type('#name', 'Towel wring');
      await page.type('#does', 'Wring a towel with both hands, elbows in.');
      for (const joint of ['knee', 'hip', 'back', 'ankle']) await page.select(`select[aria-label^="${joint}"]`, 'none');
      await page.waitForSelector('[data-testid=open-for]');
      await settle();
    },
    // A movement, and one of the hall's own.
    exercises: async () => {
      await shots.movement();
      const movement = await seen();
      await shots['own-exercise']();
      await beside([movement, await seen()], [610, 610]);
    },
    // A group with eight weeks of classes behind it, on the day of its next one.
    'class-plan': async () => {
      await visit('/class');
      for (const href of await page.$$eval('a[href^="/class/plan?group"]', (all) =>
        all.map((a) => a.getAttribute('href')),
      )) {
        await visit(href);
        if (await page.$eval('main', (m) => m.textContent.includes('Boris Tallow'))) break;
      }
      await settle();
    },
    seats: async () => {
      await shots['class-plan']();
      await clickWords('Keep it: who sits where');
      await page.waitForSelector('[data-testid=hall-plan]');
      await settle();
    },
    'class-run': async () => {
      await shots['class-plan']();
      await clickWords('Keep it and go');
      await page.waitForSelector('[data-testid=now-clock]');
      await settle();
      // A key before the store of the browser was read begins nothing.
      await page.waitForFunction(() => !document.querySelector('[data-fixed] button').disabled);
      const block = () => page.$eval('[data-testid=now-block]', (e) => e.textContent).catch(() => '');
      await page.keyboard.press('Space');
      for (const title of ['Room check', 'Warm-up', 'Squat']) {
        while ((await block()) !== title) await settle();
        if (title !== 'Squat') await page.keyboard.press('ArrowRight');
      }
      await page.click('[data-testid=eyes] button');
      await page.waitForFunction(() => /round 1/.test(document.querySelector('[data-testid=now-state]').textContent), {
        timeout: 90_000,
      });
    },
    // Of the newest class that was held.
    'class-after': async () => {
      await visit('/class');
      await visit(await page.$eval('a[href$="/after"]', (a) => a.getAttribute('href')));
      await settle();
    },
    'class-weeks': async () => {
      await visit('/class');
      for (const href of await page.$$eval('a[href^="/class/weeks"]', (all) =>
        all.map((a) => a.getAttribute('href')),
      )) {
        await visit(href);
        if (await page.$('svg.recharts-surface')) break;
      }
      await settle();
    },
    // One tap on a name, and the screen for the hall.
    'class-log': async () => {
      await shots['class-run']();
      const key = page.url().split('/').pop();
      // His name stands among those to look at as well.
      await page.click('section[aria-label="Who does what"] li:nth-child(2) button');
      await page.waitForSelector('[role=dialog]');
      await settle();
      const tapped = await seen();
      await visit(`/face/${key}`);
      await settle();
      await beside([tapped, await seen()], [610, 610]);
    },
    'class-face': async () => {
      await shots['class-run']();
      await visit(`/face/${page.url().split('/').pop()}`);
      await settle();
      await settle();
    },
    retest: () => visit(`/people/${odile}/retest`),
    'hall-scores': () => visit('/scores'),
    'hall-levels': () => visit('/levels'),
    'hall-retests': () => visit('/retest'),
    library: () => visit('/library'),
    cupboard: () => visit('/library/cupboard'),
    hall: () => visit('/hall'),
    paper: () => visit(`/people/${odile}/paper`),
    sheet: async () => {
      await visit('/people/groups');
      const to = await page.$eval('a[href^="/people/sheet?group="]', (a) => a.getAttribute('href'));
      await visit(`${to}&test=one-leg`);
      await page.focus('input[data-column="0"]');
      for (const typed of ['4.2', '8.1', '12.6', '61']) {
        await page.keyboard.type(typed);
        await page.keyboard.press('Enter');
      }
      await page.evaluate(() => document.querySelector('form').requestSubmit());
      await page.waitForFunction(() => /put right/.test(document.querySelector('[role=alert]').textContent));
    },
    'day-plan': async () => {
      await helpers();
      await seatEverybody();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
    'room-check': async () => {
      await shots['day-plan']();
      await begin();
      await clickWords('Read the signs to the room');
      await page.waitForSelector('[data-testid=room-check]');
      await settle();
      await clickWords('Dov Hallström');
    },
    board: async () => {
      await shots['day-plan']();
      await begin();
      await morning();
    },
    'hall-face': async () => {
      await shots.board();
      const mine = page;
      page = await context.newPage();
      await page.setViewport({ width: 1280, height: 800 });
      await visit('/face');
      await mine.bringToFront();
      await page.waitForFunction(() => /Who is next/.test(document.body.textContent), { polling: 100 });
      await page.bringToFront();
    },
    leaf: async () => {
      await visit('/people/leaf?group=today');
      await onPaper(794, 1123);
    },
    'station-sheet': async () => {
      await helpers();
      await seatEverybody();
      await visit('/people/sheet/blank?test=one-leg');
      await onPaper(1123, 794);
    },
    'choose-person': () => visit('/test'),
    'set-up': async () => {
      await visit(`/test?person=${odile}`);
      // The check of the day was made already where an earlier picture ran a test.
      const first = await page.waitForSelector('[data-testid=day-check], #seat-fault');
      await settle();
      if (await first.evaluate((e) => e.id === '')) await allWell();
      await page.waitForSelector('#seat-fault');
      await settle();
    },
    practice: async () => {
      await shots['set-up']();
      await page.keyboard.press('Space');
      await page.waitForSelector('[data-testid=practice]');
      await settle();
      await page.keyboard.press('Space');
      await page.keyboard.press('Space');
    },
    lane: async () => {
      await shots.practice();
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-testid=lane]');
      for (let n = 1; n <= 5; n++) await standAt(2.3 * n + 0.1 * n * n);
      await leftIs(14.5);
    },
    lanes: async () => {
      await visit(`/test?person=${odile}&person=${tomasz}`);
      for (;;) {
        const shown = await page.waitForSelector('[data-testid=day-check], [role=img][aria-label^="The station"]');
        await settle();
        if (await shown.evaluate((e) => e.getAttribute('role') === 'img')) break;
        await allWell();
        await page.waitForFunction((e) => !e.isConnected, {}, shown);
      }
      await page.keyboard.press('Space');
      await page.waitForSelector('[data-testid=practice]');
      await settle();
      for (const key of ['1', '2', '2']) await page.keyboard.press(key);
      await page.keyboard.press('Enter');
      await page.waitForSelector('[data-testid=lane]');
      for (let n = 1; n <= 7; n++) {
        await leftIs(30 - 1.9 * n);
        await page.keyboard.press('2');
        if (n !== 3 && n !== 5) await page.keyboard.press('1');
      }
      // Until the flash of the last press is gone.
      await new Promise((later) => setTimeout(later, 400));
    },
    outcomes: async () => {
      await shots.lanes();
      await page.waitForFunction(() => document.querySelectorAll('[aria-label="At the tone"]').length === 2);
      await settle();
      for (const key of ['q', '2']) await page.keyboard.press(key);
      await page.waitForSelector('[data-testid=outcome]');
      await settle();
    },
    'one-leg': async () => {
      await visit(`/test?test=one-leg&person=${odile}`);
      for (;;) {
        const shown = await page.waitForSelector('[data-testid=day-check], [role=img][aria-label^="The station"]');
        await settle();
        if (await shown.evaluate((e) => e.getAttribute('role') === 'img')) break;
        await allWell();
        await page.waitForFunction((e) => !e.isConnected, {}, shown);
      }
      await page.keyboard.press('Space');
      await page.waitForSelector('[data-testid=lane]');
      for (const ms of [5200, 4100, 3300]) {
        await page.keyboard.press('Space');
        await new Promise((later) => setTimeout(later, ms));
        if (ms > 3300) await page.keyboard.press('Space');
        await new Promise((later) => setTimeout(later, 500));
      }
    },
    attempt: async () => {
      await visit(`/people/${odile}/scores/chair-stand-30s`);
      const to = await page.$eval('a[href*="/attempts/"]', (a) => a.getAttribute('href'));
      await visit(to);
    },
    stopping: async () => {
      await shots.lane();
      await page.keyboard.press('Escape');
      await page.waitForSelector('[aria-label="Why is it stopped?"]');
    },
    'half-way': async () => {
      await shots.lane();
      for (let n = 6; n <= 8; n++) await standAt(3 * n);
      await page.waitForSelector('[aria-label="At the tone"]');
      await new Promise((later) => setTimeout(later, 800));
    },
    stopped: async () => {
      await shots.stopping();
      await page.keyboard.press('3');
      await page.waitForSelector('[data-testid=outcome]');
    },
    waiting: async () => {
      await visit('/people');
      await page.evaluate(async () => {
        const opened = await new Promise((ok) => {
          const asked = indexedDB.open('ready-stool');
          asked.onsuccess = () => ok(asked.result);
        });
        const deed = opened.transaction('entries', 'readwrite').objectStore('entries');
        const sheet = { kind: 'incident', at: '2026-03-02T10:04:00+00:00', what: ['fall'], head: 'no' };
        const content = { ...sheet, bloodThinners: 'no', called: 'contact', note: 'slipped beside the rail' };
        const base = { on: '2026-03-02', content, register: null, open: false };
        deed.put({ ...base, key: 'shot-0001', personId: '', personName: '', refused: null });
        deed.put({
          ...base,
          key: 'shot-0002',
          personId: 'gone',
          personName: 'Erna Bolt',
          refused: 'One field needs another look; nothing was kept. /personId nobody in the register has this id',
        });
      });
      await visit('/waiting');
      await page.waitForSelector('[data-testid=waiting-item]');
    },
    clashes: async () => {
      await visit(`/people/${odile}/intake`);
      const mine = page;
      page = await context.newPage();
      await page.setViewport({ width: 1280, height: 800 });
      await visit(`/people/${odile}/intake`);
      const save = async (mass) => {
        await page.click('#massKg', { count: 3 });
        await page.keyboard.type(mass);
        await page.evaluate(() => document.querySelector('form').requestSubmit());
      };
      await save('66');
      await page.waitForFunction(() => !location.pathname.endsWith('/intake'));
      await page.close();
      page = mine;
      await page.bringToFront();
      await save('63');
      await page.waitForSelector('[data-testid=clashes]');
    },
    outcome: async () => {
      await shots['half-way']();
      await page.keyboard.press('y');
      await page.waitForSelector('[data-testid=result]');
      await new Promise((later) => setTimeout(later, 500));
    },
    keys: async () => {
      await visit(`/people/${odile}/levels`);
      await page.keyboard.press('?');
      await page.waitForSelector('[role=dialog]');
    },
  };
  const clickWords = (words) =>
    page.evaluate((w) => {
      const found = [...document.querySelectorAll('button, label, main a')].find((e) =>
        e.textContent.trim().startsWith(w),
      );
      found?.click();
      return found !== undefined;
    }, words);
  /** Two of the hall help: one may spot, one may count. */
  const helpers = async () => {
    await visit('/hall');
    for (const [who, task] of [
      ['Mira Solberg', 'may spot'],
      ['Olli Rein', 'may count'],
    ]) {
      if (await page.$(`[aria-label="${who} ${task}"]`)) continue;
      await page.type('#helper', who);
      await page.click('form[aria-label="A new helper"] button[type=submit]');
      const tick = await page.waitForSelector(`[aria-label="${who} ${task}"]`);
      await tick.click();
      await settle();
    }
  };
  const seatEverybody = async () => {
    await visit('/test/day');
    for (let n = 0; n < 2; n++) {
      if (!(await clickWords('Seat '))) {
        const other = await page.$$eval('[aria-label="Another group"] option', (all) => all[1]?.value ?? '');
        if (other === '') return;
        await page.select('[aria-label="Another group"]', other);
        await settle();
        await clickWords('Seat ');
      }
      await settle();
      await settle();
    }
  };
  const begin = async () => {
    // Where an earlier picture began the day, its plan is kept.
    if (!(await clickWords('Begin: to the board'))) await clickWords('Keep the plan');
    await page.waitForSelector('[data-testid=day-board]');
    await settle();
  };
  /** A quarter of an hour in: some are done, one would rather not, one is at each station. */
  const morning = async () => {
    const people = await page.$$eval('[data-listed-person]', (all) =>
      all.map((e) => ({ id: e.dataset.listedPerson, name: e.dataset.personName, held: 'held' in e.dataset })),
    );
    const put = (path, body) =>
      fetch(url + path, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
    const done = (personId, test, side, more) =>
      put(`/api/v1/attempts/${crypto.randomUUID()}`, {
        ...{ personId, test, protocolVersion: 1, sittingDate: '2026-03-02', side, conditions: {} },
        events: [
          { seq: 0, atMs: 0, wallMs: Date.now() - 200_000, by: 'hand', kind: 'entered', handsUsed: false, ...more },
        ],
      });
    const free = people.filter((p) => !p.held);
    for (const [i, { id }] of free.slice(0, 5).entries()) {
      await done(id, 'four-stage', null, { value: 3 + (i % 2) });
      for (const side of ['L', 'R']) await done(id, 'one-leg', side, { value: 8 + 3 * i });
      if (i < 3) await done(id, 'chair-stand-30s', null, { value: 10 + i });
    }
    await put(`/api/v1/days/2026-03-02/notes/${crypto.randomUUID()}`, {
      wallMs: Date.now(),
      event: { kind: 'left', personId: free[5].id, why: 'has to go' },
    });
    await clickWords('The room is warm');
    await settle();
    await settle();
    await settle();
    for (let n = 0; n < 2; n++) {
      await page.evaluate(() =>
        [...document.querySelectorAll('[data-station] button')].find((e) => e.textContent.startsWith('Call '))?.click(),
      );
      await settle();
    }
    await page.evaluate(() => window.scrollTo(0, 0));
  };
  /** As the printer has it. */
  const onPaper = async (width, height) => {
    await page.emulateMediaType('print');
    await page.setViewport({ width, height });
  };
  const leftIs = (seconds) =>
    page.waitForFunction(
      (s) => parseFloat(document.querySelector('[data-testid=time-left]').textContent) <= s,
      { polling: 20 },
      seconds,
    );
  const standAt = async (seconds) => {
    await page.waitForFunction(() => / left$/.test(document.querySelector('[data-testid=time-left]').textContent), {
      polling: 20,
    });
    await leftIs(30 - seconds);
    await page.keyboard.press('Space');
  };
  for (const [name, go] of Object.entries(shots)) {
    if (only.length > 0 ? !only.includes(name) : aside.has(name)) continue;
    // A browser of its own each: a test left running in one picture would be taken up again in the next.
    context = await browser.createBrowserContext();
    page = await context.newPage();
    await page.setViewport({ width: 1280, height: 800 });
    await go();
    // A desk has a keyboard: its keys are drawn from the first one pressed on.
    await page.keyboard.press('Shift');
    await page.screenshot({ path: join(target, `${name}.png`) });
    await context.close();
  }
});
