import type { Level } from '../../core/level/answer';
import { isOpen, trainedLevel, waitingLevel, waitingLevels } from '../../core/level/standing';
import type { PersonView } from '../../core/view/personView';
import { dayWords } from '../words';

/** The levels to go by today: each that waits for a yes, else the one in force; what is open where nothing was tested. */
export const levelsShown = ({ levels, standings }: PersonView): Level[] =>
  standings.length === 0
    ? []
    : standings
        .flatMap((s) => (isOpen(s.ceiling) ? (waitingLevel(s) ?? trainedLevel(s) ?? []) : []))
        .filter(() => levels.refused === null);

/** `4 wait for your yes`, or since when they are confirmed. */
export function waitWords({ standings }: PersonView): string {
  const { length } = waitingLevels(standings);
  if (length > 0) return `${length} ${length === 1 ? 'waits' : 'wait'} for your yes`;
  return `confirmed ${dayWords(standings.find((s) => s.inForce)?.inForce?.decidedOn ?? '')}`;
}
