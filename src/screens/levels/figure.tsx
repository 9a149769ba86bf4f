import type { CardFigure } from '../../core/card/cards';
import type { Level } from '../../core/level/answer';
import { SolvedFigure } from '../drawing/solvedFigure';

/** Start and end of a level for this body. */
export function Figure({ of, level }: { of: (level: Level) => CardFigure | null; level: Level }) {
  const figure = of(level);
  return (
    figure && (
      <SolvedFigure
        {...figure}
        pattern={level.pattern}
        title={`${level.name}: start and end`}
        className="mb-1 h-36 w-full"
      />
    )
  );
}
