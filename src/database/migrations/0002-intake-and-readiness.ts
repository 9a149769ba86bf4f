import { sql, type ColumnDefinitionBuilder, type Kysely } from 'kysely';

type Json = Record<string, unknown>;
interface OldIntake {
  id: string;
  person_id: string;
  noted_on: string;
  saved_at: string;
  facts_json: string;
}

/**
 * What has a date of its own (pain, falls, readiness) leaves the intake and becomes an entry; groups, sittings,
 * archive and imports; a revision for each person that rises with everything written of them.
 */
export async function intakeAndReadiness(db: Kysely<unknown>): Promise<void> {
  const text = (c: ColumnDefinitionBuilder) => c.notNull();
  await db.schema.alterTable('person').addColumn('archived_at', 'text').execute();
  await db.schema.alterTable('person').addColumn('import_id', 'text').execute();
  await db.schema
    .alterTable('person')
    .addColumn('revision', 'integer', (c) => c.notNull().defaultTo(0))
    .execute();
  await db.schema.createIndex('person_by_name').on('person').columns(['name', 'id']).execute();
  await db.schema.createIndex('person_by_birth').on('person').column('birth_date').execute();
  await db.schema.createIndex('person_of_import').on('person').column('import_id').execute();
  await db.schema
    .createTable('entry')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('person_id', 'text', (c) => c.notNull().references('person.id'))
    .addColumn('on_day', 'text', text)
    .addColumn('saved_at', 'text', text)
    .addColumn('kind', 'text', text)
    .addColumn('content_json', 'text', text)
    .execute();
  await db.schema.createIndex('entry_of_person').on('entry').columns(['person_id', 'on_day', 'saved_at']).execute();
  await db.schema
    .createTable('person_group')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('name', 'text', text)
    .addColumn('weekday', 'integer', text)
    .addColumn('time', 'text', text)
    .execute();
  await db.schema
    .createTable('group_member')
    .addColumn('group_id', 'text', (c) => c.notNull().references('person_group.id'))
    .addColumn('person_id', 'text', (c) => c.notNull().references('person.id'))
    .addPrimaryKeyConstraint('group_member_key', ['group_id', 'person_id'])
    .execute();
  await db.schema.createIndex('groups_of_person').on('group_member').column('person_id').execute();
  await db.schema
    .createTable('sitting_person')
    .addColumn('day', 'text', text)
    .addColumn('person_id', 'text', (c) => c.notNull().references('person.id'))
    .addPrimaryKeyConstraint('sitting_person_key', ['day', 'person_id'])
    .execute();
  await db.schema.createIndex('sittings_of_person').on('sitting_person').column('person_id').execute();
  await db.schema
    .createTable('roster_import')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('at', 'text', text)
    .addColumn('file_name', 'text', text)
    .addColumn('added', 'integer', text)
    .addColumn('undone_at', 'text')
    .execute();
  await convertIntakes(db);
  await convertPlace(db);
  await countRevisions(db);
}

async function convertIntakes(db: Kysely<unknown>): Promise<void> {
  const { rows } = await sql<OldIntake>`SELECT * FROM intake ORDER BY person_id, noted_on, saved_at`.execute(db);
  let before: OldIntake | undefined;
  let said = '';
  for (const [i, row] of rows.entries()) {
    const facts = JSON.parse(row.facts_json) as Json;
    if (before?.person_id !== row.person_id) said = '';
    const readiness = JSON.stringify([facts['readiness'], facts['readinessWhy']]);
    const newest = rows[i + 1]?.person_id !== row.person_id;
    const contents = [
      ...painsOf(facts),
      ...(newest ? fallsOf(facts, row.noted_on) : []),
      ...(readiness === said
        ? []
        : [{ kind: 'carried-over', outcome: facts['readiness'] ?? 'ready', why: facts['readinessWhy'] ?? '' }]),
    ];
    for (const [n, content] of contents.entries())
      await sql`INSERT INTO entry (id, person_id, on_day, saved_at, kind, content_json)
        VALUES (${`${row.id}-${n}`}, ${row.person_id}, ${row.noted_on}, ${row.saved_at}, ${String(content['kind'])},
          ${JSON.stringify(content)})`.execute(db);
    await sql`UPDATE intake SET facts_json = ${JSON.stringify(newFacts(facts))} WHERE id = ${row.id}`.execute(db);
    before = row;
    said = readiness;
  }
}

const limitersOf = (facts: Json): Json[] => (Array.isArray(facts['limiters']) ? (facts['limiters'] as Json[]) : []);
const isPain = ({ kind }: Json): boolean => String(kind).endsWith('-pain');

function painsOf(facts: Json): Json[] {
  return limitersOf(facts)
    .filter(isPain)
    .map(({ kind, side, pain, since }) => ({
      kind: 'pain',
      joint: String(kind).replace('-pain', ''),
      side: side ?? null,
      level: pain ?? 5,
      since: since ?? null,
    }));
}

/** Their days were not kept, so they are taken to be of the day they were noted; somebody had judged them then. */
function fallsOf(facts: Json, notedOn: string): Json[] {
  return Array.from({ length: Number(facts['falls12m'] ?? 0) }, (_, i) => ({
    kind: 'fall',
    fellOn: notedOn,
    hurt: i === 0 && facts['injuredInFall'] === true,
    lookedAt: true,
    headStruck: false,
    unexplained: false,
  }));
}

function newFacts(facts: Json): Json {
  const { readiness, readinessWhy, falls12m, injuredInFall, walkingAid, aidIndoors, limiters, ...kept } = facts;
  const aid = walkingAid ?? 'none';
  return {
    ...kept,
    shankCm: null,
    kneecapCm: null,
    hipBoneCm: null,
    limiters: limitersOf(facts).filter((l) => !isPain(l)),
    aidOutdoors: aid,
    aidIndoors: aidIndoors === true ? aid : 'none',
    medicines: '',
    bloodThinners: false,
    sugarLowering: false,
    contact: { name: '', phone: '' },
    clinician: { name: '', phone: '' },
    toComplete: [],
  };
}

async function convertPlace(db: Kysely<unknown>): Promise<void> {
  const { rows } = await sql<{ content_json: string }>`SELECT content_json FROM place`.execute(db);
  const first = rows[0];
  if (!first) return;
  const { kit, floorSlides, ...place } = JSON.parse(first.content_json) as Json & { kit: Json };
  const chairs = (kit['chairs'] as Json[]).map((c) => ({ ...c, stable: true, count: 1 }));
  const pads = new Map<unknown, number>();
  for (const cm of kit['padsCm'] as unknown[]) pads.set(cm, (pads.get(cm) ?? 0) + 1);
  const content = {
    ...place,
    units: 'metric',
    cupboard: {
      chairs,
      pads: [...pads].map(([thickCm, count]) => ({ thickCm, count })),
      bars: kit['rail'] === true ? 1 : 0,
      straps: 0,
      wedges: 0,
      bands: 0,
      mats: kit['mat'] === true ? 1 : 0,
      weightsKg: kit['weightsKg'],
      raisedSurface: kit['raisedSurface'],
      box: kit['box'],
      floors: [{ where: 'hall', slides: floorSlides === true }],
      walkwayM: null,
      things: ['wall'],
    },
  };
  await sql`UPDATE place SET content_json = ${JSON.stringify(content)}`.execute(db);
}

/** So that what is worked out of a person can be kept until something new is written of them. */
async function countRevisions(db: Kysely<unknown>): Promise<void> {
  const written: [table: string, deed: string, id: string][] = [
    ['intake', 'INSERT', 'NEW.person_id'],
    ['entry', 'INSERT', 'NEW.person_id'],
    ['attempt', 'INSERT', 'NEW.person_id'],
    ['attempt', 'UPDATE', 'NEW.person_id'],
    ['attempt', 'UPDATE OF person_id', 'OLD.person_id'],
    ['attempt', 'DELETE', 'OLD.person_id'],
    ['confirmed_level', 'INSERT', 'NEW.person_id'],
    ['group_member', 'INSERT', 'NEW.person_id'],
    ['group_member', 'DELETE', 'OLD.person_id'],
    ['person', 'UPDATE OF name, birth_date, norm_table, archived_at', 'NEW.id'],
  ];
  for (const [i, [table, deed, id]] of written.entries())
    await sql`CREATE TRIGGER ${sql.raw(`revision_${i}`)} AFTER ${sql.raw(deed)} ON ${sql.table(table)} BEGIN
      UPDATE person SET revision = revision + 1 WHERE id = ${sql.raw(id)}; END`.execute(db);
}
