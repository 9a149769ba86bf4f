import type { NormRow, PublishedError, Reliability, Source } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';
import { momentsOf } from './rank';

export interface MeasurementError {
  /** Standard error of measurement, in the unit of the test; `null` where only a published change is known. */
  readonly sem: number | null;
  /** Smallest real change at 90 and at 95 %; the verdict on a change uses 95. */
  readonly mdc90: number | null;
  readonly mdc95: number;
  readonly source: Source;
  /** Computed from the spread of the row, or taken from a paper on older people in the community. */
  readonly from: 'computed' | 'published';
}

const twoSided = { 90: 1.645, 95: 1.96 } as const;

/**
 * How much a result moves by itself.
 *
 * SEM = SD sqrt(1 - R), MDC = z sqrt(2) SEM, with the SD of the row read as normal. A lower bound: R comes from a
 * wider range of ages than one row.
 */
export function measurementError(row: NormRow, reliability: Reliability): MeasurementError & { readonly sem: number } {
  const sem = Math.abs(momentsOf(row).sd) * Math.sqrt(1 - reliability.r);
  const mdc = (level: 90 | 95) => twoSided[level] * Math.SQRT2 * sem;
  return { sem, mdc90: mdc(90), mdc95: mdc(95), source: reliability.source, from: 'computed' };
}

/**
 * The error to judge a test by: computed from its row, or where no row gives a spread the published smallest real
 * change of older people in the community. Figures of other people, such as those waiting for a new joint, are no
 * measure for ours.
 * @returns null where neither is known
 */
export function errorOf(protocol: Protocol, row: NormRow | undefined): MeasurementError | null {
  if (row && protocol.reliability) return measurementError(row, protocol.reliability);
  const ours = (protocol.publishedErrors ?? []).filter((e) => e.community);
  const published = (statistic: PublishedError['statistic']) => ours.find((e) => e.statistic === statistic);
  const mdc95 = published('MDC95');
  if (!mdc95) return null;
  return {
    sem: published('SEM')?.value ?? null,
    mdc90: published('MDC90')?.value ?? null,
    mdc95: mdc95.value,
    source: mdc95.source,
    from: 'published',
  };
}

/** The standard error behind a smallest real change, where only that was published. */
export const semOf = ({ sem, mdc95 }: MeasurementError): number => sem ?? mdc95 / (twoSided[95] * Math.SQRT2);

/** Half the length of the bar a result moves within by itself, 95 %. A published change gives it as MDC95 = sqrt(2) times it. */
export const errorReach = ({ sem, mdc95 }: MeasurementError): number =>
  sem === null ? mdc95 / Math.SQRT2 : twoSided[95] * sem;
