import { canonicalJson } from '../core/math/canonical';
import { conditionsOf } from '../core/measure/conditions';
import { inCountingOrder } from '../core/measure/countingOrder';
import type { Trial } from '../core/measure/trial';
import type { AttemptView } from '../core/measure/attempt';
import { corrections, type AttemptEvent, type Conditions } from '../core/shapes/attempt';
import type { IsoDate, Side } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { sql, type Selectable } from 'kysely';
import { inOne, type Register } from './connection';
import { erased } from './erase';
import type { Schema } from './schema';

export type ClientKey = string;

/** What is sent with the events of an attempt. */
export type AttemptHead = Omit<AttemptView, 'trial' | 'startedWallMs' | 'receivedAt'>;

/** How a list of events becomes a result; handed in, so that the database knows no rule. */
export type Derive = (events: readonly AttemptEvent[]) => { readonly trial: Trial; readonly version: number };

export type StoreAnswer =
  | { readonly kind: 'created' | 'known'; readonly trial: Trial }
  /** These places in the list hold something else already; both versions are kept. */
  | { readonly kind: 'conflict'; readonly seqs: readonly number[]; readonly trial: Trial }
  /** The key belongs to an attempt sent for somebody or something else: what differs, in words. Nothing is changed. */
  | { readonly kind: 'other-attempt'; readonly differs: readonly string[] };

type EventRow = Selectable<Schema['attempt_event']>;
type AttemptRow = Omit<Selectable<Schema['attempt']>, 'value' | 'outcome' | 'hands_used'>;

/**
 * Stores the whole list of events of an attempt; what is already there is left alone, so sending twice is harmless.
 * Result and events are written in one transaction; whoever it is for is looked at inside it.
 */
export async function storeAttempt(
  db: Register,
  head: AttemptHead,
  events: readonly AttemptEvent[],
  derive: Derive,
  at: Date,
  who: string,
): Promise<StoreAnswer> {
  return inOne(db, async (trx) => {
    const key = head.clientKey;
    const known = await trx.selectFrom('attempt').selectAll().where('client_key', '=', key).executeTakeFirst();
    const differs = known ? differencesOf(known, head) : [];
    if (differs.length > 0) return { kind: 'other-attempt', differs };
    const before = await trx.selectFrom('attempt_event').selectAll().where('client_key', '=', key).execute();
    const bySeq = new Map(before.map((row) => [row.seq, canonicalRow(row)]));
    const sent = events.map((event) => ({ client_key: key, seq: event.seq, content_json: canonicalJson(event), who }));
    const fresh = sent.filter((row) => !bySeq.has(row.seq));
    const clashing = sent.filter((row) => (bySeq.get(row.seq) ?? row.content_json) !== row.content_json);
    const { trial } = await writeAttempt(trx, head, known, [...before, ...fresh], derive, at);
    if (fresh.length > 0) await trx.insertInto('attempt_event').values(fresh).execute();
    if (clashing.length > 0) {
      await trx
        .insertInto('attempt_event_conflict')
        .values(clashing.map(({ who: _, ...row }) => ({ ...row, received_at: at.toISOString() })))
        .onConflict((c) => c.doNothing())
        .execute();
      return { kind: 'conflict', seqs: clashing.map((row) => row.seq), trial };
    }
    return { kind: known ? 'known' : 'created', trial };
  });
}

/** What of the head is not as it was sent first. Conditions change by an event, never by being sent otherwise. */
function differencesOf(known: AttemptRow, head: AttemptHead): string[] {
  const was = canonicalRow({ content_json: known.sent_conditions_json ?? known.conditions_json });
  return [
    ...(known.sent_for !== null && known.sent_for !== head.personId ? ['person'] : []),
    ...(known.test === head.test ? [] : ['test']),
    ...(known.protocol_version === head.protocolVersion ? [] : ['protocol version']),
    ...(known.sitting_date === head.sittingDate ? [] : ['day']),
    ...(known.side === head.side ? [] : ['side']),
    ...(was === canonicalJson(head.conditions) ? [] : ['conditions']),
  ];
}

const canonicalRow = ({ content_json }: Pick<EventRow, 'content_json'>): string =>
  canonicalJson(JSON.parse(content_json));

/** Writes what all events say together: whose it is, its conditions, its result, and the files it ever lay in. */
async function writeAttempt(
  trx: Register,
  head: AttemptHead,
  known: AttemptRow | undefined,
  rows: readonly EventRow[],
  derive: Derive,
  at: Date,
): Promise<{ readonly trial: Trial }> {
  const key = head.clientKey;
  const all = rows.map((row) => JSON.parse(row.content_json) as AttemptEvent);
  const { trial, version } = derive(all);
  const first = known ? known.sent_for : head.personId;
  const moved = trial.movedTo === erased ? null : trial.movedTo;
  const sentConditions = known?.sent_conditions_json ?? canonicalJson(head.conditions);
  const derived = {
    person_id: moved ?? first ?? known?.person_id ?? head.personId,
    conditions_json: canonicalJson(conditionsOf(JSON.parse(sentConditions) as Conditions, all)),
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
        sent_for: head.personId,
        sent_conditions_json: sentConditions,
        ...derived,
      })
      .execute();
  const files = new Set([...(first === null ? [] : [first]), derived.person_id]);
  await trx
    .insertInto('attempt_trace')
    .values([...files].map((person_id) => ({ client_key: key, person_id })))
    .onConflict((c) => c.doNothing())
    .execute();
  return { trial };
}

/** Attempts whose result was derived by an earlier version of the rules. */
export async function keysOfOlderResults(db: Register, version: number, most: number): Promise<ClientKey[]> {
  const rows = await db
    .selectFrom('attempt')
    .select('client_key')
    .where('measure_version', '<', version)
    .orderBy('client_key')
    .limit(most)
    .execute();
  return rows.map((r) => r.client_key);
}

/** Derives the result of an attempt anew from the events it has. */
export async function deriveAnew(db: Register, clientKey: ClientKey, derive: Derive): Promise<void> {
  await inOne(db, async (trx) => {
    const known = await trx.selectFrom('attempt').selectAll().where('client_key', '=', clientKey).executeTakeFirst();
    if (!known) return;
    const rows = await trx.selectFrom('attempt_event').selectAll().where('client_key', '=', clientKey).execute();
    await writeAttempt(trx, toAttempt(known), known, rows, derive, new Date(known.received_at));
  });
}

/** Puts one event at the end of what is known of an attempt, such as a correction made at a desk. */
export async function addEvent(
  db: Register,
  clientKey: ClientKey,
  event: AttemptEvent,
  derive: Derive,
  at: Date,
  who: string,
): Promise<void> {
  await inOne(db, async (trx) => {
    const known = await trx
      .selectFrom('attempt')
      .selectAll()
      .where('client_key', '=', clientKey)
      .executeTakeFirstOrThrow();
    const before = await trx.selectFrom('attempt_event').selectAll().where('client_key', '=', clientKey).execute();
    const row = { client_key: clientKey, seq: event.seq, content_json: canonicalJson(event), who };
    await writeAttempt(trx, toAttempt(known), known, [...before, row], derive, at);
    await trx.insertInto('attempt_event').values(row).execute();
  });
}

/** Attempts of some people, or everybody's: by day, and within a day in the order in which they stand for it. */
export async function listAttempts(db: Register, personIds?: readonly PersonId[]): Promise<AttemptView[]> {
  const all = db.selectFrom('attempt').selectAll().orderBy('sitting_date');
  const rows = await (personIds === undefined ? all : all.where('person_id', 'in', [...personIds])).execute();
  return rows
    .map(toAttempt)
    .sort((a, b) => (a.sittingDate < b.sittingDate ? -1 : a.sittingDate > b.sittingDate ? 1 : inCountingOrder(a, b)));
}

/** Attempts of a day that came to an end, when each did, and why one was not tried; corrections made since are no part of it. */
export async function attemptsOfDay(
  db: Register,
  day: IsoDate,
): Promise<{ readonly attempt: AttemptView; readonly endedWallMs: number; readonly why: string }[]> {
  const rows = await db
    .selectFrom('attempt')
    .selectAll()
    .where('sitting_date', '=', day)
    .where('state', 'in', ['finished', 'stopped', 'to-agree'])
    .execute();
  if (rows.length === 0) return [];
  const kind = sql<string>`json_extract(content_json, '$.kind')`;
  const ends = await db
    .selectFrom('attempt_event')
    .innerJoin('attempt', 'attempt.client_key', 'attempt_event.client_key')
    .select([
      'attempt_event.client_key',
      sql<number>`max(json_extract(content_json, '$.wallMs'))`.as('ended'),
      sql<string | null>`max(CASE WHEN ${kind} = 'note' THEN json_extract(content_json, '$.text') END)`.as('why'),
    ])
    .where('sitting_date', '=', day)
    .where(kind, 'not in', [...corrections])
    .groupBy('attempt_event.client_key')
    .execute();
  const endOf = new Map(ends.map((e) => [e.client_key, e]));
  return rows.map((row) => {
    const end = endOf.get(row.client_key);
    return { attempt: toAttempt(row), endedWallMs: end?.ended ?? row.started_wall_ms, why: end?.why ?? '' };
  });
}

/** The keys of all attempts, a page at a time, for whoever goes through all of them. */
export async function* pagesOfAttempts(db: Register, size: number): AsyncGenerator<AttemptView[], undefined> {
  for (let after = ''; ;) {
    const rows = await db
      .selectFrom('attempt')
      .selectAll()
      .where('client_key', '>', after)
      .orderBy('client_key')
      .limit(size)
      .execute();
    const last = rows.at(-1);
    if (!last) return undefined;
    yield rows.map(toAttempt);
    after = last.client_key;
  }
}

/** Attempts that once lay in the files of these people and lie elsewhere now, by the person they were taken from. */
export async function listMovedAway(
  db: Register,
  personIds: readonly PersonId[],
): Promise<{ readonly from: PersonId; readonly attempt: AttemptView; readonly toName: string }[]> {
  const rows = await db
    .selectFrom('attempt_trace')
    .innerJoin('attempt', 'attempt.client_key', 'attempt_trace.client_key')
    .innerJoin('person', 'person.id', 'attempt.person_id')
    .selectAll('attempt')
    .select(['attempt_trace.person_id as from', 'person.name as toName'])
    .whereRef('attempt.person_id', '<>', 'attempt_trace.person_id')
    .where('attempt_trace.person_id', 'in', [...personIds])
    .orderBy('attempt.sitting_date', 'desc')
    .execute();
  return rows.map(({ from, toName, ...row }) => ({ from, toName, attempt: toAttempt(row) }));
}

/** The first day somebody was tested on. */
export async function firstTestedOn(db: Register, personId: PersonId): Promise<IsoDate | undefined> {
  const row = await db
    .selectFrom('attempt')
    .select(({ fn }) => fn.min('sitting_date').as('first'))
    .where('person_id', '=', personId)
    .executeTakeFirst();
  return row?.first ?? undefined;
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

function toAttempt(row: AttemptRow): AttemptView {
  return {
    clientKey: row.client_key,
    personId: row.person_id,
    test: row.test,
    protocolVersion: row.protocol_version,
    sittingDate: row.sitting_date,
    side: row.side as Side | null,
    conditions: JSON.parse(row.conditions_json) as Conditions,
    trial: JSON.parse(row.result_json) as Trial,
    startedWallMs: row.started_wall_ms,
    receivedAt: row.received_at,
  };
}
