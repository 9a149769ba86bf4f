import { roundTo } from '../math/round';
import type { NormTable, RisePowerRule, Source } from '../shapes/norms';

export interface RisePower {
  readonly watts: number;
  readonly wattsPerKg: number;
  /** Under the limit of that sex; with the norm table left open, under the higher of the two. */
  readonly low: boolean;
  readonly limit: number;
  readonly source: Source;
}

/** @param secondsPerStand time of one whole stand: T/5 of five stands, 30/n of thirty seconds */
export interface RiseInput {
  readonly massKg: number;
  readonly heightM: number;
  readonly seatM: number;
  readonly secondsPerStand: number;
  readonly sex: NormTable;
}

/**
 * Mean power of rising from a chair, P = 0.9 M g (H/2 - C) / (t/2).
 * Alcazar et al. 2018, Exp Gerontol 112:38-43 (from memory).
 * @returns `null` where the seat is not lower than half the body height, as then nothing is lifted
 */
export function risePower(input: RiseInput, rule: RisePowerRule): RisePower | null {
  const liftM = 0.5 * input.heightM - input.seatM;
  if (liftM <= 0 || input.secondsPerStand <= 0) return null;
  const watts = (input.massKg * 0.9 * 9.81 * liftM) / (0.5 * input.secondsPerStand);
  const wattsPerKg = watts / input.massKg;
  const limit = input.sex ? rule.limits[input.sex] : Math.max(rule.limits.female, rule.limits.male);
  // Compared as shown, so that the word and the number beside it never disagree.
  return { watts, wattsPerKg, low: roundTo(wattsPerKg, 0.01) < limit, limit, source: rule.source };
}
