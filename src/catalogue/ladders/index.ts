import type { Ladder } from '../../core/shapes/ladder';
import { ankles } from './ankles/ladder';
import { bridge } from './bridge/ladder';
import { floorTransfer } from './floor-transfer/ladder';
import { hinge } from './hinge/ladder';
import { lunge } from './lunge/ladder';
import { mobility } from './mobility/ladder';
import { squat } from './squat/ladder';
import { stepUp } from './step-up/ladder';
import { thighSet } from './thigh-set/ladder';
import { trunk } from './trunk/ladder';
import { wide } from './wide/ladder';

export const ladders: readonly Ladder[] = [squat, lunge, hinge, bridge];

/** Ladders beside the four, and the set. */
export const accessories: readonly Ladder[] = [wide, ankles, stepUp, floorTransfer, thighSet, trunk, mobility];
