import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { keepLine, keptLogs, sendLog, withLine, type NewLine } from './keepLog';

const line = (n: number): NewLine => ({ wallMs: 1000 + n, personId: 'p', content: { kind: 'seen', pattern: 'S' } });
let key = '';
let n = 0;
beforeEach(() => {
  vi.stubGlobal('document', { documentElement: { dataset: { register: 'reg-1' } } });
  key = `class-${++n}`;
});
afterEach(() => vi.unstubAllGlobals());
const answers = (status: number, body: object, register = 'reg-1') =>
  vi.fn(() => Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'register-id': register } })));

test('a line is kept before it is sent, in order, each page of a browser for itself', async () => {
  await keepLine(key, 'a', line(0));
  await keepLine(key, 'a', line(1));
  await keepLine(key, 'b', line(0));
  const logs = await keptLogs(key);
  expect(logs.map((l) => [l.writer, l.lines.map((x) => x.seq), l.sent, l.register])).toEqual([
    ...[['a', [0, 1], 0, 'reg-1'] as const, ['b', [0], 0, 'reg-1'] as const],
  ]);
});

test('what the register took is marked as sent, whole; what comes after it waits', async () => {
  const log = await keepLine(key, 'a', line(0));
  const taken = answers(201, { id: key, registerId: 'reg-1' });
  vi.stubGlobal('fetch', taken);
  expect(await sendLog(log)).toBe('sent');
  expect(taken.mock.calls[0]).toMatchObject([`/api/v1/classes/${key}/logs/a`, { method: 'PUT' }]);
  const more = await keepLine(key, 'a', line(1));
  expect([more.sent, more.lines.length]).toEqual([1, 2]);
});

test.each<[string, () => Promise<Response>]>([
  ['a server that does not answer', () => Promise.reject(new TypeError('failed to fetch'))],
  ['a log-in page that answers everything', answers(200, { welcome: true })],
  ['another register at this address', answers(200, { id: 'x', registerId: 'reg-2' }, 'reg-2')],
  ['a server that breaks', answers(500, { detail: 'no' })],
])('%s forgets nothing: it is sent later', async (_who, fetch) => {
  const log = await keepLine(key, 'a', line(0));
  vi.stubGlobal('fetch', fetch);
  expect(await sendLog(log)).toBe('later');
  expect((await keptLogs(key))[0]).toMatchObject({ sent: 0, lines: [{ seq: 0, ...line(0) }] });
});

test('what the register refuses is told in its words, and kept', async () => {
  const log = await keepLine(key, 'a', line(0));
  vi.stubGlobal('fetch', answers(409, { detail: 'This key was noted with other content.' }));
  expect(await sendLog(log)).toEqual({ refused: 'This key was noted with other content.' });
  expect((await keptLogs(key))[0]?.lines).toHaveLength(1);
});

test('two tabs that write in one log at once never share a number; what the register has is not numbered again', async () => {
  await Promise.all([0, 1, 2, 3].map((n) => keepLine(key, 'a', line(n))));
  expect((await keptLogs(key))[0]?.lines.map((l) => l.seq)).toEqual([0, 1, 2, 3]);
  expect((await keepLine(key, 'b', line(0), 7)).lines.map((l) => l.seq)).toEqual([7]);
  expect(withLine(undefined, key, 'c', line(0), 2)).toMatchObject({ lines: [{ seq: 2 }], sent: 0 });
});
