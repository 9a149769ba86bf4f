import type { Selectable } from 'kysely';
import type { Entry, EntryContent } from '../core/shapes/intake';
import type { PersonId } from '../core/shapes/person';
import { canonicalJson } from '../core/math/canonical';
import { inOne, type Register } from './connection';
import type { Schema } from './schema';

export type StoreEntry = 'created' | 'known' | 'conflict';

/** Adds an entry once; the same id with the same content again changes nothing, with other content nothing is changed. */
export async function storeEntry(db: Register, entry: Entry, by: string): Promise<StoreEntry> {
  return inOne(db, async (trx) => {
    const row = toRow(entry, by);
    const known = await trx.selectFrom('entry').selectAll().where('id', '=', entry.id).executeTakeFirst();
    if (known) return saidBy(known) === saidBy(row) ? 'known' : 'conflict';
    await trx.insertInto('entry').values(row).execute();
    return 'created';
  });
}

/** All that a request to note something says, whatever the order of its members. */
const saidBy = ({ person_id, on_day, content_json }: Selectable<Schema['entry']>): string =>
  canonicalJson([person_id, on_day, JSON.parse(content_json)]);

/** Entries of one person or of everybody, oldest first. */
export async function listEntries(db: Register, personIds?: readonly PersonId[]): Promise<Entry[]> {
  const all = db.selectFrom('entry').selectAll().orderBy('on_day').orderBy('saved_at').orderBy('id');
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows.map(toEntry);
}

export function toRow({ id, personId, on, savedAt, content }: Entry, by: string): Selectable<Schema['entry']> {
  return {
    id,
    person_id: personId,
    on_day: on,
    saved_at: savedAt,
    kind: content.kind,
    content_json: JSON.stringify(content),
    by,
  };
}

function toEntry(row: Selectable<Schema['entry']>): Entry {
  return {
    id: row.id,
    personId: row.person_id,
    on: row.on_day,
    savedAt: row.saved_at,
    content: JSON.parse(row.content_json) as EntryContent,
  };
}
