import type { Pressure } from '../shapes/intake';

/** A first high reading, and when it was made. */
export interface FirstReading {
  readonly pressure: Pressure;
  readonly atMs: number;
}

export type Readings =
  | { readonly kind: 'readings'; readonly pressures: readonly Pressure[] }
  /** The second reading was made too soon and counts for nothing yet. */
  | { readonly kind: 'too-soon'; readonly fromMs: number };

/**
 * The readings that count: after a high first one the second, made when the person has sat long enough.
 * @param restS seconds seated between the two; common practice, no published source
 */
export function readingsOf(
  first: FirstReading | null,
  reading: Pressure | null,
  nowMs: number,
  restS: number,
): Readings {
  if (!first || !reading) return { kind: 'readings', pressures: reading ? [reading] : [] };
  const fromMs = secondReadingFrom(first, restS);
  return nowMs < fromMs ? { kind: 'too-soon', fromMs } : { kind: 'readings', pressures: [first.pressure, reading] };
}

export const secondReadingFrom = (first: FirstReading, restS: number): number => first.atMs + restS * 1000;
