import type { AttemptEvent } from '../shapes/attempt';
import type { Capture } from '../shapes/protocol';

/** Longest absence of the page that a running trial survives. */
export const longestGapMs = 2000;

export type Phase = 'waiting' | 'running' | 'half-way-open' | 'finished' | 'stopped' | 'to-repeat';

/** Where an attempt stands, by its events alone: whoever holds them all knows, whatever else was written down. */
export function phaseOf(capture: Capture, live: readonly AttemptEvent[]): Phase {
  const has = (kind: AttemptEvent['kind']) => live.some((e) => e.kind === kind);
  if (has('entered')) return 'finished';
  if (has('stop')) return 'stopped';
  if (has('halt') || live.some((e) => e.kind === 'gap' && e.lengthMs > longestGapMs)) return 'to-repeat';
  if (has('end')) return asksHalf(capture) && !has('half-rep') ? 'half-way-open' : 'finished';
  return has('start') || has('reading') || has('stage') ? 'running' : 'waiting';
}

/** Whether the tone asks for a repetition not yet counted. */
export const asksHalf = (capture: Capture): boolean => capture.kind === 'count' && capture.halfAtTone;

/** When the clock of a test ends it by itself, ms since go; `null` where somebody does. */
export function clockMs(capture: Capture): number | null {
  return capture.kind === 'count' && capture.ends !== 'stop-sign' && 'time' in capture.ends
    ? capture.ends.time * 1000
    : null;
}

/** Nothing more will come but corrections. */
export const isOver = (phase: Phase): boolean => phase === 'finished' || phase === 'stopped' || phase === 'to-repeat';
