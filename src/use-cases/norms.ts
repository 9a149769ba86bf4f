import { normsVersion, protocolById, protocols } from '../catalogue/protocols';
import { normBook, normFaults, normUnits, type NormBook } from '../core/score/normBook';
import type { HallNorms } from '../core/shapes/norms';
import type { Register } from '../database/connection';
import { addHallNorms, listHallNorms } from '../database/hallNorms';
import { readNorms } from '../formats/normsCsv';
import { parse, type FieldError } from '../schemas/parse';
import { normsForm } from '../schemas/norms';

export const shippedBook: NormBook = { protocols, version: normsVersion };

/** The tests with the figures in force in this hall. */
export async function readBook(db: Register): Promise<NormBook> {
  return normBook(protocols, normsVersion, await listHallNorms(db));
}

/** Every change of one test’s figures, newest first. */
export async function normChanges(db: Register, test: string): Promise<HallNorms[]> {
  return (await listHallNorms(db)).filter((c) => c.test === test).reverse();
}

export type ChangeNorms =
  | { readonly kind: 'saved'; readonly version: string }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/**
 * Puts the hall’s own figures in place of the shipped ones, or goes back to those. The shipped set and every change
 * stay, and results say which version scored them.
 * @param id made when the form was opened, so that a form sent twice is one change
 */
export async function changeNorms(
  db: Register,
  test: string,
  id: string,
  input: unknown,
  at: Date,
): Promise<ChangeNorms> {
  const protocol = protocolById(test);
  if (!protocol) return rejected('/table', [`There is no test ${test}.`]);
  const parsed = parse(normsForm, input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { table, cite, who, why } = parsed.value;
  const said = { id, savedAt: at.toISOString(), test, cite: cite.trim(), who: who.trim(), why: why.trim() };
  if (table === null) {
    await addHallNorms(db, { ...said, unit: protocol.unit, rows: null });
  } else {
    const { rows, unit, faults } = readNorms(table);
    const units = normUnits(protocol);
    const unknown =
      unit === null || !units.includes(unit) ? [`The unit is ${units.join(' or ')}, not “${unit ?? ''}”.`] : [];
    const all = faults.length > 0 ? faults : [...unknown, ...normFaults(protocol, rows)];
    if (all.length > 0) return rejected('/table', all);
    await addHallNorms(db, { ...said, unit: unit ?? protocol.unit, rows });
  }
  return { kind: 'saved', version: (await readBook(db)).version };
}

const rejected = (path: string, messages: readonly string[]): ChangeNorms => ({
  kind: 'rejected',
  errors: messages.map((message) => ({ path, message })),
});
