import { closingOf } from '../../../core/measure/abandoned';
import { longestGapMs } from '../../../core/measure/phase';
import { claim, forgetAttempt, keepEvent, keptAttempts, keptEvents, type KeptAttempt } from './store';
import { isRun, thisPage } from './pages';
import { isDone, rulesOf } from './sending';
import { neverBegan } from './takeUp';

/**
 * Brings to their end the attempts of this browser that no page runs any more, so that they are sent like any other: a
 * browser that crashed in a test says so on whichever page it is opened again.
 * @returns those that were closed now
 */
export async function closeAbandoned(nowWallMs: number): Promise<KeptAttempt[]> {
  const closed: KeptAttempt[] = [];
  for (const kept of await keptAttempts()) {
    if (kept.closed || nowWallMs - kept.beatWallMs <= longestGapMs) continue;
    const events = await keptEvents(kept.clientKey);
    if (isDone(kept, events) || (await isRun(kept.clientKey))) continue;
    if (neverBegan(kept, events)) {
      await forgetAttempt(kept.clientKey);
      continue;
    }
    const rules = rulesOf(kept);
    const closing = rules ? closingOf(rules, events, kept, nowWallMs) : [];
    if (closing.length === 0 || !(await claim(kept, thisPage))) continue;
    for (const event of closing) await keepEvent(kept.clientKey, { ...event, wallMs: nowWallMs, by: 'page' }, true);
    closed.push(kept);
  }
  return closed;
}
