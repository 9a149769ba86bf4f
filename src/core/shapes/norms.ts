/** What a set of norm figures looks like. Entries are plain data: they cross to the browser and print. */

export type Sex = 'female' | 'male';
/** Which norm table a person is read from; `null` is left open, and the more cautious table is used. */
export type NormTable = Sex | null;

/** A paper or a practice, as it is cited beside every figure that comes from it. */
export interface Source {
  readonly cite: string;
  /** How sure the figure is. Nothing here was copied from an open paper. */
  readonly confidence: 'high' | 'medium-high' | 'medium' | 'low' | 'house rule';
  readonly fromMemory: boolean;
}

/** One printed row: the middle half of that sex and age. For times `p25` is the slower value. */
export interface NormRow {
  readonly sex: Sex;
  readonly ageLow: number;
  readonly ageHigh: number;
  readonly p25: number;
  readonly p75: number;
}

export interface NormSet {
  readonly id: string;
  readonly source: Source;
  readonly unit: string;
  readonly rows: readonly NormRow[];
}

/** A line below (or above) which a source speaks of risk. `p25` stands for the row's own 25th percentile. */
export interface Cutoff {
  readonly id: string;
  readonly pastIf: '<' | '<=' | '>=' | '>';
  readonly limit: number | 'p25';
  /** Short, kind words for a peg on the rail. */
  readonly label: string;
  readonly meaning: string;
  readonly source: Source;
}

/** A result that many keep when they manage on their own to 90, by sex and age. */
export interface StandardRow {
  readonly sex: Sex;
  readonly ageLow: number;
  readonly ageHigh: number;
  readonly limit: number;
}

export interface Standard {
  readonly source: Source;
  readonly rows: readonly StandardRow[];
  /** From this age on the standard is not shown. */
  readonly notFromAge: number;
}

export interface Reliability {
  /** Test-retest correlation, both sexes together. */
  readonly r: number;
  readonly source: Source;
}

/** Under these W/kg the power of rising is called low. */
export interface RisePowerRule {
  readonly limits: Readonly<Record<Sex, number>>;
  readonly source: Source;
}
