import { roundTo } from '../math/round';
import { daysBetween } from '../math/days';
import { cautiousValue } from '../level/cautious';
import type { IsoDate, TestResult } from '../shapes/facts';
import type { NormTable, Source } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { errorOf, semOf } from '../score/error';
import { momentsOf, nearestRow, rankOpen, rowFor } from '../score/rank';
import { moreIsBetter, scoredUnit, scoredValue } from '../score/scoreResult';

export interface Sat {
  readonly on: IsoDate;
  readonly ageYears: number;
  readonly result: TestResult;
  readonly protocolVersion: number;
  readonly aid?: string | undefined;
  readonly shoes?: string | undefined;
}

/** What a change is called where it is judged, best first. */
export const judgements = [
  'clearly-better',
  'longer-by-a-step',
  'probably-better',
  'about-the-same',
  'probably-less',
  'shorter-by-a-step',
  'clearly-less',
] as const;
export type Judgement = (typeof judgements)[number];

/** The smallest published change that people notice, in the unit the change is told in. */
export interface Noticed {
  readonly by: number;
  readonly source: Source;
}

export interface JudgedChange {
  readonly kind: Judgement;
  /** New less old, in `unit`. */
  readonly by: number;
  /** Unit the change is told in: that of the test, or m/s for a walk. */
  readonly unit: string;
  /** Whether the person did better or worse, clearly or not; `null` where it is the same. */
  readonly better: boolean | null;
  /** In the sense of performance; `null` where the tries and not an error judge. */
  readonly z: number | null;
  /** 1.96 sqrt 2 SEM, in `unit`. */
  readonly smallestReal: number | null;
  readonly noticed: Noticed | null;
  /** The error is that of the nearest row, as the table does not reach this age. */
  readonly nearest: boolean;
  readonly source: Source | null;
  readonly days: number;
  /** What the older result would drift to by chance alone, where it was extreme. */
  readonly regressionTo: number | null;
}

export type Change =
  | { readonly kind: 'first-time' }
  /** Not like for like; the size where there is one. */
  | { readonly kind: 'not-comparable'; readonly why: string; readonly by: number | null; readonly unit: string }
  /** Both are the most this test can show. */
  | { readonly kind: 'at-top'; readonly top: number }
  /** How much a result moves by itself is not known, so the difference is told and not judged. */
  | {
      readonly kind: 'told';
      readonly by: number;
      readonly unit: string;
      readonly better: boolean | null;
      /** With hands both times: so many of the newer ones were without, the first ever; 0 where none was. */
      readonly firstClean: number;
      readonly noticed: Noticed | null;
    }
  | { readonly kind: 'hands'; readonly words: 'now without hands' | 'hands used this time' }
  /** On a page handed out before there were five verdicts: the word it was handed out with. */
  | {
      readonly kind: 'as-then';
      readonly was: 'no-clear-change' | 'clearly-better' | 'clearly-worse';
      readonly by: number;
      readonly unit: string;
      readonly better: boolean;
      readonly smallestReal: number;
    }
  | JudgedChange;

export const isJudged = (change: Change): change is JudgedChange => judgements.some((j) => j === change.kind);

/** From here on a change is clear, and from there on probable: two-sided 5 % and about 5 in 6 of the normal curve. */
export const clearZ = 1.96;
export const probableZ = 1;

/**
 * Whether a change is more than the test's own error: z = change / (sqrt 2 SEM), in the sense of performance, with the SEM
 * of the row of the newer result. A timed test moves by at least a share of the older time; one leg is judged by its
 * tries. What was not done like for like is told and not judged.
 */
export function changeBetween(protocol: Protocol, older: Sat | undefined, newer: Sat, sex: NormTable): Change {
  if (!older) return { kind: 'first-time' };
  const was = older.result;
  const now = newer.result;
  const unit = scoredUnit(protocol);
  const by = difference(protocol, was, now);
  const unlike = unlikeWhy(older, newer);
  const hands = [was.handsUsed === true, now.handsUsed === true];
  if (unlike === null && hands[0] !== hands[1])
    return { kind: 'hands', words: now.handsUsed ? 'hands used this time' : 'now without hands' };
  if (by === null) return { kind: 'not-comparable', why: unlike ?? 'one of the two has no result', by: null, unit };
  if (unlike !== null) return { kind: 'not-comparable', why: unlike, by, unit };
  const gain = gainOf(protocol, by);
  const told = { by: roundTo(by, 0.01), unit, better: gain === 0 ? null : gain > 0 };
  const noticed = noticedOf(protocol);
  if (now.handsUsed) {
    const [before, after] = [was.cleanBeforeHands ?? 0, now.cleanBeforeHands ?? 0];
    return { kind: 'told', ...told, firstClean: before === 0 ? after : 0, noticed: null };
  }
  const top = topOf(protocol, now.capS);
  if (top !== null && (was.value ?? 0) >= top && (now.value ?? 0) >= top) return { kind: 'at-top', top };
  const rest = {
    ...{ ...told, noticed, days: daysBetween(older.on, newer.on) },
    regressionTo: regressionTo(protocol, older, sex),
  };
  if (protocol.changeBy?.kind === 'tries') {
    const kind = byTries(was, now, protocol.changeBy);
    return { kind, ...rest, z: null, smallestReal: null, nearest: false, source: null };
  }
  const error = semFor(protocol, was, newer, sex);
  if (!error) return { kind: 'told', ...told, firstClean: 0, noticed };
  const z = gain / (Math.SQRT2 * error.sem);
  const { nearest, source } = error;
  const smallestReal = clearZ * Math.SQRT2 * error.sem;
  return { kind: judged(z), ...rest, z, smallestReal, nearest, source };
}

/** New less old, as scored; to a millionth, so that the verdict does not hang on how a difference is stored. */
function difference(protocol: Protocol, was: TestResult, now: TestResult): number | null {
  if (was.value === null || now.value === null) return null;
  return roundTo(scoredValue(protocol, now.value) - scoredValue(protocol, was.value), 1e-6);
}

const gainOf = (protocol: Protocol, by: number): number => (moreIsBetter(protocol) ? by : -by);

/** Told to a ten-thousandth, so that 1.96 of arithmetic is 1.96. */
function judged(z: number): Judgement {
  const size = roundTo(Math.abs(z), 1e-4);
  if (size < probableZ) return 'about-the-same';
  if (size < clearZ) return z > 0 ? 'probably-better' : 'probably-less';
  return z > 0 ? 'clearly-better' : 'clearly-less';
}

interface SemAnswer {
  readonly sem: number;
  readonly nearest: boolean;
  readonly source: Source;
}

/** With the norm table left open the wider of both errors. */
function semFor(protocol: Protocol, was: TestResult, newer: Sat, sex: NormTable): SemAnswer | null {
  const sexes = sex ? [sex] : (['female', 'male'] as const);
  const found = sexes.flatMap((s): SemAnswer[] => {
    const peer = { ageYears: newer.ageYears, sex: s };
    const row = rowFor(protocol.norms, peer);
    const near = row ?? nearestRow(protocol.norms, peer);
    const error = errorOf(protocol, near);
    return error ? [{ sem: semOf(error), nearest: !row && near !== undefined, source: error.source }] : [];
  });
  if (found.length === 0) return null;
  const widest = found.reduce((a, b) => (b.sem > a.sem ? b : a));
  if (protocol.changeBy?.kind !== 'time') return widest;
  const least = (protocol.changeBy.share * (was.value ?? 0)) / (clearZ * Math.SQRT2);
  return { ...widest, sem: Math.max(widest.sem, least) };
}

type ByTries = Extract<NonNullable<Protocol['changeBy']>, { kind: 'tries' }>;

/**
 * Every try now longer than every try then, three and three, is by chance 1 in 20; with fewer tries a step has to be
 * crossed. Both ask for a second best so many times as long. Shorter is the mirror of longer.
 */
function byTries(was: TestResult, now: TestResult, rule: ByTries): Judgement {
  if (isLonger(was, now, rule)) return triesOf(was, now) ? 'clearly-better' : 'longer-by-a-step';
  if (isLonger(now, was, rule)) return triesOf(was, now) ? 'clearly-less' : 'shorter-by-a-step';
  return 'about-the-same';
}

/** Three tries each, which are held against each other whole. */
const triesOf = (a: TestResult, b: TestResult): boolean => [a, b].every((r) => (r.trials?.length ?? 0) >= 3);

function isLonger(then: TestResult, now: TestResult, { times, steps }: ByTries): boolean {
  const [before, after] = [secondBest(then), secondBest(now)];
  if (after < times * before || after <= before) return false;
  if (triesOf(then, now)) return Math.min(...(now.trials ?? [])) > Math.max(...(then.trials ?? []));
  return steps.some((step) => before < step && after >= step);
}

/** The second best of the tries, 60 % of a single one, as levels read it. */
const secondBest = ({ value, trials }: TestResult): number =>
  cautiousValue({ kind: 'second-best', singleShare: 0.6 }, value ?? 0, trials ?? []);

function noticedOf({ publishedErrors = [] }: Protocol): Noticed | null {
  const people = publishedErrors.filter((e) => e.statistic === 'MCID' || e.statistic.endsWith('meaningful change'));
  const least = people.reduce<(typeof people)[number] | null>((a, b) => (a && a.value <= b.value ? a : b), null);
  return least && { by: least.value, source: least.source };
}

/** The most a test can show: the cap of a hold, the last of its stages; `null` where there is none. */
export function topOf({ capture }: Protocol, capS?: number | null): number | null {
  if (capture.kind === 'hold') return capS ?? capture.capS;
  return capture.kind === 'staged' && capture.ends === 'first-not' ? capture.stages.length : null;
}

/**
 * The result later ones are held against: the first, or the second where it came within 14 days, as by then the test
 * was known (common practice, no published source).
 * @param sats oldest first
 */
export function baselineOf<S extends { readonly on: IsoDate }>(sats: readonly S[]): S | undefined {
  const [first, second] = sats;
  return first && second && daysBetween(first.on, second.on) <= baselineDays ? second : first;
}
const baselineDays = 14;

/** Expected second result if nothing changed: mean + R (first - mean). Only told when the first was over 1 SD out. */
function regressionTo(protocol: Protocol, older: Sat, sex: NormTable): number | null {
  const { value } = older.result;
  if (value === null || !protocol.reliability) return null;
  const { rank } = rankOpen(protocol.norms, scoredValue(protocol, value), older.ageYears, sex);
  if (rank.kind !== 'ranked' || Math.abs(rank.z) <= 1) return null;
  const { mean } = momentsOf(rank.row);
  return mean + protocol.reliability.r * (value - mean);
}

/** Why two results are not like for like; `null` where they are. */
function unlikeWhy(older: Sat, newer: Sat): string | null {
  if (older.protocolVersion !== newer.protocolVersion) return 'the protocol changed between the two';
  const seats = [older.result.seatHeightCm, newer.result.seatHeightCm];
  const unlike: string[] = [];
  if (seats[0] && seats[1] && Math.abs(seats[0] - seats[1]) >= 1)
    unlike.push(`another seat (${seats[0]} cm, then ${seats[1]} cm)`);
  const sides = [older.result.side, newer.result.side];
  if (sides[0] && sides[1] && sides[0] !== sides[1]) unlike.push('the other side');
  if (older.aid && newer.aid && older.aid !== newer.aid) unlike.push(`another aid (${older.aid}, then ${newer.aid})`);
  if (older.shoes && newer.shoes && older.shoes !== newer.shoes)
    unlike.push(`other shoes (${older.shoes}, then ${newer.shoes})`);
  return unlike.length === 0 ? null : unlike.join(', ');
}
