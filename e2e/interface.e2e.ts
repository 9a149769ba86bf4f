import { readFileSync } from 'node:fs';
import { request as httpRequest } from 'node:http';
import { join } from 'node:path';
import SQLite from 'better-sqlite3';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { seeded } from '../src/demo/events';
import { mutated } from './mutate';
import { startServer, temporaryFolder, type Server } from './harness';

const folder = temporaryFolder();
const file = join(folder.path, 'register.sqlite');
let server: Server;
beforeAll(async () => {
  server = await startServer({ file, today: '2026-03-02' });
});
afterAll(async () => {
  await server.stop();
  folder.remove();
});

interface Problem {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly errors?: { path: string; message: string }[];
}

async function send(
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = { 'content-type': 'application/json' },
) {
  const answer = await fetch(server.url + path, {
    method,
    headers,
    body: body === undefined ? null : typeof body === 'string' ? body : JSON.stringify(body),
  });
  const text = await answer.text();
  return {
    status: answer.status,
    type: answer.headers.get('content-type'),
    headers: answer.headers,
    body: text === '' ? null : (JSON.parse(text) as Record<string, unknown>),
  };
}
const woman = { age: 77, sex: 'female', heightCm: 160, massKg: 64 };

describe('POST /api/v1/score', () => {
  test('the worked example: women 75-79, 9 stands (Rikli & Jones 1999, Alcazar et al. 2018, from memory; by hand)', async () => {
    const { status, body } = await send('POST', '/api/v1/score', {
      person: woman,
      testedOn: '2026-03-02',
      results: [
        { test: 'chair-stand-30s', value: 9, seatHeightCm: 43.2 },
        { test: 'chair-stand-30s', value: 12, handsUsed: true },
        { test: 'one-leg', side: 'L', value: 6.4 },
      ],
    });
    expect(status).toBe(200);
    expect(body).toMatchObject({
      age: 77,
      results: [
        {
          norm: {
            sex: 'female',
            ageLow: 75,
            ageHigh: 79,
            p25: 10,
            p50: 12.5,
            p75: 15,
            percentile: 17.3,
            z: -0.94,
            band: 'below',
          },
          cutoffs: [
            { id: 'chair-stand-below-average', limit: 10, past: true },
            { id: 'chair-stand-risk', limit: 8, past: false },
          ],
          standard: { limit: 13, met: false },
          error: { sem: 1.23, mdc90: 2.86, mdc95: 3.41 },
        },
        { value: 12, handsUsed: true, norm: null },
        { test: 'one-leg', side: 'L', norm: { mean: 16.7, sd: 15, ageLow: 70 } },
      ],
      composites: { battery: null, risePower: { watts: 124.8, wattsPerKg: 1.95, low: true } },
    });
  });
  test('every test id of the product table is taken; one without a norm set has norm null and a note', async () => {
    const values: Record<string, number> = {
      'lowest-seat': 40,
      'four-stage': 3,
      'floor-transfer': 20,
      'five-stands': 12,
      'fan-reach': 2,
    };
    const ids =
      'chair-stand-30s five-stands step-2min up-and-go-8ft up-and-go-3m gait-4m four-stage one-leg reach-forward arm-curl sit-reach back-scratch knee-to-wall thigh-hold bridge-one-leg floor-transfer fan-reach lowest-seat heel-rise foot-feel stand-up-pressure'.split(
        ' ',
      );
    const each = new Set(['one-leg', 'knee-to-wall', 'bridge-one-leg', 'fan-reach']);
    const { status, body } = await send('POST', '/api/v1/score', {
      person: woman,
      results: ids.map((test) => ({ test, value: values[test] ?? 6, ...(each.has(test) ? { side: 'L' } : {}) })),
    });
    expect(status).toBe(200);
    const without = (body?.['results'] as { test: string; norm: unknown; notes: string[] }[]).filter((r) => !r.norm);
    expect(without.map((r) => r.test)).toEqual([
      'four-stage',
      'knee-to-wall',
      'thigh-hold',
      'bridge-one-leg',
      'floor-transfer',
      'fan-reach',
      'lowest-seat',
      'heel-rise',
      'foot-feel',
      'stand-up-pressure',
    ]);
    for (const result of without) expect(result.notes.join(' ')).toContain('no norm set');
  });
  test('with the norm table left open both are answered and the cautious one is gone by', async () => {
    const { body } = await send('POST', '/api/v1/score', {
      person: { ...woman, sex: null },
      results: [{ test: 'chair-stand-30s', value: 12 }],
    });
    const [result] = body?.['results'] as { norm: { sex: string }; norms: { female: object; male: object } }[];
    expect(result?.norm).toEqual(result?.norms.male);
    expect(result?.norm.sex).toBe('male');
  });
  test('age 95 is not covered: no row is stretched', async () => {
    const { body } = await send('POST', '/api/v1/score', {
      person: { ...woman, age: 95 },
      results: [{ test: 'chair-stand-30s', value: 8 }],
    });
    expect(body?.['results']).toMatchObject([{ norm: null, standard: null, error: null }]);
  });
  test('a birth date gives the age of the day of the test', async () => {
    const person = { birthDate: '1949-03-02', sex: 'female' };
    const at = async (testedOn: string) =>
      (await send('POST', '/api/v1/score', { person, testedOn, results: [] })).body?.['age'];
    expect([await at('2026-03-01'), await at('2026-03-02')]).toEqual([76, 77]);
  });
});

describe('POST /api/v1/load', () => {
  const chair = { task: 'squat', heightM: 1.68, massKg: 70, arms: 'crossed', seatHeightM: 0.45 };
  test('the first reference case: a chair of 45 cm, knee 0.826 and hip 0.713 N·m per kg', async () => {
    const { status, body } = await send('POST', '/api/v1/load', chair);
    expect(status).toBe(200);
    expect(body).toMatchObject({ status: 'ok', reasons: [] });
    expect((body?.['posture'] as { shankDeg: number }).shankDeg).toBeCloseTo(30, 9);
    const { knee, hip } = body?.['momentNmPerKg'] as { knee: number; hip: number };
    expect([knee.toFixed(3), hip.toFixed(3)]).toEqual(['0.826', '0.713']);
    expect(body?.['note']).toMatch(/Not a measurement/);
  });
  test('what is wrong is told field by field, with its code and what is allowed', async () => {
    const both = { ...chair, heightM: 3, loadKg: 4, support: { xFromToeM: 0.2, handHeightM: 0.9, hands: 2 } };
    const { status, body } = await send('POST', '/api/v1/load', both);
    expect(status).toBe(422);
    expect((body as unknown as Problem).errors).toEqual([
      { path: '/heightM', code: 'E_HEIGHT', message: 'Must be a number from 1.2 to 2.2.' },
      { path: '/loadAt', code: 'E_LOAD_HANDS_BUSY', message: expect.stringMatching(/shoulders/) as string },
    ]);
    expect((await send('POST', '/api/v1/load', [1])).status).toBe(422);
  });
});

describe('POST /api/v1/levels', () => {
  test('accepts the whole request and answers for the four ladders', async () => {
    const { status, body } = await send('POST', '/api/v1/levels', {
      person: woman,
      testedOn: '2026-03-02',
      results: [
        { test: 'chair-stand-30s', value: 9, seatHeightCm: 43.2 },
        { test: 'four-stage', value: 3, seconds: { sideBySide: 10, semiTandem: 10, tandem: 10, oneLeg: 3 } },
        { test: 'one-leg', side: 'L', value: 4.1, trials: [3, 4.1, 4], capS: 45 },
        { test: 'one-leg', side: 'R', value: 6 },
        { test: 'floor-transfer', outcome: 'not-tried', help: 'none' },
      ],
      readiness: 'ready',
      limiters: [{ kind: 'knee-pain', side: 'R', pain: 3, since: '2026-01-05', limitsLifted: false }],
      falls12m: 0,
      injuredInFall: false,
      walkingAid: 'none',
      floorSlides: true,
      numbFeet: false,
      sitsUnsupported: true,
      heelDownAtTarget: false,
      aidIndoors: false,
      sessionsLogged: 2,
      shown: [{ pattern: 'S', rung: 4 }],
      lastConfirmed: [{ pattern: 'S', rung: 4, support: 'h' }],
      kit: {
        chairs: [{ heightCm: 43, arms: false }],
        padsCm: [3, 5],
        raisedSurface: true,
        weightsKg: [1, 2],
        rail: true,
        mat: true,
        box: true,
      },
      style: 'hips-back',
      impactCleared: false,
    });
    expect(status).toBe(200);
    const { accessories } = body as { accessories: { pattern: string; code: string; offeredFor: string | null }[] };
    // Every ladder beside the four that is open, in the shape of a level; at most three are offered, each with why.
    expect(accessories.flatMap((a) => (a.offeredFor === null ? [] : [[a.pattern, a.offeredFor]]))).toEqual([
      ['W', 'two classes on S4 to S6'],
      ['A', 'not all four standing positions held'],
      ['Q', 'a sore knee'],
    ]);
    for (const one of accessories) expect(one.code.startsWith(one.pattern)).toBe(true);
    expect([...new Set(accessories.map((a) => a.pattern))].sort()).toEqual(['A', 'F', 'M', 'Q', 'U', 'W']);
    expect(body).toMatchObject({
      refused: null,
      levels: [
        {
          pattern: 'S',
          rung: 5,
          support: 'h',
          targetCm: 48,
          targetFrom: ['chair 43', 'pad 5'],
          loadKg: null,
          dose: '4x2',
          code: 'S5/48/h@4x2',
          missing: null,
        },
        { pattern: 'L', rung: 2, support: '2', targetCm: null, code: 'L2/2@3x2' },
        { pattern: 'H', rung: 4, support: 'f', code: 'H4/f@5x2' },
        { pattern: 'B', rung: 2, code: 'B2/0@5x2' },
      ],
    });
    const [level] = body?.['levels'] as {
      blockers: {
        rung: number;
        fact: string;
        have: unknown;
        measured: unknown;
        need: unknown;
        measuredNeeded: unknown;
      }[];
    }[];
    // Knee pain 3 closes the hold, and its stands are short by two as well: both are said.
    expect(level?.blockers.filter((b) => b.rung === 6).map((b) => b.fact)).toEqual([
      'limiter:knee-pain',
      'cleanStands',
    ]);
    expect(level?.blockers.find((b) => b.fact === 'cleanStands')).toMatchObject({
      rung: 6,
      fact: 'cleanStands',
      have: 8,
      measured: 9,
      need: 10,
      measuredNeeded: 11,
    });
  });
  test('not today: nothing, and why', async () => {
    const { body } = await send('POST', '/api/v1/levels', { person: woman, readiness: 'not-today' });
    expect(body).toMatchObject({ levels: [], refused: { because: 'not-today' } });
  });
  test('numbFeet true equals the limiter', async () => {
    const ask = async (more: object) =>
      (
        await send('POST', '/api/v1/levels', {
          person: woman,
          results: [{ test: 'chair-stand-30s', value: 9 }],
          ...more,
        })
      ).body;
    expect(await ask({ numbFeet: true })).toEqual(await ask({ limiters: [{ kind: 'numb-feet' }] }));
  });
});

describe('own exercises', () => {
  const shrug = {
    ...{ id: 'own-shrug-1', version: 1, aside: false, name: 'Slow shrug', does: 'Lift both shoulders and let go.' },
    ...{ pattern: 'M', beside: null, stance: 'seated', hands: '0', aSide: false, dose: 'reps', trains: '' },
    ...{ floor: false, slides: false, impact: false, weight: false, loads: {}, needs: [], places: [] },
    ...{ closedBy: [], checks: [] },
  };
  const file = (...exercises: object[]) => ({ format: 'own-exercises', formatVersion: 1, exercises });
  test('are taken in and given out as the same file; one fault and none is', async () => {
    const bad = await send(
      'POST',
      '/api/v1/exercises/import',
      file(shrug, { ...shrug, id: 'own-shrug-2', needs: [{}] }),
    );
    expect(bad.status).toBe(422);
    expect((bad.body as unknown as Problem).errors?.map((e) => e.path)).toEqual([
      '/exercises/1/needs/0/fact',
      '/exercises/1/needs/0/atLeast',
    ]);
    expect((await send('GET', '/api/v1/exercises')).body).toEqual(file());
    const newer = await send('POST', '/api/v1/exercises/import', { ...file(shrug), formatVersion: 2 });
    expect((newer.body as unknown as Problem).errors?.map((e) => e.path)).toEqual(['/formatVersion']);
    expect(await send('POST', '/api/v1/exercises/import', file(shrug))).toMatchObject({
      status: 201,
      body: { added: 1, changed: 0, known: 0 },
    });
    expect((await send('GET', '/api/v1/exercises')).body).toEqual(file(shrug));
  });
});

describe('what is wrong is said by name and place', () => {
  test('unknown fields and bad values, one error each', async () => {
    const { status, type, body } = await send('POST', '/api/v1/score', {
      person: { age: 7, sex: 'f', shoeSize: 41 },
      results: [
        { test: 'chair-stand-30s', value: 9.5 },
        { test: 'hop', value: 1 },
        { test: 'one-leg', side: 'L', value: 50, capS: 60 },
      ],
      colour: 'blue',
    });
    expect([status, type]).toEqual([422, 'application/problem+json']);
    const paths = (body as unknown as Problem).errors?.map((e) => e.path) ?? [];
    for (const path of [
      '/person/age',
      '/person/sex',
      '/person/shoeSize',
      '/results/0/value',
      '/results/1/test',
      '/results/2/capS',
      '/colour',
    ])
      expect(paths).toContain(path);
  });
  test.each([
    ['GET', '/api/v1/score', 405],
    ['DELETE', '/api/v1/levels', 405],
    ['POST', '/api/v1/attempts/abcdefgh', 405],
    ['GET', '/api/v1/nothing', 404],
    ['PATCH', '/api/elsewhere', 404],
  ])('%s %s is %i, as a problem', async (method, path, status) => {
    const answer = await send(method, path);
    expect([answer.status, answer.type, answer.body?.['status']]).toEqual([status, 'application/problem+json', status]);
    if (status === 405) expect(answer.headers.get('allow')).toBeTruthy();
  });
  test('not JSON is 400, another content type 415, over 5 MB 413', async () => {
    expect((await send('POST', '/api/v1/score', '{"person":')).status).toBe(400);
    expect((await send('POST', '/api/v1/score', 'a', { 'content-type': 'text/plain' })).status).toBe(415);
    expect((await send('POST', '/api/v1/score', `"${'x'.repeat(5_000_001)}"`)).status).toBe(413);
    expect((await send('POST', '/api/v1/score', [])).status).toBe(422);
  });
  test('no action of a screen answers a foreign host, a foreign page or other arguments than ours, by any path', async () => {
    const { node } = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
      node: Record<string, { exportedName: string }>;
    };
    const before = await send('GET', '/api/v1/people?limit=200');
    /** True where nothing was done: refused on the way in, or by the action itself, which then finds nothing here. */
    const refused = (path: string, id: string, body: string, more: Record<string, string>) =>
      new Promise<boolean>((answered, failed) => {
        const { port } = new URL(server.url);
        const headers = { 'next-action': id, 'content-type': 'text/plain;charset=UTF-8', ...more };
        const asked = httpRequest({ host: '127.0.0.1', port, path, method: 'POST', headers }, (answer) => {
          let text = '';
          answer.on('data', (part: Buffer) => (text += part.toString()));
          answer.on('end', () =>
            answered([403, 404, 405].includes(answer.statusCode ?? 0) || text.includes('NEXT_HTTP_ERROR_FALLBACK;404')),
          );
        });
        asked.on('error', failed);
        asked.end(body);
      });
    const own = { host: new URL(server.url).host };
    const foreign = { host: 'evil.test', origin: 'http://evil.test' };
    const ours = '["someone","someone","key-12345",null]';
    const garbage = ['[]', '[null,null,null,null]', '[{"a":1},7,[[]],{"evenSo":"yes"}]', '["x","x","x","x","x","x"]'];
    const paths = ['/iconx', '/api/x', '/people', '/'];
    expect(Object.keys(node).length).toBeGreaterThan(10);
    for (const [id, { exportedName }] of Object.entries(node))
      for (const path of paths) {
        expect([exportedName, path, await refused(path, id, ours, foreign)]).toEqual([exportedName, path, true]);
        for (const body of garbage)
          expect([exportedName, path, body, await refused(path, id, body, own)]).toEqual([
            exportedName,
            path,
            body,
            true,
          ]);
      }
    expect((await send('GET', '/api/v1/people?limit=200')).body).toEqual(before.body);
  });
  test('a foreign host or origin is refused', async () => {
    expect(
      (
        await send(
          'POST',
          '/api/v1/score',
          {},
          { 'content-type': 'application/json', origin: 'http://elsewhere.example' },
        )
      ).status,
    ).toBe(403);
    const { port } = new URL(server.url);
    const statusOf = (path: string) =>
      new Promise((answered) => {
        httpRequest({ port, host: '127.0.0.1', path, headers: { host: 'elsewhere.example' } }, (answer) =>
          answered(answer.statusCode),
        ).end();
      });
    expect([await statusOf('/api/health'), await statusOf('/people')]).toEqual([403, 403]);
  });
});

describe('PUT /api/v1/attempts', () => {
  const event = (seq: number, kind: string, atMs: number, more: object = {}) => ({
    seq,
    kind,
    atMs,
    wallMs: 1_772_000_000_000 + atMs,
    by: 'key',
    ...more,
  });
  const start = [event(0, 'start', 0), event(1, 'rep', 2000), event(2, 'rep', 4000)];
  const whole = [...start, event(3, 'end', 30_000), event(4, 'half-rep', 31_000, { counts: true })];
  const body = (events: object[], more: object = {}) => ({
    personId: 'person-a',
    test: 'chair-stand-30s',
    protocolVersion: 1,
    sittingDate: '2026-03-02',
    side: null,
    conditions: { seatHeightCm: 43 },
    events,
    ...more,
  });
  const put = (key: string, sent: object) => send('PUT', `/api/v1/attempts/${key}`, sent);
  beforeAll(() => {
    const db = new SQLite(file);
    for (const id of ['person-a', 'person-b'])
      db.prepare('insert into person (id, name, birth_date, added_at) values (?, ?, ?, ?)').run(
        id,
        id,
        '1950-05-06',
        '2026-03-01',
      );
    db.close();
  });
  test('201 at first, 200 after, with the derived result; sent twice it is there once', async () => {
    const first = await put('attempt-0001', body(start));
    expect([first.status, first.body]).toMatchObject([201, { result: { state: 'running', counted: 2 } }]);
    for (let times = 0; times < 2; times++)
      expect(await put('attempt-0001', body(whole))).toMatchObject({
        status: 200,
        body: { result: { state: 'finished', value: 3 } },
      });
    const db = new SQLite(file, { readonly: true });
    expect(db.prepare('select count(*) as n from attempt_event where client_key = ?').get('attempt-0001')).toEqual({
      n: 5,
    });
    db.close();
  });
  test('the same place with other content is 409 and both are kept', async () => {
    const other = [event(0, 'start', 0), event(1, 'rep', 2500)];
    expect((await put('attempt-0001', body(other))).status).toBe(409);
    const db = new SQLite(file, { readonly: true });
    expect(db.prepare('select count(*) as n from attempt_event_conflict').get()).toEqual({ n: 1 });
    db.close();
    expect((await put('attempt-0001', body(whole))).body).toMatchObject({ result: { value: 3 } });
  });
  test('a result moved to another person changes hands, and can be struck', async () => {
    const moved = [
      ...whole,
      event(5, 'move', 60_000, { toPersonId: 'person-b', reason: 'swapped chairs' }),
      event(6, 'strike', 61_000, { ofSeq: 2, reason: 'tapped twice' }),
    ];
    expect(await put('attempt-0001', body(moved))).toMatchObject({
      status: 200,
      body: { result: { movedTo: 'person-b', value: 2 } },
    });
    const db = new SQLite(file, { readonly: true });
    expect(db.prepare('select person_id from attempt').all()).toEqual([{ person_id: 'person-b' }]);
    db.close();
  });
  test('a day to come, nobody, an unknown event and a place named twice are refused, and nothing is kept', async () => {
    const bad = body([event(0, 'start', 0), event(0, 'rep', 1), event(1, 'leap', 2)], {
      sittingDate: '2026-03-03',
      personId: 'nobody',
    });
    const unknown = await put('attempt-0002', bad);
    expect(unknown.status).toBe(422);
    expect((unknown.body as unknown as Problem).errors?.map((e) => e.path)).toEqual(['/events/2/kind']);
    const fixed = await put(
      'attempt-0002',
      body([event(0, 'start', 0), event(0, 'rep', 1)], { sittingDate: '2026-03-03', personId: 'nobody' }),
    );
    expect((fixed.body as unknown as Problem).errors?.map((e) => e.path)).toEqual([
      '/personId',
      '/sittingDate',
      '/events/1/seq',
    ]);
    const db = new SQLite(file, { readonly: true });
    expect(db.prepare("select count(*) as n from attempt where client_key = 'attempt-0002'").get()).toEqual({ n: 0 });
    db.close();
  });
});

describe('what nobody means to send', () => {
  const seed = Date.now() % 1_000_000;
  test('a thousand requests with something wrong in them: each is answered as ours, none breaks the server', async () => {
    const chance = seeded(seed);
    for (let n = 0; n < 1000; n++) {
      const { method, path, sent } = mutated(n, seed, chance);
      const { status, headers, body: said } = await send(method, path, sent);
      expect(status, `seed ${seed}, request ${n}: ${sent.slice(0, 300)}`).toBeLessThan(500);
      expect(said, `seed ${seed}, request ${n}`).not.toBeNull();
      const errors = (said?.['errors'] ?? []) as readonly { message: string }[];
      expect(errors.length).toBeLessThanOrEqual(50);
      // Never an echo of what was sent.
      expect(errors.filter((e) => e.message.includes('x'.repeat(50)))).toEqual([]);
      expect([headers.get('cache-control'), headers.get('x-content-type-options')]).toEqual(['no-store', 'nosniff']);
    }
  });
  test('a path that is none, a body that is too much, a page of another site', async () => {
    for (const path of [
      '/api/v1/people/%ff',
      '/api/v1/attempts/%ff',
      '/api/station/%ff',
      '/api/v1/entries/%00abcdefgh',
    ])
      for (const method of ['GET', 'PUT']) {
        const answer = await fetch(server.url + path, {
          method,
          ...(method === 'PUT' ? { body: '{}', headers: { 'content-type': 'application/json' } } : {}),
        });
        expect([path, method, answer.status < 500]).toEqual([path, method, true]);
      }
    const many = `{"person": ${JSON.stringify(woman)}, "results": [${'{},'.repeat(1_500_000)}{}]}`;
    expect(await send('POST', '/api/v1/score', many)).toMatchObject({ status: 413 });
    const site = { 'content-type': 'application/json', 'sec-fetch-site': 'cross-site' };
    expect((await send('POST', '/api/v1/score', {}, site)).status).toBe(403);
  });
});
