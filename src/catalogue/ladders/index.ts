import type { Ladder } from '../../core/shapes/ladder';
import { bridge } from './bridge/ladder';
import { hinge } from './hinge/ladder';
import { lunge } from './lunge/ladder';
import { squat } from './squat/ladder';

export const ladders: readonly Ladder[] = [squat, lunge, hinge, bridge];
