import { roundTo } from '../math/round';
import { daysBetween } from '../math/days';
import type { IsoDate, TestResult } from '../shapes/facts';
import type { NormTable } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { errorOf } from '../score/error';
import { momentsOf, rankOpen, rowFor } from '../score/rank';
import { moreIsBetter, scoredUnit, scoredValue } from '../score/scoreResult';

export interface Sat {
  readonly on: IsoDate;
  readonly ageYears: number;
  readonly result: TestResult;
  readonly protocolVersion: number;
  readonly aid?: string | undefined;
  readonly shoes?: string | undefined;
}

export type Change =
  | { readonly kind: 'first-time' }
  | { readonly kind: 'not-comparable'; readonly why: string }
  /** The newer one is the most this test can show, so nothing is said of getting better. */
  | { readonly kind: 'at-top'; readonly top: number }
  /** How much a result of this test moves by itself is not known, so the difference is told and not judged. */
  | { readonly kind: 'no-error'; readonly by: number; readonly unit: string }
  | { readonly kind: 'hands'; readonly words: 'now without hands' | 'hands used this time' }
  | {
      readonly kind: 'no-clear-change' | 'clearly-better' | 'clearly-worse';
      /** New less old, in `unit`. */
      readonly by: number;
      /** Unit the change is told in: that of the test, or m/s for a walk. */
      readonly unit: string;
      /** Whether the person did better or worse, clearly or not. */
      readonly better: boolean;
      readonly mdc95: number;
      readonly days: number;
      /** What the older result would drift to by chance alone, where it was extreme. */
      readonly regressionTo: number | null;
      readonly unlike: readonly string[];
    };

/**
 * Whether a change is more than the test's own error.
 *
 * Only a difference beyond MDC95 under like conditions is called clear. Of the two norm rows the wider error is used,
 * so a birthday between the results cannot make a change look real. A step from or to hands is never given a size,
 * and at the cap or top stage of a test nothing is called better.
 */
export function changeBetween(protocol: Protocol, older: Sat | undefined, newer: Sat, sex: NormTable): Change {
  if (!older) return { kind: 'first-time' };
  if (older.protocolVersion !== newer.protocolVersion)
    return { kind: 'not-comparable', why: 'the protocol changed between the two' };
  const was = older.result;
  const now = newer.result;
  if (was.handsUsed !== now.handsUsed && (was.handsUsed === true || now.handsUsed === true))
    return { kind: 'hands', words: now.handsUsed ? 'hands used this time' : 'now without hands' };
  if (now.handsUsed) return { kind: 'not-comparable', why: 'hands used both times' };
  if (was.value === null || now.value === null) return { kind: 'not-comparable', why: 'one of the two has no result' };
  const top = topOf(protocol, now.capS);
  if (top !== null && now.value >= top) return { kind: 'at-top', top };
  const mdc95 = widestMdc95(protocol, [older, newer], sex);
  // Judged as it is and told to a hundredth, so that the verdict does not hang on the unit it is told in.
  const exactly = roundTo(scoredValue(protocol, now.value) - scoredValue(protocol, was.value), 1e-6);
  const by = roundTo(exactly, 0.01);
  if (mdc95 === null) return { kind: 'no-error', by, unit: scoredUnit(protocol) };
  const unlike = unlikeConditions(older, newer);
  const better = moreIsBetter(protocol) ? by > 0 : by < 0;
  const clear = Math.abs(exactly) > mdc95 && unlike.length === 0;
  return {
    kind: clear ? (better ? 'clearly-better' : 'clearly-worse') : 'no-clear-change',
    by,
    unit: scoredUnit(protocol),
    better,
    mdc95,
    days: daysBetween(older.on, newer.on),
    regressionTo: regressionTo(protocol, older, sex),
    unlike,
  };
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

function widestMdc95(protocol: Protocol, sats: readonly Sat[], sex: NormTable): number | null {
  const sexes = sex ? [sex] : (['female', 'male'] as const);
  const found = sats.flatMap(({ ageYears }) =>
    sexes.flatMap((s) => errorOf(protocol, rowFor(protocol.norms, { ageYears, sex: s }))?.mdc95 ?? []),
  );
  return found.length > 0 ? Math.max(...found) : null;
}

/** Expected second result if nothing changed: mean + R (first - mean). Only told when the first was over 1 SD out. */
function regressionTo(protocol: Protocol, older: Sat, sex: NormTable): number | null {
  const { value } = older.result;
  if (value === null || !protocol.reliability) return null;
  const { rank } = rankOpen(protocol.norms, scoredValue(protocol, value), older.ageYears, sex);
  if (rank.kind !== 'ranked' || Math.abs(rank.z) <= 1) return null;
  const { mean } = momentsOf(rank.row);
  return mean + protocol.reliability.r * (value - mean);
}

function unlikeConditions(older: Sat, newer: Sat): string[] {
  const seats = [older.result.seatHeightCm, newer.result.seatHeightCm];
  const unlike: string[] = [];
  if (seats[0] && seats[1] && Math.abs(seats[0] - seats[1]) >= 1)
    unlike.push(`another seat (${seats[0]} cm, then ${seats[1]} cm)`);
  const sides = [older.result.side, newer.result.side];
  if (sides[0] && sides[1] && sides[0] !== sides[1]) unlike.push('the other side');
  if (older.aid && newer.aid && older.aid !== newer.aid) unlike.push(`another aid (${older.aid}, then ${newer.aid})`);
  if (older.shoes && newer.shoes && older.shoes !== newer.shoes)
    unlike.push(`other shoes (${older.shoes}, then ${newer.shoes})`);
  return unlike;
}
