// The load model beside its second formulation by a general matrix library, and the levels with its table and without.
import { solveSplit } from '../src/core/load/split';
import { solveSquat } from '../src/core/load/squat';
import { gravity, usualLimits, type Carrying, type Split, type Squat } from '../src/core/load/setUp';
import { levelRules } from '../src/catalogue/rules';
import { besideOf } from '../src/core/level/accessories';
import { assignLevels, withAccessories } from '../src/core/level/assign';
import { forgetAll } from '../src/core/load/seatChoice';
import { plainFacts, type Facts, type TestResult } from '../src/core/shapes/facts';
import { median } from './median';
import { secondSplit, secondSquat } from './secondFormulation';

const carrying: Carrying = {
  ...{ heightM: 1.68, massKg: 70, arms: 'crossed', loadKg: 0, loadAt: 'hands', support: null },
  ...{ toeFraction: 0.5, copRef: 'mtp', limits: { ...usualLimits, dfLimitDeg: 40 } },
};
const squats = Array.from({ length: 10_000 }, (_, n): Squat => ({
  ...carrying,
  ...{ hipHeightM: 0.55 + (n % 100) * 0.002, massKg: 50 + (n % 61), heelLiftM: 0 },
  ...{ rule: 'parallel', trunkPerShank: 1 },
}));
const splits = Array.from({ length: 10_000 }, (_, n): Split => ({
  ...carrying,
  ...{ hipHeightM: 0.62 + (n % 50) * 0.002, massKg: 50 + (n % 61), stepM: 0.6, rearFootDeg: 60, bracePct: 0 },
  ...{ rule: 'share_by_shank', trunkDeg: 15, frontShare: 0.7 },
}));

function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
/** The slow side does a part of them, and is reckoned up. */
const part = 20;
const some = <T>(all: readonly T[]): T[] => all.filter((_, n) => n % part === 0);
function says(what: string, slow: number, fast: number): void {
  console.log(`${what}: ${(slow / fast).toFixed(0)} times as fast (${slow.toFixed(0)} and ${fast.toFixed(0)} ms)`);
}

for (const one of some(squats)) {
  const [own, other] = [solveSquat(one), secondSquat(one, 1)];
  const apart = 'posture' in own && other ? Math.abs(own.momentNm.knee - other.knee) : NaN;
  if (!(apart < 1e-6)) throw new Error(`the two formulations differ by ${apart} N m at the knee`);
}
const fastSquats = timed(() => squats.forEach((one) => solveSquat(one)));
says(
  '10,000 squats, recursion over a matrix library',
  part * timed(() => some(squats).forEach((one) => secondSquat(one, 1))),
  fastSquats,
);

const range = [0.05, 0.6] as const;
const slowSplit = (one: Split) => secondSplit(one, (15 * Math.PI) / 180, 0.7, range);
for (const one of some(splits)) {
  const [own, other] = [solveSplit(one), slowSplit(one)];
  const apart = 'front' in own && other?.front ? Math.abs(own.front.momentNm.knee - other.front.knee) : NaN;
  if (!(apart < 1e-6 * gravity)) throw new Error(`the two formulations differ by ${apart} N m at the front knee`);
}
const fastSplits = timed(() => splits.forEach((one) => solveSplit(one)));
says(
  '10,000 split stances, recursion over a matrix library',
  part * timed(() => some(splits).forEach(slowSplit)),
  fastSplits,
);

const day = '2026-03-02';
const done = (test: string, value: number, more: Partial<TestResult> = {}): TestResult => ({
  ...{ test, value, testedOn: day, outcome: 'done' },
  ...more,
});
const people = Array.from({ length: 1000 }, (_, n): Facts => {
  const both = (test: string, value: number) => (['L', 'R'] as const).map((side) => done(test, value, { side }));
  const seatHeightCm = [43, 45, 46][n % 3] ?? 43;
  return {
    ...plainFacts,
    person: { ageYears: 65 + (n % 25), sex: 'female', heightCm: 150 + (n % 37), massKg: 50 + (n % 40) },
    testedOn: day,
    results: [
      ...[done('chair-stand-30s', 8 + (n % 9), { seatHeightCm }), done('four-stage', 3)],
      ...[...both('one-leg', 12), ...(n % 3 === 0 ? both('knee-to-wall', 2 + (n % 10)) : [])],
    ],
    sessionsLogged: 4,
    kit: {
      chairs: [43, 46].map((heightCm) => ({ heightCm, arms: false })),
      ...{
        padsCm: [3, 5],
        weightsKg: [1, 2],
        raisedSurface: true,
        rail: true,
        wedge: false,
        mat: true,
        boxesCm: [],
        stepsCm: [],
      },
    },
  };
});
const judge = (facts: Facts) => assignLevels(levelRules, facts);
people.slice(0, 50).forEach(judge);
forgetAll();
const first = timed(() => people.forEach(judge));
const again = timed(() => people.forEach(judge));
const without = timed(() =>
  people.slice(0, 50).forEach((facts) => {
    forgetAll();
    judge(facts);
  }),
);
says('levels of 1,000 people, with a table that is full over none', 20 * without, again);
says('levels of 1,000 people, with a table that fills over none', 20 * without, first);

// With the seven ladders beside the four: every rung of eleven judged, and which of them are offered.
const eleven = withAccessories(levelRules);
people.forEach((facts) => assignLevels(eleven, facts));
const times = (work: (facts: Facts) => void) => timed(() => people.forEach(work));
const rounds = Array.from({ length: 9 }, () => {
  const four = times(judge);
  return { all: times((facts) => assignLevels(eleven, facts)) / four, offered: times(offeredTo) / four };
});
function offeredTo(facts: Facts): void {
  const { levels } = judge(facts);
  besideOf(levelRules, facts, levels, [], null);
}
console.log(
  `levels of 1,000 people, eleven ladders over four: ${median(rounds.map((r) => r.all)).toFixed(2)}; ` +
    `with what is offered of them: ${median(rounds.map((r) => r.offered)).toFixed(2)}`,
);
