import type { TestResult } from '../shapes/facts';
import type { Cutoff, NormRow, NormTable, Sex, Source } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { measurementError, type MeasurementError } from './error';
import { rankOpen, rowFor, type OpenRank, type Rank } from './rank';

export interface CutoffAnswer {
  readonly id: string;
  readonly label: string;
  readonly meaning: string;
  readonly limit: number;
  readonly past: boolean;
  readonly source: Source;
}

export interface StandardAnswer {
  readonly limit: number;
  readonly met: boolean;
  readonly source: Source;
}

export interface Score {
  readonly test: string;
  readonly value: number | null;
  readonly handsUsed: boolean;
  readonly rank: Rank;
  readonly both: OpenRank['both'];
  /** Where the rows come from; `null` where no norm set is shipped. */
  readonly normSource: Source | null;
  readonly cutoffs: readonly CutoffAnswer[];
  readonly standard: StandardAnswer | null;
  readonly error: MeasurementError | null;
  readonly notes: readonly string[];
}

export interface Scored {
  readonly ageYears: number;
  readonly sex: NormTable;
}

/**
 * Everything the norms say of one result. Hands used is 0 by rule: never ranked, past every line, no standard met.
 * @param person age on the day of this test
 */
export function scoreResult(protocol: Protocol, result: TestResult, person: Scored): Score {
  const hands = result.handsUsed === true && protocol.handsMakeZero === true;
  const byRule = result.outcome !== 'done' ? null : hands ? 0 : result.value;
  const open: OpenRank =
    byRule === null || hands
      ? { rank: { kind: 'no-norm', why: hands ? 'hands-used' : 'no-set' }, both: null }
      : rankOpen(protocol.norms, byRule, person.ageYears, person.sex);
  const peers = peersOf(person, open);
  const row = peers && rowFor(protocol.norms, peers);
  return {
    test: protocol.id,
    value: result.value,
    handsUsed: hands,
    rank: open.rank,
    both: open.both,
    normSource: protocol.norms?.source ?? null,
    cutoffs: byRule === null ? [] : cutoffsOf(protocol, byRule, row),
    standard: byRule === null ? null : standardOf(protocol, byRule, person),
    error: hands || !row || !protocol.reliability ? null : measurementError(row, protocol.reliability),
    notes: notesOf(protocol, result, open, hands),
  };
}

/** The table gone by: the person's own, or with none given that of the cautious rank. */
function peersOf(person: Scored, open: OpenRank): { ageYears: number; sex: Sex } | null {
  const sex = person.sex ?? (open.rank.kind === 'ranked' ? open.rank.row.sex : null);
  return sex && { ageYears: person.ageYears, sex };
}

function cutoffsOf(protocol: Protocol, value: number, row: NormRow | null | undefined): CutoffAnswer[] {
  return (protocol.cutoffs ?? []).flatMap((cutoff) => {
    const limit = cutoff.limit === 'p25' ? row?.p25 : cutoff.limit;
    if (limit === undefined) return [];
    const { id, label, meaning, source } = cutoff;
    return [{ id, label, meaning, limit, past: isPast(cutoff.pastIf, value, limit), source }];
  });
}

function isPast(pastIf: Cutoff['pastIf'], value: number, limit: number): boolean {
  switch (pastIf) {
    case '<':
      return value < limit;
    case '<=':
      return value <= limit;
    case '>=':
      return value >= limit;
    case '>':
      return value > limit;
  }
}

/** With the norm table left open the harder of the two standards is the cautious one. */
function standardOf(protocol: Protocol, value: number, person: Scored): StandardAnswer | null {
  const { standard } = protocol;
  if (!standard || person.ageYears >= standard.notFromAge) return null;
  const limits = standard.rows
    .filter(
      (r) =>
        (person.sex === null || r.sex === person.sex) && r.ageLow <= person.ageYears && person.ageYears <= r.ageHigh,
    )
    .map((r) => r.limit);
  if (limits.length === 0) return null;
  const higher = protocol.better === 'higher';
  const limit = higher ? Math.max(...limits) : Math.min(...limits);
  return { limit, met: higher ? value >= limit : value <= limit, source: standard.source };
}

function notesOf(protocol: Protocol, result: TestResult, open: OpenRank, hands: boolean): string[] {
  if (result.outcome !== 'done')
    return [`${protocol.title}: ${result.outcome.replace('-', ' ')}, so there is nothing to rank.`];
  if (hands) return [`${String(result.value)} with hands: 0 by the rule of the test, so it is not ranked.`];
  const notes = open.rank.kind === 'ranked' ? [] : [noNormWords[open.rank.why](protocol)];
  const seat = result.seatHeightCm;
  if (protocol.norms && protocol.seatCm && seat && Math.abs(seat - protocol.seatCm) > 1)
    notes.push(
      `The norms were taken from a ${protocol.seatCm} cm seat; this one was ${seat} cm, so the rank is only a hint.`,
    );
  if (open.both) notes.push('Norm table left open: both are given, and the more cautious one is used.');
  return notes;
}

const noNormWords: Record<Exclude<Rank, { kind: 'ranked' }>['why'], (protocol: Protocol) => string> = {
  'no-set': (p) => `No norm set is shipped for ${p.title} yet.`,
  'age-not-covered': (p) => `The norms of ${p.title} do not cover this age; the nearest row is not used in its place.`,
  'zero-not-ranked': () => 'A result of 0 is not ranked.',
  'hands-used': () => 'Hands used: not ranked.',
};
