import Papa from 'papaparse';
import { isCalendarDay } from '../core/math/days';
import { readLength, readMass } from '../core/math/units';
import type { UnitSystem } from '../core/shapes/person';

export const rosterFields = [
  'name',
  'firstName',
  'lastName',
  'birthDate',
  'normTable',
  'height',
  'mass',
  'group',
  'contactName',
  'contactPhone',
] as const;
export type RosterField = (typeof rosterFields)[number];

/** Which column of the file holds what; fields without a column are left out. */
export type Columns = Partial<Record<RosterField, number>>;
export type DateOrder = 'ymd' | 'dmy' | 'mdy';

/** How the heads of columns are written in rosters; compared without case, accents and signs. */
const heads: Readonly<Record<RosterField, readonly string[]>> = {
  name: ['name', 'full name', 'participant', 'person', 'member', 'client'],
  firstName: ['first name', 'firstname', 'given name', 'forename'],
  lastName: ['last name', 'lastname', 'surname', 'family name'],
  birthDate: ['birth date', 'birthdate', 'date of birth', 'dob', 'born', 'birthday'],
  normTable: ['norm table', 'sex', 'gender', 'f m', 'm f'],
  height: ['height', 'height cm', 'height in', 'body height'],
  mass: ['mass', 'mass kg', 'weight', 'weight kg', 'weight lb', 'body mass'],
  group: ['group', 'class', 'course'],
  contactName: ['contact', 'emergency contact', 'contact name', 'next of kin'],
  contactPhone: ['contact phone', 'phone of contact', 'emergency phone', 'phone', 'telephone'],
};

const plain = (head: string): string =>
  head
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

export interface RosterTable {
  readonly heads: readonly string[];
  readonly rows: readonly RosterTableRow[];
}

export interface RosterTableRow {
  readonly cells: readonly string[];
  /** Line of the file on which the row begins, from 1, as an editor counts them. */
  readonly line: number;
  /** What is wrong with the row as such. */
  readonly fault: string | null;
}

/** Rows of a file with a head line; the separator is found by itself. A byte order mark and empty lines are left out. */
export function readTable(text: string): RosterTable {
  // One kind of line break, as files put together by hand mix them.
  const plainText = text.replace(/^\uFEFF/, '').replace(/\r\n?/g, '\n');
  // Empty lines would mislead the search for the separator, and are wanted afterwards to count lines.
  const { delimiter } = Papa.parse<string[]>(plainText, { preview: 20, skipEmptyLines: 'greedy' }).meta;
  const { data, errors } = Papa.parse<string[]>(plainText, { delimiter });
  const faults = new Map(
    errors
      // Whether a file of one column has a separator cannot be told, and does not matter.
      .filter((e) => e.code !== 'UndetectableDelimiter')
      .map((e) => [e.row ?? 0, faultWords[e.code] ?? e.message]),
  );
  let next = 1;
  const all = data.map((cells, i): RosterTableRow => {
    const line = next;
    // A quoted cell may run over several lines.
    next += 1 + cells.reduce((breaks, cell) => breaks + (cell.split('\n').length - 1), 0);
    return { cells, line, fault: faults.get(i) ?? null };
  });
  const [head, ...rows] = all.filter(({ cells }) => cells.some((cell) => cell.trim() !== ''));
  return { heads: head?.cells.map((h) => h.trim()) ?? [], rows };
}

const faultWords: Readonly<Record<string, string>> = {
  MissingQuotes: 'a quotation mark is opened and never closed',
  InvalidQuotes: 'a quotation mark stands where none belongs',
};

/** Columns found by the names of their heads; the first that fits, each column once. */
export function matchColumns(found: readonly string[]): Columns {
  const columns: Columns = {};
  const taken = new Set<number>();
  for (const field of rosterFields) {
    const column = found.findIndex((head, i) => !taken.has(i) && heads[field].includes(plain(head)));
    if (column < 0) continue;
    columns[field] = column;
    taken.add(column);
  }
  // "Name, first name": the name is the family name.
  if (columns.name !== undefined && columns.firstName !== undefined && columns.lastName === undefined) {
    columns.lastName = columns.name;
    delete columns.name;
  }
  return columns;
}

/**
 * In which order days and months stand, told by any date of the file that can only be read one way.
 * @returns null where every date can be read both ways
 */
export function dateOrderOf(dates: readonly string[]): DateOrder | null {
  let seen = false;
  for (const date of dates) {
    const parts = numbersOf(date);
    if (!parts) continue;
    if (parts[0] > 31) return 'ymd';
    seen = true;
    if (parts[0] > 12 && parts[1] <= 12) return 'dmy';
    if (parts[1] > 12 && parts[0] <= 12) return 'mdy';
  }
  return seen ? null : 'ymd';
}

function numbersOf(date: string): [number, number, number] | null {
  const found = /^\s*(\d{1,4})[-./\s]+(\d{1,2})[-./\s]+(\d{1,4})\s*$/.exec(date);
  return found ? [Number(found[1]), Number(found[2]), Number(found[3])] : null;
}

const orders: Readonly<Record<DateOrder, string>> = {
  ymd: 'year, month, day',
  dmy: 'day, month, year',
  mdy: 'month, day, year',
};

/** Which part of a date is wrong, in a sentence; `null` where it is a date, or its parts cannot be told apart. */
export function dateFault(text: string, order: DateOrder): string | null {
  const parts = numbersOf(text);
  if (!parts || readDate(text, order) !== null) return null;
  const { y, m, d } = partsOf(parts, order);
  if (y < 1000) return 'Write the year in full, such as 1949.';
  const read = `This file was read as ${orders[order]}.`;
  if (m < 1 || m > 12) return `There is no month ${m}. ${read}`;
  return `There is no day ${d} in month ${m} of ${y}. ${read}`;
}

function partsOf([a, b, c]: readonly [number, number, number], order: DateOrder) {
  if (a > 31 || order === 'ymd') return { y: a, m: b, d: c };
  return order === 'dmy' ? { y: c, m: b, d: a } : { y: c, m: a, d: b };
}

/** A date as `YYYY-MM-DD`, or null where it is none. Years are written in full: 49 could be 1949 or 2049. */
export function readDate(text: string, order: DateOrder): string | null {
  const parts = numbersOf(text);
  if (!parts) return null;
  const { y, m, d } = partsOf(parts, order);
  if (y < 1000) return null;
  const date = `${y}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`;
  return isCalendarDay(date) ? date : null;
}

const tables: Readonly<Record<string, 'female' | 'male'>> = {
  f: 'female',
  female: 'female',
  w: 'female',
  woman: 'female',
  women: 'female',
  m: 'male',
  male: 'male',
  man: 'male',
  men: 'male',
};

/** A row as it goes to the check: what could not be read stays as text, so that the check can say so. */
export interface RosterRow {
  readonly name: string;
  readonly birthDate: string;
  readonly normTable: string | null;
  readonly heightCm: number | string | null;
  readonly massKg: number | string | null;
  readonly group: string;
  readonly contactName: string;
  readonly contactPhone: string;
}

export function readRow(row: readonly string[], columns: Columns, order: DateOrder, units: UnitSystem): RosterRow {
  const cell = (field: RosterField): string => {
    const column = columns[field];
    return column === undefined ? '' : (row[column] ?? '').trim();
  };
  const measured = (text: string, read: (text: string) => number | null) => (text === '' ? null : (read(text) ?? text));
  const table = cell('normTable').toLowerCase().replace(/[.\s]/g, '');
  const date = cell('birthDate');
  return {
    name: cell('name') || `${cell('firstName')} ${cell('lastName')}`.trim(),
    birthDate: date === '' ? '' : (readDate(date, order) ?? date),
    normTable: table === '' ? null : (tables[table] ?? table),
    heightCm: measured(cell('height'), (t) => readLength(t, units === 'us' ? 'in' : 'cm')),
    massKg: measured(cell('mass'), (t) => readMass(t, units === 'us' ? 'lb' : 'kg')),
    group: cell('group'),
    contactName: cell('contactName'),
    contactPhone: cell('contactPhone'),
  };
}
