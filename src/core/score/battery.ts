import { roundTo } from '../math/round';
import type { FourStageSeconds, TestResult } from '../shapes/facts';
import type { BatteryRule, Source, TimeRow } from '../shapes/norms';

export interface Battery {
  /** 0 to 12. */
  readonly total: number;
  readonly balance: number;
  readonly gait: number;
  readonly stands: number;
  readonly low: boolean;
  readonly source: Source;
}

/** The three parts; `null` where a part was not tested at all. */
export interface BatteryParts {
  readonly fourStage: FourStageSeconds | null;
  readonly gait: TestResult | null;
  readonly fiveStands: TestResult | null;
}

/**
 * Standing balance, usual walk and five stands, four points each. Times are rounded to 0.01 s first. A part tried and
 * not done, or stands with hands, is 0 points; a part not tried leaves the whole open.
 * @see rule.source
 */
export function scoreBattery(rule: BatteryRule, { fourStage, gait, fiveStands }: BatteryParts): Battery | null {
  if (!fourStage || !gait || !fiveStands) return null;
  if (gait.outcome === 'not-tried' || fiveStands.outcome === 'not-tried') return null;
  const balance = balancePoints(rule, fourStage);
  const parts = {
    balance,
    gait: timePoints(rule.gait, gait),
    stands: fiveStands.handsUsed === true ? 0 : timePoints(rule.stands, fiveStands),
  };
  const total = parts.balance + parts.gait + parts.stands;
  return { total, ...parts, low: total <= rule.lowUpTo, source: rule.source };
}

/** A position not held its ten seconds ends the part: what follows it is not counted. */
function balancePoints(rule: BatteryRule, seconds: FourStageSeconds): number {
  const held = (s: number) => roundTo(s, 0.01) >= rule.holdS;
  if (!held(seconds.sideBySide)) return 0;
  if (!held(seconds.semiTandem)) return 1;
  if (held(seconds.tandem)) return 4;
  return roundTo(seconds.tandem, 0.01) >= rule.tandemPartS ? 3 : 2;
}

function timePoints(rows: readonly TimeRow[], { outcome, value }: TestResult): number {
  if (outcome !== 'done' || value === null) return 0;
  const time = roundTo(value, 0.01);
  return rows.find((row) => row.upToS === null || time <= row.upToS)?.points ?? 0;
}
