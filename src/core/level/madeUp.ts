import type { OwnExercise } from '../shapes/own';
import { plainFacts, type Facts, type TestResult } from '../shapes/facts';

/** The day on which the made-up people of the tests of levels are asked about. */
export const madeUpDay = '2026-03-02';

/** The made-up hall they are in. */
export const madeUpKit = {
  chairs: [{ heightCm: 43, arms: false }],
  padsCm: [3, 5],
  weightsKg: [1, 2],
  raisedSurface: true,
  rail: true,
  wedge: false,
  mat: true,
  boxesCm: [null],
  stepsCm: [10, 18],
};

export const done = (test: string, value: number, more: Partial<TestResult> = {}): TestResult => ({
  test,
  testedOn: madeUpDay,
  outcome: 'done',
  value,
  ...more,
});

export const stands = (value: number, more: Partial<TestResult> = {}): TestResult =>
  done('chair-stand-30s', value, { seatHeightCm: 43.2, ...more });

/** Three tries alike on each side. */
export const legs = (value: number, right = value): TestResult[] =>
  (
    [
      ['L', value],
      ['R', right],
    ] as const
  ).map(([side, s]) => done('one-leg', s, { side, trials: [s, s, s] }));

/** A movement of a hall's own that asks for nothing beside what it is. */
export const anOwn = (more: Partial<OwnExercise> = {}): OwnExercise => ({
  ...{ id: 'towel-slide', version: 1, name: 'Towel slide', does: 'One foot slides back on a towel.' },
  ...{ pattern: 'L', beside: 2, stance: 'split', hands: '2', aSide: true, dose: 'reps' },
  ...{ floor: false, slides: false, impact: false, weight: false, trains: 'front of thigh' },
  loads: { knee: 'none', hip: 'none', back: 'none', ankle: 'none', shoulder: 'none' },
  ...{ needs: [], places: [], closedBy: [], checks: [], aside: false },
  ...more,
});

/** A woman of 77 in her third class, of whom nothing more is told. */
export const someone = (more: Partial<Facts> = {}): Facts => ({
  ...plainFacts,
  person: { ageYears: 77, sex: 'female', heightCm: 160, massKg: 64 },
  testedOn: madeUpDay,
  results: [],
  floorSlides: true,
  sessionsLogged: 2,
  kit: madeUpKit,
  ...more,
});
