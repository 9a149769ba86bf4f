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

interface AgeRow<S extends Sex | 'both' = Sex> {
  readonly sex: S;
  readonly ageLow: number;
  readonly ageHigh: number;
}

/** The middle half of one sex and age, as ranks are read from it. For times `p25` is the slower value. */
export interface NormRow extends AgeRow {
  readonly p25: number;
  readonly p75: number;
}

/** A printed row, with what another printing or another memory says of it. */
export interface MiddleHalfRow extends NormRow {
  readonly confidence?: Source['confidence'];
  readonly other?: { readonly p25: number; readonly p75: number };
}

export interface MeanSdRow extends AgeRow {
  readonly mean: number;
  readonly sd: number;
  readonly n?: number;
}

/** Mean with the 95 % interval of the mean; how single people spread is not given. */
export interface MeanCiRow extends AgeRow<Sex | 'both'> {
  readonly mean: number;
  readonly ciLow: number;
  readonly ciHigh: number;
}

/** Over this is worse than average; it is a limit, not a mean. */
export interface LimitRow extends AgeRow<'both'> {
  readonly limit: number;
}

interface NormSetHead {
  readonly id: string;
  readonly title: string;
  readonly source: Source;
  /** Unit the figures are printed in. */
  readonly unit: string;
  /** What a printed figure is multiplied by to be in the unit of the test; 1 where left out. */
  readonly inTestUnit?: number;
  readonly population: string;
  /** What to mind when reading it. */
  readonly note?: string;
}

/** A published table as printed. Each form allows what its figures carry, and no more. */
export type NormSet = NormSetHead &
  (
    | {
        readonly kind: 'middle-half';
        readonly rows: readonly MiddleHalfRow[];
        /** A count of 0 is not ranked: nothing says how far under the table it lies. */
        readonly zeroNotRanked?: true;
      }
    /** `skewed`: mean and spread are said, no percentile is made of them. */
    | { readonly kind: 'mean-sd'; readonly skewed: boolean; readonly rows: readonly MeanSdRow[] }
    /** `worseOverInterval`: the source calls slower than the upper end worse than average. */
    | { readonly kind: 'mean-ci'; readonly worseOverInterval: boolean; readonly rows: readonly MeanCiRow[] }
    | { readonly kind: 'limit'; readonly rows: readonly LimitRow[] }
  );

/** A line below (or above) which a source speaks of risk. `p25` stands for the row's own 25th percentile. */
export interface Cutoff {
  readonly id: string;
  readonly pastIf: '<' | '<=' | '>=' | '>';
  readonly limit: number | 'p25';
  /** Left out where the line is the same for both. Two lines of one id are one line, read by sex. */
  readonly sex?: Sex;
  /** What the printed limit is multiplied by to be in the unit scored in; 1 where left out. */
  readonly inTestUnit?: number;
  /** It sets the date of the next test and counts as to watch; the others are drawn only. */
  readonly setsDate?: true;
  /** Short, kind words for a peg on the rail. */
  readonly label: string;
  readonly meaning: string;
  readonly source: Source;
}

/** A result that many keep when they manage on their own to 90, by sex and age. */
export interface StandardRow extends AgeRow {
  readonly limit: number;
}

export interface Standard {
  readonly source: Source;
  readonly rows: readonly StandardRow[];
  /** From this age on the standard is not shown. */
  readonly notFromAge: number;
}

/** A published figure of how much a result moves by itself, or of how much change means something. */
export interface PublishedError {
  readonly statistic: 'SEM' | 'MDC90' | 'MDC95' | 'small meaningful change' | 'substantial meaningful change' | 'MCID';
  readonly value: number;
  readonly unit: string;
  readonly population: string;
  /** Older people living in the community, so it may be held beside our own people. */
  readonly community: boolean;
  readonly source: Source;
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

/** Points by time: the first row whose time is not exceeded; none where the part was not done. */
export interface TimeRow {
  /** Seconds; `null` for any longer time. */
  readonly upToS: number | null;
  readonly points: number;
}

/** The scoring table of the three-part battery; data of the catalogue. */
export interface BatteryRule {
  readonly holdS: number;
  readonly tandemPartS: number;
  readonly gait: readonly TimeRow[];
  readonly stands: readonly TimeRow[];
  readonly lowUpTo: number;
  readonly source: Source;
  readonly lowSource: Source;
}

export interface CompositeRules {
  readonly battery: BatteryRule;
  readonly risePower: RisePowerRule;
}

/** A change of a norm set made in this hall; nothing that was there before is lost by it. */
export interface HallNorms {
  readonly id: string;
  readonly savedAt: string;
  readonly test: string;
  readonly unit: string;
  /** `null` goes back to the shipped set. */
  readonly rows: readonly MiddleHalfRow[] | null;
  readonly cite: string;
  readonly who: string;
  readonly why: string;
}
