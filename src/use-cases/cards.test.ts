import { afterEach, beforeEach, expect, test } from 'vitest';
import { demoCopy } from '../demo/demoCopy';
import { homeChoices } from '../core/card/cards';
import { cardBodyOf, keepCard, readCards, readHandedCards, readStation, withNewer } from './cards';
import { confirmLevels } from './confirmLevels';
import { deskOf } from './desk';
import { noteToday } from './saveEntry';
import { sayLastWord } from './lastWord';
import type { Register } from './openRegister';
import { readEverybody, readPerson } from './readPeople';
import { waitingLevels } from '../core/level/standing';

const today = '2026-03-02';
let db: Register;
const desk = () => deskOf(db, today);
let id = '';
const view = async () => {
  const found = await readPerson(desk(), id);
  if (!found) throw new Error('nobody');
  return found;
};
beforeEach(async () => {
  db = await demoCopy(today);
  id = (await readEverybody(desk())).find((v) => v.person.name === 'Odile Brandvoll')?.person.id ?? '';
});
afterEach(() => db.destroy());
const confirm = async () =>
  confirmLevels(
    desk(),
    id,
    waitingLevels((await view()).standings).map((l) => l.code),
  );

test('the card holds what is in force in words, at most four; nobody is named in full, nothing of health stands on it', async () => {
  await confirm();
  const { cards, noHeight } = await readCards(desk(), await view(), 'my');
  expect(noHeight).toBe(false);
  expect(cards).toHaveLength(1);
  const [card] = cards;
  expect(card?.who).toBe('Odile B.');
  expect(card?.panels.map((p) => p.name)).toEqual([
    'Seat tap',
    'Slide back, two hands',
    'Free hinge',
    'Bridge on a raised surface',
  ]);
  expect(card?.panels[0]).toMatchObject({
    chair: ['48 cm (chair 43 cm + pad 5 cm), its back to the wall. Tie the pad.'],
    hands: 'Hands just above the rail. Do not touch unless you must.',
    tempo: 'Up: one, two. Down: one, two, three, four.',
    lookAfter: 'Knees point where the second toe points.',
  });
  // What may never stand on it; codes stand at its foot alone.
  const said = JSON.stringify(
    card?.panels.map(({ figure: _figure, code: _code, pattern: _pattern, ...words }) => words),
  );
  expect(said).not.toMatch(/percent|risk|\bkg of\b|pain|fall|knee to be|limiter|Brandvoll|S5\//i);
});

test('handed out it is kept once and stays as it was when a newer level is in force, which is said', async () => {
  await confirm();
  const now = await readCards(desk(), await view(), 'my');
  expect(await keepCard(desk(), id, { kind: 'my', fingerprint: 'of another moment' })).toEqual({ kind: 'changed' });
  expect(await keepCard(desk(), id, { kind: 'my', fingerprint: now.fingerprint })).toEqual({ kind: 'kept' });
  expect(await keepCard(desk(), id, { kind: 'my', fingerprint: now.fingerprint })).toEqual({ kind: 'kept' });
  const handed = await readHandedCards(desk(), id);
  expect(handed.map((h) => h.cards)).toEqual([now.cards]);
  expect(withNewer(handed, await view()).map((h) => h.newer)).toEqual([false]);
  const seen = (await view()).levels.levels.find((l) => l.pattern === 'S')?.code ?? '';
  const lower = { rung: 3, support: '2', heightCm: null, dose: null, loadKg: null, why: '', pattern: 'S', seen };
  await sayLastWord(desk(), id, { ...lower, word: 'not-this', rung: null, support: null }, 'card-word-1');
  expect((await readHandedCards(desk(), id)).map((h) => h.cards)).toEqual([now.cards]);
  expect(withNewer(await readHandedCards(desk(), id), await view()).map((h) => h.newer)).toEqual([true]);
  expect((await readCards(desk(), await view(), 'my')).cards[0]?.panels.map((p) => p.pattern)).toEqual(['L', 'H', 'B']);
});

test('home goes only what was seen clean in class, held, at most three; the others say why they stay', async () => {
  await confirm();
  expect((await readCards(desk(), await view(), 'home')).cards).toEqual([]);
  const shown = (pattern: string, rung: number) =>
    noteToday(desk(), id, { kind: 'shown', pattern, rung }, `shown-${pattern}${rung}`);
  expect(await shown('S', 4)).toMatchObject({ kind: 'created' });
  expect(await shown('H', 4)).toMatchObject({ kind: 'created' });
  const { cards, choices } = await readCards(desk(), await view(), 'home');
  expect(choices.flatMap((c) => (c.kind === 'stays' ? [`${c.pattern}: ${c.why}`] : []))).toEqual([
    'A: A1 was not yet seen clean in class',
  ]);
  expect(cards[0]?.panels.map((p) => [p.name, p.hands])).toEqual([
    ['Stand and sit, no hands', 'One hand on the counter beside you.'],
    ['Seated bow', 'Hands in the creases of your hips.'],
  ]);
});

test('who falls with a frame, has numb feet or nobody at home squeezes seated in place of heels and toes', async () => {
  const now = await view();
  const body = { ...cardBodyOf(now), ...{ walker: false, numbFeet: false, falls: 0, aloneAtHome: false } };
  const shown = [...(['A', 'B', 'H'] as const)].map((pattern) => ({ pattern, rung: 1 }));
  const goes = (more: Partial<typeof body>) =>
    homeChoices([], now.levels.levels, shown, { ...body, ...more }).flatMap((c) =>
      c.kind === 'goes' ? [c.level.pattern] : [c.pattern],
    );
  expect(goes({})).toEqual(['S', 'A', 'H']);
  for (const more of [{ aloneAtHome: true }, { numbFeet: true }, { walker: true, falls: 1 }])
    expect(goes(more)).toEqual(['S', 'B', 'H']);
  expect([{ walker: true }, { falls: 1 }].map(goes)).toEqual([goes({}), goes({})]);
  // Not asked yet of a walk-in: as if nobody were there.
  const { known } = now;
  expect(cardBodyOf({ known: { ...known, intake: { ...known.intake, toComplete: ['contacts'] } } }).aloneAtHome).toBe(
    true,
  );
});

test('the station card says where to stand and what to look at, and no word of health', async () => {
  await confirm();
  const panels = await readStation(desk(), await view());
  expect(panels.map((p) => p.name)).toHaveLength(4);
  expect(panels[1]?.stand).toMatch(/^Stay within arm’s reach/);
  expect(JSON.stringify(panels.map(({ figure: _figure, ...words }) => words))).not.toMatch(/sore|weaker|pain/i);
  expect(panels[0]?.look.map((l) => l.cue)).toContain('Sit like a feather.');
});

test('without a level in force there is no card', async () => {
  id = (await readEverybody(desk())).find((v) => v.person.name === 'Maud Jessop')?.person.id ?? '';
  expect((await readCards(desk(), await view(), 'my')).cards.map((c) => c.panels.length)).toEqual([]);
  expect(
    await keepCard(desk(), id, { kind: 'my', fingerprint: (await readCards(desk(), await view(), 'my')).fingerprint }),
  ).toEqual({ kind: 'changed' });
});
