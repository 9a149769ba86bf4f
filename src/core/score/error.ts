import type { NormRow, Reliability, Source } from '../shapes/norms';
import { momentsOf } from './rank';

export interface MeasurementError {
  /** Standard error of measurement, in the unit of the test. */
  readonly sem: number;
  /** Smallest real change at 90 and at 95 %; the verdict on a change uses 95. */
  readonly mdc90: number;
  readonly mdc95: number;
  readonly source: Source;
}

/**
 * How much a result moves by itself.
 *
 * SEM = SD sqrt(1 - R), MDC = z sqrt(2) SEM, with the SD of the row read as normal. A lower bound: R comes from a
 * wider range of ages than one row.
 */
export function measurementError(row: NormRow, reliability: Reliability): MeasurementError {
  const sem = Math.abs(momentsOf(row).sd) * Math.sqrt(1 - reliability.r);
  return { sem, mdc90: 1.645 * Math.SQRT2 * sem, mdc95: 1.96 * Math.SQRT2 * sem, source: reliability.source };
}
