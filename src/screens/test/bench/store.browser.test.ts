import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { expect, test, vi } from 'vitest';
import type { AttemptEvent } from '../../../core/shapes/attempt';
import {
  forgetAttempt,
  forgetDayNote,
  forgetEntry,
  keepDayNote,
  keepEntry,
  keepEvent,
  keptAttempts,
  keptDayNotes,
  keptEntries,
  keptEvents,
} from './store';

const { update: real } = IDBCursor.prototype as {
  update: (this: IDBCursor, value: unknown) => IDBRequest<IDBValidKey>;
};

test('what a browser kept before the words changed is there with the words of now, in its place', async () => {
  const before = await openDB('ready-stool', 2, {
    upgrade(db) {
      db.createObjectStore('attempts', { keyPath: 'clientKey' });
      db.createObjectStore('events', { keyPath: ['clientKey', 'seq'] });
      db.createObjectStore('entries', { keyPath: 'key' });
    },
  });
  const old = { clientKey: 'old-attempt', personId: 'ada', test: 'chair-stand-30s', protocolVersion: 1, closed: false };
  await before.put('attempts', old);
  await before.put('entries', { key: 'old-entry', personId: 'ada', on: '2026-02-23' });
  const stamp = { clientKey: 'old-attempt', atMs: 0, wallMs: 0 };
  const kinds = ['start', 'rep', 'gap', 'hold'];
  for (const [seq, kind] of kinds.entries())
    await before.put('events', { ...stamp, seq, kind, by: kind === 'gap' ? 'device' : 'key', lengthMs: 900 });
  before.close();
  const said = (events: readonly AttemptEvent[]) => events.map((e) => [e.seq, e.kind, e.by]);
  expect(said(await keptEvents('old-attempt'))).toEqual([
    [0, 'start', 'key'],
    [1, 'rep', 'key'],
    [2, 'gap', 'page'],
    [3, 'halt', 'key'],
  ]);
  // Rows of that time name neither page nor register.
  expect(await keptAttempts()).toMatchObject([{ clientKey: 'old-attempt', page: '', register: null }]);
  expect(await keptEntries()).toMatchObject([{ key: 'old-entry', register: null }]);
  const placed = await keepEvent('old-attempt', { kind: 'note', text: 'later', atMs: 1, wallMs: 1, by: 'hand' }, false);
  expect(placed.seq).toBe(4);
});

test('notes of a testing day are there in the order in which they were made, until each is forgotten', async () => {
  const note = (key: string, wallMs: number) => ({
    ...{ key, wallMs, day: '2026-03-02', register: 'ours', refused: null },
    event: { kind: 'left', personId: 'ada', why: key } as const,
  });
  for (const [key, at] of [
    ['b-note', 20],
    ['a-note', 30],
    ['c-note', 10],
  ] as const)
    await keepDayNote(note(key, at));
  expect((await keptDayNotes()).map((n) => n.key)).toEqual(['c-note', 'b-note', 'a-note']);
  await forgetDayNote('b-note');
  expect((await keptDayNotes()).map((n) => n.key)).toEqual(['c-note', 'a-note']);
  for (const key of ['a-note', 'c-note']) await forgetDayNote(key);
});

test('what is deleted is overwritten first, as long as it was: a browser may keep the old bytes for a while', async () => {
  const written: unknown[] = [];
  const update = vi.spyOn(IDBCursor.prototype, 'update').mockImplementation(function (this: IDBCursor, value: unknown) {
    written.push(value);
    return real.call(this, value);
  });
  const name = 'Odile Overwritten';
  await keepEntry({
    ...{
      key: 'entry-1',
      personId: 'odile',
      personName: name,
      on: '2026-03-02',
      register: null,
      open: false,
      refused: null,
    },
    content: { kind: 'consent', to: 'notes', given: true },
  });
  await forgetEntry('entry-1');
  await forgetAttempt('old-attempt');
  expect(await keptEntries()).not.toContainEqual(expect.objectContaining({ key: 'entry-1' }));
  expect([await keptEvents('old-attempt'), await keptAttempts()]).toEqual([[], []]);
  expect(written).toContainEqual(expect.objectContaining({ key: 'entry-1', personName: '-'.repeat(name.length + 2) }));
  // The entry, the attempt and its five events, and no word of theirs in what was left of them.
  expect(written).toHaveLength(7);
  expect(JSON.stringify(written)).not.toMatch(/Odile|odile|ada|rep|notes/);
  update.mockRestore();
});
