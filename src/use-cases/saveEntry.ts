import { knownOn } from '../core/intake/known';
import { newerThanAnswer } from '../core/intake/readiness';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { storeEntry } from '../database/entries';
import { findPerson } from '../database/people';
import { entryBody } from '../schemas/entry';
import { parse, type FieldError } from '../schemas/parse';
import { isStyle } from './coaching';
import { readRecord } from './readRecords';
import { readRules } from './rules';
import { together, type Desk } from './desk';

export type SaveEntry =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Notes something of a person once: a day check, an answer, an incident. Sending it again is harmless. */
export async function saveEntry(desk: Desk, id: string, input: unknown): Promise<SaveEntry> {
  const today = desk.today();
  const parsed = parse(entryBody(today), input);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const { personId, on, content } = parsed.value;
  const errors: FieldError[] = [];
  return together(desk, async (trx) => {
    if (!/^[A-Za-z0-9_-]{8,64}$/.test(id))
      errors.push({ path: '', message: 'the key in the address must be 8 to 64 letters, digits, - or _' });
    if (!(await findPerson(trx.db, personId)))
      errors.push({ path: '/personId', message: 'nobody in the register has this id' });
    if (content.kind === 'coaching' && !isStyle(content.question, content.option))
      errors.push({ path: '/content/option', message: `${content.option} is no answer to this question.` });
    if (content.kind === 'clearance' && errors.length === 0)
      errors.push(...(await olderFaults(trx, id, personId, content.answeredOn ?? today)));
    if (errors.length > 0) return { kind: 'rejected', errors };
    return {
      kind: await storeEntry(trx.db, { id, personId, on, savedAt: desk.now().toISOString(), content }, desk.who),
    };
  });
}

/** An answer of a professional from before all that is asked answers none of it. */
async function olderFaults(desk: Desk, id: string, personId: PersonId, answeredOn: IsoDate): Promise<FieldError[]> {
  const record = await readRecord(desk, personId);
  if (record.entries.some((e) => e.id === id)) return [];
  const known = knownOn(record, desk.today(), (await readRules(desk)).readiness);
  const newer = known ? newerThanAnswer(known.readiness, answeredOn) : null;
  if (!newer) return [];
  const message = `This answer is older than what is asked: ${newer.text}, on ${newer.happenedOn ?? ''}. Choose the day that stands on it, or ask again.`;
  return [{ path: '/content/answeredOn', message }];
}

/** The same for a form that is known to be of this person and today. */
export async function noteToday(desk: Desk, personId: PersonId, content: unknown, key: string): Promise<SaveEntry> {
  const today = desk.today();
  return saveEntry(desk, key, { personId, on: today, content });
}
