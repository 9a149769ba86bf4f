import { describe, expect, test } from 'vitest';
import { levelRules } from '../../catalogue/rules';
import { plainFacts, type Facts, type Limiter } from '../shapes/facts';
import { limitersInForce } from '../intake/inForce';
import { readAll } from './needs';
import { supportFor } from './support';
import { startingDose } from './dose';

const squat = levelRules.ladders[0];
const rung = squat?.rungs.find((r) => r.rung === 6);
if (!squat || !rung) throw new Error('no S6');
const facts = (stage: number | null, legS: number | null, more: Partial<Facts> = {}): Facts => ({
  ...plainFacts,
  person: { ageYears: 70, sex: null, heightCm: 165, massKg: 70 },
  testedOn: '2026-03-02',
  results: [
    ...(stage === null ? [] : [{ test: 'four-stage', testedOn: '2026-03-01', outcome: 'done' as const, value: stage }]),
    ...(legS === null
      ? []
      : (['L', 'R'] as const).map((side) => ({
          test: 'one-leg',
          testedOn: '2026-03-01',
          outcome: 'done' as const,
          value: legS,
          side,
          trials: [legS, legS],
        }))),
  ],
  floorSlides: true,
  sessionsLogged: 5,
  kit: {
    chairs: [],
    padsCm: [],
    weightsKg: [],
    raisedSurface: false,
    rail: true,
    wedge: false,
    mat: true,
    boxesCm: [null],
    stepsCm: [],
  },
  ...more,
});
const supportOf = (f: Facts) =>
  supportFor(rung, rung.rung, {
    rules: levelRules,
    facts: f,
    readings: readAll(levelRules, f, []),
    inForce: limitersInForce(levelRules.limiters, f.limiters, '2026-03-02'),
    confirmed: undefined,
  }).support;

describe('hands by shown balance on two feet (common practice, no published source)', () => {
  test.each([
    [null, null, 'closed'],
    [0, 45, 'closed'],
    [1, 45, '2'],
    [2, 45, '1'],
    [3, null, 'f'],
    [3, 4.9, 'f'],
    [3, 5, '0'],
    [4, 30, '0'],
  ])('positions %s, one leg %s s: %s', (stage, legS, support) => {
    expect(supportOf(facts(stage, legS))).toBe(support);
  });
  const numb: Limiter = { kind: 'numb-feet' };
  test('one step back for each of falls, numb feet, dizziness, an aid indoors; two answers of one kind are one step', () => {
    const back = (more: Partial<Facts>) => supportOf(facts(3, 20, more));
    expect(back({ falls12m: 1 })).toBe('0');
    expect(back({ falls12m: 2 })).toBe('h');
    expect(back({ falls12m: 2, injuredInFall: true, readiness: 'ready-with-care' })).toBe('h');
    expect(back({ limiters: [numb, numb] })).toBe('h');
    expect(back({ aidIndoors: true, limiters: [numb] })).toBe('f');
    expect(back({ aidIndoors: true, limiters: [numb, { kind: 'dizziness' }], falls12m: 3 })).toBe('2');
  });
  test('the steps stop at two hands on a fixed rail and close nothing', () => {
    expect(supportOf(facts(2, null, { aidIndoors: true, falls12m: 2 }))).toBe('2');
    expect(supportOf(facts(1, null, { aidIndoors: true }))).toBe('2');
  });
});

const doseOf = (f: Facts, holdS: number) =>
  startingDose(squat, rung, levelRules, readAll(levelRules, f, []), f, { holdS, reps: Infinity });

describe('the dose to start with (common practice, no published source)', () => {
  const held = (seconds: number | null): Facts => {
    const f = facts(3, null);
    return seconds === null
      ? f
      : {
          ...f,
          results: [...f.results, { test: 'thigh-hold', testedOn: '2026-03-01', outcome: 'done', value: seconds }],
        };
  };
  test.each([
    [null, 5],
    [8, 5],
    [22, 11],
    [45, 15],
  ])('a hold of %s s shown: start with %i s, three times', (seconds, holdS) => {
    expect(doseOf(held(seconds), Infinity)).toEqual({
      kind: 'holds',
      holdS,
      sets: 3,
    });
  });
  test('where the head must not be low a hold is at most 10 s', () => {
    expect(doseOf(held(45), 10)).toMatchObject({ holdS: 10 });
  });
});
