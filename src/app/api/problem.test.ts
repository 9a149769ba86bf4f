import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { storageFaults } from '../../database/faults';
import { cannotKeep, mostBytes, readJson } from './problem';

beforeEach(() => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
});
afterEach(() => {
  vi.useRealTimers();
});

/** A request whose body comes in these parts, and then falls silent where it does not end. */
function request(parts: readonly string[], ends = true): Request {
  const body = new ReadableStream<Uint8Array>({
    start(to) {
      for (const part of parts) to.enqueue(new TextEncoder().encode(part));
      if (ends) to.close();
    },
  });
  const more = { duplex: 'half' } as RequestInit;
  return new Request('http://127.0.0.1/api', {
    ...more,
    ...{ method: 'POST', headers: { 'content-type': 'application/json' }, body },
  });
}
const statusOf = async (read: ReturnType<typeof readJson>) => {
  const found = await read;
  return 'problem' in found ? found.problem.status : found.json;
};

test('a body in parts is one text', async () => {
  expect(await statusOf(readJson(request(['{"a":', '[1,2]}'])))).toEqual({ a: [1, 2] });
});
test('a body that falls silent is given up after thirty seconds, not before', async () => {
  let said: unknown;
  const read = statusOf(readJson(request(['{"a":'], false))).then((status) => (said = status));
  await vi.advanceTimersByTimeAsync(29_000);
  expect(said).toBeUndefined();
  await vi.advanceTimersByTimeAsync(1_000);
  await read;
  expect(said).toBe(408);
});
test.each([
  ['too many bytes', 'x'.repeat(mostBytes + 1), 413],
  ['1,600,000 empty objects', `[${'{},'.repeat(1_600_000)}{}]`, 413],
  ['half a million lists inside each other', `${'['.repeat(500_000)}${']'.repeat(500_000)}`, 413],
  ['no JSON', '{"a"', 400],
])('%s: %d', async (_what, body, status) => {
  expect(await statusOf(readJson(request([body])))).toBe(status);
});

test.each(storageFaults)(
  'a file that is %s is told as a problem with what to do, and what was asked beside it',
  async (fault) => {
    const answer = cannotKeep(fault, { registerId: 'r1', today: '2026-03-02' });
    expect(answer.status).toBe({ busy: 503, full: 507, unwritable: 507, damaged: 500 }[fault]);
    expect(answer.headers.get('content-type')).toBe('application/problem+json');
    const body = (await answer.json()) as Record<string, string>;
    expect(body).toMatchObject({ status: answer.status, registerId: 'r1', today: '2026-03-02' });
    expect(body['detail']).toMatch(/try again|save again|is sent once it can|are sent once it can|npm run restore/);
  },
);
