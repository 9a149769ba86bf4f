import { describe, expect, test } from 'vitest';
import { addDays } from '../math/days';
import { stuckOn } from './proposals';
import { ladders, accessories } from '../../catalogue/ladders';
import {
  dialStates,
  grades,
  outcomeKinds,
  sessionFacts,
  type Grade,
  type OutcomeCase,
  type SessionFactName,
  type SessionFacts,
} from '../shapes/progress';
import { levelRules } from '../../catalogue/rules';
import { levelAt, withAccessories } from '../level/assign';
import { parseDose, printDose } from '../level/code';
import { done, legs, someone, stands } from '../level/madeUp';
import { isOpen } from '../level/standing';
import { doneChoices, doneDose, doseUp, halfDose, isHalf, isTopDose, lessDose } from './doseSteps';
import { gradeOf } from './grade';
import { outcomeOf } from './outcome';

const names = Object.keys(sessionFacts) as SessionFactName[];
/** Every combination of the facts of a session, as places in their lists. */
const combinations = names.reduce<number[][]>(
  (all, name) => all.flatMap((one) => sessionFacts[name].map((_, i) => [...one, i])),
  [[]],
);
const factsAt = (at: readonly number[]): SessionFacts =>
  Object.fromEntries(names.map((name, i) => [name, sessionFacts[name][at[i] ?? 0]])) as SessionFacts;
const rankOf = (grade: Grade): number => grades.indexOf(grade);
const best = factsAt(names.map(() => 0));

describe('the grade of a session', () => {
  test('1,944 combinations of its facts give exactly one grade each, with and without heavy sessions before', () => {
    expect(combinations).toHaveLength(1944);
    for (const at of combinations)
      for (const heavy of [false, true]) expect(grades).toContain(gradeOf(factsAt(at), heavy));
  });
  test('a worse fact never gives a better grade', () => {
    for (const at of combinations)
      for (const [i, name] of names.entries()) {
        const worse = at.map((n, j) => (j === i ? n + 1 : n));
        if ((worse[i] ?? 0) >= sessionFacts[name].length) continue;
        for (const heavy of [false, true])
          expect(rankOf(gradeOf(factsAt(worse), heavy))).toBeLessThanOrEqual(rankOf(gradeOf(factsAt(at), heavy)));
      }
  });
  test.each<[Grade, Partial<SessionFacts>]>([
    ['C', {}],
    ['C', { form: 'put-right' }],
    ['U', { looked: 'not-seen' }],
    ['S', { dose: 'short' }],
    ['H', { pain: 'some' }],
    ['H', { effort: 'over' }],
    ['H', { effort: 'far-over' }],
    ['H', { stopSign: 'later' }],
    ['H', { form: 'not-put-right' }],
    ['H', { support: 'more' }],
    ['D', { pain: 'much' }],
    ['D', { stopSign: 'first' }],
    ['D', { nextDay: 'worse' }],
    ['D', { dose: 'under-half' }],
  ])('%s: all at its best but %j', (grade, but) => {
    expect(gradeOf({ ...best, ...but }, false)).toBe(grade);
  });
  test('the third heavy session in a row is a down-sign; silence is never clean and seen', () => {
    expect(gradeOf({ ...best, pain: 'some' }, true)).toBe('D');
    for (const at of combinations)
      if (factsAt(at).looked === 'not-seen') expect(gradeOf(factsAt(at), false)).not.toBe('C');
  });
});

const bools = [false, true];
const cases: OutcomeCase[] = grades.flatMap((today) =>
  [...grades, null].flatMap((before) =>
    dialStates.flatMap((dial) =>
      bools.flatMap((topDose) =>
        bools.flatMap((topBefore) =>
          bools.flatMap((firstTwoClasses) =>
            bools.flatMap((riskDial) =>
              bools.map((wentUp) => ({ today, before, dial, topDose, topBefore, firstTwoClasses, riskDial, wentUp })),
            ),
          ),
        ),
      ),
    ),
  ),
);
/** How far up an outcome goes: a dial back, on the level as it is, more of the dose, a dial up. */
const upness = { back: 0, less: 1, 'dose-set': 1, stay: 1, test: 1, queued: 1, 'dose-up': 2, up: 3 } as const;

describe('what follows', () => {
  test('every one of 5,760 combinations has exactly one outcome, and every row and kind of the table is met', () => {
    expect(cases).toHaveLength(5760);
    const met = cases.map(outcomeOf);
    expect(new Set(met.map((o) => o.row)).size).toBe(17);
    expect(new Set(met.map((o) => o.kind)).size).toBe(outcomeKinds.length);
  });
  test('a worse grade today or last time is never an outcome further up', () => {
    for (const c of cases) {
      const worse = grades[rankOf(c.today) - 1];
      if (worse)
        expect([c, upness[outcomeOf({ ...c, today: worse }).kind] <= upness[outcomeOf(c).kind]]).toEqual([c, true]);
      const before = c.before === null ? null : grades[rankOf(c.before) - 1];
      if (before) expect([c, upness[outcomeOf({ ...c, before }).kind] <= upness[outcomeOf(c).kind]]).toEqual([c, true]);
    }
  });
  test('nothing goes up but what was seen clean at the top of its dose twice, after the first two classes, with a dial open', () => {
    for (const c of cases)
      if (outcomeOf(c).kind === 'up')
        expect([c.today, c.topDose, c.topBefore, c.firstTwoClasses, c.dial, c.wentUp]).toEqual([
          ...['C', true, true, false, 'open', false],
        ]);
  });
  const plain: OutcomeCase = {
    ...{ today: 'C', before: 'C', firstTwoClasses: false, topDose: true, topBefore: true },
    ...{ dial: 'open', riskDial: false, wentUp: false },
  };
  test.each<[string, Partial<OutcomeCase>]>([
    ['P1', { today: 'D', before: 'D' }],
    ['P2', { today: 'D', before: 'C' }],
    ['P2', { today: 'D', before: null }],
    ['P3', { today: 'H', before: 'D' }],
    ['P4', { today: 'H', before: null }],
    ['P5', { today: 'S', before: 'S' }],
    ['P6', { today: 'S', before: 'C' }],
    ['P7', { today: 'U', topDose: false }],
    ['P8', { today: 'U' }],
    ['P9', { topBefore: false }],
    ['P9', { before: 'S' }],
    ['P10', { firstTwoClasses: true }],
    ['P11', { dial: 'limiter' }],
    ['P11', { dial: 'none' }],
    ['P12', { dial: 'place' }],
    ['P13', { dial: 'need' }],
    ['P14', { dial: 'test' }],
    ['P15', { before: 'U', riskDial: true }],
    ['P16', { wentUp: true }],
    ['P17', {}],
    ['P17', { before: 'U' }],
  ])('%s: %j', (row, more) => {
    expect(outcomeOf({ ...plain, ...more }).row).toBe(row);
  });
});

describe('who stays on a level', () => {
  const sessions = (n: number, daysApart: number) =>
    Array.from({ length: n }, (_, i) => ({ day: addDays('2026-03-02', -i * daysApart) }));
  test.each<[number, number, string]>([
    [1, 7, ''],
    [2, 7, 'second session on it: usual'],
    [4, 7, ''],
    [5, 7, '5 sessions on it: see whether the dose is at its top'],
    [8, 3, '8 sessions on it: see whether the dose is at its top'],
    [9, 3, 'this is your level, and holding it is a success'],
    // Eight weeks are long, however few the sessions.
    [5, 14, 'this is your level, and holding it is a success'],
  ])('%i sessions, %i days apart: %j', (n, apart, why) => {
    expect(stuckOn(sessions(n, apart), null, null)).toEqual({ why, test: null, style: null });
  });
  test('long on it: first the one test that would decide, else another style', () => {
    expect(stuckOn(sessions(9, 3), 'four-stage', 'How to squat')).toMatchObject({ test: 'four-stage', style: null });
    expect(stuckOn(sessions(9, 3), null, 'How to squat')).toEqual({
      ...{ test: null, style: 'How to squat' },
      why: 'this is your level, and holding it is a success; another style may be tried',
    });
    expect(stuckOn(sessions(4, 3), 'four-stage', 'How to squat')).toMatchObject({ test: null, style: null });
  });
});

describe('steps of the dose', () => {
  const ladderOf = (code: string) => {
    const found = [...ladders, ...accessories].find((l) => l.pattern === code.charAt(0));
    if (!found) throw new Error(code);
    return found;
  };
  const level = (code: string, dose: string) => {
    const parsed = parseDose(dose);
    if (!parsed) throw new Error(dose);
    return { pattern: code.charAt(0) as 'S', rung: Number(code.charAt(1)), dose: parsed };
  };
  test.each([
    ['S2', '2x3', '3x3 4x3 5x3'],
    ['S5', '8x2', '9x2 10x2'],
    ['L2', '3x2', '5x2 6x2 8x2'],
    ['S6', 'h5x3', 'h10x3 h15x3'],
    ['S5', '5e30x8', '5e30x9 5e30x10'],
    ['S5', '30/15x2', '30/15x3'],
    ['H8', '5x1', '6x1'],
    // A rung above opens by a hold of thirty seconds, of W5 by twenty; K1 opens nothing so.
    ['W4', 'h5x3', 'h10x3 h15x3 h20x3 h30x3'],
    ['W5', 'h15x3', 'h20x3'],
    ['K2', 'h15x3', 'h20x3 h30x3'],
    ['K1', 'h10x3', 'h15x3'],
  ])('%s from %s: %s, and then it is at its top', (code, from, steps) => {
    let now = level(code, from);
    const walked: string[] = [];
    while (!isTopDose(now, ladderOf(code))) {
      now = { ...now, dose: doseUp(now, ladderOf(code)) };
      walked.push(printDose(now.dose));
    }
    expect(walked.join(' ')).toBe(steps);
    expect(doseUp(now, ladderOf(code))).toEqual(now.dose);
  });
  test('what a limiter caps is at its top there, however long somebody trained: ten seconds with the head not low', () => {
    const head = someone({
      results: [stands(14), done('four-stage', 4), ...legs(20)],
      limiters: [{ kind: 'head-low' }],
    });
    const wide = levelAt(withAccessories(levelRules), head, 'W', 4, null);
    if (!isOpen(wide)) throw new Error('W4 is closed');
    expect(wide.doseCaps).toEqual({ holdS: 10 });
    const ten = { ...wide, dose: doseUp(wide, ladderOf('W4')) };
    expect([printDose(wide.dose), printDose(ten.dose), isTopDose(ten, ladderOf('W4'))]).toEqual([
      'h5x3',
      'h10x3',
      true,
    ]);
  });
  test('half of a dose, and a round or a third less, is never nothing and never more', () => {
    const of = (dose: string) => level('S5', dose).dose;
    expect(['10x2', '1x1', 'h15x3', 'h5x1', '5e30x6', '30/15x3'].map((d) => printDose(halfDose(of(d))))).toEqual([
      ...['5x2', '1x1', 'h7x3', 'h5x1', '5e30x3', '30/15x1'],
    ]);
    expect(['10x2', '9x1', '1x1', 'h15x3', '5e30x6'].map((d) => printDose(lessDose(of(d))))).toEqual([
      ...['10x1', '6x1', '1x1', 'h15x2', '5e30x5'],
    ]);
  });
  test.each<[string, 'rounds' | 'each', number, string, boolean]>([
    ['10x2', 'rounds', 1, '10x1', true],
    ['10x3', 'rounds', 1, '10x1', false],
    ['10x2', 'each', 5, '5x2', true],
    ['10x2', 'each', 4, '4x2', false],
    ['h15x3', 'each', 10, 'h10x3', true],
    ['h15x3', 'rounds', 1, 'h15x1', false],
    ['5e30x6', 'rounds', 3, '5e30x3', true],
    ['5e30x6', 'each', 2, '2e30x6', false],
    ['30/15x3', 'rounds', 2, '30/15x2', true],
    // Nobody is set to more than was asked.
    ['5x2', 'each', 8, '5x2', true],
  ])('of %s %s %i done is %s, at least half: %s', (asked, kind, n, done, half) => {
    const of = level('S5', asked).dose;
    expect([printDose(doneDose(of, { of: kind, n })), isHalf(of, { of: kind, n })]).toEqual([done, half]);
  });
  test('what may be tapped of a dose cut short is always less than the dose', () => {
    for (const asked of ['10x2', '1x1', 'h15x3', 'h5x1', '5e30x6', '30/15x3']) {
      const of = level('S5', asked).dose;
      for (const [kind, all] of Object.entries(doneChoices(of)))
        for (const n of all)
          expect(printDose(doneDose(of, { of: kind as 'rounds' | 'each', n }))).not.toBe(printDose(of));
    }
    expect(doneChoices(level('S5', 'h15x3').dose)).toEqual({ rounds: [1, 2], each: [5, 10] });
  });
});
