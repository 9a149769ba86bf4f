import { normalCdf, quartileZ } from '../math/normal';
import { roundTo } from '../math/round';
import type { LimitRow, MeanCiRow, MeanSdRow, NormRow, NormSet, NormTable, Sex } from '../shapes/norms';

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

/** The source gives a limit and no spread: over it is worse than average, and no more is said. */
export interface AgainstLimit {
  readonly kind: 'limit';
  readonly row: LimitRow | MeanCiRow;
  readonly limit: number;
  readonly worse: boolean;
}

/** The source gives a mean whose spread makes no percentile: it is said beside the result. */
export interface BesideMean {
  readonly kind: 'mean';
  readonly row: MeanSdRow | MeanCiRow;
}

export interface NotRanked {
  readonly kind: 'no-norm';
  readonly why: 'no-set' | 'age-not-covered' | 'zero-not-ranked' | 'hands-used' | 'aid-used' | 'no-result';
}

export type Rank = Ranked | AgainstLimit | BesideMean | NotRanked;

export interface Peer {
  readonly ageYears: number;
  readonly sex: Sex;
}

/** The row of a table that covers this age and sex, or `undefined`: the last row is never stretched to older ages. */
export function coveringRow<R extends { sex: Sex | 'both'; ageLow: number; ageHigh: number }>(
  rows: readonly R[],
  { ageYears, sex }: Peer,
): R | undefined {
  const age = Math.floor(ageYears);
  return rows.find((r) => (r.sex === 'both' || r.sex === sex) && r.ageLow <= age && age <= r.ageHigh);
}

/** The row ranks are read from, in the unit of the test; `undefined` where the set makes no ranks or covers no such age. */
export function rowFor(norms: NormSet | undefined, peer: Peer): NormRow | undefined {
  const by = norms?.inTestUnit ?? 1;
  switch (norms?.kind) {
    case 'middle-half': {
      const row = coveringRow(norms.rows, peer);
      if (!row || by === 1) return row;
      return { ...row, p25: scaled(row.p25, by), p75: scaled(row.p75, by) };
    }
    case 'mean-sd': {
      const row = norms.skewed ? undefined : coveringRow(norms.rows, peer);
      if (!row) return undefined;
      const { sex, ageLow, ageHigh, mean, sd } = row;
      return { sex, ageLow, ageHigh, p25: (mean - quartileZ * sd) * by, p75: (mean + quartileZ * sd) * by };
    }
    default:
      return undefined;
  }
}

/** The row of the nearest age, for an error only: nobody is ranked by it. */
export function nearestRow(norms: NormSet | undefined, { ageYears, sex }: Peer): NormRow | undefined {
  if (!norms || !('rows' in norms)) return undefined;
  const own = norms.rows.filter((r) => r.sex === 'both' || r.sex === sex);
  const ages = own.flatMap((r) => [r.ageLow, r.ageHigh]);
  if (ages.length === 0) return undefined;
  const nearest = Math.min(Math.max(...ages), Math.max(Math.min(...ages), Math.floor(ageYears)));
  return rowFor(norms, { ageYears: nearest, sex });
}

/** A printed figure in the unit of the test, without the binary dust that would put a value beside its own line. */
export const scaled = (printed: number, by: number): number => (by === 1 ? printed : roundTo(printed * by, 1e-6));

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
 * Where a result stands among people of the same sex and age, as far as the form of the published figures allows.
 *
 * Quartiles, or mean and spread of a symmetric sample, are read as normal: exact at p25 and p75, good to about five
 * points elsewhere. A limit says worse than average or not; a mean alone is only said. A count of 0 is not ranked.
 * @param value in the unit the test is scored in
 * @returns the rank, or `no-norm` with the reason, an ordinary answer and not an error
 * @throws RangeError if `value` or the age is not finite: the form should have stopped it
 * @see norms.source
 */
export function rankAmongPeers(norms: NormSet | undefined, value: number, peer: Peer): Rank {
  if (!Number.isFinite(value)) throw new RangeError(`rankAmongPeers: value must be finite, got ${value}`);
  if (!Number.isFinite(peer.ageYears)) throw new RangeError(`rankAmongPeers: age must be finite, got ${peer.ageYears}`);
  if (!norms) return { kind: 'no-norm', why: 'no-set' };
  if (norms.kind === 'limit' || norms.kind === 'mean-ci' || (norms.kind === 'mean-sd' && norms.skewed))
    return besideFigures(norms, value, peer);
  const row = rowFor(norms, peer);
  if (!row) return { kind: 'no-norm', why: 'age-not-covered' };
  if (value === 0 && norms.kind === 'middle-half' && norms.zeroNotRanked)
    return { kind: 'no-norm', why: 'zero-not-ranked' };
  const { mean, sd } = momentsOf(row);
  const z = (value - mean) / sd;
  const percentile = Math.min(99.9, Math.max(0.1, 100 * normalCdf(z)));
  return { kind: 'ranked', row, p50: mean, z, percentile, band: bandOf(row, value) };
}

function besideFigures(norms: Exclude<NormSet, { kind: 'middle-half' }>, value: number, peer: Peer): Rank {
  switch (norms.kind) {
    case 'limit': {
      const row = coveringRow(norms.rows, peer);
      return row ? { kind: 'limit', row, limit: row.limit, worse: value > row.limit } : notCovered;
    }
    case 'mean-ci': {
      const row = coveringRow(norms.rows, peer);
      if (!row) return notCovered;
      return norms.worseOverInterval
        ? { kind: 'limit', row, limit: row.ciHigh, worse: value > row.ciHigh }
        : { kind: 'mean', row };
    }
    case 'mean-sd': {
      const row = coveringRow(norms.rows, peer);
      return row ? { kind: 'mean', row } : notCovered;
    }
  }
}

const notCovered = { kind: 'no-norm', why: 'age-not-covered' } as const;

/** Compared with the printed quartiles, not with z, so that a value on the line is inside it. */
function bandOf(row: NormRow, value: number): Band {
  const up = row.p75 > row.p25;
  if (up ? value < row.p25 : value > row.p25) return 'below';
  if (up ? value > row.p75 : value < row.p75) return 'above';
  return 'middle';
}

/** Both tables where the norm table is left open, and the one to go by: the lower rank, or the higher mean. */
export function rankOpen(norms: NormSet | undefined, value: number, ageYears: number, sex: NormTable): OpenRank {
  if (sex) return { rank: rankAmongPeers(norms, value, { ageYears, sex }), both: null };
  const female = rankAmongPeers(norms, value, { ageYears, sex: 'female' });
  const male = rankAmongPeers(norms, value, { ageYears, sex: 'male' });
  // One table for both is no open question.
  if (female.kind === 'limit' || female.kind === 'no-norm') return { rank: female, both: null };
  return { rank: hardness(male) > hardness(female) ? male : female, both: { female, male } };
}

function hardness(rank: Rank): number {
  if (rank.kind === 'ranked') return -rank.percentile;
  return rank.kind === 'mean' ? rank.row.mean : -Infinity;
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

/** The row whose median somebody is timed against. With the norm table left open it is that of the lower median. */
export function paceRow(set: NormSet | undefined, ageYears: number, table: NormTable): NormRow | null {
  const sexes = table ? [table] : (['female', 'male'] as const);
  const rows = sexes.flatMap((sex) => rowFor(set, { ageYears, sex }) ?? []);
  return rows.sort((a, b) => a.p25 + a.p75 - (b.p25 + b.p75))[0] ?? null;
}
