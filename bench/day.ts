// The planner of a testing day: 40 people on four of the staff over 20 on two, in one run.
import { protocols } from '../src/catalogue/protocols';
import { daySets } from '../src/catalogue/testing-day/daySets';
import { planDay } from '../src/core/measure/day/plan';
import type { DayPerson, DayStaff, DayTest } from '../src/core/shapes/day';
import { median } from './median';

const tests: readonly DayTest[] = protocols.map(({ id, station }) => ({ ...station, id }));
const people = (n: number): DayPerson[] =>
  Array.from({ length: n }, (_, i) => ({
    ...{ id: `p${i}`, tests: daySets.full.slice(0, i % 4 === 0 ? 4 : 5), alone: i % 7 === 0, over85: i % 6 === 0 },
  }));
const staff = (n: number): DayStaff[] =>
  Array.from({ length: n }, (_, i) => ({
    id: `s${i}`,
    may: i === 0 ? ['instructor', 'spots', 'counts'] : i === n - 1 && n > 2 ? ['counts'] : ['spots', 'counts'],
  }));
function took(many: number, hands: number): number {
  const all: number[] = [];
  for (let n = 0; n < 9; n++) {
    const start = performance.now();
    planDay(people(many), tests, staff(hands));
    all.push(performance.now() - start);
  }
  return median(all);
}
took(20, 2);
const [large, small] = [took(40, 4), took(20, 2)];
console.log(
  `planner, 40 people on four over 20 on two: ${(large / small).toFixed(2)} (${large.toFixed(0)} and ${small.toFixed(0)} ms)`,
);
