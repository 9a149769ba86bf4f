import type { BalanceRow, HouseRules } from '../../core/shapes/ladder';
import { sources } from '../sources';

/** Common practice, no published source; editable per site later, with these as the shipped values. */
export const houseRules: HouseRules = {
  oldAfterDays: 16 * 7,
  halfYearAfterDays: 26 * 7,
  untestedAfterDays: 52 * 7,
  usualSeatCm: 46,
  firstClasses: 2,
  firstClassesTop: { S: 6, L: 4, H: 4, B: 3 },
  firstClassesLeast: { S: 2, B: 2 },
  askFirstTop: { symptoms: {}, operation: { B: 1, A: 1 }, disease: { S: 1, B: 1, A: 1 } },
  lightTop: { S: 3, H: 1, B: 2, A: 1 },
  lightWhileAsking: false,
  askFirstHoldS: 10,
  missedWeeks: 3,
  oldRaiseCm: 5,
  fallsForCare: 2,
  reps: { least: 1, most: 8, share: 0.5, uncounted: 5, uncountedASide: 3, rising: { first: 2, rounds: 3 } },
  rounds: [
    { fromClasses: 0, rounds: 1 },
    { fromClasses: 2, rounds: 2 },
    { fromClasses: 6, rounds: 3 },
  ],
  load: { shareOfMass: 0.05, mostKg: 4, tap: { stands: 13, fromClasses: 4, kneePainMost: 2 } },
  hover: {
    ...{ underShownCm: 3, mostEffortPct: 110, untestedAnkleDeg: 28, untoldHeightCm: 180 },
    ...{ wedgeCm: 2, railPullPct: 10, overTestedCm: 5, raisedOverTestedCm: 10 },
  },
  seatCap: { share: 1.2, kneeShareOfHeight: 0.285 },
  offersMost: 3,
  holds: { leastS: 5, mostS: 15, share: 0.5, times: 3 },
  source: sources.practice,
};

/** From shown balance to hands, by how the feet stand. */
export const balanceRows: readonly BalanceRow[] = [
  { fourStage: 0, oneLegS: 0, 'two-foot': 'closed', split: 'closed', 'one-leg': 'closed' },
  { fourStage: 1, oneLegS: 0, 'two-foot': '2', split: '2', 'one-leg': 'closed' },
  { fourStage: 2, oneLegS: 0, 'two-foot': '1', split: '2', 'one-leg': 'closed' },
  { fourStage: 3, oneLegS: 0, 'two-foot': 'f', split: '1', 'one-leg': '2' },
  { fourStage: 3, oneLegS: 5, 'two-foot': '0', split: 'f', 'one-leg': '1' },
  { fourStage: 3, oneLegS: 10, 'two-foot': '0', split: 'h', 'one-leg': 'f' },
  { fourStage: 3, oneLegS: 20, 'two-foot': '0', split: '0', 'one-leg': 'h' },
];
