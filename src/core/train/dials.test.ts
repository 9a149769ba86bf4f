import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import { measuredFacts } from '../../catalogue/rules/margins';
import type { Level } from '../level/answer';
import { levelAt, withAccessories } from '../level/assign';
import { done, legs, someone, stands } from '../level/madeUp';
import { isAllowed, liftedBefore } from '../level/lift';
import { isOpen, isOver, standingsOf, type Decided } from '../level/standing';
import type { Facts, Pattern } from '../shapes/facts';
import type { Ladder } from '../shapes/ladder';
import { nextDial, oneDialBack } from './dials';

const rules = withAccessories(levelRules);
const testOf = (fact: string) => measuredFacts.find((f) => f.id === fact)?.test;
const ladderOf = (pattern: Pattern): Ladder => {
  const found = rules.ladders.find((l) => l.pattern === pattern);
  if (!found) throw new Error(pattern);
  return found;
};
const at = (facts: Facts, pattern: Pattern, rung: number, more: Partial<Level> = {}): Level => {
  const level = levelAt(rules, facts, pattern, rung, null);
  if (!isOpen(level)) throw new Error(`${pattern}${rung} is closed`);
  return { ...level, ...more };
};
const next = (facts: Facts, level: Level) => nextDial(rules, facts, ladderOf(level.pattern), level, testOf);
const strong = someone({ results: [stands(12), done('four-stage', 4), ...legs(12)] });

describe('the next dial', () => {
  test('a seat over the one allowed comes down by three centimetres at most, before anything else', () => {
    const high = at(strong, 'S', 5, { targetCm: 48 });
    expect(next(strong, high)).toMatchObject({ state: 'open', dial: 'seat', level: { rung: 5, targetCm: 46 } });
  });
  test('then the hands, one step freer; hovering or free hands are a risk dial', () => {
    const all = at(strong, 'H', 4, { within: { step: 1, words: 'hands to the knees' } });
    const held: Level = { ...all, support: '1' };
    expect(next(strong, held)).toMatchObject({ dial: 'hands', level: { support: 'f', rung: 4 }, risk: false });
    expect(next(strong, { ...held, support: 'f' })).toMatchObject({
      dial: 'hands',
      level: { support: 'h' },
      risk: true,
    });
  });
  test('then the next rung; from L5, H6, B5 on it is a risk dial', () => {
    expect(next(strong, at(strong, 'S', 5))).toMatchObject({ dial: 'rung', level: { rung: 6 }, risk: false });
    const down = { within: { step: 1, words: 'down to the pad' } };
    expect(next(strong, at(strong, 'L', 4, down))).toMatchObject({ dial: 'rung', level: { rung: 5 }, risk: true });
  });
  test('whatever is turned, its dose begins again', () => {
    const most = at(strong, 'H', 4, { support: '1', dose: { kind: 'reps', reps: 10, sets: 2 } });
    const start = at(strong, 'H', 4).dose;
    const more = next(strong, most);
    expect([more.dial, more.level?.dose]).toEqual(['within', start]);
    expect(more.level && next(strong, more.level).level?.dose).toEqual(start);
  });
  test.each<[string, Facts, Pattern, number, string | null]>([
    ['limiter', someone({ ...strong, limiters: [{ kind: 'knee-pain', pain: 4 }] }), 'S', 5, null],
    ['test', someone({ results: [stands(12)] }), 'S', 5, 'four-stage'],
    ['need', someone({ results: [stands(9), done('four-stage', 4), ...legs(12)] }), 'S', 5, null],
    ['none', strong, 'A', 4, null],
  ])('%s keeps it, and it is said why', (state, facts, pattern, rung, tests) => {
    const level = pattern === 'A' ? { ...at(facts, 'A', 3), rung } : at(facts, pattern, rung);
    expect(next(facts, level)).toMatchObject({ state, level: null, test: tests });
    expect(next(facts, level).why).not.toBe('');
  });
});

/** Every rung of the table of dials that has some of its movement to turn; house rule. */
const table: readonly (readonly [Pattern, readonly number[], readonly string[]])[] = [
  ['L', [1], ['range']],
  ['L', [2, 3, 6, 7, 8], ['length']],
  ['L', [4, 5], ['depth']],
  ['H', [1, 2, 3, 4, 6, 7, 8], ['depth']],
  ['B', [2, 3, 4], ['lift', 'pause']],
  ['B', [5, 6], ['heel']],
  ['A', [1, 2, 3, 4], ['lowering']],
  ['U', [2, 3], ['step']],
];
test('the rungs with a dial of their own are those of the table, with at least two places each', () => {
  const found = rules.ladders.flatMap(({ pattern, rungs }) =>
    rungs.flatMap(({ rung, within }) =>
      within ? [[pattern, rung, [...new Set(within.map((w) => w.dial))].join(' '), within.length >= 2]] : [],
    ),
  );
  const wanted = table.flatMap(([pattern, all, kinds]) => all.map((rung) => [pattern, rung, kinds.join(' '), true]));
  expect(new Set(found.map(String))).toEqual(new Set(wanted.map(String)));
});

describe('within a rung', () => {
  test('a level begins with the least of its movement and goes on one place at a time, before the hands', () => {
    const bow = at(strong, 'H', 4, { support: '1' });
    expect(bow.within).toEqual({ step: 0, words: 'hands to mid thigh' });
    const { dial, level } = next(strong, bow);
    expect([dial, level?.within, level?.support]).toEqual(['within', { step: 1, words: 'hands to the knees' }, '1']);
    expect(level && next(strong, level).dial).toBe('hands');
  });
  test('one kept before there were such places begins at the first of them', () => {
    const { within: _, ...before } = at(strong, 'L', 2);
    expect(next(strong, before)).toMatchObject({ dial: 'within', level: { within: { step: 1 } } });
  });
  test('of a step-up the hands come first, then the higher step, where the hall has one', () => {
    const sure = someone({ ...strong, kit: { ...strong.kit, stepsCm: [10] } });
    const held = at(sure, 'U', 2, { support: '1' });
    expect(next(sure, held).dial).toBe('hands');
    const free = at(sure, 'U', 2);
    expect(next(sure, free)).toMatchObject({ dial: 'within', level: { within: { step: 1 } } });
    const low = someone({ ...strong, kit: { ...strong.kit, stepsCm: [6] } });
    expect(next(low, at(low, 'U', 2))).toMatchObject({ state: 'place', level: null });
    expect(next(low, at(low, 'U', 2)).why).toBe('a firm step over 7 and up to 12 cm is missing');
  });
  test('what is lifted comes down a box at a time to the floor; a limiter keeps it up', () => {
    const box = at(strong, 'H', 5);
    const heights: (number | null)[] = [box.targetCm];
    for (let now: Level | null = box; now;) {
      const turned: ReturnType<typeof next> = next(strong, now);
      now = turned.dial === 'seat' ? turned.level : null;
      if (now) {
        heights.push(now.targetCm);
        expect(isAllowed(rules, strong, now)).toBe(true);
      }
    }
    expect(heights).toEqual([50, 40, 30, null]);
    const lifted: Decided = { decidedOn: '2026-02-02', kind: 'class', by: 'Mara', level: { ...box, targetCm: null } };
    expect([liftedBefore(rules.ladders, [lifted]), liftedBefore(rules.ladders, [])]).toEqual([0, null]);
    const sore = someone({ ...strong, limiters: [{ kind: 'fragile-bone' }] });
    // Never under 45 cm with fragile bone: the box of 50 stays.
    expect([50, 40, null].map((targetCm) => isAllowed(rules, sore, { ...box, targetCm }))).toEqual([
      true,
      false,
      false,
    ]);
    expect(next(sore, at(sore, 'H', 5)).dial).not.toBe('seat');
  });
  test('a test on the same rung goes on with as much of the movement; a new rung begins again', () => {
    const level = at(strong, 'L', 2, { within: { step: 2, words: 'two hands’ breadths further back' } });
    const decided: Decided = { decidedOn: '2026-01-01', kind: 'class', by: 'Mara', level };
    const stand = (rung: number) =>
      standingsOf([ladderOf('L')], { levels: [at(strong, 'L', rung)], closed: [] }, [decided], '2026-03-01')[0]
        ?.ceiling;
    expect([stand(2), stand(4)]).toMatchObject([{ within: { step: 2 } }, { within: { step: 0 } }]);
  });
});

describe('one dial back', () => {
  test('a seat at least five centimetres up and half the dose', () => {
    const level = at(strong, 'S', 5);
    const back = oneDialBack(rules, strong, ladderOf('S'), level);
    expect([level.targetCm, back.targetCm, back.dial]).toEqual([43, 48, 'seat']);
    expect(back.code).toMatch(/^S5\/48\/h@/);
  });
  test('without a seat one step more support', () => {
    const level = at(strong, 'H', 4, { support: '0' });
    expect(oneDialBack(rules, strong, ladderOf('H'), level)).toMatchObject({ support: 'h', dial: 'support', rung: 4 });
  });
});

test('no dial passes what the rules allow, and one back never asks more than before', () => {
  const bodies = fc.record({
    n: fc.integer({ min: 1, max: 18 }),
    stage: fc.integer({ min: 1, max: 4 }),
    leg: fc.integer({ min: 0, max: 30 }),
  });
  fc.assert(
    fc.property(
      bodies,
      fc.constantFrom<Pattern>('S', 'L', 'H', 'B'),
      fc.integer({ min: 1, max: 9 }),
      ({ n, stage, leg }, pattern, rung) => {
        const facts = someone({ results: [stands(n), done('four-stage', stage), ...legs(leg)] });
        const level = levelAt(rules, facts, pattern, rung, null);
        if (!isOpen(level)) return;
        const { level: up } = next(facts, level);
        const allowed = up && levelAt(rules, facts, pattern, up.rung, null);
        if (up && allowed) expect(isOpen(allowed) && isAllowed(rules, facts, up)).toBe(true);
        const back = oneDialBack(rules, facts, ladderOf(pattern), level);
        expect(isOver(back, level)).toBe(false);
      },
    ),
    { numRuns: 150 },
  );
});

describe('a weight that classes bring', () => {
  const kit = { ...strong.kit, boxesCm: [], weightsKg: [0.5, 0.5, 1, 1, 2] };
  const ten = someone({ results: [stands(10), done('four-stage', 4), ...legs(12)] });
  const noBox = { ...ten, kit };
  /** The free hinge at the end of its dials: the box for the next rung is not there. */
  const hinge = at(noBox, 'H', 4, { within: { step: 1, words: 'hands to the knees' } });
  const said = (level: Level) => ({
    ...noBox,
    lastConfirmed: [{ pattern: 'H', rung: 4, support: level.support, kg: level.loadKg ?? 0 }] as Facts['lastConfirmed'],
  });
  test('the free hinge: half a kilogram in each hand, then a kilogram, and no more; it is a risk dial', () => {
    const first = next(noBox, hinge);
    expect(first).toMatchObject({ dial: 'load', risk: true, level: { loadKg: 1, carried: 'each-hand' } });
    if (!first.level) throw new Error('no weight');
    expect(first.level.code).toContain('+1@');
    expect([isAllowed(rules, noBox, first.level), at(said(first.level), 'H', 4).loadKg]).toEqual([true, 1]);
    const second = next(said(first.level), first.level);
    expect(second.level).toMatchObject({ rung: 4, loadKg: 2 });
    expect(second.level && next(said(second.level), second.level).dial).not.toBe('load');
  });
  test('without two that weigh the same there is none, and a test alone gives none', () => {
    const single = { ...noBox, kit: { ...kit, weightsKg: [0.5, 1, 2] } };
    expect([next(single, hinge).dial, hinge.loadKg]).toEqual([null, null]);
  });
  test.each<[string, Partial<Facts>]>([
    ['a back at 3 of 10', { limiters: [{ kind: 'back-pain', pain: 3 }] }],
    ['whatever closes the weighted squat', { limiters: [{ kind: 'knee-pain', pain: 3 }] }],
    ['the first classes', { sessionsLogged: 1 }],
    ['a body mass that nobody knows', { person: { ...ten.person, massKg: null } }],
  ])('%s: none, and none of one that was confirmed', (_what, more) => {
    expect(next({ ...noBox, ...more }, hinge).dial).not.toBe('load');
    const carried = { ...hinge, loadKg: 2, carried: 'each-hand' } as const;
    const facts = { ...said(carried), ...more };
    const given = levelAt(rules, facts, 'H', 4, null);
    expect([isOpen(given) ? given.loadKg : null, isAllowed(rules, facts, carried)]).toEqual([null, false]);
  });
  test('in the box of the lift squat the lightest first, a kilogram more at a time', () => {
    const facts = { ...ten, liftHeightCm: 0, kit: { ...strong.kit, weightsKg: [1, 2, 3.5] } };
    const low = at(facts, 'H', 5);
    const one = next(facts, { ...low, targetCm: 0 }).level;
    expect(one).toMatchObject({ rung: 5, loadKg: 1, carried: 'in-box' });
    const two = one && next(facts, one).level;
    expect(two).toMatchObject({ loadKg: 2 });
    // From two to three and a half is too much at once, and over a twentieth of this body.
    expect(two && next(facts, two).dial).not.toBe('load');
  });
  test('one dial back is without it, all else as it was', () => {
    const carried = { ...hinge, loadKg: 2, carried: 'each-hand', code: 'H4/0+2@5x2' } as const;
    const back = oneDialBack(rules, noBox, ladderOf('H'), carried);
    expect(back).toMatchObject({ rung: 4, loadKg: null, support: hinge.support, targetCm: hinge.targetCm });
    expect(back).not.toHaveProperty('carried');
  });
});

test('the target of a wide hold comes down last: hands and the next rung before it', () => {
  const first = at(strong, 'W', 3);
  const high = { ...first, targetCm: (first.targetCm ?? 0) + 3 };
  expect(next(strong, high).dial).toBe('rung');
  // Where the next rung is shut, the target does.
  const shut = someone({ ...strong, results: [stands(7), done('four-stage', 4), ...legs(12)] });
  const own = at(shut, 'W', 3);
  const over = { ...own, targetCm: (own.targetCm ?? 0) + 3 };
  expect(next(shut, over)).toMatchObject({ dial: 'seat', level: { rung: 3, targetCm: own.targetCm } });
});
