import { cmPerInch } from '../math/units';
import type { HallNorms, MiddleHalfRow, NormSet, Sex, Source } from '../shapes/norms';
import type { Protocol } from '../shapes/protocol';

/** The tests with the figures in force in this hall. */
export interface NormBook {
  readonly protocols: readonly Protocol[];
  /** Of the shipped figures, and how often the hall changed any. */
  readonly version: string;
}

/**
 * Lays the hall’s own figures over the shipped ones; the newest change of a test is in force, one without rows goes
 * back to the shipped set.
 * @param changes in the order they were made
 */
export function normBook(shipped: readonly Protocol[], version: string, changes: readonly HallNorms[]): NormBook {
  const newest = new Map(changes.map((c) => [c.test, c]));
  return {
    protocols: shipped.map((protocol) => {
      const change = newest.get(protocol.id);
      return change?.rows ? { ...protocol, norms: hallSet(protocol, change, change.rows) } : protocol;
    }),
    version: changes.length === 0 ? version : `${version}+hall.${changes.length}`,
  };
}

function hallSet(protocol: Protocol, change: HallNorms, rows: readonly MiddleHalfRow[]): NormSet {
  const source: Source = { cite: change.cite, confidence: 'house rule', fromMemory: false };
  return {
    id: `${protocol.id}-hall-${change.id}`,
    kind: 'middle-half',
    title: protocol.norms?.title ?? protocol.title,
    source,
    unit: change.unit,
    ...(change.unit === protocol.unit ? {} : { inTestUnit: cmPerInch }),
    population: `figures of this hall since ${change.savedAt.slice(0, 10)}, by ${change.who}: ${change.why}`,
    ...(protocol.range.min === 0 && protocol.capture.kind === 'count' ? { zeroNotRanked: true } : {}),
    rows,
  };
}

/** Units a table of this test may be written in. */
export const normUnits = ({ unit }: Protocol): readonly string[] => (unit === 'cm' ? ['cm', 'in'] : [unit]);

/**
 * What is wrong with rows as a norm table: quartiles out of order, ages that overlap or leave a gap, a table missing.
 * @returns a line a fault, empty where the rows are a table
 */
export function normFaults(protocol: Protocol, rows: readonly MiddleHalfRow[]): string[] {
  const faults = rows.flatMap((row) => {
    const name = `${row.sex} ${row.ageLow}-${row.ageHigh}`;
    const inOrder = protocol.better === 'higher' ? row.p25 < row.p75 : row.p25 > row.p75;
    return [
      ...(row.ageLow > row.ageHigh ? [`${name}: the ages are the wrong way round.`] : []),
      ...(inOrder
        ? []
        : [
            protocol.better === 'higher'
              ? `${name}: p25 must be less than p75.`
              : `${name}: p25 is the slower time, so it must be more than p75.`,
          ]),
    ];
  });
  for (const sex of ['female', 'male'] as const) faults.push(...coverFaults(sex, rows));
  return faults;
}

function coverFaults(sex: Sex, rows: readonly MiddleHalfRow[]): string[] {
  const own = rows.filter((r) => r.sex === sex).sort((a, b) => a.ageLow - b.ageLow);
  if (own.length === 0) return [`There is no row for ${sex}.`];
  return own.slice(1).flatMap((row, i) => {
    const before = own[i]?.ageHigh ?? NaN;
    if (row.ageLow <= before) return [`${sex}: ages ${row.ageLow} to ${before} stand in two rows.`];
    return row.ageLow > before + 1 ? [`${sex}: no row covers ages ${before + 1} to ${row.ageLow - 1}.`] : [];
  });
}
