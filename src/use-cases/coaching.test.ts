import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { deviceCoaching } from '../schemas/coaching';
import { chooseForHall, readCoached, readStyleCosts } from './coaching';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { readEverybody, readPerson } from './readPeople';
import { noteToday } from './saveEntry';

const today = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, today);
beforeEach(async () => {
  db = await demoCopy(today);
});
afterEach(() => db.destroy());

test('the hall chooses one question at a time; what is no answer is named and nothing is kept', async () => {
  const lunge = async () => (await readCoached(desk(), {})).map((c) => `${c.option.id} ${c.from}`).slice(0, 2);
  expect(await chooseForHall(desk(), { question: 'lunge', option: 'hinged' })).toEqual({ kind: 'saved' });
  expect(await chooseForHall(desk(), { question: 'squat', option: 'hinged' })).toMatchObject({
    kind: 'rejected',
    errors: [{ path: '/option' }],
  });
  expect(await chooseForHall(desk(), { question: 'dance', option: 'hinged' })).toMatchObject({
    errors: [{ path: '/question' }],
  });
  expect(await lunge()).toEqual(['hips-back shipped', 'hinged hall']);
});

test('of a person it asks for a reason, holds over the hall, and its cost is of their own body', async () => {
  const view = (await readEverybody(desk())).find((v) => v.person.name === 'Odile Brandvoll');
  if (!view) throw new Error('the demo hall has no Odile');
  const { id } = view.person;
  const squat = async () => (await readCoached(desk(), {}, (await readPerson(desk(), id)) ?? view))[0];
  expect((await readCoached(desk(), {}, view))[1]?.proposed?.option.id).toBe('hinged');
  const upright = { kind: 'coaching', question: 'squat', option: 'upright', reason: 'her back asks for it' };
  expect(await noteToday(desk(), id, { ...upright, reason: '' }, 'coach-no-why')).toMatchObject({ kind: 'rejected' });
  expect(await noteToday(desk(), id, { ...upright, option: 'sideways' }, 'coach-no-style')).toMatchObject({
    kind: 'rejected',
    errors: [{ path: '/content/option' }],
  });
  expect(await squat()).toMatchObject({ from: 'shipped' });
  await noteToday(desk(), id, upright, 'coach-upright');
  expect(await squat()).toMatchObject({ from: 'person', option: { id: 'upright' }, reason: 'her back asks for it' });
  const costs = await readStyleCosts(desk(), view);
  expect(costs?.body.heightCm).toBe(160);
  expect(costs?.costs.map((c) => c.option)).toEqual(['hips-back', 'upright', 'square', 'upright', 'hinged']);
});

test('what a device keeps is read, and what cannot be read is nothing chosen', () => {
  expect(deviceCoaching('{"squat":"upright"}')).toEqual({ squat: 'upright' });
  for (const value of [undefined, '', '{', '{"squat":7}', '{"walk":"tall"}', '[]'])
    expect(deviceCoaching(value)).toEqual({});
});
