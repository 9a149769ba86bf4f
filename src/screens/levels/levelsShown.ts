import type { Level } from '../../core/level/answer';
import type { PersonView } from '../../core/personView';

/** The levels to go by today: each that waits for a yes, else the one confirmed; none on a ladder that is closed today. */
export const levelsShown = ({ levels, levelsWaiting, levelsNow }: PersonView): Level[] =>
  levels.levels.flatMap(
    ({ pattern }) =>
      levelsWaiting.find((l) => l.pattern === pattern) ??
      levelsNow.find(({ level }) => level.pattern === pattern)?.level ??
      [],
  );

/** `4 wait for your yes`, or since when they are confirmed. */
export const waitWords = ({ levelsWaiting: { length } }: PersonView): string =>
  `${length} ${length === 1 ? 'waits' : 'wait'} for your yes`;
