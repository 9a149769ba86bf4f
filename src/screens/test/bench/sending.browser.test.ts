import type { Unplaced } from '../../../core/measure/bench/bench';
import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import type { AttemptEvent } from '../../../core/shapes/attempt';
import {
  beat,
  changeKept,
  claim,
  forgetAttempt,
  forgetEntry,
  keepAttempt,
  keepEntry,
  keepBehind,
  keepEvent,
  keepMine,
  keptAttempts,
  keptEntries,
  keptEvents,
  newClientKey,
  type KeptAttempt,
  type KeptEntry,
} from './store';
import { firstMs, mostMs, Pauses } from './pauses';
import { askDay, askHall, entriesToSend, sendAttempt, sendDayNote, sendEntry, waitingToSend } from './sending';
import { keepDayNote, keptDayNotes, type KeptDayNote } from './store';

const attempt = (more: Partial<KeptAttempt> = {}): KeptAttempt => ({
  ...{
    clientKey: 'attempt-1',
    page: 'p',
    register: 'ours',
    personId: 'ada',
    personName: 'Ada',
    lane: 0,
    although: null,
    watchedBy: null,
    device: null,
  },
  ...{ test: 'chair-stand-30s', protocolVersion: 1, sittingDate: '2026-03-02', side: null, conditions: {} },
  ...{ goWallMs: 0, beatWallMs: 0, stopAskedWallMs: null, closed: true, acknowledged: 0, refused: null },
  ...more,
});
const entry: KeptEntry = {
  ...{ key: 'entry-1', personId: 'ada', personName: 'Ada', on: '2026-03-02', open: false, register: 'ours' },
  refused: null,
  content: { kind: 'pain', joint: 'knee', side: 'R', level: 4, since: null },
};
const rep = (n: number): Unplaced => ({ atMs: n * 1000, wallMs: n * 1000, by: 'key', kind: 'rep' });

interface Answer {
  readonly status: number;
  /** `undefined` is a page of HTML. */
  readonly body?: object | undefined;
  /** The register the answer names; `null` for an answer of somebody else. */
  readonly from?: string | null;
}
let sent: { url: string; register: string | null; body: { events?: AttemptEvent[] } }[];
/** What is answered; `null` is no answer at all. */
function server(answer: Answer | null, during?: () => Promise<unknown>): void {
  vi.stubGlobal('fetch', async (url: string, { body, headers }: { body: string; headers: Record<string, string> }) => {
    sent.push({
      url,
      register: headers['register-id'] ?? null,
      body: JSON.parse(body) as { events?: AttemptEvent[] },
    });
    await during?.();
    if (answer === null) throw new TypeError('Failed to fetch');
    const { status, body: said, from = 'ours' } = answer;
    return new Response(said ? JSON.stringify(said) : '<h1>Please log in</h1>', {
      status,
      headers: from === null ? {} : { 'register-id': from },
    });
  });
}
const taken = (more: object = {}): Answer => ({
  status: 200,
  body: { clientKey: 'attempt-1', id: 'entry-1', registerId: 'ours', ...more },
});

beforeEach(async () => {
  sent = [];
  await keepAttempt(attempt());
  for (const n of [0, 1, 2]) await keepEvent('attempt-1', rep(n), true);
  await keepEntry(entry);
});
afterEach(async () => {
  vi.unstubAllGlobals();
  for (const { clientKey } of await keptAttempts()) await forgetAttempt(clientKey);
  for (const { key } of await keptEntries()) await forgetEntry(key);
});

/** Status, who answered with what, and what becomes of the thing that waits. */
const table: [what: string, answer: Answer | null, becomes: 'sent' | 'later' | 'refused'][] = [
  ['taken the first time', { ...taken(), status: 201 }, 'sent'],
  ['known already', taken(), 'sent'],
  ['no answer', null, 'later'],
  ['a log-in page of the network', { status: 200, from: null }, 'later'],
  ['another program that likes everything', { status: 200, from: null, body: { ok: true } }, 'later'],
  ['ours, but of another key', taken({ clientKey: 'attempt-2', id: 'entry-2' }), 'later'],
  ['ours by the header, without a key', { status: 200, body: { registerId: 'ours' } }, 'later'],
  ['another register took it', { ...taken({ registerId: 'theirs' }), from: 'theirs' }, 'later'],
  ['another register by its body alone', taken({ registerId: 'theirs' }), 'later'],
  ['refused: other content', { status: 409, body: { detail: 'Known otherwise.' } }, 'refused'],
  ['refused: too large', { status: 413, body: { detail: 'At most 5 MB.' } }, 'refused'],
  ['refused: fields', { status: 422, body: { detail: 'One field.' } }, 'refused'],
  ['a 409 of another register', { status: 409, from: 'theirs', body: { detail: 'No.' } }, 'later'],
  ['a 422 of another program', { status: 422, from: null, body: { detail: 'No.' } }, 'later'],
  ['a 422 that is a page', { status: 422 }, 'later'],
  ['moved', { status: 302, from: null }, 'later'],
  ['log in first', { status: 401, from: null, body: { detail: 'Who are you?' } }, 'later'],
  ['forbidden', { status: 403, body: { detail: 'Not from here.' } }, 'later'],
  ['nothing at this path', { status: 404, from: null, body: { detail: 'Nothing here.' } }, 'later'],
  ['ours does not know the path', { status: 404, body: { detail: 'Nothing here.' } }, 'later'],
  ['meant for another register', { status: 421, body: { detail: 'Another register.' } }, 'later'],
  ['too many requests', { status: 429, body: { detail: 'Later.' } }, 'later'],
  ['a server in trouble', { status: 500, body: { detail: 'Broken.' } }, 'later'],
  ['a gateway without its server', { status: 503, from: null }, 'later'],
];

describe.each(table)('%s', (_what, answer, becomes) => {
  test(`an attempt: ${becomes}`, async () => {
    server(answer);
    expect(await sendAttempt(attempt())).toBe(becomes);
    expect(sent[0]).toMatchObject({ url: '/api/v1/attempts/attempt-1', register: 'ours' });
    expect(sent[0]?.body.events?.map((e) => e.seq)).toEqual([0, 1, 2]);
    expect(await keptEvents('attempt-1')).toHaveLength(becomes === 'sent' ? 0 : 3);
    expect((await waitingToSend()).map((a) => a.refused !== null)).toEqual(
      becomes === 'sent' ? [] : [becomes === 'refused'],
    );
  });
  test(`a note: ${becomes}`, async () => {
    server(answer);
    expect(await sendEntry(entry)).toBe(becomes);
    expect((await entriesToSend()).map((e) => e.refused !== null)).toEqual(
      becomes === 'sent' ? [] : [becomes === 'refused'],
    );
  });
});

describe('an attempt on its way to the server', () => {
  test('kept before registers had names, it takes the register of the first answer', async () => {
    await changeKept('attempt-1', { register: null, closed: false });
    server(taken());
    expect(await sendAttempt(attempt({ register: null, closed: false }))).toBe('sent');
    expect(sent[0]?.register).toBeNull();
    expect((await keptAttempts())[0]).toMatchObject({ register: 'ours', acknowledged: 3 });
  });
  test('refused, it stays here with the words of the refusal, field by field', async () => {
    const errors = [{ path: '/side', message: 'is needed: L or R' }];
    server({ status: 422, body: { detail: 'One field needs another look.', errors } });
    await sendAttempt(attempt());
    expect((await waitingToSend())[0]?.refused).toBe('side: is needed: L or R.');
  });
  test('an event that came while the answer was on its way is not forgotten with the rest', async () => {
    server(taken(), () => keepEvent('attempt-1', rep(3), true));
    expect(await sendAttempt(attempt())).toBe('sent');
    expect(await keptEvents('attempt-1')).toHaveLength(4);
    expect((await keptAttempts())[0]).toMatchObject({ acknowledged: 3 });
  });
  test('a correction after the end, with the answer at its heels, never stands alone', async () => {
    const events = await keptEvents('attempt-1');
    server(taken());
    await sendAttempt(attempt());
    expect(await keptEvents('attempt-1')).toEqual([]);
    const strike = { ...rep(9), kind: 'strike', ofSeq: 2, reason: 'was none' } as const;
    const placed = await keepBehind({ kept: attempt({ closed: false }), events }, true, strike, true);
    expect(placed?.seq).toBe(3);
    expect((await keptEvents('attempt-1')).map((e) => e.kind)).toEqual(['rep', 'rep', 'rep', 'strike']);
    expect(await keptAttempts()).toMatchObject([{ clientKey: 'attempt-1', closed: false }]);
  });
  test('taken over by another page, or finished and sent there, nothing is added to it here', async () => {
    const events = await keptEvents('attempt-1');
    const gap = { ...rep(9), kind: 'gap', lengthMs: 5000 } as const;
    await claim(attempt(), 'page-2');
    expect(await keepBehind({ kept: attempt(), events }, false, gap, true)).toBeNull();
    expect(await keepMine(attempt({ stopAskedWallMs: 5 }))).toBe(false);
    expect((await keptAttempts())[0]).toMatchObject({ page: 'page-2', stopAskedWallMs: null });
    await forgetAttempt('attempt-1');
    expect(await keepBehind({ kept: attempt(), events }, false, gap, true)).toBeNull();
    expect([await keptAttempts(), await keptEvents('attempt-1')]).toEqual([[], []]);
  });
  test('forgotten before anything was measured, it is there again with its first event', async () => {
    await forgetAttempt('attempt-1');
    const placed = await keepBehind({ kept: attempt({ closed: false }), events: [] }, false, rep(0), true);
    expect([placed?.seq, (await keptAttempts())[0]?.clientKey]).toEqual([0, 'attempt-1']);
  });
  test('one that still runs is sent and kept', async () => {
    await changeKept('attempt-1', { closed: false });
    server(taken());
    expect(await sendAttempt(attempt({ closed: false }))).toBe('sent');
    expect(await keptEvents('attempt-1')).toHaveLength(3);
    expect(await waitingToSend()).toEqual([]);
  });
  test('finished by its events it waits to be sent, also where the page died before it could be closed', async () => {
    await changeKept('attempt-1', { closed: false });
    expect(await waitingToSend()).toEqual([]);
    await keepEvent('attempt-1', { ...rep(5), kind: 'stop', reason: 'pain' }, true);
    expect(await waitingToSend()).toHaveLength(1);
    server(taken());
    await sendAttempt(attempt({ closed: false }));
    expect(await keptAttempts()).toEqual([]);
  });
  test('held by its page and taken whole, what the browser kept of it is forgotten too', async () => {
    const all = [...(await keptEvents('attempt-1')), { ...rep(9), seq: 3 } as AttemptEvent];
    server(taken());
    await sendAttempt(attempt(), { events: all });
    expect([await keptAttempts(), await keptEvents('attempt-1')]).toEqual([[], []]);
  });
  test('without an event there is nothing to send', async () => {
    server(taken());
    expect(await sendAttempt(attempt({ clientKey: 'attempt-2' }))).toBe('later');
    expect(sent).toEqual([]);
  });
  test('a page that goes away asks the browser to finish sending, but never more than it lets through', async () => {
    const asked: RequestInit[] = [];
    vi.stubGlobal('fetch', (_url: string, how: RequestInit) => {
      asked.push(how);
      return Promise.resolve(new Response('{}'));
    });
    await sendAttempt(attempt(), { leaving: true });
    const many = Array.from({ length: 2000 }, (_, seq): AttemptEvent => ({ ...rep(seq), seq }));
    await sendAttempt(attempt(), { leaving: true, events: many });
    expect(asked.map((how) => [how.keepalive === true, how.signal === undefined])).toEqual([
      [true, true],
      [false, false],
    ]);
  });
});

describe('a note', () => {
  test('one that is still being written, or of which nobody said whom it is about, is not sent', async () => {
    await keepEntry({ ...entry, open: true });
    expect(await entriesToSend()).toEqual([]);
    await keepEntry({ ...entry, personId: '', personName: '' });
    expect(await entriesToSend()).toEqual([]);
  });
});

describe('what this browser keeps', () => {
  test('keys are UUIDs of version 4 and never the same twice', () => {
    const keys = Array.from({ length: 1000 }, newClientKey);
    expect(keys.every((k) => /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/.test(k))).toBe(
      true,
    );
    expect(new Set(keys).size).toBe(1000);
  });
  test('a heartbeat and an answer at the same moment do not undo each other', async () => {
    await Promise.all([changeKept('attempt-1', { beatWallMs: 77 }), changeKept('attempt-1', { acknowledged: 3 })]);
    expect((await keptAttempts())[0]).toMatchObject({ beatWallMs: 77, acknowledged: 3 });
  });
  test('twenty presses at once, of two pages even, take twenty places: none is written over', async () => {
    const placed = await Promise.all(Array.from({ length: 20 }, (_, n) => keepEvent('attempt-1', rep(n), n % 2 === 0)));
    expect(placed.map((e) => e.seq)).toEqual(Array.from({ length: 20 }, (_, n) => n + 3));
    expect(await keptEvents('attempt-1')).toHaveLength(23);
  });
  test('of two pages that claim what nobody runs one gets it, and the heart of the other beats no more', async () => {
    const seen = attempt();
    expect(await Promise.all([claim(seen, 'page-1'), claim(seen, 'page-2')])).toEqual([true, false]);
    expect(await beat('attempt-1', 'page-1', 10, true)).toBe(true);
    expect(await beat('attempt-1', 'page-2', 20, false)).toBe(false);
    expect((await keptAttempts())[0]).toMatchObject({ page: 'page-1', beatWallMs: 10 });
  });
  test('a store that was closed under our hands is opened anew by the next deed', async () => {
    await new Promise<void>((closed) => {
      const asked = indexedDB.deleteDatabase('ready-stool');
      asked.onsuccess = () => closed();
    });
    await keepAttempt(attempt({ clientKey: 'attempt-9' }));
    expect((await keptAttempts()).map((a) => a.clientKey)).toEqual(['attempt-9']);
  });
  test('one whose heart beat since it was looked at is not claimed', async () => {
    await beat('attempt-1', 'p', 99, false);
    expect(await claim(attempt(), 'page-1')).toBe(false);
  });
});

describe('the pause before something is sent again', () => {
  test('grows twice as long each time, up to half a minute, for each thing by itself', () => {
    const pauses = new Pauses();
    const waits = Array.from({ length: 7 }, () => {
      pauses.notTaken('a', 0);
      return Array.from({ length: 40 }, (_, s) => s * 1000).find((ms) => pauses.isDue('a', ms));
    });
    expect(waits).toEqual([2000, 4000, 8000, 16_000, mostMs, mostMs, mostMs]);
    expect(pauses.isDue('b', 0)).toBe(true);
  });
  test('begins anew when it was taken, or when the network came back', () => {
    const pauses = new Pauses();
    for (const key of ['a', 'b']) for (let n = 0; n < 5; n++) pauses.notTaken(key, 0);
    pauses.done('a');
    expect([pauses.isDue('a', 1), pauses.isDue('b', 1)]).toEqual([true, false]);
    pauses.startAnew();
    expect(pauses.isDue('b', 1)).toBe(true);
    pauses.notTaken('b', 0);
    expect(pauses.isDue('b', firstMs)).toBe(true);
  });
});

test.each([
  [{ ok: true, registerId: 'ours', today: '2026-03-02' }, true],
  [{ ok: true }, false],
  [undefined, false],
])('%j at the place of the hall is the hall: %s', async (body, isHall) => {
  vi.stubGlobal('fetch', () => Promise.resolve(new Response(body ? JSON.stringify(body) : '<html>')));
  expect((await askHall()) !== null).toBe(isHall);
});

describe('a note of a testing day', () => {
  const note: KeptDayNote = {
    ...{ key: 'entry-1', day: '2026-03-02', wallMs: 5, register: 'ours', refused: null },
    event: { kind: 'hold' },
  };
  test('is forgotten here once the register has it, under its day and key', async () => {
    await keepDayNote(note);
    server(taken());
    expect(await sendDayNote(note)).toBe('sent');
    expect(sent.at(-1)).toMatchObject({ url: '/api/v1/days/2026-03-02/notes/entry-1', body: { wallMs: 5 } });
    expect(await keptDayNotes()).toEqual([]);
  });
  test('waits while nobody answers, or somebody else does; refused it says why and stays', async () => {
    await keepDayNote(note);
    for (const answer of [null, taken({ registerId: 'theirs' }), { ...taken(), from: 'theirs' }]) {
      server(answer);
      expect(await sendDayNote(note)).toBe('later');
    }
    server({ status: 422, body: { detail: 'One field needs another look.', errors: [] } });
    expect(await sendDayNote(note)).toBe('refused');
    expect((await keptDayNotes()).map((n) => n.refused !== null)).toEqual([true]);
  });
  test('a day that is asked for and not answered is none', async () => {
    server(null);
    expect(await askDay('2026-03-02', 'page')).toBeNull();
  });
});
