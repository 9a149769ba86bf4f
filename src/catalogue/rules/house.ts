import type { BalanceRow, HouseRules } from '../../core/shapes/ladder';
import { sources } from '../sources';

/** Common practice, no published source; editable per site later, with these as the shipped values. */
export const houseRules: HouseRules = {
  oldAfterDays: 16 * 7,
  untestedAfterDays: 26 * 7,
  usualSeatCm: 46,
  firstClasses: 2,
  firstClassesTop: { S: 6, L: 4, H: 4, B: 3 },
  askFirstTop: { S: 1, B: 1 },
  askFirstHoldS: 10,
  oldRaiseCm: 5,
  loadShareOfMass: 0.05,
  fallsForCare: 2,
  reps: { least: 1, most: 8, share: 0.5, uncounted: 5, uncountedASide: 3 },
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
