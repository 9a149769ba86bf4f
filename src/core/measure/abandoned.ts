import type { AttemptEvent, Fresh } from '../shapes/attempt';
import type { Protocol } from '../shapes/protocol';
import { liveEvents } from './live';
import { nowIn, ranOut } from './now';
import { asksHalf, longestGapMs, phaseOf } from './phase';

/** What is known of an attempt that no page runs any more. Wall clock in ms since 1970. */
export interface LeftAlone {
  /** Planned go moment; `null` before the countdown. */
  readonly goWallMs: number | null;
  readonly beatWallMs: number;
  /** When stop was pressed and nobody had said why yet; `null` where it was not. */
  readonly stopAskedWallMs: number | null;
}

type Closing = Fresh & { readonly atMs: number };

/** Somebody may rest, telephone or look for their glasses between two tries; after this the test is over. */
const betweenMs = 30 * 60_000;

/**
 * How an attempt that no page runs any more is brought to its end: away while the clock ran, it broke off, or that try
 * did; away only after the tone, its count is whole and the stand nobody was asked about does not count; away between
 * two tries for half an hour, those that were had stand. Away for
 * half an hour while it was asked why it was stopped, it was stopped.
 * @param protocol under the rules of the attempt
 * @returns the events to add, none while it may still be taken up or has ended
 */
export function closingOf(
  protocol: Protocol,
  events: readonly AttemptEvent[],
  left: LeftAlone,
  nowWallMs: number,
): Closing[] {
  const { capture } = protocol;
  const live = liveEvents(events);
  const phase = phaseOf(capture, live);
  const awayMs = Math.round(nowWallMs - left.beatWallMs);
  if (awayMs <= longestGapMs || left.goWallMs === null) return [];
  const atMs = Math.round(nowWallMs - left.goWallMs);
  const unasked: Closing = { kind: 'half-rep', counts: false, atMs };
  if (phase === 'half-way-open') return [unasked];
  if (phase !== 'running') return [];
  if (left.stopAskedWallMs !== null && awayMs <= betweenMs) return [];
  if (left.stopAskedWallMs !== null)
    return [{ kind: 'stop', reason: 'other', atMs: Math.round(left.stopAskedWallMs - left.goWallMs) }];
  const now = nowIn(protocol, live);
  if (now.sinceMs !== null) {
    if (now.untilMs === null || left.beatWallMs < left.goWallMs + now.untilMs)
      return [{ kind: 'gap', lengthMs: awayMs, atMs, ...(capture.kind === 'count' ? {} : { try: now.nth }) }];
    const last = { ...ranOut(protocol, now), atMs: now.untilMs };
    return asksHalf(capture) ? [last, unasked] : [last];
  }
  return now.full || awayMs > betweenMs ? [{ kind: 'end', atMs }] : [];
}
