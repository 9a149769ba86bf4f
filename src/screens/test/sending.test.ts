import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { AttemptEvent } from '../../core/shapes/attempt';
import {
  changeKept,
  forgetAttempt,
  forgetEntry,
  keepAttempt,
  keepEntry,
  keepEvent,
  keptAttempts,
  keptEntries,
  keptEvents,
  newClientKey,
  type KeptAttempt,
  type KeptEntry,
} from './attemptStore';
import { entriesToSend, sendAttempt, sendEntry, waitingToSend } from './sending';

const attempt = (more: Partial<KeptAttempt> = {}): KeptAttempt => ({
  ...{ clientKey: 'attempt-1', tab: 't', personId: 'ada', personName: 'Ada', test: 'chair-stand-30s' },
  ...{ protocolVersion: 1, sittingDate: '2026-03-02', side: null, conditions: {}, goWallMs: 0, beatWallMs: 0 },
  ...{ closed: true, acknowledged: 0, refused: null },
  ...more,
});
const entry: KeptEntry = {
  ...{ key: 'entry-1', personId: 'ada', personName: 'Ada', on: '2026-03-02', open: false, refused: null },
  content: { kind: 'pain', joint: 'knee', side: 'R', level: 4, since: null },
};
const event = (seq: number): AttemptEvent => ({ seq, atMs: seq * 1000, wallMs: seq * 1000, by: 'key', kind: 'rep' });
let sent: { url: string; body: { events?: AttemptEvent[] } }[];
/** What the server answers; `null` is no answer at all. */
function server(answer: { status: number; body?: unknown } | null, during?: () => Promise<void>): void {
  vi.stubGlobal('fetch', async (url: string, { body }: { body: string }) => {
    sent.push({ url, body: JSON.parse(body) as { events?: AttemptEvent[] } });
    await during?.();
    if (answer === null) throw new TypeError('Failed to fetch');
    return new Response(JSON.stringify(answer.body ?? {}), { status: answer.status });
  });
}

beforeEach(async () => {
  sent = [];
  await keepAttempt(attempt());
  for (const seq of [0, 1, 2]) await keepEvent('attempt-1', event(seq), true);
  await keepEntry(entry);
});
afterEach(async () => {
  vi.unstubAllGlobals();
  for (const { clientKey } of await keptAttempts()) await forgetAttempt(clientKey);
  await forgetEntry('entry-1');
});

describe('an attempt on its way to the server', () => {
  test('the whole list is sent, in order, and forgotten here only when the server has it', async () => {
    server({ status: 201 });
    expect(await sendAttempt(attempt())).toBe('sent');
    expect(sent[0]?.url).toBe('/api/v1/attempts/attempt-1');
    expect(sent[0]?.body.events?.map((e) => e.seq)).toEqual([0, 1, 2]);
    expect([await keptAttempts(), await keptEvents('attempt-1')]).toEqual([[], []]);
  });
  test.each([null, { status: 500 }, { status: 503 }])(
    '%j: it stays here whole and is sent again later',
    async (answer) => {
      server(answer);
      expect(await sendAttempt(attempt())).toBe('later');
      expect(await keptEvents('attempt-1')).toHaveLength(3);
      expect(await waitingToSend()).toHaveLength(1);
    },
  );
  test('refused, it stays here with the words of the refusal', async () => {
    server({ status: 409, body: { detail: 'Another browser sent other events.' } });
    expect(await sendAttempt(attempt())).toBe('refused');
    expect((await waitingToSend())[0]?.refused).toBe('Another browser sent other events.');
    expect(await keptEvents('attempt-1')).toHaveLength(3);
  });
  test('an event that came while the answer was on its way is not forgotten with the rest', async () => {
    server({ status: 200 }, () => keepEvent('attempt-1', event(3), true));
    expect(await sendAttempt(attempt())).toBe('sent');
    expect(await keptEvents('attempt-1')).toHaveLength(4);
    expect((await keptAttempts())[0]).toMatchObject({ acknowledged: 3 });
  });
  test('one that still runs is sent and kept', async () => {
    await changeKept('attempt-1', { closed: false });
    server({ status: 200 });
    expect(await sendAttempt(attempt({ closed: false }))).toBe('sent');
    expect(await keptEvents('attempt-1')).toHaveLength(3);
    expect(await waitingToSend()).toEqual([]);
  });
  test('without an event there is nothing to send', async () => {
    server({ status: 200 });
    expect(await sendAttempt(attempt({ clientKey: 'attempt-2' }))).toBe('later');
    expect(sent).toEqual([]);
  });
});

describe('a note on its way to the server', () => {
  test('taken, it is forgotten here; not answered, it stays', async () => {
    server(null);
    expect(await sendEntry(entry)).toBe('later');
    expect(await entriesToSend()).toEqual([entry]);
    server({ status: 201 });
    expect(await sendEntry(entry)).toBe('sent');
    expect(await keptEntries()).toEqual([]);
  });
  test('refused without words that can be read, it says what was answered', async () => {
    vi.stubGlobal('fetch', () => Promise.resolve(new Response('not JSON', { status: 422 })));
    expect(await sendEntry(entry)).toBe('refused');
    expect((await entriesToSend())[0]?.refused).toBe('answer 422');
  });
  test('one that is still being written is not sent', async () => {
    await keepEntry({ ...entry, open: true });
    expect(await entriesToSend()).toEqual([]);
  });
});

test('keys are 32 hexadecimal digits and never the same twice', () => {
  const keys = Array.from({ length: 1000 }, newClientKey);
  expect(keys.every((k) => /^[0-9a-f]{32}$/.test(k))).toBe(true);
  expect(new Set(keys).size).toBe(1000);
});

test('a heartbeat and an answer at the same moment do not undo each other', async () => {
  await Promise.all([changeKept('attempt-1', { beatWallMs: 77 }), changeKept('attempt-1', { acknowledged: 3 })]);
  expect((await keptAttempts())[0]).toMatchObject({ beatWallMs: 77, acknowledged: 3 });
});
