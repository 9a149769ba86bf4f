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
  reps: { least: 1, most: 8, share: 0.5, uncounted: 5 },
  holds: { leastS: 5, mostS: 15, share: 0.5, times: 3 },
  source: sources.practice,
};

/** From shown balance to hands, on two feet. */
export const balanceRows: readonly BalanceRow[] = [
  { fourStage: 0, oneLegS: 0, twoFoot: 'closed' },
  { fourStage: 1, oneLegS: 0, twoFoot: '2' },
  { fourStage: 2, oneLegS: 0, twoFoot: '1' },
  { fourStage: 3, oneLegS: 0, twoFoot: 'f' },
  { fourStage: 3, oneLegS: 5, twoFoot: '0' },
];
