import { normalCdf, quartileZ } from '../math/normal';
import { roundTo } from '../math/round';
import type { NormRow, NormSet, NormTable, Sex } from '../shapes/norms';

export type Band = 'below' | 'middle' | 'above';

export interface Ranked {
  readonly kind: 'ranked';
  readonly row: NormRow;
  readonly p50: number;
  readonly z: number;
  /** 0.1 to 99.9, higher always fitter. */
  readonly percentile: number;
  readonly band: Band;
}

export interface NotRanked {
  readonly kind: 'no-norm';
  readonly why: 'no-set' | 'age-not-covered' | 'zero-not-ranked' | 'hands-used';
}

export type Rank = Ranked | NotRanked;

export interface Peer {
  readonly ageYears: number;
  readonly sex: Sex;
}

/** The row that covers this age and sex, or `undefined`: the last row is never stretched to older ages. */
export function rowFor(norms: NormSet | undefined, peer: Peer): NormRow | undefined {
  return norms?.rows.find(
    (r) => r.sex === peer.sex && r.ageLow <= Math.floor(peer.ageYears) && Math.floor(peer.ageYears) <= r.ageHigh,
  );
}

/** Mean and spread of a row read as normal. For times the spread is negative, so that z is performance either way. */
export function momentsOf(row: NormRow): { readonly mean: number; readonly sd: number } {
  return { mean: (row.p25 + row.p75) / 2, sd: (row.p75 - row.p25) / (2 * quartileZ) };
}

/** The value at a percentile of a row; the inverse look-up the rail is drawn with. @param z standard score */
export function valueAt(row: NormRow, z: number): number {
  const { mean, sd } = momentsOf(row);
  return mean + z * sd;
}

/**
 * Where a result stands among people of the same sex and age.
 *
 * Treats the row as normal, as its quartiles are all the source gives: exact at p25 and p75, good to about five
 * points elsewhere. A count of 0 is not ranked.
 * @param value in the unit of the norm set
 * @returns the rank, or `no-norm` with the reason, an ordinary answer and not an error
 * @throws RangeError if `value` or the age is not finite: the form should have stopped it
 * @see norms.source
 */
export function rankAmongPeers(norms: NormSet | undefined, value: number, peer: Peer): Rank {
  if (!Number.isFinite(value)) throw new RangeError(`rankAmongPeers: value must be finite, got ${value}`);
  if (!Number.isFinite(peer.ageYears)) throw new RangeError(`rankAmongPeers: age must be finite, got ${peer.ageYears}`);
  if (!norms) return { kind: 'no-norm', why: 'no-set' };
  const row = rowFor(norms, peer);
  if (!row) return { kind: 'no-norm', why: 'age-not-covered' };
  if (value === 0 && row.p75 > row.p25) return { kind: 'no-norm', why: 'zero-not-ranked' };
  const { mean, sd } = momentsOf(row);
  const z = (value - mean) / sd;
  const percentile = Math.min(99.9, Math.max(0.1, 100 * normalCdf(z)));
  return { kind: 'ranked', row, p50: mean, z, percentile, band: bandOf(row, value) };
}

/** Compared with the printed quartiles, not with z, so that a value on the line is inside it. */
function bandOf(row: NormRow, value: number): Band {
  const up = row.p75 > row.p25;
  if (up ? value < row.p25 : value > row.p25) return 'below';
  if (up ? value > row.p75 : value < row.p75) return 'above';
  return 'middle';
}

/** Both tables where the norm table is left open, and the one to go by: the lower rank. */
export function rankOpen(norms: NormSet | undefined, value: number, ageYears: number, sex: NormTable): OpenRank {
  if (sex) return { rank: rankAmongPeers(norms, value, { ageYears, sex }), both: null };
  const female = rankAmongPeers(norms, value, { ageYears, sex: 'female' });
  const male = rankAmongPeers(norms, value, { ageYears, sex: 'male' });
  const rank =
    female.kind === 'ranked' && male.kind === 'ranked' && male.percentile < female.percentile ? male : female;
  return { rank, both: { female, male } };
}

export interface OpenRank {
  readonly rank: Rank;
  readonly both: { readonly female: Rank; readonly male: Rank } | null;
}

/** Words for a percentile: whole numbers with "about" inside 5-95, as the model is no better than that. */
export function percentileWords(percentile: number): string {
  if (percentile < 5) return 'among the lowest 5 in 100';
  if (percentile > 95) return 'among the highest 5 in 100';
  return `about ${roundTo(percentile, 1)} in 100`;
}
