import { protocols } from '../catalogue/protocols';
import { knownOn } from '../core/intake/known';
import { closedToThem } from '../core/intake/mayStart';
import type { IsoDate } from '../core/shapes/facts';
import type { AttemptEvent } from '../core/shapes/attempt';
import type { PersonRecord } from '../core/shapes/intake';
import type { Protocol } from '../core/shapes/protocol';
import { findPerson } from '../database/people';
import { parse, type FieldError } from '../schemas/parse';
import { sheetForm, type SheetForm, type SheetLine } from '../schemas/sheet';
import { readRecord } from './readRecords';
import { readRules } from './rules';
import { saveAttempt, type SaveAttempt } from './saveAttempt';
import { together, type Desk } from './desk';

export type EnterSheet =
  | { readonly kind: 'saved'; readonly results: number }
  /** Tests that something closes to somebody: sent again with `despite` they are kept as such. */
  | { readonly kind: 'closed'; readonly closed: readonly ClosedLine[] }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/**
 * Takes a sheet of results written on paper, all of it or nothing: a sheet with a fault in one line
 * keeps nothing. Sent again, lines that are there already are left alone.
 */
export async function enterSheet(desk: Desk, input: unknown): Promise<EnterSheet> {
  const today = desk.today();
  const parsed = parse(sheetForm(protocols, today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const sheet = parsed.value;
  const lines = sheet.lines as readonly SheetLine[];
  if (lines.length === 0) return rejected('/lines', 'Nothing is written yet.');
  for (const [i, { personId }] of lines.entries()) {
    const person = await findPerson(desk.db, personId);
    if (!person) return rejected(`/lines/${i}/tries`, 'Nobody in the register has this name any more.');
    if (sheet.testedOn < person.birthDate) return rejected('/testedOn', `This is before ${person.name} was born.`);
  }
  const closed = await closedLines(desk, lines, sheet.testedOn);
  if (closed.length > 0 && sheet.despite !== true) return { kind: 'closed', closed };
  const despite = new Map(closed.map((c) => [c.key, c.closedBy]));
  try {
    await together(desk, async (all) => {
      for (const [i, line] of lines.entries()) {
        const refusal = refusalOf(await saveAttempt(all, line.key, attemptOf(sheet, line, despite.get(line.key))));
        if (refusal.length > 0) throw new Refused(refusal.map((message) => ({ path: `/lines/${i}/tries`, message })));
      }
    });
  } catch (error) {
    if (error instanceof Refused) return { kind: 'rejected', errors: error.faults };
    throw error;
  }
  return { kind: 'saved', results: lines.length };
}

/** A test that a limiter closed to somebody on the day it was done. */
export interface ClosedLine {
  readonly key: string;
  readonly name: string;
  readonly test: string;
  readonly closedBy: string;
}

async function closedLines(desk: Desk, lines: readonly SheetLine[], day: IsoDate): Promise<ClosedLine[]> {
  const { readiness, levels } = await readRules(desk);
  const closed: ClosedLine[] = [];
  // A sheet has many lines of one person.
  const records = new Map<string, PersonRecord>();
  for (const { key, personId, test, outcome } of lines) {
    const protocol = protocols.find((p) => p.id === test);
    const record = records.get(personId) ?? (await readRecord(desk, personId));
    records.set(personId, record);
    const known = knownOn(record, day, readiness);
    const by = protocol && known && outcome === 'done' ? closedToThem(known, protocol, levels.limiters, day) : [];
    if (protocol && by.length > 0)
      closed.push({
        key,
        name: (await findPerson(desk.db, personId))?.name ?? '',
        test: protocol.title,
        closedBy: by.join(', '),
      });
  }
  return closed;
}

/** Takes back what was kept of the sheet so far. */
class Refused extends Error {
  readonly faults: readonly FieldError[];
  constructor(faults: readonly FieldError[]) {
    super('a line of the sheet was refused');
    this.faults = faults;
  }
}

function refusalOf(saved: SaveAttempt): readonly string[] {
  if (saved.kind === 'rejected') return saved.errors.map((e) => e.message);
  return saved.kind === 'other-attempt' || saved.kind === 'conflict'
    ? ['Saved before with another result; open a new sheet to change it.']
    : [];
}

const rejected = (path: string, message: string): EnterSheet => ({ kind: 'rejected', errors: [{ path, message }] });

function attemptOf(sheet: SheetForm, line: SheetLine, despite?: string): object {
  const protocol = protocols.find((p) => p.id === line.test);
  const { seatHeightCm, shoes, testedOn } = sheet;
  return {
    personId: line.personId,
    test: line.test,
    protocolVersion: protocol?.version,
    sittingDate: testedOn,
    side: line.side,
    conditions: {
      ...(protocol?.seatCm !== undefined && seatHeightCm !== null ? { seatHeightCm } : {}),
      aid: line.aid,
      shoes,
      ...(despite === undefined ? {} : { despite }),
    },
    events: protocol ? [entered(protocol, sheet, line)] : [],
  };
}

/** A result of one day on paper has no clock: the event stands at noon of its day, so that a sheet sent again is the same. */
function entered(protocol: Protocol, { testedOn, who, counts }: SheetForm, line: SheetLine): AttemptEvent {
  const { tries, outcome, handsUsed, cleanBeforeHands, seconds, help } = line;
  const several = protocol.tries !== undefined && tries.length > 0;
  return {
    seq: 0,
    atMs: 0,
    wallMs: Date.parse(`${testedOn}T12:00:00Z`),
    by: 'hand',
    kind: 'entered',
    value: several || seconds ? null : (tries[0] ?? null),
    handsUsed,
    ...(handsUsed && cleanBeforeHands !== null ? { cleanBeforeHands } : {}),
    ...(outcome === 'done' ? {} : { outcome }),
    ...(several ? { trials: tries } : {}),
    ...(seconds ? { seconds } : {}),
    ...(help ? { help } : {}),
    ...(who.trim() === '' ? {} : { who: who.trim() }),
    ...(counts === true ? { counts } : {}),
  };
}
