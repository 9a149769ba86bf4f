import type { AttemptEvent } from '../shapes/attempt';
import type { Capture, Protocol } from '../shapes/protocol';

/** Longest absence of the page that a running trial survives. */
export const longestGapMs = 2000;

/** The page was away too long. With its try named only that try is lost, else the whole. */
export const isLong = (e: AttemptEvent): boolean => e.kind === 'gap' && e.lengthMs > longestGapMs;

/** `to-agree`: a device counted, and nobody who saw it has said yes yet. */
export type Phase = 'waiting' | 'running' | 'half-way-open' | 'to-agree' | 'finished' | 'stopped' | 'to-repeat';

/** A repetition a device told of. */
const isCounted = (e: AttemptEvent): boolean => e.kind === 'rep' && e.by === 'device';

/** Where an attempt stands, by its events alone: whoever holds them all knows, whatever else was written down. */
export function phaseOf(capture: Capture, live: readonly AttemptEvent[]): Phase {
  const has = (kind: AttemptEvent['kind']) => live.some((e) => e.kind === kind);
  if (has('entered')) return 'finished';
  if (has('stop')) return 'stopped';
  if (has('halt') || live.some((e) => isLong(e) && e.try === undefined)) return 'to-repeat';
  if (has('end') && asksHalf(capture) && !has('half-rep')) return 'half-way-open';
  if (has('end')) return live.some(isCounted) && !has('agree') ? 'to-agree' : 'finished';
  return has('start') || has('reading') || has('stage') ? 'running' : 'waiting';
}

/** Whether the tone asks for a repetition not yet counted. */
export const asksHalf = (capture: Capture): boolean => capture.kind === 'count' && capture.halfAtTone;

/** How long a try, or in a staged test a stage, is measured at most, ms; `null` where somebody ends it. */
export function clockMs({ capture }: Pick<Protocol, 'capture'>, nth = 0): number | null {
  const s = lastS(capture, nth);
  return s === null ? null : s * 1000;
}

/** Seconds of a count against the clock; `null` for everything else. */
export const countsFor = (capture: Capture): number | null =>
  capture.kind === 'count' && capture.ends !== 'stop-sign' && 'time' in capture.ends ? capture.ends.time : null;

/** Whether somebody goes on a word, and not when they are ready. */
export const hasCountdown = (capture: Capture): boolean =>
  capture.kind === 'timed' ? capture.unhurried !== true : countsFor(capture) !== null;

function lastS(capture: Capture, nth: number): number | null {
  if (capture.kind === 'count') return countsFor(capture);
  if (capture.kind === 'hold' || capture.kind === 'timed') return capture.capS;
  return (capture.kind === 'staged' ? capture.stages[nth]?.holdS : undefined) ?? null;
}

/** Nothing more will come but corrections. */
export const isOver = (phase: Phase): boolean =>
  phase === 'finished' || phase === 'to-agree' || phase === 'stopped' || phase === 'to-repeat';
