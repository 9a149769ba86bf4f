// What a set-up costs: 30 people on 12 chairs and 40 on 20, in two waves where one does not do, and how many were proven best;
// over the judging of the same people's levels, which every page of the class does first.
import { levelRules } from '../src/catalogue/rules';
import { assignLevels } from '../src/core/level/assign';
import { plainFacts } from '../src/core/shapes/facts';
import { emptyCupboard } from '../src/core/intake/cupboard';
import { toBuy } from '../src/core/train/seats/toBuy';
import { planSeats } from '../src/core/train/seats/programme';
import type { SeatStock, Sitter } from '../src/core/train/seats/problem';
import { solve } from '../src/use-cases/solve';
import { median } from './median';

/** The same halls each time: a small generator with a seed. */
function numbers(seed: number): () => number {
  let now = seed;
  return () => (now = (now * 48271) % 2147483647) / 2147483647;
}
const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};
const hallOf = (chairs: readonly (readonly [number, number])[]): SeatStock => ({
  chairs: chairs.map(([heightCm, count]) => ({ heightCm, count, arms: false, stable: true })),
  pads: [
    { thickCm: 3, count: 5 },
    { thickCm: 5, count: 3 },
  ],
});
const twelve = hallOf([
  [43, 6],
  [46, 4],
  [50, 2],
]);
const twenty = hallOf([
  [43, 10],
  [45, 6],
  [48, 4],
]);
const rate = numbers(11);
const sittersOf = (n: number): Sitter[] =>
  Array.from({ length: n }, (_, i) => {
    const targetCm = 43 + Math.floor(rate() * 12);
    return { personId: `p${i}`, targetCm, mostCm: targetCm + Math.floor(rate() * 8) };
  });
const people = Array.from({ length: 30 }, (_, n) => ({
  ...{ ...plainFacts, testedOn: '2026-03-02', sessionsLogged: 4 },
  results: [
    { test: 'chair-stand-30s', value: 8 + (n % 9), seatHeightCm: 43, testedOn: '2026-03-02', outcome: 'done' as const },
  ],
  kit: {
    chairs: [{ heightCm: 43, arms: false }],
    padsCm: [3, 5],
    weightsKg: [1],
    raisedSurface: true,
    rail: true,
    wedge: false,
    mat: true,
    boxesCm: [],
    stepsCm: [],
  },
  person: { ageYears: 65 + (n % 25), sex: 'female' as const, heightCm: 148 + (n % 37), massKg: 60 },
}));

const judging: number[] = [];
for (let i = 0; i < 7; i += 1)
  judging.push(await timed(() => Promise.resolve(people.map((f) => assignLevels(levelRules, f)))));
const judged = median(judging);
await planSeats(sittersOf(5), twelve, 1, solve);
const answered = { most: 0 };
const last = { at: performance.now() };
const ticking = setInterval(() => {
  answered.most = Math.max(answered.most, performance.now() - last.at);
  last.at = performance.now();
}, 5);
for (const [words, n, stock] of [
  ['30 on 12 chairs', 30, twelve],
  ['40 on 20 chairs', 40, twenty],
] as const)
  for (const waves of [1, 2] as const) {
    const times: number[] = [];
    let proven = 0;
    for (let i = 0; i < 20; i += 1) {
      const sitters = sittersOf(n);
      times.push(
        await timed(async () => {
          if ((await planSeats(sitters, stock, waves, solve)).proven) proven += 1;
        }),
      );
    }
    console.log(
      `${words}, ${waves === 1 ? 'at once' : 'in two waves'}: ${(median(times) / judged).toFixed(2)} of judging 30 people ` +
        `(${median(times).toFixed(0)} ms, the longest ${Math.max(...times).toFixed(0)} ms here), proven ${proven} of 20`,
    );
  }
const groups = Array.from({ length: 8 }, (_, i) => ({ name: `group ${i}`, sitters: sittersOf(20), blocks: [] }));
const cupboard = { ...emptyCupboard, ...twelve };
const buying = await timed(() => toBuy(groups, cupboard, solve));
console.log(
  `what to buy for 8 groups of 20 on 12 chairs: ${(buying / judged).toFixed(1)} of judging 30 people (${buying.toFixed(0)} ms here)`,
);
clearInterval(ticking);
console.log(`the server's own thread was never held up for more than ${answered.most.toFixed(0)} ms meanwhile`);
