import { normsVersion, protocolById, protocols } from '../catalogue/protocols';
import { normBook, normFaults, normUnits, type NormBook } from '../core/score/normBook';
import type { HallNorms, MiddleHalfRow } from '../core/shapes/norms';
import type { Protocol } from '../core/shapes/protocol';
import { addHallNorms, listHallNorms } from '../database/hallNorms';
import { readNorms } from '../formats/normsCsv';
import { parse, type FieldError } from '../schemas/parse';
import { normsForm } from '../schemas/norms';
import { together, type Desk } from './desk';

export const shippedBook: NormBook = { protocols, version: normsVersion };

/** The tests with the figures in force in this hall. */
export async function readBook(desk: Desk): Promise<NormBook> {
  return normBook(protocols, normsVersion, await listHallNorms(desk.db));
}

/** Every change of one test’s figures, newest first. */
export async function normChanges(desk: Desk, test: string): Promise<HallNorms[]> {
  return (await listHallNorms(desk.db)).filter((c) => c.test === test).reverse();
}

export type ChangeNorms =
  | { readonly kind: 'saved'; readonly version: string }
  /** Somebody changed these figures since the form was opened; nothing was changed now. */
  | { readonly kind: 'changed'; readonly by: HallNorms }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/**
 * Puts the hall’s own figures in place of the shipped ones, or goes back to those. The shipped set and every change
 * stay, and results say which version scored them.
 * @param id made when the form was opened, so that a form sent twice is one change
 * @param seen the newest change when the form was opened, `null` for none; left out, nothing is compared
 */
export async function changeNorms(
  desk: Desk,
  test: string,
  id: string,
  input: unknown,
  seen?: string | null,
): Promise<ChangeNorms> {
  const at = desk.now();
  const protocol = protocolById(test);
  if (!protocol) return { kind: 'rejected', errors: [{ path: '/table', message: `There is no test ${test}.` }] };
  const parsed = parse(normsForm, input);
  const words = parsed.kind === 'bad' ? parsed.errors : [];
  const sent = typeof input === 'object' && input !== null && 'table' in input ? input.table : null;
  const read = typeof sent === 'string' ? readTable(protocol, sent) : { rows: null, unit: protocol.unit, faults: [] };
  const faults = [...words, ...read.faults.map((message) => ({ path: '/table', message }))];
  if (faults.length > 0 || parsed.kind === 'bad') return { kind: 'rejected', errors: faults };
  const { cite, who, why } = parsed.value;
  const said = { id, savedAt: at.toISOString(), test, cite: cite.trim(), who: who.trim(), why: why.trim() };
  return together(desk, async (trx): Promise<ChangeNorms> => {
    const newest = (await normChanges(trx, test))[0];
    if (newest && seen !== undefined && newest.id !== seen && newest.id !== id) return { kind: 'changed', by: newest };
    await addHallNorms(trx.db, { ...said, unit: read.unit, rows: read.rows });
    return { kind: 'saved', version: (await readBook(trx)).version };
  });
}

/** The table with everything that is wrong with it; looked at also while a field beside it is empty. */
function readTable(
  protocol: Protocol,
  table: string,
): { readonly rows: readonly MiddleHalfRow[]; readonly unit: string; readonly faults: readonly string[] } {
  const { rows, unit, faults } = readNorms(table);
  const units = normUnits(protocol);
  const known = unit !== null && units.includes(unit);
  const unknown = known ? [] : [`The unit is ${units.join(' or ')}, not “${unit ?? ''}”.`];
  return {
    rows,
    unit: unit ?? protocol.unit,
    faults: faults.length > 0 ? faults : [...unknown, ...normFaults(protocol, rows)],
  };
}
