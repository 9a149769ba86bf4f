import { afterEach, beforeEach, describe, expect, test } from 'vitest';
import { classTemplates } from '../catalogue/classes';
import { isOver, waitingLevels } from '../core/level/standing';
import { addDays } from '../core/math/days';
import type { ClassLine, ClassLogContent } from '../core/shapes/classLog';
import { askedOf } from '../core/train/lay';
import { isVariant } from '../core/train/variant';
import { demoCopy } from '../demo/demoCopy';
import { makePlan, proposeClass, readClass, saveClass } from './classes';
import { dropTemplate, keepTemplate, readTemplates } from './classTemplates';
import { erasePeople } from '../database/erase';
import { sayLastWord } from './lastWord';
import { closeForgotten, correctLine, saveClassLog } from './classLog';
import { confirmProposals, readProposals, takeBackProposals } from './proposals';
import { confirmLevels } from './confirmLevels';
import { deskOf } from './desk';
import type { Register } from './openRegister';
import { readEverybody, readPerson } from './readPeople';
import { swapsInClass } from './swaps';

const first = '2026-03-02';
let db: Register;
let ids = { odile: '', bertil: '', agnes: '' };
const desk = (day = first) => deskOf(db, day, new Date(`${day}T11:00:00Z`));
const personOf = async (id: string, day = first) => {
  const found = await readPerson(desk(day), id);
  if (!found) throw new Error(id);
  return found;
};
beforeEach(async () => {
  db = await demoCopy(first);
  const all = await readEverybody(desk());
  const of = (name: string) => all.find((v) => v.person.name === name)?.person.id ?? '';
  ids = { odile: of('Odile Brandvoll'), bertil: of('Bertil Kvarnholm'), agnes: of('Agnes Tverrå') };
  for (const id of Object.values(ids)) {
    const codes = waitingLevels((await personOf(id)).standings).map((l) => l.code);
    if (codes.length > 0) await confirmLevels(desk(), id, codes);
  }
});
afterEach(() => db.destroy());

const template = classTemplates.find((t) => t.id === 'intervals');
const body = (day: string, people: readonly string[] = Object.values(ids)) => ({
  ...{ day, groupId: null, template: 'intervals', minutes: 45, leader: 'Kaja', helpers: [], people: [...people] },
  blocks: template ? askedOf(template) : [],
});
const logOf = (
  contents: readonly (readonly [string | null, ClassLogContent])[],
  day: string,
): { lines: ClassLine[] } => ({
  lines: contents.map(([personId, content], seq) => ({
    ...{ seq, wallMs: Date.parse(`${day}T10:00:00Z`) + seq * 1000, personId, content },
  })),
});
/** A class on a day in which these things were different, with both questions asked, and closed. */
async function held(
  day: string,
  different: readonly (readonly [string | null, ClassLogContent])[],
  key = `class-${day}`,
) {
  expect(await saveClass(desk(day), key, body(day))).toEqual({ kind: 'created' });
  const lines = logOf(
    [
      [null, { kind: 'start' }],
      ...different,
      [null, { kind: 'asked', what: 'pain' }],
      [null, { kind: 'asked', what: 'effort' }],
      [null, { kind: 'close', late: false }],
    ],
    day,
  );
  expect(await saveClassLog(desk(day), key, 'tablet-1', lines)).toEqual({ kind: 'created' });
  return key;
}
const seen = (id: string, pattern: 'S' | 'H' | 'L'): readonly [string, ClassLogContent] => [
  id,
  { kind: 'seen', pattern },
];

describe('a plan', () => {
  test('is the whole class: everybody’s variant, what to carry, who has nothing to train on, short names', async () => {
    const { plan, carry, untested, minutesPlanned, heldAlready } = await makePlan(desk(), body(first));
    expect(minutesPlanned).toBeCloseTo(38, 1);
    expect([plan.title, untested, heldAlready]).toEqual(['Intervals 30/15 by three', [], false]);
    expect(plan.who.map((w) => w.short)).toEqual(['Odile B.', 'Bertil K.', 'Agnes T.']);
    const squat = plan.doing.find((d) => d.block === 's')?.parts[0]?.filter(isVariant) ?? [];
    expect(squat.map((v) => [v.shelf, `${v.pattern}${v.rung}`, v.folded])).toEqual([
      ...[['B', 'S5', null] as const, ['B', 'S5', 'rung'] as const, ['A', 'S2', null] as const],
    ]);
    expect(carry.find((c) => c.what === 'firm chairs')?.need).toBeGreaterThanOrEqual(2);
  });
  test('of nobody stands empty and is proposed all the same', async () => {
    const asked = await proposeClass(desk(), null);
    const { plan, untested } = await makePlan(desk(), { ...asked, people: [] });
    expect([plan.who, untested, plan.doing.every((d) => d.parts.every((p) => p.length === 0))]).toEqual([[], [], true]);
  });
  test('is kept once under its key, may be planned anew until it begins, and no more after that', async () => {
    expect(await saveClass(desk(), 'class-plan-1', body(first))).toEqual({ kind: 'created' });
    expect(await saveClass(desk(), 'class-plan-1', body(first))).toEqual({ kind: 'known' });
    const shorter = { ...body(first), blocks: body(first).blocks.filter((b) => b.of !== 'intervals/a') };
    expect(await saveClass(desk(), 'class-plan-1', shorter)).toEqual({ kind: 'created' });
    await saveClassLog(desk(), 'class-plan-1', 'tablet-1', logOf([[null, { kind: 'start' }]], first));
    expect(await saveClass(desk(), 'class-plan-1', body(first))).toEqual({ kind: 'conflict' });
    expect((await readClass(desk(), 'class-plan-1'))?.plan.laid.map((b) => b.id)).not.toContain('a');
  });
  test('that cannot stand says what and where: no people, a block of no class, two of one id', async () => {
    const faults = async (more: object) => {
      const said = await saveClass(desk(), 'class-plan-2', { ...body(first), ...more });
      return said.kind === 'rejected' ? said.errors.map((e) => [e.path, e.message]) : said;
    };
    expect(await faults({ people: [] })).toEqual([['/people', 'Somebody has to come: choose a group, or add people.']]);
    expect(((await faults({ blocks: [{ id: 'x', of: 'intervals/zz', more: 0 }] })) as string[][])[0]?.[0]).toBe(
      '/blocks/0/of',
    );
    const twice = [body(first).blocks[0], body(first).blocks[0]];
    expect(await faults({ blocks: twice })).toEqual([['/blocks', 'each block needs an id of its own']]);
    expect(await readClass(desk(), 'class-plan-2')).toBeUndefined();
  });
});

describe('a log', () => {
  test('is sent whole again and again and kept once; another line under a number is refused and nothing is changed', async () => {
    await saveClass(desk(), 'class-log-1', body(first));
    const one = logOf([[null, { kind: 'start' }]], first);
    const two = logOf([[null, { kind: 'start' }], seen(ids.odile, 'S')], first);
    expect(await saveClassLog(desk(), 'class-log-1', 'a', one)).toEqual({ kind: 'created' });
    expect(await saveClassLog(desk(), 'class-log-1', 'a', one)).toEqual({ kind: 'known' });
    expect(await saveClassLog(desk(), 'class-log-1', 'a', two)).toEqual({ kind: 'created' });
    const other = logOf([[null, { kind: 'start' }], seen(ids.bertil, 'S')], first);
    expect(await saveClassLog(desk(), 'class-log-1', 'a', other)).toEqual({ kind: 'conflict' });
    // Another tablet has numbers of its own: both lines stay.
    expect(await saveClassLog(desk(), 'class-log-1', 'b', other)).toEqual({ kind: 'created' });
    const lines = (await readClass(desk(), 'class-log-1'))?.lines ?? [];
    expect(lines.map((l) => `${l.writer}${l.seq}`)).toEqual(['a0', 'a1', 'b0', 'b1']);
  });
  test('of a class that is not there, of nobody, or with a line that is none, is refused by name', async () => {
    await saveClass(desk(), 'class-log-2', body(first));
    const said = async (key: string, lines: object) => {
      const answer = await saveClassLog(desk(), key, 'a', lines);
      return answer.kind === 'rejected' ? answer.errors[0]?.path : answer.kind;
    };
    expect(await said('class-none', logOf([[null, { kind: 'start' }]], first))).toBe('');
    expect(await said('class-log-2', logOf([seen('nobody', 'S')], first))).toBe('/lines/0/personId');
    const bad = { lines: [{ seq: 0, wallMs: 1, personId: ids.odile, content: { kind: 'fewer', pattern: 'S' } }] };
    expect(await said('class-log-2', bad)).toBe('/lines/0/content/half');
    expect((await readClass(desk(), 'class-log-2'))?.lines).toEqual([]);
  });
  test('closing counts who was there, notes pains with their day, and is done once', async () => {
    const before = (await personOf(ids.odile)).known.pains.length;
    const sore: ClassLogContent = { kind: 'pain', pattern: 'S', joint: 'knee', side: 'R', level: 4, sharp: false };
    await held(first, [
      [ids.bertil, { kind: 'absent' }],
      [ids.odile, sore],
    ]);
    const { facts: odile } = await factsOf(ids.odile);
    const { facts: bertil } = await factsOf(ids.bertil);
    expect([
      odile.sessionsLogged - (await sessionsBefore(ids.odile)),
      bertil.sessionsLogged - (await sessionsBefore(ids.bertil)),
    ]).toEqual([1, 0]);
    expect((await personOf(ids.odile)).known.pains.length).toBeGreaterThanOrEqual(before);
    expect((await personOf(ids.odile)).known.pains).toContainEqual(
      expect.objectContaining({ joint: 'knee', level: 4 }),
    );
  });
});

const factsOf = async (id: string, day = first) => {
  const { peopleInClass } = await import('./classes');
  const [one] = (await peopleInClass(desk(day), [id])).people;
  if (!one) throw new Error(id);
  return one;
};
const sessionsBefore = async (id: string) => (await personOf(id)).known.intake.classesSoFar;

describe('what follows', () => {
  test('silence moves the dose only: a step at once, listed, and one key takes it back', async () => {
    const was = (await personOf(ids.odile)).decided.findLast((d) => d.level.pattern === 'H')?.level;
    const key = await held(first, []);
    const of = async () =>
      (await readProposals(desk(), key)).find((p) => p.personId === ids.odile && p.proposal.pattern === 'H');
    expect(await of()).toMatchObject({ state: 'holds', proposal: { row: 'P7', kind: 'dose-up' } });
    const now = (await personOf(ids.odile)).decided.findLast((d) => d.level.pattern === 'H');
    expect([now?.kind, now?.level.rung, now?.level.code === was?.code]).toEqual(['class', was?.rung, false]);
    await takeBackProposals(desk(), key, [(await of())?.seq ?? -1]);
    expect((await of())?.state).toBe('taken-back');
    expect((await personOf(ids.odile)).decided.findLast((d) => d.level.pattern === 'H')?.level.code).toBe(was?.code);
  });
  test('less than half of it done is one dial back and half the dose, at once; of no other pattern', async () => {
    const key = await held(first, [[ids.odile, { kind: 'fewer', pattern: 'H', half: 'less' }]]);
    const mine = (await readProposals(desk(), key)).filter((p) => p.personId === ids.odile);
    expect(mine.find((p) => p.proposal.pattern === 'H')).toMatchObject({
      state: 'holds',
      proposal: { row: 'P2', kind: 'back' },
    });
    expect(mine.filter((p) => p.proposal.kind === 'back')).toHaveLength(1);
  });
  test('another movement because it hurt is an entry and counts neither way; twice running it is a down-sign', async () => {
    const found = await swapsInClass(desk(), ids.odile, 'H', 4);
    const [offer] = found?.offers.back?.['0-2'] ?? [];
    expect(offer).toBeDefined();
    const swap = (code: string): readonly [string, ClassLogContent] => [
      ids.odile,
      {
        ...{ kind: 'swap', pattern: 'H', code, forPain: true, changes: offer?.changes ?? [] },
        hurt: { joint: 'back', side: null, grade: '0-2' },
      },
    ];
    const ofH = async (key: string, day: string) =>
      (await readProposals(desk(day), key)).filter((p) => p.personId === ids.odile && p.proposal.pattern === 'H');
    const first1 = await held(first, [swap(offer?.code ?? '')]);
    expect(await ofH(first1, first)).toEqual([]);
    expect((await personOf(ids.odile)).known.entries.at(-1)?.content).toMatchObject({
      ...{ kind: 'swap', pattern: 'H', rung: 4, joint: 'back', grade: '0-2', instead: offer?.code },
    });
    const week = addDays(first, 7);
    const again = await held(week, [swap('')]);
    expect(await ofH(again, week)).toMatchObject([{ proposal: { row: 'P2', kind: 'back' }, state: 'holds' }]);
  });
  test('a sign of health in class: nothing follows for this person, in any pattern', async () => {
    const key = await held(first, [[ids.odile, { kind: 'stop', pattern: 'S', why: 'body', set: 'first' }]]);
    const all = await readProposals(desk(), key);
    expect(all.filter((p) => p.personId === ids.odile)).toEqual([]);
    expect(all.some((p) => p.personId === ids.bertil)).toBe(true);
  });
  test('clean and seen twice shows the rung; one dial is proposed, none goes up without a yes', async () => {
    const days = Array.from({ length: 8 }, (_, i) => addDays(first, 7 * i));
    let key = '';
    for (const day of days) key = await held(day, [seen(ids.odile, 'H'), seen(ids.odile, 'S'), seen(ids.odile, 'L')]);
    const last = days.at(-1) ?? first;
    const { known } = await personOf(ids.odile, last);
    const shown = known.entries.flatMap((e) =>
      e.content.kind === 'shown' ? [`${e.content.pattern}${e.content.rung}`] : [],
    );
    expect(shown).toContain('H4');
    // With the squat the seat it was done on, which the next seat is measured from.
    const seat = known.entries.flatMap((e) => (e.content.kind === 'shown' ? (e.content.seatCm ?? []) : []));
    expect(seat).toContain(48);
    expect((await factsOf(ids.odile, last)).facts.shownSeatCm).toBe(Math.min(...seat));
    const all = (await readProposals(desk(last), key)).filter((p) => p.personId === ids.odile);
    expect(all.filter((p) => p.state === 'waits').length).toBeLessThanOrEqual(1);
    for (const { proposal } of all)
      if (proposal.kind !== 'up')
        expect(proposal.to?.rung ?? proposal.from.rung).toBeLessThanOrEqual(proposal.from.rung);
    // S: the sore knee closes the next rung; of L and H more of the movement is next, one a class; B was never looked at.
    expect(all.map((p) => `${p.proposal.pattern} ${p.proposal.row}`)).toEqual(['S P11', 'L P17', 'H P16', 'B P8']);
    const [up] = all.filter((p) => p.state === 'waits');
    expect(up?.proposal).toMatchObject({ from: { within: { step: 0 } }, to: { within: { step: 1 } } });
    await confirmProposals(desk(last), key, [up?.seq ?? -1]);
    const view = await personOf(ids.odile, last);
    expect(view.decided.at(-1)?.level).toEqual(up?.proposal.to);
    // In force it goes on from there, and the next test does not take it back.
    expect(view.standings.find((s) => s.pattern === 'L')?.ceiling).toMatchObject({ within: { step: 1 } });
  });
  test('back after five weeks everybody does one step easier with half the dose, said beside the name; it holds for two classes', async () => {
    await held(first, []);
    const was = (await personOf(ids.odile, addDays(first, 7))).decided.findLast((d) => d.level.pattern === 'H')?.level;
    const later = addDays(first, 35);
    const { plan } = await makePlan(desk(later), body(later));
    const hinge = plan.doing.find((d) => d.block === 'h')?.parts[0]?.filter(isVariant) ?? [];
    const odile = hinge.find((v) => v.personId === ids.odile);
    expect([odile?.folded, odile?.why]).toEqual(['away', 'some weeks away: one step easier']);
    const key = await held(later, [seen(ids.odile, 'H')]);
    const ofH = async (of: string, day: string) =>
      (await readProposals(desk(day), of)).find((p) => p.personId === ids.odile && p.proposal.pattern === 'H');
    const back = (await ofH(key, later))?.proposal;
    expect(back).toMatchObject({ row: 'G4', kind: 'back', halfDoseFor: 2, from: { code: was?.code } });
    expect(back?.to && isOver(back.from, back.to)).toBe(true);
    // Half the dose, then the whole again; the dial is turned by the usual rules.
    const next = await held(addDays(later, 7), []);
    const second = (await ofH(next, addDays(later, 7)))?.proposal;
    const third = (await ofH(await held(addDays(later, 14), []), addDays(later, 14)))?.proposal;
    expect([second?.kind, third?.kind, third?.to?.dose]).toEqual(['dose-up', 'dose-up', was?.dose]);
    expect(third?.to?.support).toBe(back?.to?.support);
  });
  test('back after three weeks they are tested within three more, where that is sooner', async () => {
    const { lastTestedOn } = await personOf(ids.bertil);
    if (lastTestedOn === null) throw new Error('never tested');
    await held(addDays(lastTestedOn, 1), []);
    const again = addDays(lastTestedOn, 22);
    expect((await personOf(ids.bertil, again)).due?.why).not.toContain('without a class');
    await held(again, []);
    expect((await personOf(ids.bertil, again)).due).toMatchObject({
      ...{ on: addDays(again, 21), why: 'back after 3 weeks without a class' },
    });
  });
  test('a line struck afterwards, with a reason: what followed for this person is worked out anew, of the others nothing changes', async () => {
    const key = await held(first, [
      [ids.odile, { kind: 'fewer', pattern: 'H', half: 'less' }],
      [ids.odile, { kind: 'pain', pattern: 'S', joint: 'knee', side: 'L', level: 2, sharp: false }],
    ]);
    const was = await readProposals(desk(), key);
    const ofH = async () =>
      (await readProposals(desk(), key)).find((p) => p.personId === ids.odile && p.proposal.pattern === 'H');
    expect((await ofH())?.proposal.row).toBe('P2');
    const strike = (ofSeq: number, reason = 'it was Olga, not Odile') =>
      correctLine(desk(), key, { writer: 'tablet-1', ofSeq, reason });
    expect(await strike(1, 'x')).toMatchObject({ kind: 'rejected', errors: [{ path: '/reason' }] });
    expect(await strike(99)).toEqual({ kind: 'not-found' });
    expect((await strike(1)).kind).toBe('corrected');
    expect(await ofH()).toMatchObject({ state: 'holds', proposal: { row: 'P7', kind: 'dose-up' } });
    const inForce = (await personOf(ids.odile)).decided.findLast((d) => d.level.pattern === 'H')?.level;
    expect(inForce?.code).toBe((await ofH())?.proposal.to?.code);
    const others = (all: Awaited<ReturnType<typeof readProposals>>) => all.filter((p) => p.personId !== ids.odile);
    expect(others(await readProposals(desk(), key))).toEqual(others(was));
    // A pain goes from the intake with its line; struck once it is gone.
    expect((await personOf(ids.odile)).known.pains.some((p) => p.side === 'L')).toBe(true);
    await strike(2);
    expect((await personOf(ids.odile)).known.pains.some((p) => p.side === 'L')).toBe(false);
    expect(await strike(2)).toEqual({ kind: 'not-found' });
  });
  test('a look that was struck shows nothing; struck elsewhere what was shown stays', async () => {
    const week = addDays(first, 7);
    const looks = [seen(ids.odile, 'H'), seen(ids.odile, 'L')];
    await held(first, looks);
    const key = await held(week, looks);
    const shownNow = async () =>
      (await personOf(ids.odile, week)).known.entries.flatMap((e) =>
        e.content.kind === 'shown' ? [`${e.content.pattern}${e.content.rung}`] : [],
      );
    expect((await shownNow()).sort()).toEqual(['H4', 'L2']);
    await correctLine(desk(week), key, { writer: 'tablet-1', ofSeq: 2, reason: 'that was another leg' });
    expect(await shownNow()).toEqual(['H4']);
  });
  test('what somebody said since stays: the line is struck and nothing is worked out anew', async () => {
    const key = await held(first, [[ids.odile, { kind: 'fewer', pattern: 'H', half: 'less' }]]);
    const later = deskOf(db, first, new Date(`${first}T15:00:00Z`));
    const seen = (await personOf(ids.odile)).levels.levels.find((l) => l.pattern === 'H')?.code ?? '';
    const word = { pattern: 'H', seen, word: 'not-this', why: '', rung: null, support: null };
    await sayLastWord(later, ids.odile, { ...word, heightCm: null, dose: null, loadKg: null }, 'class-word-1');
    const was = await readProposals(desk(), key);
    await correctLine(later, key, { writer: 'tablet-1', ofSeq: 1, reason: 'somebody else' });
    expect(await readProposals(desk(), key)).toEqual(was);
  });
  test('left open overnight it ends at its last line, marked, and what follows is worked out once', async () => {
    await saveClass(desk(), 'class-open-1', body(first));
    await saveClassLog(desk(), 'class-open-1', 'tablet-1', logOf([[null, { kind: 'start' }]], first));
    expect(await closeForgotten(desk(first))).toBe(0);
    expect(await closeForgotten(desk(addDays(first, 1)))).toBe(1);
    expect(await closeForgotten(desk(addDays(first, 1)))).toBe(0);
    const { closedAt, lines } = (await readClass(desk(), 'class-open-1')) ?? {};
    expect(closedAt).not.toBeNull();
    expect(lines?.find((l) => l.content.kind === 'close')?.content).toEqual({ kind: 'close', late: true });
  });
});

describe('classes of our own', () => {
  const kept = { title: 'Tuesday short', minutes: 25, from: 'intervals', blocks: body(first).blocks.slice(0, 3) };
  test('are kept once, planned from under their name, and put aside; a name is given once', async () => {
    const said = await keepTemplate(desk(), 'template-1', kept);
    expect(said).toMatchObject({ kind: 'kept', id: 'own-template-1' });
    expect(await keepTemplate(desk(), 'template-1', kept)).toMatchObject({ kind: 'kept' });
    const twin = await keepTemplate(desk(), 'template-2', kept);
    expect(twin).toMatchObject({ kind: 'rejected', errors: [{ path: '/title' }] });
    const [own] = (await readTemplates(desk())).filter((t) => t.own);
    expect([own?.title, own?.blocks]).toEqual(['Tuesday short', kept.blocks]);
    const asked = { ...body(first), template: 'own-template-1', blocks: own?.blocks ?? [] };
    expect(await saveClass(desk(), 'class-own-1', asked)).toEqual({ kind: 'created' });
    expect((await readClass(desk(), 'class-own-1'))?.plan.title).toBe('Tuesday short');
    expect((await dropTemplate(desk(), 'own-template-1')).some((t) => t.own)).toBe(false);
    expect((await readClass(desk(), 'class-own-1'))?.plan.title).toBe('Tuesday short');
  });
  test('that have no name, no block, or a block of no class say so, and nothing is kept', async () => {
    const path = async (more: object) => {
      const said = await keepTemplate(desk(), 'template-3', { ...kept, ...more });
      return said.kind === 'rejected' ? said.errors[0]?.path : said.kind;
    };
    expect(await path({ title: 'x' })).toBe('/title');
    expect(await path({ blocks: [] })).toBe('/blocks');
    expect(await path({ blocks: [{ id: 'x', of: 'intervals/zz', more: 0 }] })).toBe('/blocks/0/of');
    expect((await readTemplates(desk())).some((t) => t.own)).toBe(false);
  });
});

test('who is erased stands in no plan and no log any more; the others do', async () => {
  await saveClass(desk(), 'class-erase-2', body(first));
  await held(first, [seen(ids.odile, 'S')], 'class-erase-1');
  await erasePeople(db, [ids.odile], 'who', new Date(`${first}T12:00:00Z`));
  for (const key of ['class-erase-1', 'class-erase-2']) {
    const found = await readClass(desk(), key);
    const words = JSON.stringify(found);
    expect([words.includes(ids.odile), words.includes('Odile')]).toEqual([false, false]);
    expect(found?.plan.people).toEqual([ids.bertil, ids.agnes]);
    expect(found?.plan.doing.some((d) => d.parts.flat().some((one) => one.personId === ids.bertil))).toBe(true);
  }
});
