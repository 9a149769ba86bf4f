import { sql } from 'kysely';
import { canonicalJson } from '../core/math/canonical';
import type { ClassLine, ClassLogContent, WrittenLine } from '../core/shapes/classLog';
import type { IsoDate } from '../core/shapes/facts';
import type { PersonId } from '../core/shapes/person';
import { withoutPerson, type ClassPlan } from '../core/train/plan';
import type { Proposal } from '../core/train/proposals';
import { inOne, type Register } from './connection';

/** A class that was held, or is planned. */
export interface ClassSession {
  readonly key: string;
  readonly groupId: string | null;
  readonly day: IsoDate;
  /** ISO 8601; `null` while it goes on. */
  readonly closedAt: string | null;
}

/** Who writes what follows from a log as it closes. */
export const ofRegister = 'register';

/** What follows from a class, kept as it was worked out when it closed. */
export const ofProposals = 'proposals';

/** Keeps that a class was held and who was there; the same again changes nothing. */
export async function addClassHeld(
  db: Register,
  { key, groupId, day, closedAt }: ClassSession,
  present: readonly PersonId[],
  writer: string,
): Promise<void> {
  await inOne(db, async (trx) => {
    await trx
      .insertInto('class_session')
      .values({ key, group_id: groupId, day, plan_json: '{}', closed_at: closedAt })
      .onConflict((c) => c.doNothing())
      .execute();
    if (present.length === 0) return;
    const content_json = JSON.stringify({ kind: 'present' });
    await trx
      .insertInto('class_event')
      .values(present.map((person_id, seq) => ({ key, writer, seq, person_id, content_json })))
      .onConflict((c) => c.doNothing())
      .execute();
  });
}

/** Said of a class that was not held after all; what was noted of it stays. */
const undone = JSON.stringify({ kind: 'undone' });

const undoneKeys = (db: Register) =>
  db.selectFrom('class_event').select('key').where('person_id', 'is', null).where('content_json', '=', undone);

/** Takes back that a class was held; again it changes nothing. */
export async function undoClassHeld(db: Register, key: string, writer: string): Promise<void> {
  await inOne(db, async (trx) => {
    const { last } = await trx
      .selectFrom('class_event')
      .select(({ fn }) => fn.max<number | null>('seq').as('last'))
      .where('key', '=', key)
      .where('writer', '=', writer)
      .executeTakeFirstOrThrow();
    const taken = await undoneKeys(trx).where('key', '=', key).executeTakeFirst();
    const held = await trx.selectFrom('class_session').select('key').where('key', '=', key).executeTakeFirst();
    if (taken || !held) return;
    await trx
      .insertInto('class_event')
      .values({ key, writer, seq: (last ?? -1) + 1, person_id: null, content_json: undone })
      .execute();
  });
}

/** The class of a group that was held on a day, and how many were there; the newest of several. */
export async function findClassHeld(
  db: Register,
  groupId: string,
  day: IsoDate,
): Promise<{ readonly key: string; readonly present: number } | undefined> {
  const rows = await db
    .selectFrom('class_session')
    .innerJoin('class_event', 'class_event.key', 'class_session.key')
    .select(({ fn }) => ['class_session.key', fn.count<number>('class_event.person_id').as('present')])
    .where('class_session.group_id', '=', groupId)
    .where('class_session.day', '=', day)
    .where('class_session.key', 'not in', undoneKeys(db))
    .groupBy('class_session.key')
    .orderBy('class_session.closed_at', 'desc')
    .execute();
  return rows[0];
}

/** The newest day on which people were in a class of which nobody knows what was done: noted without a plan. */
export async function lastUnplanned(db: Register, personIds: readonly PersonId[]): Promise<Map<PersonId, IsoDate>> {
  const rows = await db
    .selectFrom('class_event')
    .innerJoin('class_session', 'class_session.key', 'class_event.key')
    .select(({ fn }) => ['class_event.person_id', fn.max<string>('class_session.day').as('day')])
    .where('class_event.person_id', 'in', [...personIds])
    .where('class_event.key', 'not in', undoneKeys(db))
    .where('plan_json', '=', '{}')
    .groupBy('class_event.person_id')
    .execute();
  return new Map(rows.flatMap(({ person_id, day }) => (person_id === null ? [] : [[person_id, day] as const])));
}

/** The days on which people were in a class. */
export async function listPresent(
  db: Register,
  personIds: readonly PersonId[],
): Promise<{ readonly personId: PersonId; readonly on: IsoDate }[]> {
  const rows = await db
    .selectFrom('class_event')
    .innerJoin('class_session', 'class_session.key', 'class_event.key')
    .select(['class_event.person_id', 'class_session.day', 'class_event.content_json'])
    .where('class_event.person_id', 'in', [...personIds])
    .where('class_event.key', 'not in', undoneKeys(db))
    // Of a class with a plan the register says once, as it closes, who was there.
    .where((eb) => eb.or([eb('plan_json', '=', '{}'), eb('writer', '=', ofRegister)]))
    .orderBy('class_session.day')
    .execute();
  return rows.flatMap(({ person_id, day, content_json }) =>
    person_id !== null && (JSON.parse(content_json) as { kind?: string }).kind === 'present'
      ? [{ personId: person_id, on: day }]
      : [],
  );
}

/** A class with its plan, as it was kept; one of before there were plans has none. */
export interface KeptClass extends ClassSession {
  readonly plan: ClassPlan | null;
}

const toClass = (row: {
  readonly key: string;
  readonly group_id: string | null;
  readonly day: string;
  readonly plan_json: string;
  readonly closed_at: string | null;
}): KeptClass => {
  const plan = JSON.parse(row.plan_json) as Partial<ClassPlan>;
  return {
    ...{ key: row.key, groupId: row.group_id, day: row.day, closedAt: row.closed_at },
    plan: plan.blocks ? (plan as ClassPlan) : null,
  };
};

/**
 * Keeps a plan under its key; the same again changes nothing. It may be planned anew until something was logged of it.
 * @returns `conflict` where it has begun and this is another plan
 */
export async function storePlan(db: Register, key: string, plan: ClassPlan): Promise<'created' | 'known' | 'conflict'> {
  return inOne(db, async (trx) => {
    const plan_json = canonicalJson(plan);
    const known = await trx.selectFrom('class_session').selectAll().where('key', '=', key).executeTakeFirst();
    if (!known) {
      await trx
        .insertInto('class_session')
        .values({ key, group_id: plan.groupId, day: plan.day, plan_json, closed_at: null })
        .execute();
      return 'created';
    }
    if (known.plan_json === plan_json) return 'known';
    const begun = await trx.selectFrom('class_event').select('seq').where('key', '=', key).executeTakeFirst();
    if (begun || known.closed_at !== null) return 'conflict';
    await trx
      .updateTable('class_session')
      .set({ plan_json, day: plan.day, group_id: plan.groupId })
      .where('key', '=', key)
      .execute();
    return 'created';
  });
}

export async function findClass(db: Register, key: string): Promise<KeptClass | undefined> {
  const row = await db.selectFrom('class_session').selectAll().where('key', '=', key).executeTakeFirst();
  return row && toClass(row);
}

/** Classes that have a plan and were not taken back, newest first. */
export async function listClasses(db: Register, most: number, groupId?: string): Promise<KeptClass[]> {
  const all = db
    .selectFrom('class_session')
    .selectAll()
    .where('plan_json', '<>', '{}')
    .where('key', 'not in', undoneKeys(db))
    .orderBy('day', 'desc')
    .orderBy(sql`rowid`, 'desc')
    .limit(most);
  const rows = await (groupId === undefined ? all : all.where('group_id', '=', groupId)).execute();
  return rows.map(toClass);
}

/** Classes with a plan that were held from a day on, oldest first. */
const heldFrom = (db: Register, from: IsoDate) =>
  db
    .selectFrom('class_session')
    .selectAll()
    .where('plan_json', '<>', '{}')
    .where('day', '>=', from)
    .where('closed_at', 'is not', null)
    .where('key', 'not in', undoneKeys(db))
    .orderBy('day')
    .orderBy(sql`rowid`);

export async function listClassesOfGroup(db: Register, groupId: string, from: IsoDate): Promise<KeptClass[]> {
  return (await heldFrom(db, from).where('group_id', '=', groupId).execute()).map(toClass);
}

/** Those in which any of these people have a line. */
export async function listClassesOf(db: Register, personIds: readonly PersonId[], from: IsoDate): Promise<KeptClass[]> {
  if (personIds.length === 0) return [];
  const named = db
    .selectFrom('class_event')
    .select('key')
    .where('person_id', 'in', [...personIds]);
  return (await heldFrom(db, from).where('key', 'in', named).execute()).map(toClass);
}

/** What was logged of classes, each line with who wrote it, in the order of each writer. */
export async function listLines(
  db: Register,
  keys: readonly string[],
): Promise<(WrittenLine & { readonly key: string })[]> {
  if (keys.length === 0) return [];
  const rows = await db
    .selectFrom('class_event')
    .selectAll()
    .where('key', 'in', [...keys])
    .where('writer', '<>', ofProposals)
    .orderBy('key')
    .orderBy('writer')
    .orderBy('seq')
    .execute();
  return rows.flatMap(({ key, writer, seq, person_id, content_json }) => {
    const { wallMs = 0, ...content } = JSON.parse(content_json) as ClassLogContent & { readonly wallMs?: number };
    return content.kind === ('undone' as string) ? [] : [{ key, writer, seq, personId: person_id, wallMs, content }];
  });
}

/**
 * Keeps the log of one tablet: what is there already stays, what is new is added.
 * @returns `conflict` where a line differs from the one that is kept under its number: nothing is changed
 */
export async function storeLines(
  db: Register,
  key: string,
  writer: string,
  lines: readonly ClassLine[],
): Promise<'created' | 'known' | 'conflict'> {
  return inOne(db, async (trx) => {
    const kept = new Map(
      (
        await trx
          .selectFrom('class_event')
          .select(['seq', 'person_id', 'content_json'])
          .where('key', '=', key)
          .where('writer', '=', writer)
          .execute()
      ).map((row) => [row.seq, row]),
    );
    const rows = lines.map(({ seq, wallMs, personId, content }) => ({
      ...{ key, writer, seq, person_id: personId, content_json: canonicalJson({ ...content, wallMs }) },
    }));
    const differs = rows.some((row) => {
      const known = kept.get(row.seq);
      return known && (known.content_json !== row.content_json || known.person_id !== row.person_id);
    });
    if (differs) return 'conflict';
    const fresh = rows.filter((row) => !kept.has(row.seq));
    if (fresh.length === 0) return 'known';
    await trx.insertInto('class_event').values(fresh).execute();
    return 'created';
  });
}

/** Takes somebody out of every plan that names them. Plans are few, one a class: all are looked through. */
export async function takeOutOfPlans(trx: Register, id: PersonId): Promise<void> {
  const rows = await trx
    .selectFrom('class_session')
    .selectAll()
    .where((eb) => eb(eb.fn<number>('instr', ['plan_json', eb.val(id)]), '>', 0))
    .execute();
  for (const row of rows) {
    const { plan } = toClass(row);
    if (!plan) continue;
    await trx
      .updateTable('class_session')
      .set({ plan_json: canonicalJson(withoutPerson(plan, id)) })
      .where('key', '=', row.key)
      .execute();
  }
}

/** Closes a class; closed once it stays closed. */
export async function closeClass(db: Register, key: string, at: string): Promise<void> {
  await inOne(db, (trx) =>
    trx
      .updateTable('class_session')
      .set({ closed_at: at })
      .where('key', '=', key)
      .where('closed_at', 'is', null)
      .execute(),
  );
}

/** The newest number of a writer’s lines of a class, and one more. */
export async function nextSeq(db: Register, key: string, writer: string): Promise<number> {
  const { last } = await db
    .selectFrom('class_event')
    .select(({ fn }) => fn.max<number | null>('seq').as('last'))
    .where('key', '=', key)
    .where('writer', '=', writer)
    .executeTakeFirstOrThrow();
  return (last ?? -1) + 1;
}

/**
 * Keeps what follows from a class, in the order in which it is shown; kept once it stays. Worked out anew for somebody after a
 * correction it stands in place of what was kept of them before.
 */
export async function storeProposals(
  db: Register,
  key: string,
  proposals: readonly { readonly personId: PersonId; readonly proposal: Proposal }[],
  from = 0,
): Promise<void> {
  if (proposals.length === 0) return;
  await db
    .insertInto('class_event')
    .values(
      proposals.map(({ personId, proposal }, i) => ({
        ...{ key, writer: ofProposals, seq: from + i, person_id: personId },
        content_json: JSON.stringify({ kind: 'proposal', proposal }),
      })),
    )
    .onConflict((c) => c.doNothing())
    .execute();
}

/** Where what follows anew is numbered from. */
export const nextProposal = (db: Register, key: string): Promise<number> => nextSeq(db, key, ofProposals);

/** What followed for somebody stands no more; its number is never given again. */
export async function strikeProposals(db: Register, key: string, personId: PersonId): Promise<void> {
  await db
    .updateTable('class_event')
    .set({ content_json: struckProposal })
    .where('key', '=', key)
    .where('writer', '=', ofProposals)
    .where('person_id', '=', personId)
    .execute();
}
const struckProposal = JSON.stringify({ kind: 'struck' });

/** What followed from classes as they closed. */
export async function listProposals(
  db: Register,
  keys: readonly string[],
): Promise<{ readonly key: string; readonly seq: number; readonly personId: PersonId; readonly proposal: Proposal }[]> {
  if (keys.length === 0) return [];
  const rows = await db
    .selectFrom('class_event')
    .select(['key', 'seq', 'person_id', 'content_json'])
    .where('key', 'in', [...keys])
    .where('writer', '=', ofProposals)
    .where('content_json', '<>', struckProposal)
    .orderBy('key')
    .orderBy('seq')
    .execute();
  return rows.flatMap(({ key, seq, person_id, content_json }) =>
    person_id === null
      ? []
      : [
          {
            ...{ key, seq, personId: person_id },
            proposal: (JSON.parse(content_json) as { readonly proposal: Proposal }).proposal,
          },
        ],
  );
}
