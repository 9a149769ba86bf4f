import type { IsoDate } from '../core/shapes/facts';
import type { Intake } from '../core/shapes/intake';
import type { Group, UnitSystem } from '../core/shapes/person';
import { canonicalJson } from '../core/math/canonical';
import { listGroups } from '../database/groups';
import {
  addImport,
  findImport,
  lastImport,
  undoImport,
  type ImportDone,
  type ImportedPerson,
} from '../database/imports';
import { listPeople } from '../database/people';
import { dayAndTimeIn } from '../formats/groupName';
import {
  dateFault,
  dateOrderOf,
  matchColumns,
  readRow,
  readTable,
  type Columns,
  type DateOrder,
  type RosterField,
  type RosterTable,
} from '../formats/roster';
import { parse, type FieldError } from '../schemas/parse';
import { rosterRow, type GoodRow } from '../schemas/roster';
import { hashOf } from './hash';
import { emptyPersonForm } from './savePerson';
import { together, type Desk } from './desk';

export interface RosterChoice {
  /** Chosen by hand; what is left out is matched by the heads of the columns. */
  readonly columns: Columns | null;
  readonly dateOrder: DateOrder | null;
  readonly units: UnitSystem;
}

export interface RosterPreview {
  readonly heads: readonly string[];
  readonly columns: Columns;
  /** `null` where every date can be read both ways and the file must be asked about. */
  readonly dateOrder: DateOrder | null;
  readonly good: number;
  readonly bad: number;
  /** Those in the register already, or twice in the file; they are left out. */
  readonly doubles: number;
  readonly firstGood: readonly GoodRow[];
  /** Line of the file, who, and what is wrong; the first hundred. */
  readonly faults: readonly { readonly line: number; readonly who: string; readonly message: string }[];
  /** What keeps the whole file from being taken. */
  readonly stop: string | null;
}

const mostRows = 20_000;
/** Rows checked in one go; between two goes the server answers others. */
const chunk = 250;

interface Read {
  readonly preview: RosterPreview;
  readonly rows: readonly GoodRow[];
}

async function readRoster(desk: Desk, text: string, choice: RosterChoice): Promise<Read> {
  const today = desk.today();
  const table = readTable(text);
  const columns = choice.columns ?? matchColumns(table.heads);
  const { birthDate } = columns;
  const dates = birthDate === undefined ? [] : table.rows.map(({ cells }) => cells[birthDate] ?? '');
  const order = choice.dateOrder ?? dateOrderOf(dates);
  const stop = stopOf(table, columns, order);
  const head = { heads: table.heads, columns, dateOrder: order };
  const none = { good: 0, bad: 0, doubles: 0, firstGood: [], faults: [] };
  if (stop !== null || order === null) return { preview: { ...head, ...none, stop }, rows: [] };
  const taken = await namesThere(desk);
  const schema = rosterRow(today);
  const faults: { line: number; who: string; message: string }[] = [];
  const rows: GoodRow[] = [];
  let bad = 0;
  let doubles = 0;
  for (const [i, { cells, line, fault: fileFault }] of table.rows.entries()) {
    if (i % chunk === chunk - 1) await new Promise((others) => setImmediate(others));
    const row = readRow(cells, columns, order, choice.units);
    const fault = (message: string) => {
      if (faults.length < 100) faults.push({ line, who: row.name || '(no name)', message });
    };
    const parsed = parse(schema, row);
    if (fileFault !== null || parsed.kind === 'bad') {
      bad++;
      fault(
        fileFault ??
          (parsed.kind === 'bad'
            ? firstOfEach(parsed.errors)
                .map((e) => said(exactFault(e, row.birthDate, order), cellOf(e, cells, columns)))
                .join(' ')
            : ''),
      );
      continue;
    }
    const key = keyOf(row.name, row.birthDate);
    if (taken.has(key)) {
      doubles++;
      fault('is in the register already, or twice in this file: left out');
      continue;
    }
    taken.add(key);
    rows.push(parsed.value);
  }
  const preview = { ...head, good: rows.length, bad, doubles, firstGood: rows.slice(0, 8), faults };
  return { preview: { ...preview, stop: rows.length === 0 ? 'There is no row that can be taken.' : null }, rows };
}

const fieldNames: Readonly<Record<string, readonly [title: string, field: RosterField]>> = {
  '/name': ['Name', 'name'],
  '/birthDate': ['Birth date', 'birthDate'],
  '/normTable': ['Norm table', 'normTable'],
  '/heightCm': ['Height', 'height'],
  '/massKg': ['Mass', 'mass'],
  '/group': ['Group', 'group'],
};

/** One fault a field says enough. */
const firstOfEach = (errors: readonly FieldError[]): FieldError[] => [
  ...new Map([...errors].reverse().map((e) => [e.path, e])).values(),
];

/** Of a date that is none: which part of it is wrong. */
const exactFault = (fault: FieldError, birthDate: string, order: DateOrder): FieldError => {
  const exact = fault.path === '/birthDate' ? dateFault(birthDate, order) : null;
  return exact === null ? fault : { ...fault, message: exact };
};

const said = ({ path, message }: FieldError, cell: string): string => {
  const words = /^[A-Z]/.test(message) ? message : `${fieldNames[path]?.[0] ?? path} ${message}.`;
  return cell === '' ? words : `“${cell}”: ${words}`;
};

/** What the file says where the fault is, cut short. */
function cellOf({ path }: FieldError, row: readonly string[], columns: Columns): string {
  const field = fieldNames[path]?.[1];
  const cell = (field && row[columns[field] ?? -1]?.trim()) ?? '';
  return cell.length > 24 ? `${cell.slice(0, 23)}…` : cell;
}

function stopOf(table: RosterTable, columns: Columns, order: DateOrder | null): string | null {
  if (table.heads.length === 0) return 'The file is empty.';
  if (table.rows.length === 0) return 'The file has a head line and no row.';
  if (table.rows.length > mostRows) return `At most ${mostRows} rows at once; this file has ${table.rows.length}.`;
  if (columns.name === undefined && (columns.firstName === undefined || columns.lastName === undefined))
    return 'No column for the name was found: choose it below.';
  if (columns.birthDate === undefined) return 'No column for the birth date was found: choose it below.';
  return order === null ? 'Do the dates begin with the day or with the month? Choose below.' : null;
}

const keyOf = (name: string, birthDate: string): string =>
  `${name.trim().toLowerCase().replace(/\s+/g, ' ')}|${birthDate}`;

/** What a roster would bring; nothing is kept. */
export async function previewRoster(desk: Desk, text: string, choice: RosterChoice): Promise<RosterPreview> {
  return (await readRoster(desk, text, choice)).preview;
}

export type TakeRoster =
  | { readonly kind: 'taken'; readonly importId: string; readonly added: number; readonly leftOut: number }
  | { readonly kind: 'refused'; readonly preview: RosterPreview }
  /** The id belongs to another import, or to one that was undone. Nothing was changed. */
  | { readonly kind: 'conflict'; readonly why: string };

/** Takes the good rows of a roster in one transaction. The same import id again changes nothing and says the same. */
export async function takeRoster(
  desk: Desk,
  importId: string,
  fileName: string,
  text: string,
  choice: RosterChoice,
): Promise<TakeRoster> {
  const today = desk.today();
  const sentHash = hashOf(canonicalJson([text, choice]));
  const before = await findImport(desk.db, importId);
  if (before) return sentAgain(before, sentHash);
  const { preview, rows } = await readRoster(desk, text, choice);
  if (preview.stop !== null) return { kind: 'refused', preview };
  // Who is there is looked at once more in the transaction: another device may have taken the same file meanwhile.
  return together(desk, async (trx): Promise<TakeRoster> => {
    const known = await findImport(trx.db, importId);
    if (known) return sentAgain(known, sentHash);
    const there = await namesThere(trx);
    const fresh = rows.filter((row) => !there.has(keyOf(row.name, row.birthDate)));
    const groups = groupsFor(await listGroups(trx.db));
    const people = fresh.map((row) => toImported(row, groups.idOf(row.group), today));
    await addImport(trx.db, { id: importId, fileName, sentHash }, people, groups.made, desk.now());
    const leftOut = preview.bad + preview.doubles + rows.length - fresh.length;
    return { kind: 'taken', importId, added: people.length, leftOut };
  });
}

/** The same import sent again says the same; another one under its id, or one that was undone, is a conflict. */
function sentAgain(known: NonNullable<Awaited<ReturnType<typeof findImport>>>, sentHash: string): TakeRoster {
  if (known.undone) return { kind: 'conflict', why: 'This import was undone. Choose the file again to take it anew.' };
  return known.sentHash === sentHash
    ? { kind: 'taken', importId: known.id, added: known.added, leftOut: 0 }
    : { kind: 'conflict', why: 'This import was taken already, out of another file.' };
}

const namesThere = async (desk: Desk): Promise<Set<string>> =>
  new Set((await listPeople(desk.db)).map((p) => keyOf(p.name, p.birthDate)));

/** Groups by name; one that is not there is made, with the day and time its name says. */
function groupsFor(there: readonly Group[]) {
  const ids = new Map(there.map((g) => [g.name.toLowerCase(), g.id]));
  const made: Group[] = [];
  const idOf = (name: string): string | null => {
    if (name === '') return null;
    const known = ids.get(name.toLowerCase());
    if (known !== undefined) return known;
    const id = crypto.randomUUID();
    made.push({ id, name, ...dayAndTimeIn(name) });
    ids.set(name.toLowerCase(), id);
    return id;
  };
  return { idOf, made };
}

function toImported(row: GoodRow, groupId: string | null, today: IsoDate): ImportedPerson {
  const { name, birthDate, normTable, heightCm, massKg, contactName, contactPhone } = row;
  const { name: n, birthDate: b, normTable: t, pains, falls, withdrawn, ...empty } = emptyPersonForm;
  const intake: Intake = {
    ...empty,
    limiters: [],
    seatHeightCm: null,
    heightCm,
    massKg,
    contact: { name: contactName, phone: contactPhone },
    notedOn: today,
    toComplete: [
      'bones',
      'nerves',
      'floor',
      'aids',
      ...(heightCm === null || massKg === null ? ['body' as const] : []),
    ],
  };
  return { person: { id: crypto.randomUUID(), name: name.trim(), birthDate, normTable }, intake, groupId };
}

export type { ImportDone };
export const readLastImport = (desk: Desk): Promise<ImportDone | undefined> => lastImport(desk.db);

/** Undoes a whole import; people of whom something was noted since stay, and are counted. */
export async function undoRoster(
  desk: Desk,
  importId: string,
): Promise<{ kind: 'undone'; removed: number; stayed: number } | { kind: 'not-found' }> {
  const answer = await undoImport(desk.db, importId, desk.now());
  return answer ? { kind: 'undone', ...answer } : { kind: 'not-found' };
}
