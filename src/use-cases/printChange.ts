import { changeBetween, isJudged, type Change, type Sat } from '../core/retest/change';
import { together, type Compared, type Together } from '../core/retest/together';
import { roundTo } from '../core/math/round';
import { moreIsBetter } from '../core/score/scoreResult';
import type { IsoDate, TestResult } from '../core/shapes/facts';
import type { NormTable } from '../core/shapes/norms';
import type { Protocol } from '../core/shapes/protocol';
import { shippedRules } from '../catalogue/rules/book';

/** A result that has an older one of its test and side, held against it. */
export interface SentChange {
  readonly protocol: Protocol;
  readonly older: TestResult;
  readonly newer: TestResult;
  readonly change: Change;
}

/**
 * Each result against the newest one of an earlier day; stands with hands against stands with hands where there are any.
 * Of two results of one test, side and day the first counts.
 */
export function changesOfSent(
  results: readonly TestResult[],
  protocolOf: (test: string) => Protocol | undefined,
  ageOn: (day: IsoDate) => number,
  sex: NormTable,
): SentChange[] {
  const first = results.filter((r, i) => !results.slice(0, i).some((o) => isRepeat(o, r)));
  return first.flatMap((newer): SentChange[] => {
    const protocol = protocolOf(newer.test);
    const earlier = first
      .filter((o) => o.test === newer.test && (o.side ?? null) === (newer.side ?? null) && o.testedOn < newer.testedOn)
      .sort((a, b) => (a.testedOn < b.testedOn ? -1 : 1));
    const older = earlier.findLast((o) => hands(o) === hands(newer)) ?? earlier.at(-1);
    if (!protocol || !older) return [];
    const sat = (result: TestResult): Sat => ({
      ...{ on: result.testedOn, ageYears: ageOn(result.testedOn), result, protocolVersion: protocol.version },
    });
    return [{ protocol, older, newer, change: changeBetween(protocol, sat(older), sat(newer), sex) }];
  });
}

const hands = (r: TestResult): boolean => r.handsUsed === true;
const isRepeat = (a: TestResult, b: TestResult): boolean =>
  a.test === b.test && (a.side ?? null) === (b.side ?? null) && a.testedOn === b.testedOn && hands(a) === hands(b);

/** What those of the newest two days say together. */
export function togetherOfSent(changes: readonly SentChange[]): object | null {
  const compared = changes.map(({ older, newer, change }): Compared => ({
    test: newer.test,
    from: older.testedOn,
    on: newer.testedOn,
    change,
  }));
  return printTogether(together(compared, shippedRules.takenTogether));
}

const printTogether = (found: Together | null): object | null =>
  found && { tests: found.tests, z: roundTo(found.z, 0.01), verdict: found.verdict };

/** `by` and `z` in the sense of performance. */
export function printChange({ protocol, older, change }: SentChange): object {
  const from = { testedOn: older.testedOn, value: older.value };
  const gain = (by: number) => roundTo(moreIsBetter(protocol) ? by : -by, 0.01);
  const nothing = { from, by: null, z: null, smallestRealChange: null, noticed: null, source: null };
  switch (change.kind) {
    case 'first-time':
    case 'hands':
      return { ...nothing, verdict: 'not-comparable' };
    case 'not-comparable':
      return { ...nothing, by: change.by === null ? null : gain(change.by), verdict: change.kind };
    case 'at-top':
      return { ...nothing, by: 0, verdict: 'about-the-same' };
    case 'told':
      return { ...nothing, by: gain(change.by), verdict: change.kind, noticed: change.noticed?.by ?? null };
    default:
      // A page that was handed out is never asked about here.
      return isJudged(change)
        ? {
            ...{
              from,
              by: gain(change.by),
              z: change.z === null ? null : roundTo(change.z, 0.01),
              verdict: change.kind,
            },
            smallestRealChange: change.smallestReal === null ? null : roundTo(change.smallestReal, 0.01),
            ...{ noticed: change.noticed?.by ?? null, source: change.source?.cite ?? null },
          }
        : nothing;
  }
}
