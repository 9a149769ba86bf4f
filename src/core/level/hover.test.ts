import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import type { Facts } from '../shapes/facts';
import type { Level } from './answer';
import { assignLevels } from './assign';
import { done, legs, madeUpKit as kit, someone, stands } from './madeUp';

const squat = levelRules.ladders.filter((l) => l.pattern === 'S');
const answerFor = (more: Partial<Facts>) => assignLevels({ ...levelRules, ladders: squat }, someone(more));
const levelFor = (more: Partial<Facts>): Level | undefined => answerFor(more).levels[0];
const wall = (cm: number) => (['L', 'R'] as const).map((side) => done('knee-to-wall', cm, { side }));
const chairs = (...cm: number[]) => ({ ...kit, chairs: cm.map((heightCm) => ({ heightCm, arms: false })), padsCm: [] });
const body = (heightCm: number | null, massKg = 70) =>
  ({ ageYears: 70, sex: 'female', heightCm, massKg }) satisfies Facts['person'];
/** Strong and steady, risen from 46 cm: only body, ankles and hall decide about the seat. */
const strong = (...more: Facts['results'][number][]) => [
  ...[stands(14, { seatHeightCm: 46 }), done('four-stage', 4), ...legs(30), done('thigh-hold', 45)],
  ...more,
];
const every = chairs(40, 43, 46, 48, 51, 53, 56);
const textsOf = (level: Level | undefined) =>
  level?.reasons.filter((r) => /target|ankle|Wall|heightCm/.test(r.fact)).map((r) => r.text);

describe('the seat of the slow squats', () => {
  test('nobody tested the ankle: an assumed one counts, and the level says what settles it', () => {
    const level = levelFor({ results: strong(), heelDownAtTarget: true, person: body(165), kit: every });
    expect(level).toMatchObject({ rung: 7, targetCm: 43 });
    expect(textsOf(level)).toEqual([
      '43 cm: knee 100 %, hip 104 % of the seat shown, room 7 degrees',
      'ankle of 28 degrees assumed: a knee-to-wall test would settle it',
    ]);
  });
  test('tall and stiff: the seat goes up until it leaves three degrees, and says what the lower one would leave', () => {
    const level = levelFor({ results: strong(...wall(4)), heelDownAtTarget: true, person: body(174), kit: every });
    expect(level).toMatchObject({ rung: 7, targetCm: 46 });
    expect(textsOf(level)?.[0]).toMatch(
      /^46 cm: knee 100 %, hip 100 % of the seat shown, room \d degrees?; 43 cm would leave \d degrees?$/,
    );
    expect(textsOf(level)?.[1]).toMatch(
      /^knee to wall, stiffer ankle: 4 cm \(3 cm with room for a bad day\), so 2\d degrees$/,
    );
  });
  test('a short one goes lower than a tall one, a stiffer ankle never', () => {
    const at = (heightCm: number, cm: number) =>
      levelFor({ results: strong(...wall(cm)), heelDownAtTarget: true, person: body(heightCm), kit: every })
        ?.targetCm ?? Infinity;
    expect(at(150, 4)).toBeLessThanOrEqual(at(180, 4));
    for (let cm = 1; cm < 12; cm++) expect(at(174, cm)).toBeGreaterThanOrEqual(at(174, cm + 1));
  });
  test('a chair behind: the seat tap asks for no room', () => {
    const nine = [stands(9, { seatHeightCm: 46 }), done('four-stage', 3), ...legs(4), ...wall(4)];
    expect(levelFor({ results: nine, person: body(174), kit: every })).toMatchObject({ rung: 5, targetCm: 43 });
  });
  test('a sore knee is five over the seat tested on, whatever the model allows', () => {
    const level = levelFor({
      results: strong(),
      heelDownAtTarget: true,
      person: body(165),
      kit: every,
      limiters: [{ kind: 'knee-pain', pain: 3 }],
    });
    expect(level).toMatchObject({ rung: 7, targetCm: 51 });
    expect(textsOf(level)?.[0]).not.toContain(';');
  });
  test('a weight at the chest asks for more seat than arms stretched forward', () => {
    const shown = { shown: [{ pattern: 'S', rung: 7 }] } as const;
    const at = (more: Partial<Facts>) =>
      levelFor({ results: strong(...wall(6)), heelDownAtTarget: true, person: body(180), kit: every, ...more });
    expect([at({})?.rung, at(shown)?.rung]).toEqual([7, 8]);
    expect(at(shown)?.targetCm).toBeGreaterThan(at({})?.targetCm ?? Infinity);
  });
  test('a height that nobody measured is reckoned as a tall one, and said', () => {
    const level = levelFor({ results: strong(), heelDownAtTarget: true, person: body(null), kit: every });
    expect(level).toMatchObject({ rung: 7 });
    expect(textsOf(level)).toContain('height not asked: reckoned as 180 cm');
  });
  test('an old test, or one that a sore ankle keeps out, still counts where it is stiffer than what would be assumed', () => {
    const at = (more: Partial<Facts>, cm: number) =>
      levelFor({ results: strong(...wall(cm)), heelDownAtTarget: true, person: body(174), kit: every, ...more })
        ?.targetCm;
    const sore: Partial<Facts> = { limiters: [{ kind: 'ankle-pain', pain: 4 }] };
    expect(at(sore, 3)).toBe(at({}, 3));
    expect(at(sore, 12)).toBe(
      levelFor({ results: strong(), heelDownAtTarget: true, person: body(174), kit: every })?.targetCm,
    );
  });
});

describe('where no seat does', () => {
  const stiff = (more: Partial<Facts> = {}): Partial<Facts> => ({
    ...{ results: strong(...wall(1)), heelDownAtTarget: true, person: body(180) },
    kit: { ...every, rail: false },
    ...more,
  });
  const target = (more: Partial<Facts>, rung: number) =>
    answerFor(more).levels[0]?.blockers.find((b) => b.rung === rung && b.fact.startsWith('target'));
  test('stiff ankles of somebody tall close the free squat, and what would do is named: a wedge, or a rail', () => {
    const level = levelFor(stiff({ sessionsLogged: 4 }));
    expect(level?.rung).toBeLessThan(6);
    expect(target(stiff(), 7)).toMatchObject({
      ...{ fact: 'target', need: 'wedge', tag: 'heel wedge' },
      text: expect.stringMatching(
        /^ankles of 21 degrees: no seat up to 51 cm can be hovered over; a firm wedge of 2 cm under both heels, or both hands on a fixed rail, pulling lightly, would do$/,
      ) as string,
    });
  });
  test('a wedge in the cupboard opens it, and the level says to put it under both heels', () => {
    const level = levelFor(stiff({ kit: { ...every, rail: true, wedge: true } }));
    expect(level).toMatchObject({ rung: 7, support: '0', doneSo: ['a firm wedge of 2 cm under both heels'] });
  });
  test('a rail and no wedge: both hands on it', () => {
    const level = levelFor(stiff({ kit: { ...every, rail: true } }));
    expect(level).toMatchObject({ rung: 7, support: '2', supportWords: 'both hands on a fixed rail, pulling lightly' });
  });
  test('hands that hold a weight hold no rail: the ankles are asked', () => {
    const low = [stands(14, { seatHeightCm: 36 }), done('four-stage', 4), ...legs(30), done('thigh-hold', 45)];
    const far = stiff({
      results: [...low, ...wall(0)],
      shown: [{ pattern: 'S', rung: 7 }],
      person: body(190),
      kit: { ...chairs(36, 40, 43), rail: true },
    });
    const blocks = answerFor(far).levels[0]?.blockers.filter((b) => b.rung === 8) ?? [];
    expect(blocks.map((b) => b.fact)).toContain('kneeToWallCm');
    expect(blocks.find((b) => b.fact === 'kneeToWallCm')?.text).toMatch(/opens with knee to wall of [\d.]+ cm$/);
  });
  test('a kit of low chairs: the pad that would do is named', () => {
    const level = levelFor({ results: strong(), heelDownAtTarget: true, person: body(165), kit: chairs(38) });
    expect(level).toMatchObject({
      rung: 4,
      missing: 'a seat of 46 cm: the highest that can be built here is 38 cm (chair 38)',
    });
    expect(level?.blockers.find((b) => b.rung === 5 && b.fact === 'target')).toMatchObject({
      ...{ have: 38, need: 43, tag: 'seat of 43 cm' },
      text: 'a seat of 43 cm to hover over, the highest here is 38 cm: a firm pad of 5 cm on chair 38 would do',
    });
  });
  test('a hall that nobody described lacks no seat: the level says which one it takes', () => {
    expect(levelFor({ results: strong(), heelDownAtTarget: true, person: body(165), kit: chairs() })).toMatchObject({
      ...{ rung: 7, targetCm: 43, missing: 'a chair that makes 43 cm: no chair is listed' },
    });
  });
  test('where the kit only makes a higher seat than the legs are long for, a step goes under the feet', () => {
    const level = levelFor({
      results: [stands(9, { seatHeightCm: 46 }), done('four-stage', 2)],
      person: body(145),
      kit: chairs(56),
    });
    expect(level).toMatchObject({ rung: 5, targetCm: 56, firmStepCm: 56 - Math.floor(1.2 * 0.285 * 145) });
  });
});
