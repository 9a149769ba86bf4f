import type { Pattern } from '../../core/shapes/facts';
import type { Move } from '../../core/shapes/move';
import { anklesMoves } from './ankles/moves';
import { bridgeMoves } from './bridge/moves';
import { floorTransferMoves } from './floor-transfer/moves';
import { hingeMoves } from './hinge/moves';
import { lungeMoves } from './lunge/moves';
import { mobilityMoves } from './mobility/moves';
import { squatMoves } from './squat/moves';
import { stepUpMoves } from './step-up/moves';
import { thighSetMoves } from './thigh-set/moves';
import { trunkMoves } from './trunk/moves';
import { wideMoves } from './wide/moves';

/** How the rungs of each ladder are taught. Kept apart from the rules: whoever judges a level needs none of it. */
export const moves: Readonly<Record<Pattern, readonly Move[]>> = {
  S: squatMoves,
  L: lungeMoves,
  H: hingeMoves,
  B: bridgeMoves,
  W: wideMoves,
  A: anklesMoves,
  U: stepUpMoves,
  F: floorTransferMoves,
  Q: thighSetMoves,
  K: trunkMoves,
  M: mobilityMoves,
};

export const moveOf = (pattern: Pattern, rung: number): Move | undefined => moves[pattern].find((m) => m.rung === rung);
