import { roundTo } from '../math/round';
import { daysBetween } from '../math/days';
import type { IsoDate, TestResult } from '../shapes/facts';
import type { NormTable } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { measurementError } from '../score/error';
import { momentsOf, rankOpen, rowFor } from '../score/rank';

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
  | { readonly kind: 'hands'; readonly words: 'now without hands' | 'hands used this time' }
  | {
      readonly kind: 'no-clear-change' | 'clearly-better' | 'clearly-worse';
      /** New less old, in the unit of the test. */
      readonly by: number;
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
 * so a birthday between the sittings cannot make a change look real. A step from or to hands is never given a size.
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
  const mdc95 = widestMdc95(protocol, [older, newer], sex);
  if (mdc95 === null) return { kind: 'not-comparable', why: 'no measurement error is known at this age' };
  const by = roundTo(now.value - was.value, 0.01);
  const unlike = unlikeConditions(older, newer);
  const better = protocol.better === 'higher' ? by > 0 : by < 0;
  const clear = Math.abs(by) > mdc95 && unlike.length === 0;
  return {
    kind: clear ? (better ? 'clearly-better' : 'clearly-worse') : 'no-clear-change',
    by,
    mdc95,
    days: daysBetween(older.on, newer.on),
    regressionTo: regressionTo(protocol, older, sex),
    unlike,
  };
}

function widestMdc95(protocol: Protocol, sats: readonly Sat[], sex: NormTable): number | null {
  const { reliability } = protocol;
  if (!reliability) return null;
  const sexes = sex ? [sex] : (['female', 'male'] as const);
  const found = sats.flatMap(({ ageYears }) =>
    sexes.flatMap((s) => {
      const row = rowFor(protocol.norms, { ageYears, sex: s });
      return row ? [measurementError(row, reliability).mdc95] : [];
    }),
  );
  return found.length > 0 ? Math.max(...found) : null;
}

/** Expected second result if nothing changed: mean + R (first - mean). Only told when the first was over 1 SD out. */
function regressionTo(protocol: Protocol, older: Sat, sex: NormTable): number | null {
  const { value } = older.result;
  if (value === null || !protocol.reliability) return null;
  const { rank } = rankOpen(protocol.norms, value, older.ageYears, sex);
  if (rank.kind !== 'ranked' || Math.abs(rank.z) <= 1) return null;
  const { mean } = momentsOf(rank.row);
  return mean + protocol.reliability.r * (value - mean);
}

function unlikeConditions(older: Sat, newer: Sat): string[] {
  const seats = [older.result.seatHeightCm, newer.result.seatHeightCm];
  const unlike: string[] = [];
  if (seats[0] && seats[1] && Math.abs(seats[0] - seats[1]) >= 1)
    unlike.push(`another seat (${seats[0]} cm, then ${seats[1]} cm)`);
  if (older.aid && newer.aid && older.aid !== newer.aid) unlike.push(`another aid (${older.aid}, then ${newer.aid})`);
  if (older.shoes && newer.shoes && older.shoes !== newer.shoes)
    unlike.push(`other shoes (${older.shoes}, then ${newer.shoes})`);
  return unlike;
}
