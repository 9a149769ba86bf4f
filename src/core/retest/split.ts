import type { Peer } from '../score/rank';
import { rankAmongPeers } from '../score/rank';
import type { NormSet } from '../shapes/norms';

/** A change of percentile in two parts that add up to it. */
export interface PercentileSplit {
  readonly before: number;
  readonly after: number;
  /** What the same old result would have gained or lost by the birthday alone. */
  readonly birthday: number;
  /** What the person did, against the row of today. */
  readonly own: number;
}

/**
 * Splits a change of percentile: birthday part = P(old value, new row) - P(old value, old row), own part = the rest.
 * @returns null where one of the three ranks is not to be had
 */
export function splitPercentile(
  norms: NormSet | undefined,
  older: { readonly value: number; readonly peer: Peer },
  newer: { readonly value: number; readonly peer: Peer },
): PercentileSplit | null {
  const before = rankAmongPeers(norms, older.value, older.peer);
  const onNewRow = rankAmongPeers(norms, older.value, newer.peer);
  const after = rankAmongPeers(norms, newer.value, newer.peer);
  if (before.kind !== 'ranked' || onNewRow.kind !== 'ranked' || after.kind !== 'ranked') return null;
  const birthday = onNewRow.percentile - before.percentile;
  return {
    before: before.percentile,
    after: after.percentile,
    birthday,
    own: after.percentile - before.percentile - birthday,
  };
}
