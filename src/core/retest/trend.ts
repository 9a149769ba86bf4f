import { median } from '../math/median';
/** A straight line through several results that one odd day cannot tip. */
export interface Trend {
  /** Change of the result in a year of 365.25 days. */
  readonly perYear: number;
  /** Interval of the slope. From five results on it covers 95 %; with fewer it is all slopes there are, and covers less. */
  readonly interval: { readonly low: number; readonly high: number; readonly coversPercent: number };
  /** The line itself: value = at + perYear x years since the first day. */
  readonly at: number;
}

export interface TrendPoint {
  /** Days since any fixed day. */
  readonly day: number;
  readonly value: number;
}

const z95 = 1.959963984540054;
const yearDays = 365.25;

/**
 * Median of the slopes between all pairs, with the distribution-free interval.
 * Theil 1950, Proc K Ned Akad Wet 53:386-392; Sen 1968, J Am Stat Assoc 63:1379-1389 (both from memory).
 * @returns null under three results on different days: two points are a change, not a trend
 */
export function trendOf(points: readonly TrendPoint[]): Trend | null {
  const days = new Set(points.map((p) => p.day));
  if (days.size < 3) return null;
  const slopes = points
    .flatMap((a, i) =>
      points.slice(i + 1).flatMap((b) => (b.day === a.day ? [] : [(b.value - a.value) / (b.day - a.day)])),
    )
    .sort((a, b) => a - b);
  const slope = median(slopes);
  const first = Math.min(...points.map((p) => p.day));
  const at = median(points.map((p) => p.value - slope * (p.day - first)).sort((a, b) => a - b));
  return { perYear: slope * yearDays, interval: intervalOf(slopes, points.length), at };
}

/**
 * Ranks (N - C)/2 and (N + C)/2 + 1 of the N slopes, C = z sqrt(n (n - 1) (2 n + 5) / 18). Under five results C is
 * more than N: then all slopes are the interval, missed only by the two orders in which every slope is on one side,
 * 2 of n! orders.
 */
function intervalOf(slopes: readonly number[], n: number): Trend['interval'] {
  const c = z95 * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
  const rank = Math.round((slopes.length - c) / 2);
  const all = rank < 1;
  const low = slopes[all ? 0 : rank - 1];
  const high = slopes[all ? slopes.length - 1 : Math.round((slopes.length + c) / 2)];
  if (low === undefined || high === undefined) throw new RangeError('intervalOf: at least three results are needed');
  const coversPercent = all ? Math.round(100 * (1 - 2 / factorial(n))) : 95;
  return { low: low * yearDays, high: high * yearDays, coversPercent };
}

const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
