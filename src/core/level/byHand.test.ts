import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import type { Facts, Pattern } from '../shapes/facts';
import { assignLevels, levelAt } from './assign';
import { asWished, handChoices, withoutWord, type HandChoices } from './byHand';
import { printDose } from './code';
import { done, legs, someone, stands } from './madeUp';
import { isOpen } from './standing';

const ladderOf = (pattern: Pattern) => {
  const ladder = levelRules.ladders.find((l) => l.pattern === pattern);
  if (!ladder) throw new Error(`no ladder ${pattern}`);
  return ladder;
};
const levelOf = (pattern: Pattern, facts: Facts) =>
  assignLevels(levelRules, facts).levels.find((l) => l.pattern === pattern);
const choicesOf = (pattern: Pattern, facts: Facts): HandChoices => {
  const own = withoutWord(facts, pattern);
  return handChoices(levelRules, facts, ladderOf(pattern), levelOf(pattern, own) ?? { pattern, blockers: [] });
};
const reason = 'trained elsewhere for years';
const set = (pattern: Pattern, rung: number) => ({ pattern, rung, reason });
const nine = { results: [stands(9), done('four-stage', 3), ...legs(6)], heelDownAtTarget: true };

describe('higher by hand', () => {
  test('a reason stands in for stands that fell short, for what was not seen in classes, and for the first classes', () => {
    expect(levelOf('S', someone(nine))?.rung).toBe(5);
    const raised = levelOf('S', someone({ ...nine, setByHand: [set('S', 7)] }));
    expect(raised).toMatchObject({ rung: 7, support: '0', dose: { reps: 4 } });
    expect(raised?.reasons).toContainEqual(
      expect.objectContaining({
        fact: 'cleanStands',
        byHand: true,
        text: expect.stringContaining('11 asked') as string,
      }),
    );
    expect(raised?.reasons.map((r) => r.text)).toContain(`set by hand: ${reason}`);
    expect(levelOf('S', someone({ ...nine, sessionsLogged: 0, setByHand: [set('S', 7)] }))?.rung).toBe(7);
    const strong = { results: [stands(18), done('four-stage', 4), ...legs(45), done('thigh-hold', 45)] };
    expect(levelOf('S', someone({ ...strong, heelDownAtTarget: true, setByHand: [set('S', 8)] }))?.rung).toBe(8);
  });
  test('it opens nothing above itself', () => {
    const open = someone({ ...nine, setByHand: [set('S', 6)] });
    expect(levelOf('S', open)?.rung).toBe(6);
    expect(
      levelOf('S', open)
        ?.blockers.filter((b) => b.rung === 7)
        .map((b) => b.fact),
    ).toEqual(['cleanStands']);
  });
  test.each([
    ['a limiter', { limiters: [{ kind: 'knee-pain', pain: 3 }] }, 'S', 6, 'limiter:knee-pain'],
    ['the floor transfer', {}, 'B', 3, 'floorTransfer'],
    ['one leg under three positions', { results: [stands(12), done('four-stage', 2)] }, 'H', 7, 'fourStage'],
    ['hands less free than it asks', { results: [stands(9), done('four-stage', 3), ...legs(4)] }, 'L', 5, 'oneLegS'],
    ['what the hall does not have', { kit: { ...someone().kit, boxesCm: [] } }, 'H', 5, 'kit.box'],
    ['impact that nobody cleared', {}, 'S', 9, 'impactCleared'],
    ['a test that was never taken', { results: [stands(14), done('four-stage', 3)] }, 'S', 8, 'oneLegS'],
  ] as const)('never past %s', (_what, more, pattern, rung, fact) => {
    const facts = someone({ ...nine, ...more });
    const at = levelAt(levelRules, facts, pattern, rung, reason);
    expect(isOpen(at)).toBe(false);
    expect(at.blockers.map((b) => b.fact)).toContain(fact);
    expect(levelOf(pattern, { ...facts, setByHand: [set(pattern, rung)] })?.rung ?? 0).toBeLessThan(rung);
  });
  test('a new limiter takes it down, and an old result as it does everywhere', () => {
    const word = {
      ...nine,
      setByHand: [set('S', 7)],
      lastConfirmed: [{ pattern: 'S', rung: 7, support: '0' }],
    } as const;
    expect(levelOf('S', someone({ ...word, limiters: [{ kind: 'back-pain', pain: 6, since: '2025' }] }))?.rung).toBe(5);
    const ago = (testedOn: string) => nine.results.map((r) => ({ ...r, testedOn }));
    expect(levelOf('S', someone({ ...word, results: ago('2025-11-01') }))).toMatchObject({ rung: 7, dial: 'support' });
    expect(levelOf('S', someone({ ...word, results: ago('2025-01-01') }))?.rung).toBe(1);
  });
  test('the hands are no freer than was said with it, nor less free than the rung asks', () => {
    const at = (support: '2' | 'f') =>
      levelOf('S', someone({ ...nine, setByHand: [{ ...set('S', 7), support }] }))?.support;
    expect([at('f'), at('2')]).toEqual(['f', '2']);
    const one = { ...nine, results: [stands(9), done('four-stage', 3), ...legs(25)] };
    expect(levelOf('L', someone({ ...one, setByHand: [{ ...set('L', 5), support: '2' }] }))?.support).toBe('f');
  });
  test('what is offered says what it passes; what is not, what keeps it', () => {
    const { higher, closed } = choicesOf('S', someone({ ...nine, limiters: [{ kind: 'back-pain', pain: 4 }] }));
    expect(higher.map((c) => [c.level.rung, c.passes.length])).toEqual([
      [6, 1],
      [7, 1],
    ]);
    expect(closed.map((c) => c.rung)).toEqual([8, 9]);
    expect(closed[0]?.blockers.map((b) => b.fact)).toContain('limiter:back-pain');
  });
});

describe('lower by hand', () => {
  test('every rung under it that is open, with hands, seat and dose as there or less', () => {
    const { lower } = choicesOf('S', someone(nine));
    expect(lower.map((c) => c.level.rung)).toEqual([5, 4, 3, 2, 1]);
    expect(lower[0]).toMatchObject({ supports: ['h'], heightsCm: [43, 46, 48, 51] });
    expect(lower[0]?.doses.map((d) => (d.kind === 'reps' ? `${d.reps}x${d.sets}` : ''))).toEqual([
      ...['4x2', '4x1', '2x2', '2x1'],
    ]);
    expect(choicesOf('H', someone(nine)).lower[0]?.supports).toEqual(['0', 'h', 'f', '1']);
  });
  test('a wish among the choices becomes the level, with its code; another is refused', () => {
    const facts = someone(nine);
    const [top] = choicesOf('S', facts).lower;
    const word = { word: 'lower', why: '', from: 'S5/43/h@4x2' } as const;
    const wish = {
      rung: 5,
      support: 'h',
      heightCm: 48,
      dose: '2x1',
      loadKg: null,
    } as const;
    expect(top && asWished(top, wish, facts, word)).toMatchObject({
      ...{ code: 'S5/48/h@2x1', targetFrom: ['chair 43', 'pad 5'], byHand: word },
    });
    for (const more of [{ heightCm: 40 }, { support: '0' }, { rung: 6 }, { loadKg: 2 }, { dose: '5x1' }] as const)
      expect(top && asWished(top, { ...wish, ...more }, facts, word)).toBeNull();
  });
  test('how far a movement goes: no farther than it was reached, all of it on a rung under what is given', () => {
    const reached = (step?: number): Facts =>
      someone({ ...nine, lastConfirmed: [{ pattern: 'H', rung: 4, support: '1', ...(step ? { step } : {}) }] });
    const words = (facts: Facts, rung: number) =>
      choicesOf('H', facts)
        .lower.find((c) => c.level.rung === rung)
        ?.withins.map((w) => w.words);
    const kit = { ...someone().kit, boxesCm: [] };
    const noBox = (step?: number) => ({ ...reached(step), kit });
    expect(words(noBox(), 4)).toEqual(['hands to mid thigh']);
    expect(words(noBox(1), 4)).toEqual(['hands to mid thigh', 'hands to the knees']);
    expect(words(noBox(), 3)).toEqual(['a small bow', 'a deeper bow']);
    const [top] = choicesOf('H', noBox(1)).lower;
    if (!top) throw new Error('no hinge is open');
    const wish = { rung: 4, support: top.level.support, heightCm: null, dose: printDose(top.level.dose), loadKg: null };
    const by = { word: 'lower', why: '', from: top.level.code } as const;
    expect(asWished(top, { ...wish, within: 0 }, noBox(1), by)?.within).toEqual({
      ...{ step: 0, words: 'hands to mid thigh' },
    });
    expect(asWished(top, wish, noBox(1), by)?.within?.step).toBe(1);
    expect(asWished(top, { ...wish, within: 2 }, noBox(1), by)).toBeNull();
  });
});
