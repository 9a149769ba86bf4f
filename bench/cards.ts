// What figures cost: cards of 30 people over judging their levels, and what a board of 60 must be told to carry out.
import { posesOf } from '../src/catalogue/ladders/poses';
import { levelRules } from '../src/catalogue/rules';
import { needsOf } from '../src/core/card/needs';
import { placeFor, withHands } from '../src/core/figure/held';
import { solvePair } from '../src/core/figure/pose';
import { assignLevels } from '../src/core/level/assign';
import { plainFacts, type Facts } from '../src/core/shapes/facts';
import { median } from './median';

const people = Array.from({ length: 60 }, (_, n): Facts => ({
  ...plainFacts,
  person: { ageYears: 65 + (n % 25), sex: 'female', heightCm: 148 + (n % 37), massKg: 50 + (n % 40) },
  testedOn: '2026-03-02',
  results: [
    {
      ...{ test: 'chair-stand-30s', value: 8 + (n % 9), seatHeightCm: 43, testedOn: '2026-03-02', outcome: 'done' },
    },
    { test: 'four-stage', value: 3, testedOn: '2026-03-02', outcome: 'done' },
  ],
  sessionsLogged: 4,
  kit: {
    chairs: [{ heightCm: 43, arms: false }],
    ...{ padsCm: [3, 5], weightsKg: [1, 2], raisedSurface: true, rail: true, wedge: false, mat: true },
    ...{ boxesCm: [], stepsCm: [] },
  },
}));
const levelsOf = (facts: Facts) => assignLevels(levelRules, facts).levels;
const all = people.map(levelsOf);
function timed(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}
const figures = () =>
  all.slice(0, 30).forEach((levels, n) => {
    for (const level of levels) {
      const poses = posesOf(level.pattern, level.rung);
      if (!poses) throw new Error(`${level.code} has no pose`);
      const held = withHands(poses, level.support);
      solvePair(held, placeFor(people[n]?.person.heightCm ?? 165, level));
    }
  });
const rounds = Array.from({ length: 15 }, () => ({
  judged: timed(() => people.slice(0, 30).forEach(levelsOf)),
  drawn: timed(figures),
  carried: timed(() => needsOf(all.flat(), posesOf)),
}));
const ratio = (of: (r: (typeof rounds)[number]) => number): string => median(rounds.map(of)).toFixed(2);
console.log(
  `figures of 30 cards over judging their levels: ${ratio((r) => r.drawn / r.judged)}; ` +
    `what a board of 60 needs over the same: ${ratio((r) => r.carried / r.judged)}`,
);
