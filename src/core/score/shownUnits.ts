import { roundTo } from '../math/round';
import { cmPerInch } from '../math/units';
import type { TestResult } from '../shapes/facts';
import type { UnitSystem } from '../shapes/person';
import type { Protocol } from '../shapes/protocol';
import type { NormBook } from './normBook';

/**
 * A test in the units a hall works in: lengths in inches where it works in them, all else as it is kept. Figures that
 * were printed in inches are read as printed, so nothing is lost by going there and back.
 */
export function protocolIn(units: UnitSystem, protocol: Protocol): Protocol {
  if (units === 'metric' || protocol.unit !== 'cm') return protocol;
  const { norms, cutoffs, publishedErrors, range } = protocol;
  const toInches = (inTestUnit: number | undefined) => (inTestUnit ?? 1) / cmPerInch;
  return {
    ...protocol,
    unit: 'in',
    // Inwards, so that what may be written in inches may be kept in cm.
    range: {
      ...range,
      min: Math.ceil((range.min / cmPerInch) * 10) / 10,
      max: Math.floor((range.max / cmPerInch) * 10) / 10,
    },
    ...(norms ? { norms: { ...norms, inTestUnit: toInches(norms.inTestUnit) } } : {}),
    ...(cutoffs ? { cutoffs: cutoffs.map((c) => ({ ...c, inTestUnit: toInches(c.inTestUnit) })) } : {}),
    ...(publishedErrors
      ? {
          publishedErrors: publishedErrors.map((e) =>
            e.unit === 'cm' ? { ...e, value: roundTo(e.value / cmPerInch, 0.01), unit: 'in' } : e,
          ),
        }
      : {}),
  };
}

export const bookIn = (units: UnitSystem, { protocols, version }: NormBook): NormBook => ({
  protocols: protocols.map((p) => protocolIn(units, p)),
  version,
});

/** A kept result in the unit of a test as it is shown. */
export function resultIn(shown: Protocol, result: TestResult): TestResult {
  if (shown.unit !== 'in') return result;
  const inches = (cm: number) => roundTo(cm / cmPerInch, 1e-6);
  return {
    ...result,
    value: result.value === null ? null : inches(result.value),
    trials: result.trials?.map(inches) ?? null,
  };
}

/** What was written in the unit of a test as it is shown, as it is kept; half an inch is 1.27 cm, exactly. */
export const keptFrom = (shown: Protocol, written: number): number =>
  shown.unit === 'in' ? roundTo(written * cmPerInch, 1e-6) : written;
