import type { AttemptEvent } from '../../../core/shapes/attempt';
import { isRun, thisPage } from './pages';
import { isDone } from './sending';
import { claim, forgetAttempt, keptEvents, type KeptAttempt } from './store';

/** An attempt that a reload cut off, or that a page left behind; one that never began is forgotten. */
export async function takeUp(
  attempts: readonly KeptAttempt[],
): Promise<{ kept: KeptAttempt; events: AttemptEvent[] } | null> {
  for (const kept of attempts) {
    const events = await keptEvents(kept.clientKey);
    if (isDone(kept, events) || (await isRun(kept.clientKey))) continue;
    if (!events.some((e) => e.kind === 'start')) await forgetAttempt(kept.clientKey);
    else if (await claim(kept, thisPage)) return { kept: { ...kept, page: thisPage }, events };
  }
  return null;
}
