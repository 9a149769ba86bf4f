import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { deskOf } from './desk';
import { readHistory } from './history';
import { keepDecision } from './keepDecision';
import type { Register } from './openRegister';
import { readEverybody } from './readPeople';

const today = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, today);
beforeEach(async () => {
  db = await demoCopy(today);
});
afterEach(() => db.destroy());

const nothing = { rung: null, support: null, heightCm: null, dose: null, loadKg: null, why: '' };
async function odile() {
  const view = (await readEverybody(desk())).find((v) => v.person.name === 'Odile Brandvoll');
  const given = view?.levels.levels.find((l) => l.pattern === 'S');
  if (!view || !given) throw new Error('the demo hall has no Odile who squats');
  return { personId: view.person.id, seen: given.code };
}

test('a decision sent twice is kept once; the same key with other content is a conflict and changes nothing', async () => {
  const { personId, seen } = await odile();
  const sent = { ...nothing, personId, pattern: 'S', seen, word: 'not-this', why: 'a sore knee' };
  expect(await keepDecision(desk(), 'decided-1', sent)).toEqual({ kind: 'created' });
  expect(await keepDecision(desk(), 'decided-1', sent)).toEqual({ kind: 'known' });
  expect(await keepDecision(desk(), 'decided-1', { ...sent, word: 'as-it-is' })).toEqual({ kind: 'conflict' });
  const story = (await readHistory(desk(), personId)).find((one) => one.key === 'S')?.entries;
  expect(story?.at(-1)).toMatchObject({ step: 'left-out', level: { byHand: { why: 'a sore knee', from: seen } } });
  expect(story?.filter((e) => e.level.byHand?.word === 'not-this')).toHaveLength(1);
});

test('lower is told apart by what was chosen', async () => {
  const { personId, seen } = await odile();
  const lower = {
    personId,
    pattern: 'S',
    seen,
    word: 'lower',
    rung: 4,
    support: 'h',
    heightCm: 48,
    loadKg: null,
    why: '',
  };
  const sent = { ...lower, dose: '4x3' };
  expect(await keepDecision(desk(), 'decided-2', sent)).toEqual({ kind: 'created' });
  expect(await keepDecision(desk(), 'decided-2', sent)).toEqual({ kind: 'known' });
  expect(await keepDecision(desk(), 'decided-2', { ...sent, dose: '2x3' })).toEqual({ kind: 'conflict' });
});

test('what the rules no longer give, nobody, and what is no word are named at their place; nothing is kept', async () => {
  const { personId, seen } = await odile();
  const sent = { ...nothing, personId, pattern: 'S', seen, word: 'as-it-is' };
  const path = async (more: object) => {
    const said = await keepDecision(desk(), 'decided-3', { ...sent, ...more });
    return said.kind === 'rejected' ? said.errors.map((e) => e.path) : said.kind;
  };
  expect(await path({ seen: 'S9/40/0@8x3' })).toEqual(['/seen']);
  expect(await path({ personId: 'nobody' })).toEqual(['/personId']);
  expect(await path({ word: 'perhaps' })).toEqual(['/word']);
  expect(await path({ mood: 'good' })).toEqual(['/mood']);
  expect(await path({ word: 'higher', rung: 9, support: 'h', dose: '4x3', why: 'she wants to' })).toEqual(['/rung']);
  expect(await path({})).toEqual('created');
});
