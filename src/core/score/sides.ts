import type { Protocol } from '../shapes/protocol';

/** Left and right of one result. */
export interface Sides {
  readonly left: number;
  readonly right: number;
}

export interface SideDifference {
  readonly by: number;
  readonly lower: 'L' | 'R';
  /** Past the rule in this result; flagged only when the one before it was too, on the same side. */
  readonly large: boolean;
}

/**
 * How far the sides are apart. Large is over the larger of 15 % of the better side and the smallest real change; on
 * one leg the clocks scatter so much that only one side under 5 s with the other at 10 s or more is large.
 * Common practice, no published source.
 * @param mdc95 smallest real change at 95 %, where one is known
 */
export function sideDifference(protocol: Protocol, { left, right }: Sides, mdc95: number | null): SideDifference {
  const higher = protocol.better === 'higher';
  const by = Math.abs(left - right);
  const lower = (higher ? left < right : left > right) ? 'L' : 'R';
  const [low, high] = [Math.min(left, right), Math.max(left, right)];
  const better = higher ? high : low;
  const large =
    protocol.capture.kind === 'hold' ? low < 5 && high >= 10 : by > Math.max(0.15 * Math.abs(better), mdc95 ?? 0);
  return { by, lower, large };
}

/** Whether the difference is told: large in two tests running, the same side lower both times. */
export function sidesFlagged(newest: SideDifference, before: SideDifference | null): boolean {
  return newest.large && before !== null && before.large && before.lower === newest.lower;
}
