import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import { limiterKinds, type Facts, type LimiterKind } from '../shapes/facts';
import { loadedJoints, type LimiterRow } from '../shapes/ladder';
import type { OwnExercise } from '../shapes/own';
import { assignLevels, withAccessories } from './assign';
import { anOwn, done, legs, someone, stands } from './madeUp';
import { closesOwn, levelOfOwn, ownRung } from './own';
import { isOpen } from './standing';

const all = withAccessories(levelRules);
const fit: Partial<Facts> = {
  results: [
    ...[stands(18), done('four-stage', 4), ...legs(45), done('thigh-hold', 60), done('up-and-go-8ft', 5)],
    ...[done('floor-transfer', 10), done('heel-rise', 25)],
    ...(['L', 'R'] as const).map((side) => done('knee-to-wall', 12, { side })),
  ],
  shown: (
    [
      ['S', 8],
      ['L', 7],
      ['H', 7],
      ['B', 5],
    ] as const
  ).map(([pattern, rung]) => ({ pattern, rung })),
  ...{ impactCleared: true, heelDownAtTarget: true },
};
const levelIn = (own: OwnExercise, more: Partial<Facts> = {}) => {
  const facts = someone({ ...fit, ...more });
  return levelOfOwn(levelRules, facts, own, assignLevels(all, facts));
};
const inSet = (more: Partial<OwnExercise>) =>
  anOwn({ pattern: 'M', beside: null, stance: 'seated', aSide: false, ...more });

test('its name stands behind the code of the rung it stands beside; in the set it is the ninth', () => {
  expect(levelIn(anOwn())).toMatchObject({ code: 'L2/2@5x2 Towel slide', own: { id: 'towel-slide', version: 1 } });
  expect(levelIn(inSet({ name: 'Fan' }))).toMatchObject({ code: 'M9/2@5x2 Fan' });
});

describe('it is never closed less strictly than its flags, its loads and the rung beside it ask', () => {
  const limited = (kind: LimiterKind): Partial<Facts> => ({ limiters: [{ kind, pain: 10 }] });
  const rowsOf = (kind: LimiterKind): readonly LimiterRow[] => levelRules.limiters.filter((r) => r.kind === kind);
  const flags = {
    floor: { floor: true },
    weight: { weight: true },
    impact: { impact: true, stance: 'two-foot', hands: 'h' },
    'one-leg': { stance: 'one-leg', hands: 'h' },
  } as const satisfies Record<string, Partial<OwnExercise>>;
  test.each(limiterKinds)('%s', (kind) => {
    for (const [flag, more] of Object.entries(flags)) {
      const own = inSet(more);
      expect([flag, isOpen(levelIn(own))]).toEqual([flag, true]);
      const forbidden = rowsOf(kind).some((r) => r.forbids?.some((f) => f === flag));
      if (forbidden) expect([flag, isOpen(levelIn(own, limited(kind)))]).toEqual([flag, false]);
    }
    for (const joint of loadedJoints) {
      const spared = rowsOf(kind).filter((r) => r.closesLoads?.joint === joint);
      const none = anOwn().loads;
      // Left empty it counts as much.
      const others = Object.fromEntries(Object.entries(none).filter(([j]) => j !== joint));
      const much = isOpen(levelIn(inSet({ loads: others }), limited(kind)));
      if (spared.length > 0) expect([joint, much]).toEqual([joint, false]);
      if (spared.some((r) => r.closesLoads?.least === 'some'))
        expect(isOpen(levelIn(inSet({ loads: { ...none, [joint]: 'some' } }), limited(kind)))).toBe(false);
    }
    expect(isOpen(levelIn(inSet({ closedBy: [kind] }), limited(kind)))).toBe(false);
    const beside = (rung: number) => isOpen(levelIn(anOwn({ beside: rung, stance: 'seated' }), limited(kind)));
    for (const rung of [2, 4, 8])
      if (rowsOf(kind).some((r) => r.closes.L?.some(([a, b]) => a <= rung && rung <= b)))
        expect(beside(rung)).toBe(false);
  });
  test('the floor asks who gets up, a slide for a floor that slides and feet that feel, one leg for three positions', () => {
    const without = (name: string) => ({ results: fit.results?.filter((r) => r.test !== name) ?? [] });
    expect(isOpen(levelIn(inSet({ floor: true }), without('floor-transfer')))).toBe(false);
    const slide = inSet({ slides: true, stance: 'split' });
    expect(isOpen(levelIn(slide))).toBe(true);
    expect(isOpen(levelIn(slide, { floorSlides: false }))).toBe(false);
    expect(isOpen(levelIn(slide, { limiters: [{ kind: 'numb-feet' }] }))).toBe(false);
    expect(isOpen(levelIn(inSet({ stance: 'one-leg' }), without('four-stage')))).toBe(false);
    expect(isOpen(levelIn(inSet({ impact: true }), { impactCleared: false }))).toBe(false);
    expect(isOpen(levelIn(inSet({ impact: true }), { falls12m: 2 }))).toBe(false);
  });
  test('beside a rung it waits for what that rung waits for: the first classes, a question, what was not shown', () => {
    const beside6 = anOwn({ beside: 6 });
    expect(isOpen(levelIn(beside6))).toBe(true);
    expect(isOpen(levelIn(beside6, { sessionsLogged: 0 }))).toBe(false);
    expect(isOpen(levelIn(anOwn({ beside: 8 }), { shown: [] }))).toBe(false);
    expect(isOpen(levelIn(anOwn(), { readiness: 'ask-first' }))).toBe(false);
    expect(isOpen(levelIn(inSet({}), { readiness: 'ask-first', askFirstKind: 'disease' }))).toBe(false);
    const said = { setByHand: [{ pattern: 'L', rung: 8, reason: 'trained elsewhere' }], shown: [] } as const;
    const asks = anOwn({ beside: 6, needs: [{ fact: 'heelRises', atLeast: 30 }] });
    expect(isOpen(levelIn(asks, said))).toBe(false);
  });
});

test('what closes it is told as soon as its form says enough', () => {
  const told = (own: OwnExercise) => closesOwn(levelRules, own, ownRung(own, levelRules));
  expect(told(inSet({}))).toEqual([]);
  expect(told(inSet({ closedBy: ['dizziness'] }))).toEqual(['dizziness, known']);
  expect(told(inSet({ loads: { ...anOwn().loads, shoulder: 'much' } }))).toEqual(['shoulder pain from 4']);
  expect(told(inSet({ weight: true }))).toContain('fragile bone, not cleared for a load');
  expect(told(anOwn({ beside: 4 }))).toContain('knee pain from 3');
});
