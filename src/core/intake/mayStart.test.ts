import { madeUpIntake } from './madeUp';
import { describe, expect, test } from 'vitest';
import { limiterRows } from '../../catalogue/limiters/limiters';
import { protocolById, protocols } from '../../catalogue/protocols';
import type { Limiter } from '../shapes/facts';
import { questionIds, type Entry, type EntryContent, type PersonRecord } from '../shapes/intake';
import { shippedRules } from '../../catalogue/rules/book';
import { closedToThem, heldByLimiters, heldByReadiness, mayStart } from './mayStart';

const named = (id: string) => {
  const found = protocolById(id);
  if (!found) throw new Error(`no test ${id}`);
  return found;
};

describe('readiness', () => {
  test('not today closes every test', () => {
    expect(protocols.filter((p) => heldByReadiness('not-today', p).length === 0)).toEqual([]);
  });
  test('ask first leaves seated arm work, and nothing else', () => {
    expect(protocols.filter((p) => heldByReadiness('ask-first', p).length === 0).map((p) => p.id)).toEqual(
      protocols.filter((p) => 'seatedArms' in p && p.seatedArms).map((p) => p.id),
    );
    expect(heldByReadiness('ask-first', named('arm-curl'))).toEqual([]);
  });
  test('ready, with care or without, closes none', () => {
    expect(
      protocols.flatMap((p) => [...heldByReadiness('ready', p), ...heldByReadiness('ready-with-care', p)]),
    ).toEqual([]);
  });
});

describe('limiters', () => {
  const closed = (id: string, ...limiters: Limiter[]) =>
    heldByLimiters({ limiters }, named(id), limiterRows, '2026-03-02');
  test('knee pain of 3 closes the held part squat, of 5 also the way to the floor; of 2 neither (house rule)', () => {
    const knee = (pain: number): Limiter => ({ kind: 'knee-pain', side: 'R', pain });
    expect([2, 3, 5].map((pain) => closed('thigh-hold', knee(pain)).length > 0)).toEqual([false, true, true]);
    expect([2, 3, 5].map((pain) => closed('floor-transfer', knee(pain)).length > 0)).toEqual([false, false, true]);
  });
  test('a pain that was noted without a number is read as the worst, never as none', () => {
    expect(closed('floor-transfer', { kind: 'knee-pain', pain: null })).not.toEqual([]);
  });
  test('one not asked about yet closes as if it were there, and says that it was not asked', () => {
    expect(closed('floor-transfer', { kind: 'cannot-kneel', unasked: true }).join()).toContain('not asked yet');
  });
  test('left and right of one limiter are one reason', () => {
    const both: Limiter[] = ['L', 'R'].map((side) => ({ kind: 'ankle-pain', side: side as 'L' | 'R', pain: 8 }));
    expect(closed('one-leg', ...both)).toHaveLength(1);
  });
  test('nothing noted closes nothing', () => {
    expect(protocols.flatMap((p) => closed(p.id))).toEqual([]);
  });
});

describe('whether a test may begin', () => {
  const today = '2026-03-02';
  const intake = { ...madeUpIntake({ notedOn: '2026-01-01' }), savedAt: '2026-01-01T09:00:00Z' };
  const entry = (content: EntryContent, on = today, personId = 'ada'): Entry => ({
    ...{ id: `${content.kind} ${on} ${personId}`, personId, on, savedAt: `${on}T10:00:00Z`, content },
  });
  const answers = Object.fromEntries(questionIds.map((id) => [id, id === 'active']));
  const asked = entry({ kind: 'screening', answers }, '2026-01-01');
  const checked = (signs: readonly 'dizzy'[] = [], on = today, personId = 'ada') =>
    entry({ kind: 'day-check', signs, pulse: null, pressures: [], skippedBecause: null }, on, personId);
  const ada = (...entries: Entry[]) => ({ id: 'ada', record: { intakes: [intake], entries } as PersonRecord });
  const start = (who: ReturnType<typeof ada>, noted: readonly Entry[] = [], test = 'chair-stand-30s', day = today) => {
    const answer = mayStart(who, named(test), day, noted, shippedRules);
    return answer && [answer.may, answer.held?.what ?? null];
  };
  test('asked and checked today it may; without the check of the day it waits for it, and nothing holds them', () => {
    expect(start(ada(asked, checked()))).toEqual([true, null]);
    expect(start(ada(asked))).toEqual([false, null]);
    expect(start(ada(asked, checked([], '2026-03-01')))).toEqual([false, null]);
  });
  test('what was noted here counts before it is in the record, that of somebody else does not, and none counts twice', () => {
    expect(start(ada(asked), [checked()])).toEqual([true, null]);
    expect(start(ada(asked), [checked([], today, 'bea')])).toEqual([false, null]);
    expect(start(ada(asked, checked()), [checked()])).toEqual([true, null]);
  });
  test('a sign of the day holds every test and says which; no questions put yet hold all but seated arms', () => {
    expect(start(ada(asked, checked(['dizzy'])))).toEqual([false, 'Not today: newly dizzy']);
    expect(start(ada(checked()))?.[1]).toContain('Not asked yet');
    expect(start(ada(checked()), [], 'arm-curl')).toEqual([true, null]);
  });
  test('on hold only what is seated may start, and no limiter is offered to be passed over', () => {
    const onHold = (id: string) => mayStart(ada(asked, checked()), named(id), today, [], shippedRules, true);
    const open = protocols.filter((p) => onHold(p.id)?.may).map((p) => p.id);
    expect(open.sort()).toEqual(['arm-curl', 'foot-feel', 'stand-up-pressure']);
    expect(onHold('chair-stand-30s')).toMatchObject({
      may: false,
      closedBy: [],
      held: { what: expect.stringMatching(/^Hold/) as string },
    });
  });
  test('a limiter holds the tests it closes and no other; the turn of the day asks for the check again', () => {
    const pain = entry({ kind: 'pain', joint: 'knee', side: 'R', level: 4, since: null }, '2026-03-01');
    expect(start(ada(asked, pain, checked()), [], 'thigh-hold')?.[1]).toContain('Not this test');
    expect(start(ada(asked, pain, checked()))).toEqual([true, null]);
    expect(start(ada(asked, checked()), [], 'chair-stand-30s', '2026-03-03')).toEqual([false, null]);
  });
  test('only what a limiter closes may be done all the same: a question that is open closes by itself', () => {
    const pain = entry({ kind: 'pain', joint: 'knee', side: 'R', level: 4, since: null }, '2026-03-01');
    const closedBy = (...entries: Entry[]) =>
      mayStart(ada(...entries), named('thigh-hold'), today, [], shippedRules)?.closedBy;
    expect(closedBy(asked, pain, checked())).toEqual(['knee pain from 3']);
    expect(closedBy(asked, pain, checked(['dizzy']))).toEqual([]);
    expect(closedBy(pain, checked())).toEqual([]);
    const notAsked = { limiters: [{ kind: 'cannot-lie', unasked: true }] } as const;
    expect(closedToThem(notAsked, named('floor-transfer'), limiterRows, today)).toEqual([]);
  });
  test('of whom nothing was ever noted nothing is said', () => {
    expect(start({ id: 'x', record: { intakes: [], entries: [] } })).toBeUndefined();
  });
});
