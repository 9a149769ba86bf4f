import type { Pattern } from '../../core/shapes/facts';
import type { Move } from '../../core/shapes/move';
import { bridgeMoves } from './bridge/moves';
import { hingeMoves } from './hinge/moves';
import { lungeMoves } from './lunge/moves';
import { squatMoves } from './squat/moves';

/** How the rungs of each ladder are taught. Kept apart from the rules: whoever judges a level needs none of it. */
export const moves: Partial<Record<Pattern, readonly Move[]>> = {
  S: squatMoves,
  L: lungeMoves,
  H: hingeMoves,
  B: bridgeMoves,
};

export const moveOf = (pattern: Pattern, rung: number): Move | undefined =>
  moves[pattern]?.find((m) => m.rung === rung);
