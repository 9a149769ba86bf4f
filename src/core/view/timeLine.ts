import { liveEvents } from '../measure/live';
import type { AttemptEvent } from '../shapes/attempt';

/** An event as it is looked at afterwards. */
export interface TimeLineEvent {
  readonly event: AttemptEvent;
  /** The strike that leaves it out; `null` while it stands. */
  readonly struckBy: Extract<AttemptEvent, { readonly kind: 'strike' }> | null;
}

/** Seqs from here on are of corrections from the desk, after all that a station could ever send. */
export const correctionsFrom = 50_000;

/** All events of an attempt in their order, each with what became of it. */
export function timeLineOf(events: readonly AttemptEvent[]): TimeLineEvent[] {
  const inOrder = [...events].sort((a, b) => a.seq - b.seq);
  const standing = new Set(liveEvents(events).map((e) => e.seq));
  return inOrder.map((event) => ({
    event,
    struckBy: standing.has(event.seq)
      ? null
      : (inOrder
          .filter((e): e is Extract<AttemptEvent, { kind: 'strike' }> => e.kind === 'strike' && standing.has(e.seq))
          .find((e) => e.ofSeq === event.seq) ?? null),
  }));
}

/** What was taken down at the station or on paper, before anything was put right at the desk. */
export const asTakenDown = (events: readonly AttemptEvent[]): AttemptEvent[] =>
  events.filter((e) => e.seq < correctionsFrom);
