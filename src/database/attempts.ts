import type { Trial } from '../core/measure/measuredTrial';
import type { AttemptView } from '../core/personView';
import type { AttemptEvent, Conditions } from '../core/shapes/attempt';
import type { Side } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';
import type { Schema } from './schema';

export type ClientKey = string;

/** What is sent with the events of an attempt. */
export type AttemptHead = Omit<AttemptView, 'trial'>;

/** How a list of events becomes a result; handed in, so that the database knows no rule. */
export type Derive = (events: readonly AttemptEvent[]) => { readonly trial: Trial; readonly version: number };

export type StoreAnswer =
  | { readonly kind: 'created' | 'known'; readonly trial: Trial }
  /** These places in the list hold something else already; both versions are kept. */
  | { readonly kind: 'conflict'; readonly seqs: readonly number[]; readonly trial: Trial }
  | { readonly kind: 'other-attempt' };

/**
 * Stores the whole list of events of an attempt; what is already there is left alone, so sending twice is harmless.
 * Result and events are written in one transaction.
 */
export async function storeAttempt(
  db: Register,
  head: AttemptHead,
  events: readonly AttemptEvent[],
  derive: Derive,
  at: Date,
): Promise<StoreAnswer> {
  return inOne(db, async (trx) => {
    const key = head.clientKey;
    const known = await trx.selectFrom('attempt').selectAll().where('client_key', '=', key).executeTakeFirst();
    // A moved attempt has another person than the one it is still sent with.
    const same =
      !known || (known.test === head.test && known.sitting_date === head.sittingDate && known.side === head.side);
    if (!same) return { kind: 'other-attempt' };
    const before = await trx.selectFrom('attempt_event').selectAll().where('client_key', '=', key).execute();
    const bySeq = new Map(before.map((row) => [row.seq, row.content_json]));
    const sent = events.map((event) => ({ client_key: key, seq: event.seq, content_json: canonicalJson(event) }));
    const fresh = sent.filter((row) => !bySeq.has(row.seq));
    const clashing = sent.filter((row) => (bySeq.get(row.seq) ?? row.content_json) !== row.content_json);
    const all = [...before, ...fresh].map((row) => JSON.parse(row.content_json) as AttemptEvent);
    const { trial, version } = derive(all);
    const derived = {
      person_id: trial.movedTo ?? known?.person_id ?? head.personId,
      conditions_json: canonicalJson(head.conditions),
      started_wall_ms: Math.min(...all.map((e) => e.wallMs)),
      state: trial.state,
      result_json: JSON.stringify(trial),
      measure_version: version,
    };
    if (known) await trx.updateTable('attempt').set(derived).where('client_key', '=', key).execute();
    else
      await trx
        .insertInto('attempt')
        .values({
          client_key: key,
          test: head.test,
          protocol_version: head.protocolVersion,
          sitting_date: head.sittingDate,
          side: head.side,
          received_at: at.toISOString(),
          ...derived,
        })
        .execute();
    if (fresh.length > 0) await trx.insertInto('attempt_event').values(fresh).execute();
    if (clashing.length > 0) {
      await trx
        .insertInto('attempt_event_conflict')
        .values(clashing.map((row) => ({ ...row, received_at: at.toISOString() })))
        .onConflict((c) => c.doNothing())
        .execute();
      return { kind: 'conflict', seqs: clashing.map((row) => row.seq), trial };
    }
    return { kind: known ? 'known' : 'created', trial };
  });
}

/** One person's attempts, or everybody's: by day, then in the order they were begun. */
export async function listAttempts(db: Register, personIds?: readonly PersonId[]): Promise<AttemptView[]> {
  const all = db.selectFrom('attempt').selectAll().orderBy('sitting_date').orderBy('started_wall_ms');
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows.map(toAttempt);
}

export async function findAttempt(db: Register, clientKey: ClientKey): Promise<AttemptView | undefined> {
  const row = await db.selectFrom('attempt').selectAll().where('client_key', '=', clientKey).executeTakeFirst();
  return row && toAttempt(row);
}

export async function eventsOf(db: Register, clientKey: ClientKey): Promise<AttemptEvent[]> {
  const rows = await db
    .selectFrom('attempt_event')
    .selectAll()
    .where('client_key', '=', clientKey)
    .orderBy('seq')
    .execute();
  return rows.map((row) => JSON.parse(row.content_json) as AttemptEvent);
}

/** Keys in order, so that two writings of one event compare equal. */
function canonicalJson(value: object): string {
  return JSON.stringify(Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1))));
}

function toAttempt(row: Schema['attempt']): AttemptView {
  return {
    clientKey: row.client_key,
    personId: row.person_id,
    test: row.test,
    protocolVersion: row.protocol_version,
    sittingDate: row.sitting_date,
    side: row.side as Side | null,
    conditions: JSON.parse(row.conditions_json) as Conditions,
    trial: JSON.parse(row.result_json) as Trial,
  };
}
