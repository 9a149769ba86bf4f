import type { IsoDate } from './shapes/facts';
import type { NormTable } from './shapes/norms';
import type { PersonId } from './shapes/person';
import type { RegisterFilter, RegisterSort } from './shapes/register';

export const registerStates = [
  'unreadable',
  'not-today',
  'ask-first',
  'to-ask',
  'not-tested',
  'due',
  'to-confirm',
  'with-care',
  'ready',
] as const;
/** How somebody stands today: the one thing that weighs most. */
export type RegisterState = (typeof registerStates)[number];

/** A person as the register, the search and Today list them. */
export interface RegisterLine {
  readonly id: PersonId;
  readonly name: string;
  readonly birthDate: IsoDate;
  /** `null` where the record cannot be worked out. */
  readonly ageYears: number | null;
  readonly normTable: NormTable;
  readonly archived: boolean;
  readonly state: RegisterState;
  /** Why, where the state has a reason. */
  readonly why: string;
  /** Newest result of the chair stand. */
  readonly stands: { readonly counted: number; readonly handsUsed: boolean } | null;
  readonly lastTestedOn: IsoDate | null;
  readonly dueOn: IsoDate | null;
  /** Watch lines that the newest results are past. */
  readonly toWatch: number;
  /** Where the newest result of each test stands, higher better; tests without norms are left out. */
  readonly standing: Readonly<Record<string, number>>;
  /** Confirmed levels, in the order of the ladders. */
  readonly codes: readonly string[];
  /** Levels that wait for a yes. */
  readonly waitingCodes: readonly string[];
  readonly toRepeat: boolean;
  readonly toComplete: number;
  /** Last day of a professional’s answer or of the questions, where either lapses soon. */
  readonly lapsesOn: IsoDate | null;
  readonly groupIds: readonly string[];
}

export interface RegisterQuestion {
  readonly search: string;
  readonly filter: RegisterFilter;
  readonly groupId: string | null;
  readonly sort: RegisterSort;
  readonly down: boolean;
  readonly offset: number;
  readonly limit: number;
}

export interface RegisterAnswer {
  readonly total: number;
  /** How many are in the register in all, without those put aside. */
  readonly everybody: number;
  readonly lines: readonly RegisterLine[];
}

/** Whether somebody belongs to a filter. Only the archive shows those put aside. */
export function passesFilter(line: RegisterLine, filter: RegisterFilter, today: IsoDate): boolean {
  if (line.archived !== (filter === 'archived')) return false;
  switch (filter) {
    case 'all':
    case 'archived':
      return true;
    case 'due':
      return line.dueOn !== null && line.dueOn <= today;
    case 'held':
      return line.state === 'not-today' || line.state === 'ask-first' || line.state === 'to-ask';
    case 'not-tested':
      return line.lastTestedOn === null;
    case 'to-complete':
      return line.toComplete > 0;
  }
}

/** Puts lines in order; those without a value come last either way, equals by name. */
export function compareLines(sort: RegisterSort, down: boolean): (a: RegisterLine, b: RegisterLine) => number {
  const of = keys[sort];
  return (a, b) => {
    const [x, y] = [of(a), of(b)];
    if (x === null || y === null) return x === y ? byName(a, b) : x === null ? 1 : -1;
    const order = x < y ? -1 : x > y ? 1 : 0;
    return (down ? -order : order) || byName(a, b);
  };
}

const byName = (a: RegisterLine, b: RegisterLine): number => (a.name < b.name ? -1 : a.name > b.name ? 1 : 0);

const keys: Readonly<Record<RegisterSort, (line: RegisterLine) => string | number | null>> = {
  name: (l) => l.name.toLowerCase(),
  age: (l) => l.ageYears,
  tested: (l) => l.lastTestedOn,
  due: (l) => l.dueOn,
  level: (l) => l.codes[0] ?? l.waitingCodes[0] ?? null,
  state: (l) => registerStates.indexOf(l.state),
};
