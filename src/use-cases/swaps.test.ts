import { afterEach, beforeEach, expect, test } from 'vitest';
import { ofKind } from '../core/intake/entries';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { readEverybody, readPerson } from './readPeople';
import { keepSwap, readSwaps } from './swaps';

const today = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, today);
beforeEach(async () => {
  db = await demoCopy(today);
});
afterEach(() => db.destroy());

async function odile() {
  const view = (await readEverybody(desk())).find((v) => v.person.name === 'Odile Brandvoll');
  if (!view) throw new Error('the demo hall has no Odile');
  return view;
}
const form = {
  ...{ pattern: 'S', rung: 5, joint: 'hip', side: null, grade: '3-4', sharp: null, where: null, sign: false },
  ...{ instead: null, changes: [], pain: null },
};
const entriesOf = async (id: string) => (await readPerson(desk(), id))?.known.entries ?? [];

test('what is chosen is kept as an entry once, and the second time that day nothing is offered for that joint', async () => {
  const view = await odile();
  const { id } = view.person;
  const swaps = await readSwaps(desk(), view, 'S', 5);
  if (swaps.kind !== 'swaps') throw new Error(swaps.why.join());
  const answer = swaps.answers.hip['3-4'];
  if (answer.kind !== 'offers') throw new Error(answer.why);
  const [first] = answer.offers;
  const chosen = { ...form, instead: first?.level.code, changes: first?.changes };
  expect(await keepSwap(desk(), id, chosen, 'swap-one-1')).toEqual({ kind: 'kept' });
  expect(await keepSwap(desk(), id, chosen, 'swap-one-1')).toEqual({ kind: 'kept' });
  const kept = ofKind(await entriesOf(id), 'swap');
  expect(kept.map((e) => [e.content.joint, e.content.instead, e.content.changes])).toEqual([
    ['hip', first?.level.code, first?.changes],
  ]);
  const again = await readSwaps(desk(), (await readPerson(desk(), id)) ?? view, 'S', 5);
  expect(again).toMatchObject({ swappedToday: ['hip'], answers: { hip: { '0-2': { why: 'again' } } } });
  expect(await keepSwap(desk(), id, chosen, 'swap-two-2')).toMatchObject({
    kind: 'invalid',
    errors: [{ path: '/instead' }],
  });
});

test('nothing offered is kept with the pain in one go, and readiness and levels follow; without a number nothing is', async () => {
  const view = await odile();
  const { id } = view.person;
  const much = { ...form, joint: 'knee', side: 'R', grade: '5+' };
  expect(await keepSwap(desk(), id, much, 'swap-much-1')).toMatchObject({ errors: [{ path: '/pain' }] });
  expect(ofKind(await entriesOf(id), 'swap')).toEqual([]);
  expect(await keepSwap(desk(), id, { ...much, pain: 7 }, 'swap-much-2')).toEqual({ kind: 'kept' });
  const then = await readPerson(desk(), id);
  expect(ofKind(then?.known.entries ?? [], 'pain').at(-1)?.content).toMatchObject({ joint: 'knee', level: 7 });
  expect(ofKind(then?.known.entries ?? [], 'swap').at(-1)?.content).toMatchObject({ instead: null, grade: '5+' });
  expect(then?.levels.levels.find((l) => l.pattern === 'S')?.rung ?? 0).toBeLessThan(5);
});

test('a movement that is closed, or none, is named with why; what was never offered is not kept', async () => {
  const view = await odile();
  const { id } = view.person;
  expect(await readSwaps(desk(), view, 'S', 9)).toMatchObject({ kind: 'closed' });
  expect(await readSwaps(desk(), view, 'Q', 7)).toEqual({ kind: 'closed', why: ['there is no such movement'] });
  const closed = await keepSwap(desk(), id, { ...form, rung: 9, instead: 'S2/48/2@2x3' }, 'swap-nine-1');
  if (closed.kind !== 'invalid') throw new Error(closed.kind);
  expect(closed.errors[0]?.message).toMatch(/^S9 is closed to them: .*knee pain/);
  expect(await keepSwap(desk(), id, { ...form, instead: 'L8/0@5x3' }, 'swap-never-1')).toMatchObject({
    errors: [{ path: '/instead' }],
  });
  expect(await keepSwap(desk(), id, { ...form, joint: 'ear' }, 'swap-ear-1')).toMatchObject({
    errors: [{ path: '/joint' }],
  });
  expect(await keepSwap(desk(), 'nobody', { ...form, instead: 'S1' }, 'swap-no-1')).toEqual({ kind: 'not-found' });
  expect(ofKind(await entriesOf(id), 'swap')).toEqual([]);
});
