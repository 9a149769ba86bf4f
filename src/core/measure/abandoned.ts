import type { AttemptEvent } from '../shapes/attempt';
import { liveEvents } from './live';
import { asksHalf, clockMs, longestGapMs, phaseOf } from './phase';
import type { Capture } from '../shapes/protocol';

/** What is known of an attempt that no page runs any more. Wall clock in ms since 1970. */
export interface LeftAlone {
  /** Planned go moment; `null` before the countdown. */
  readonly goWallMs: number | null;
  readonly beatWallMs: number;
}

type Closing = { readonly atMs: number } & (
  | { readonly kind: 'gap'; readonly lengthMs: number }
  | { readonly kind: 'end' }
  | { readonly kind: 'half-rep'; readonly counts: false }
);

/**
 * How an attempt that no page runs any more is brought to its end: away while the clock ran, it broke off; away only
 * after the tone, its count is whole and the stand nobody was asked about does not count.
 * @returns the events to add, none while it may still be taken up or has ended
 */
export function closingOf(
  capture: Capture,
  events: readonly AttemptEvent[],
  left: LeftAlone,
  nowWallMs: number,
): Closing[] {
  const phase = phaseOf(capture, liveEvents(events));
  const lastMs = clockMs(capture);
  const lengthMs = Math.round(nowWallMs - left.beatWallMs);
  if (lengthMs <= longestGapMs || left.goWallMs === null) return [];
  if (phase === 'half-way-open') return [unasked(nowWallMs - left.goWallMs)];
  if (phase !== 'running') return [];
  if (lastMs !== null && left.beatWallMs >= left.goWallMs + lastMs)
    return [{ kind: 'end', atMs: lastMs }, ...(asksHalf(capture) ? [unasked(nowWallMs - left.goWallMs)] : [])];
  return [{ kind: 'gap', lengthMs, atMs: Math.round(nowWallMs - left.goWallMs) }];
}

const unasked = (atMs: number): Closing => ({ kind: 'half-rep', counts: false, atMs: Math.round(atMs) });
