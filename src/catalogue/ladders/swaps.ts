import type { Pattern } from '../../core/shapes/facts';
import type { LadderSwaps, SwapTable } from '../../core/shapes/swap';
import { swapDials } from '../swaps/dials';
import { nothingWhen } from '../swaps/nothingWhen';
import { anklesSwaps } from './ankles/swaps';
import { bridgeSwaps } from './bridge/swaps';
import { floorTransferSwaps } from './floor-transfer/swaps';
import { hingeSwaps } from './hinge/swaps';
import { lungeSwaps } from './lunge/swaps';
import { mobilitySwaps } from './mobility/swaps';
import { squatSwaps } from './squat/swaps';
import { stepUpSwaps } from './step-up/swaps';
import { thighSetSwaps } from './thigh-set/swaps';
import { trunkSwaps } from './trunk/swaps';
import { wideSwaps } from './wide/swaps';

const byRung: Readonly<Record<Pattern, LadderSwaps>> = {
  S: squatSwaps,
  L: lungeSwaps,
  H: hingeSwaps,
  B: bridgeSwaps,
  W: wideSwaps,
  A: anklesSwaps,
  U: stepUpSwaps,
  F: floorTransferSwaps,
  Q: thighSetSwaps,
  K: trunkSwaps,
  M: mobilitySwaps,
};

/** What is offered for a movement that hurts. Kept apart from the rules: whoever judges a level needs none of it. */
export const swapTable: SwapTable = { byRung, dials: swapDials, nothingWhen };
