import type { AttemptEvent } from '../shapes/attempt';

/**
 * The events that stand, in their order: a struck one is left out, and one whose strike was itself struck stands again.
 * @param events in any order; `seq` decides
 */
export function liveEvents(events: readonly AttemptEvent[]): AttemptEvent[] {
  const inOrder = [...events].sort((a, b) => a.seq - b.seq);
  const struck = new Set<number>();
  // From the newest back: whether a strike stands is known before the one it strikes is looked at.
  for (const event of inOrder.toReversed())
    if (event.kind === 'strike' && !struck.has(event.seq) && event.ofSeq < event.seq) struck.add(event.ofSeq);
  return inOrder.filter((e) => !struck.has(e.seq));
}

/** Whose attempt it is: that of the newest move that stands; `null` where none does. */
export function movedTo(live: readonly AttemptEvent[]): string | null {
  return live.findLast((e) => e.kind === 'move')?.toPersonId ?? null;
}
