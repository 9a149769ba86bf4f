import { daysBetween } from '../math/days';
import type { Body, IsoDate, TestResult } from '../shapes/facts';
import type { BatteryRule, CompositeRules, RisePowerRule } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { scoreBattery, type Battery } from './battery';
import { risePower, type RisePower } from './risePower';

export interface Composites {
  readonly battery: (Battery & { readonly on: IsoDate }) | null;
  readonly power: (RisePower & { readonly on: IsoDate; readonly test: string }) | null;
}

/** Results that are told together lie no further apart than this (common practice, no published source). */
const apartDays = 14;

/**
 * What several results say together.
 * @param results one a test, the one gone by
 * @param bodyOn height, mass and norm table known on a day
 */
export function compositesOf(
  rules: CompositeRules,
  protocols: readonly Protocol[],
  results: readonly TestResult[],
  bodyOn: (day: IsoDate) => Body,
): Composites {
  return { battery: batteryOf(rules.battery, results), power: powerOf(rules.risePower, protocols, results, bodyOn) };
}

function batteryOf(rule: BatteryRule, results: readonly TestResult[]): Composites['battery'] {
  const of = (test: string) => results.find((r) => r.test === test) ?? null;
  const [balance, gait, fiveStands] = [of('four-stage'), of('gait-4m'), of('five-stands')];
  const battery = scoreBattery(rule, { fourStage: balance?.seconds ?? null, gait, fiveStands });
  const days = [balance, gait, fiveStands].flatMap((r) => r?.testedOn ?? []).sort();
  const [first, last] = [days[0], days.at(-1)];
  if (!battery || !first || !last || daysBetween(first, last) > apartDays) return null;
  return { ...battery, on: last };
}

/** Of the newest days the five stands first, then the counted ones; a count with hands tells nothing of rising. */
function powerOf(
  rule: RisePowerRule,
  protocols: readonly Protocol[],
  results: readonly TestResult[],
  bodyOn: (day: IsoDate) => Body,
): Composites['power'] {
  const powers = results.flatMap((result) => {
    const rises = protocols.find((p) => p.id === result.test)?.rises;
    const { value, seatHeightCm, testedOn, test } = result;
    if (!rises || result.outcome !== 'done' || result.handsUsed || !value || !seatHeightCm) return [];
    const { heightCm, massKg, sex } = bodyOn(testedOn);
    if (!heightCm || !massKg) return [];
    const secondsPerStand = rises.kind === 'seconds-for' ? value / rises.rises : rises.seconds / value;
    const input = { massKg, heightM: heightCm / 100, seatM: seatHeightCm / 100, secondsPerStand, sex };
    const power = risePower(input, rule);
    return power ? [{ ...power, on: testedOn, test, timed: rises.kind === 'seconds-for' }] : [];
  });
  const newest = powers
    .map((p) => p.on)
    .sort()
    .at(-1);
  const recent = powers.filter((p) => newest !== undefined && daysBetween(p.on, newest) <= apartDays);
  const chosen = recent.find((p) => p.timed) ?? recent[0];
  if (!chosen) return null;
  const { timed, ...power } = chosen;
  return power;
}
