import type { Ladder } from '../../core/shapes/ladder';
import { squat } from './squat/ladder';

/** The ladders built so far, in the order they are shown. */
export const ladders: readonly Ladder[] = [squat];
