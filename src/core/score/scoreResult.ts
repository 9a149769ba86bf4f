import { roundTo } from '../math/round';
import type { TestResult, WalkingAid } from '../shapes/facts';
import type { Cutoff, NormRow, NormTable, Sex, Source, Standard, StandardRow } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { errorOf, type MeasurementError } from './error';
import { coveringRow, rankOpen, rowFor, scaled, type OpenRank, type Rank } from './rank';

export interface CutoffAnswer {
  readonly id: string;
  readonly label: string;
  readonly meaning: string;
  readonly limit: number;
  /** Which side of the line it lies on, to be said in words. */
  readonly pastIf: Cutoff['pastIf'];
  readonly past: boolean;
  /** It sets the date of the next test and counts as to watch. */
  readonly setsDate: boolean;
  readonly source: Source;
}

export interface StandardAnswer {
  readonly limit: number;
  readonly met: boolean;
  /** The youngest ages whose standard this result meets; `null` where it meets none. */
  readonly meets: { readonly ageLow: number; readonly ageHigh: number } | null;
  readonly source: Source;
}

export interface Score {
  readonly test: string;
  /** As it was taken down. */
  readonly value: number | null;
  /** As it is compared: a walk as speed, a chair stand with hands as 0; `null` without a result. */
  readonly scored: number | null;
  readonly handsUsed: boolean;
  readonly rank: Rank;
  readonly both: OpenRank['both'];
  /** Where the rows come from; `null` where no norm set is shipped. */
  readonly normSource: Source | null;
  /** Which set the figures come from. */
  readonly normSet: string | null;
  readonly cutoffs: readonly CutoffAnswer[];
  readonly standard: StandardAnswer | null;
  readonly error: MeasurementError | null;
  readonly notes: readonly string[];
}

export interface Scored {
  readonly ageYears: number;
  readonly sex: NormTable;
  /** Walked with in the test: the norms are of people who walked without. */
  readonly aid?: WalkingAid | undefined;
}

/** A result as norms, cut-offs and changes read it: a timed walk as speed in m/s, everything else as it is. */
export function scoredValue(protocol: Protocol, value: number): number {
  return protocol.speedOverM === undefined ? value : protocol.speedOverM / value;
}

/** Unit of `scoredValue`, and whether more of it is better. */
export const scoredUnit = (protocol: Protocol): string => (protocol.speedOverM === undefined ? protocol.unit : 'm/s');
export const moreIsBetter = (protocol: Protocol): boolean =>
  protocol.speedOverM !== undefined || protocol.better === 'higher';

/**
 * Everything the norms say of one result. Hands used is 0 by rule: never ranked, past every line, no standard met.
 * @param person age on the day of this test
 */
export function scoreResult(protocol: Protocol, result: TestResult, person: Scored): Score {
  const hands = result.handsUsed === true && protocol.handsMakeZero === true;
  const { value } = result.outcome === 'done' ? result : { value: null };
  const scored = value === null ? null : hands ? 0 : scoredValue(protocol, value);
  const aided = person.aid !== undefined && person.aid !== 'none';
  const open: OpenRank =
    scored === null || hands || (aided && protocol.norms)
      ? {
          rank: { kind: 'no-norm', why: scored === null ? 'no-result' : hands ? 'hands-used' : 'aid-used' },
          both: null,
        }
      : rankOpen(protocol.norms, scored, person.ageYears, person.sex);
  const peers = peersOf(person, open);
  const row = peers && rowFor(protocol.norms, peers);
  return {
    test: protocol.id,
    value: result.value,
    scored,
    handsUsed: hands,
    rank: open.rank,
    both: open.both,
    normSource: protocol.norms?.source ?? null,
    normSet: protocol.norms?.id ?? null,
    // Unable is past every line of its test.
    cutoffs: scored === null && result.outcome !== 'unable' ? [] : cutoffsOf(protocol, scored, row, person.sex),
    standard: scored === null || hands || aided ? null : standardOf(protocol, scored, person),
    error: hands || scored === null ? null : errorOf(protocol, row ?? undefined),
    notes: notesOf(protocol, result, open, hands),
  };
}

/** The table gone by: the person's own, or with none given that of the cautious rank. */
function peersOf(person: Scored, open: OpenRank): { ageYears: number; sex: Sex } | null {
  const sex = person.sex ?? (open.rank.kind === 'ranked' ? open.rank.row.sex : null);
  return sex && { ageYears: person.ageYears, sex };
}

/**
 * The lines of a test and whether a value is past each; unable is past all. With the norm table left open a line that differs
 * by sex is read where it is passed sooner.
 */
export function cutoffsOf(
  protocol: Pick<Protocol, 'cutoffs'>,
  value: number | null,
  row: NormRow | null | undefined,
  sex: NormTable,
): CutoffAnswer[] {
  const answers = new Map<string, CutoffAnswer>();
  for (const cutoff of protocol.cutoffs ?? []) {
    if (cutoff.sex && sex && cutoff.sex !== sex) continue;
    const limit = cutoff.limit === 'p25' ? row?.p25 : scaled(cutoff.limit, cutoff.inTestUnit ?? 1);
    if (limit === undefined) continue;
    const { id, label, meaning, pastIf, setsDate = false, source } = cutoff;
    const past = value === null || isPast(pastIf, value, limit);
    const answer = { id, label, meaning, limit, pastIf, past, setsDate, source };
    const known = answers.get(id);
    if (!known || passedSooner(answer, known)) answers.set(id, answer);
  }
  return [...answers.values()];
}

const passedSooner = (a: CutoffAnswer, b: CutoffAnswer): boolean =>
  a.pastIf.startsWith('<') ? a.limit > b.limit : a.limit < b.limit;

/** Compared to a ten-thousandth, so that a speed made by dividing lies on the line it is on. */
function isPast(pastIf: Cutoff['pastIf'], value: number, limit: number): boolean {
  const by = roundTo(value - limit, 1e-4);
  switch (pastIf) {
    case '<':
      return by < 0;
    case '<=':
      return by <= 0;
    case '>=':
      return by >= 0;
    case '>':
      return by > 0;
  }
}

/** A standard is held against results up to so many times its limit (common practice, no published source). */
const standardHeldFor = 1.3;

/** With the norm table left open the harder of the two standards is the cautious one. */
function standardOf(protocol: Protocol, value: number, person: Scored): StandardAnswer | null {
  const { standard } = protocol;
  if (!standard || person.ageYears >= standard.notFromAge) return null;
  const sexes = person.sex ? [person.sex] : (['female', 'male'] as const);
  const limits = sexes.flatMap(
    (sex) => coveringRow<StandardRow>(standard.rows, { sex, ageYears: person.ageYears })?.limit ?? [],
  );
  if (limits.length === 0) return null;
  const higher = moreIsBetter(protocol);
  const limit = higher ? Math.max(...limits) : Math.min(...limits);
  const reaches = (l: number) => (higher ? value >= l : value <= l);
  if (value > standardHeldFor * limit) return null;
  return { limit, met: reaches(limit), meets: youngestMet(standard, sexes, reaches), source: standard.source };
}

/** Among rows of the ages the standard is shown for; with the norm table left open both sexes’ rows must be met. */
function youngestMet(
  { rows, notFromAge }: Standard,
  sexes: readonly Sex[],
  reaches: (limit: number) => boolean,
): StandardAnswer['meets'] {
  const asked = rows.filter((r) => sexes.includes(r.sex) && r.ageLow < notFromAge);
  const ages = [...new Set(asked.map((r) => r.ageLow))].sort((a, b) => a - b);
  const ageLow = ages.find((age) => asked.every((r) => r.ageLow !== age || reaches(r.limit)));
  const row = asked.find((r) => r.ageLow === ageLow);
  return row ? { ageLow: row.ageLow, ageHigh: row.ageHigh } : null;
}

function notesOf(protocol: Protocol, result: TestResult, open: OpenRank, hands: boolean): string[] {
  if (result.outcome !== 'done')
    return [`${protocol.title}: ${result.outcome.replace('-', ' ')}, so there is nothing to rank.`];
  if (hands) return [`${String(result.value)} with hands: 0 by the rule of the test, so it is not ranked.`];
  const notes = open.rank.kind === 'no-norm' ? [noNormWords[open.rank.why](protocol)] : [];
  if (protocol.norms?.note && open.rank.kind !== 'no-norm') notes.push(protocol.norms.note);
  const seat = result.seatHeightCm;
  if (protocol.norms && protocol.seatCm && seat && Math.abs(seat - protocol.seatCm) > 1)
    notes.push(
      `The norms were taken from a ${protocol.seatCm} cm seat; this one was ${seat} cm, so the rank is only a hint.`,
    );
  const cap = result.capS ?? (protocol.capture.kind === 'hold' ? protocol.capture.capS : null);
  if (cap !== null && result.value !== null && result.value >= cap)
    notes.push(`At the top of this test: the clock stops at ${cap} s.`);
  if (open.both) notes.push('Norm table left open: both are given, and the more cautious one is used.');
  return notes;
}

const noNormWords: Record<Extract<Rank, { kind: 'no-norm' }>['why'], (protocol: Protocol) => string> = {
  'no-set': (p) => `There is no norm set for ${p.title}.`,
  'age-not-covered': (p) => `The norms of ${p.title} do not cover this age; the nearest row is not used in its place.`,
  'zero-not-ranked': () => 'A result of 0 is not ranked.',
  'hands-used': () => 'Hands used: not ranked.',
  'aid-used': () => 'Done with a walking aid: the norms are of people who walked without, so it is not ranked.',
  'no-result': () => 'No result: nothing to rank.',
};
