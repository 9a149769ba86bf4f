import { liveEvents } from '../../../core/measure/live';
import { phaseOf } from '../../../core/measure/phase';
import type { AttemptEvent } from '../../../core/shapes/attempt';
import { isRun, thisPage } from './pages';
import { isDone, rulesOf } from './sending';
import { claim, forgetAttempt, keptEvents, type KeptAttempt } from './store';
import type { Run } from './useLanes';

/** Nothing was measured of it yet, so there is nothing to take up or to send. */
export function neverBegan(kept: KeptAttempt, events: readonly AttemptEvent[]): boolean {
  const rules = rulesOf(kept);
  return rules !== undefined && phaseOf(rules.capture, liveEvents(events)) === 'waiting';
}

/**
 * Attempts that a reload cut off, or that a page left behind, as they stood beside each other: those of the first test
 * that is found, in the order of their lanes. Of somebody with nothing measured at all the attempt is forgotten.
 */
export async function takeUp(attempts: readonly KeptAttempt[]): Promise<Run[]> {
  const found: Run[] = [];
  const empty: KeptAttempt[] = [];
  const inOrder = [...attempts].sort((a, b) => a.lane - b.lane);
  for (const kept of inOrder) {
    const events = await keptEvents(kept.clientKey);
    const other = found[0] !== undefined && found[0].kept.test !== kept.test;
    if (other || isDone(kept, events) || (await isRun(kept.clientKey))) continue;
    if (neverBegan(kept, events)) empty.push(kept);
    else if (await claim(kept, thisPage)) found.push({ kept: { ...kept, page: thisPage }, events });
  }
  for (const kept of empty) {
    // The other side of somebody who is at it comes along, though nothing was measured of it yet.
    const beside = found.some((r) => r.kept.personId === kept.personId && r.kept.test === kept.test);
    if (!beside) await forgetAttempt(kept.clientKey);
    else if (await claim(kept, thisPage)) found.push({ kept: { ...kept, page: thisPage }, events: [] });
  }
  return found;
}
