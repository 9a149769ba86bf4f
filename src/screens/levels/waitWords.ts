import { waitingLevels } from '../../core/level/standing';
import type { PersonView } from '../../core/view/personView';
import { dayWords } from '../words';

/** `4 wait for your yes`, or since when they are confirmed. */
export function waitWords({ standings }: PersonView): string {
  const { length } = waitingLevels(standings);
  if (length > 0) return `${length} ${length === 1 ? 'waits' : 'wait'} for your yes`;
  return `confirmed ${dayWords(standings.find((s) => s.inForce)?.inForce?.decidedOn ?? '')}`;
}
