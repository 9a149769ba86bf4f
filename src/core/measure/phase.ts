import type { AttemptEvent } from '../shapes/attempt';

/** Longest absence of the page that a running trial survives. */
export const longestGapMs = 2000;

export type Phase = 'waiting' | 'running' | 'half-way-open' | 'finished' | 'stopped' | 'to-repeat';

/** Where a counted try stands, by its events alone: whoever holds them all knows, whatever else was written down. */
export function phaseOf(live: readonly AttemptEvent[]): Phase {
  const has = (kind: AttemptEvent['kind']) => live.some((e) => e.kind === kind);
  if (has('entered')) return 'finished';
  if (has('stop')) return 'stopped';
  if (has('hold') || live.some((e) => e.kind === 'gap' && e.lengthMs > longestGapMs)) return 'to-repeat';
  if (has('end')) return has('half-rep') ? 'finished' : 'half-way-open';
  return has('start') ? 'running' : 'waiting';
}

/** Nothing more will come but corrections. */
export const isOver = (phase: Phase): boolean => phase === 'finished' || phase === 'stopped' || phase === 'to-repeat';
