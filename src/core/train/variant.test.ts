import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { classTemplates } from '../../catalogue/classes';
import { posesOf } from '../../catalogue/ladders/poses';
import { levelRules } from '../../catalogue/rules';
import { assignLevels, levelAt, withAccessories } from '../level/assign';
import { legs, done, someone, stands } from '../level/madeUp';
import { isOpen } from '../level/standing';
import { supports, type Facts } from '../shapes/facts';
import type { Part } from '../shapes/class';
import { parseDose, printDose } from '../level/code';
import { doings, toCarry, variantsIn } from './plan';
import { shorten, totalS } from './shorten';
import { doingOf, isVariant, lowerDose, type Trainee } from './variant';

const rules = withAccessories(levelRules);
const trainee = (facts: Facts, id = 'p', spotted = false): Trainee => {
  const { levels } = assignLevels(rules, facts);
  return {
    ...{ id, name: id },
    easedBy: () => null,
    harder: (pattern) => {
      const own = levels.find((l) => l.pattern === pattern);
      const at = own && levelAt(rules, facts, pattern, own.rung + 1, null);
      return at && isOpen(at) ? at : null;
    },
    levelOf: (pattern) => levels.find((l) => l.pattern === pattern) ?? null,
    lowerAt: (pattern, rung) => {
      const at = levelAt(rules, facts, pattern, rung, null);
      return isOpen(at) ? at : null;
    },
    isSpotted: ({ pattern }) => spotted && pattern !== 'B',
  };
};
const parts = classTemplates.flatMap((t) => t.blocks.flatMap((b) => b.parts ?? []));
const bodies = fc
  .record({
    n: fc.integer({ min: 0, max: 20 }),
    stage: fc.integer({ min: 0, max: 4 }),
    leg: fc.integer({ min: 0, max: 45 }),
    classes: fc.integer({ min: 0, max: 12 }),
    knee: fc.integer({ min: 0, max: 8 }),
    ask: fc.boolean(),
  })
  .map(({ n, stage, leg, classes, knee, ask }) =>
    someone({
      results: [stands(n), done('four-stage', stage), ...legs(leg)],
      ...{ sessionsLogged: classes, limiters: knee > 2 ? [{ kind: 'knee-pain', pain: knee }] : [] },
      ...(ask ? { readiness: 'ask-first', askFirstKind: 'disease' } : {}),
    }),
  );

describe('who does what of a part', () => {
  test('nobody is ever folded upwards: no higher rung, no freer hands, no lower seat, no more weight, nothing that is not open', () => {
    fc.assert(
      fc.property(bodies, fc.constantFrom(...parts), fc.boolean(), (facts, part, spotted) => {
        const who = trainee(facts, 'p', spotted);
        const doing = doingOf(part, who, null);
        if (!isVariant(doing)) return;
        const own = who.levelOf(doing.pattern) ?? who.lowerAt(doing.pattern, doing.rung);
        expect(own).not.toBeNull();
        if (!own) return;
        expect(doing.rung).toBeLessThanOrEqual(own.rung);
        expect(own.rung - doing.rung).toBeLessThanOrEqual(doing.folded === 'seated' ? 9 : 1);
        expect(who.lowerAt(doing.pattern, doing.rung)).not.toBeNull();
        expect(supports.indexOf(doing.support)).toBeLessThanOrEqual(supports.indexOf(own.support));
        expect(doing.loadKg ?? 0).toBeLessThanOrEqual(own.loadKg ?? 0);
        expect((doing.folded === null) === (doing.why === null)).toBe(true);
        if (doing.rung === own.rung && own.targetCm !== null)
          expect(doing.targetCm).toBeGreaterThanOrEqual(own.targetCm);
      }),
      { numRuns: 400 },
    );
  });
  test('in the wide hold whoever holds half a minute by their own dose does so, and rests a minute; all others as the block says', () => {
    const wide = parts.find((p) => p.pattern === 'W' && p.longestS !== undefined);
    if (!wide) throw new Error('no block of wide holds');
    const facts = someone({ results: [stands(14), done('four-stage', 4), ...legs(20)], sessionsLogged: 12 });
    const asked = (holdS: number) => {
      const own = levelAt(rules, facts, 'W', 4, null);
      if (!isOpen(own)) throw new Error('W4 is closed');
      const who = { ...trainee(facts), levelOf: () => ({ ...own, dose: { kind: 'holds', holdS, sets: 3 } as const }) };
      const doing = doingOf(wide, who, null);
      return isVariant(doing) ? printDose(doing.dose) : null;
    };
    expect([10, 15, 30].map(asked)).toEqual(['h10x3', 'h15x3', 'h30x3']);
    expect(15 + (wide.restS ?? 0) - (wide.longestS ?? 0)).toBe(60);
  });
  test('one step easier is never more than their own, whatever the body; one harder only where the rules open it', () => {
    fc.assert(
      fc.property(bodies, fc.constantFrom(...parts), (facts, part) => {
        const who = trainee(facts);
        const own = who.levelOf(part.pattern);
        const less = doingOf(part, who, null, 'easier');
        if (own && isVariant(less) && less.folded === 'easier') {
          expect(less.rung).toBeLessThanOrEqual(own.rung);
          expect(supports.indexOf(less.support)).toBeLessThanOrEqual(supports.indexOf(own.support));
          expect(less.loadKg ?? 0).toBeLessThanOrEqual(own.loadKg ?? 0);
          expect(less.rung < own.rung || less.support !== own.support).toBe(true);
        }
        const more = doingOf(part, who, null, 'harder');
        if (isVariant(more) && more.folded === 'harder') {
          const at = levelAt(rules, facts, more.pattern, more.rung, null);
          expect(isOpen(at) && supports.indexOf(more.support) <= supports.indexOf(at.support)).toBe(true);
        } else if (isVariant(more) && more.folded !== 'seated') {
          const asItIs = doingOf(part, who, null);
          expect(more.why).toContain('nothing harder is open');
          expect({ ...more, why: null }).toEqual({ ...asItIs, why: null });
        }
      }),
      { numRuns: 300 },
    );
  });
  const squat: Part = { pattern: 'S', scheme: '30/15x3', shelves: { A: ['S1-3'], B: ['S4-5'], C: ['S7-8'] } };
  const strong = someone({ results: [stands(12), done('four-stage', 4), ...legs(30)] });
  test('S6 between two shelves is S5 on the lighter one, said beside the name; S5 stays on its own', () => {
    const own = trainee(strong).levelOf('S');
    expect(own?.rung).toBe(6);
    expect(doingOf(squat, trainee(strong), null)).toMatchObject({
      ...{ pattern: 'S', rung: 5, shelf: 'B', folded: 'rung', why: 'one lower today: three shelves' },
    });
    const less = someone({ results: [stands(10), done('four-stage', 2)] });
    expect(doingOf(squat, trainee(less), null)).toMatchObject({ rung: 5, shelf: 'B', folded: null, why: null });
  });
  test('a weight that only the lower rung allows stays in the cupboard', () => {
    const facts = someone({
      ...{ sessionsLogged: 4, results: [stands(14), done('four-stage', 3), ...legs(0)] },
    });
    const who = trainee(facts);
    expect([who.levelOf('S')?.rung, who.levelOf('S')?.loadKg, who.lowerAt('S', 5)?.loadKg]).toEqual([6, null, 2]);
    const doing = doingOf(squat, who, null);
    expect(doing).toMatchObject({ rung: 5, loadKg: null, folded: 'rung' });
    expect(isVariant(doing) && doing.code).not.toContain('+');
  });
  test('who needs somebody to stand by and has nobody holds with both hands at the wall; with somebody it is their own', () => {
    const who = trainee(someone({ results: [stands(10), done('four-stage', 3), ...legs(6)] }), 'p', true);
    expect(doingOf(squat, who, null)).toMatchObject({ shelf: 'A', support: '2', folded: 'held', spotter: null });
    expect(doingOf(squat, who, 'Bo')).toMatchObject({ folded: null, spotter: 'Bo', shelf: 'B' });
  });
  test('everybody holds where the class says so, and that is no step back', () => {
    const held: Part = { ...squat, freest: 'f' };
    expect(
      doingOf(held, trainee(someone({ results: [stands(10), done('four-stage', 3), ...legs(12)] })), null),
    ).toMatchObject({
      ...{ support: 'f', folded: 'support', why: 'everybody holds in this class' },
    });
  });
  test('with nothing open of a pattern there is a seated movement; with nothing open at all they sit and count', () => {
    const asked = someone({ results: [stands(10)], readiness: 'ask-first', askFirstKind: 'disease' });
    const lunge: Part = { pattern: 'L', scheme: '5x2', aSide: true, shelves: { A: ['L1'], B: ['L2-3'], C: ['L4'] } };
    expect(doingOf(lunge, trainee(asked), null)).toMatchObject({ pattern: 'A', rung: 1, folded: 'seated', shelf: 'A' });
    expect(doingOf(lunge, trainee(someone({ readiness: 'not-today' })), null)).toEqual({
      ...{ personId: 'p', why: 'nothing of it is open today: sits and counts aloud' },
    });
  });
  test('one stands by one; where more need somebody it is two in turn, each in every second round; the others hold', () => {
    const block = { id: 's', kind: 'work' as const, title: 'S', minutes: 3, parts: [squat] };
    const facts = someone({ results: [stands(10), done('four-stage', 3), ...legs(6)] });
    const told = (ids: readonly string[], spotters: readonly string[], part = squat) =>
      variantsIn(
        doings(
          [{ ...block, parts: [part] }],
          ids.map((id) => trainee(facts, id, true)),
          spotters,
        ),
      ).map((v) => [v.personId, v.spotter, v.turn ?? null, v.folded, printDose(v.dose)].join(' '));
    const whole = told(['a'], ['Bo'])[0]?.split(' ').at(-1) ?? '';
    // Of three rounds they do two; in turn the odd ones, or the one that is even.
    expect(whole).toBe('30/15x2');
    expect(told(['a', 'b'], ['Bo', 'Iris'])).toEqual([`a Bo   ${whole}`, `b Iris   ${whole}`]);
    expect(told(['a', 'b', 'c'], ['Bo'])).toEqual(['a Bo 1 turn 30/15x2', 'b Bo 2 turn 30/15x1', `c   held ${whole}`]);
    expect(told(['a', 'b', 'c'], ['Bo', 'Iris'])).toEqual([
      'a Bo 1 turn 30/15x2',
      `b Iris   ${whole}`,
      'c Bo 2 turn 30/15x1',
    ]);
    // A single round cannot be shared.
    expect(told(['a', 'b'], ['Bo'], { ...squat, scheme: '30/15x1' }).map((t) => t.split(' ')[1])).toEqual(['Bo', '']);
  });
});

describe('the dose of a class is a ceiling', () => {
  const dose = (text: string) => {
    const read = parseDose(text);
    if (!read) throw new Error(text);
    return read;
  };
  test.each([
    ['10x2', '4x1', '4x1'],
    ['5x1', '8x3', '5x1'],
    ['h15x3', 'h5x2', 'h5x2'],
    ['h15x3', '8x2', 'h10x2'],
    ['10x2', 'h5x3', 'h5x3'],
    ['5e30x6', '3x2', '3e30x6'],
    ['30/15x3', '8x2', '30/15x2'],
    ['30/0x2', '4x1', '30/0x2'],
  ])('%s for whose own is %s: %s', (scheme, own, said) => {
    expect(printDose(lowerDose(dose(scheme), dose(own)))).toBe(said);
  });
});

describe('shorter than it is written', () => {
  const none = { lastTime: [], due: [] };
  test('one that fits is given back as it is; check, warm-up, cool-down and water stay whatever goes', () => {
    for (const { blocks, minutes } of classTemplates) {
      expect(shorten(blocks, Math.ceil(minutes), none)).toEqual({ blocks, dropped: [], overS: 0 });
      const least = shorten(blocks, 1, none);
      const kept = (kind: string) => [blocks, least.blocks].map((all) => all.filter((b) => b.kind === kind));
      for (const kind of ['check', 'warm-up', 'cool-down', 'rest']) expect(kept(kind)[1]).toEqual(kept(kind)[0]);
      expect(least.overS).toBe(totalS(least.blocks) - 60);
    }
  });
  test('intervals of 38 minutes are 35.1, then 31.35, then 27.35: what stands beside the four goes, then third rounds, then the floor', () => {
    const intervals = classTemplates.find((t) => t.id === 'intervals');
    const at = (minutes: number) => shorten(intervals?.blocks ?? [], minutes, none);
    expect(at(36).dropped).toEqual(['everything beside the four']);
    expect(at(33).dropped).toEqual(['everything beside the four', 'third rounds']);
    expect(at(28).dropped).toEqual([
      'everything beside the four',
      'third rounds',
      'the floor: the bridge is done seated or raised',
    ]);
    expect(at(28).overS).toBe(0);
  });
  test('of a pattern the one of last time goes, never one that is due, never the work on balance', () => {
    const blocks = classTemplates.find((t) => t.id === 'intervals')?.blocks ?? [];
    const left = (one: Parameters<typeof shorten>[2]) =>
      shorten(blocks, 23, one).blocks.flatMap((b) => (b.parts ?? []).map((p) => p.pattern));
    expect(left({ lastTime: ['S'], due: [] })).toEqual(['H', 'L', 'B']);
    expect(left({ lastTime: ['S'], due: ['S'] })).toEqual(['S', 'H', 'L']);
    expect(left({ lastTime: ['L'], due: ['B', 'H', 'S'] })).toEqual(['S', 'H', 'L', 'B']);
  });
});

test('what to carry is what the block that wants most of it wants, against what there is', () => {
  const block = (id: string, part: Part) => ({ id, kind: 'work' as const, title: id, minutes: 3, parts: [part] });
  const squat: Part = { pattern: 'S', scheme: '5x1', shelves: { A: ['S1-3'], B: ['S4-5'], C: ['S6-8'] } };
  const facts = someone({ results: [stands(10), done('four-stage', 2)] });
  const people = ['a', 'b', 'c'].map((id) => trainee(facts, id));
  const cupboard = {
    ...{ chairs: [{ heightCm: 43, arms: false, stable: true, count: 2 }], pads: [], bars: 0, railPlaces: 4 },
    ...{ straps: 0, wedges: 0, bands: 0, mats: 0, tables: 0, weightsKg: [], raisedSurface: false, boxes: [] },
    ...{ steps: [], floors: [], walkwayM: null, wallM: null, things: [] },
  };
  const rows = toCarry(doings([block('x', squat), block('y', squat)], people, []), cupboard, posesOf);
  expect(rows[0]).toEqual({ what: 'firm chairs', need: 3, have: 2, isPlaced: true });
});
