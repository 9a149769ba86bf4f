import { sql, type ColumnDefinitionBuilder, type Kysely } from 'kysely';

/** People and what is known of them, attempts as lists of events, confirmed levels, the place. */
export async function firstLoop(db: Kysely<unknown>): Promise<void> {
  const text = () => (c: ColumnDefinitionBuilder) => c.notNull();
  await db.schema
    .createTable('meta')
    .addColumn('key', 'text', (c) => c.primaryKey())
    .addColumn('value', 'text', text())
    .execute();
  await db.schema
    .createTable('person')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('name', 'text', text())
    .addColumn('birth_date', 'text', text())
    .addColumn('norm_table', 'text', (c) => c.check(sql`norm_table in ('female', 'male')`))
    .addColumn('added_at', 'text', text())
    .execute();
  await db.schema
    .createTable('intake')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('person_id', 'text', (c) => c.notNull().references('person.id'))
    .addColumn('noted_on', 'text', text())
    .addColumn('saved_at', 'text', text())
    .addColumn('facts_json', 'text', text())
    .execute();
  await db.schema.createIndex('intake_of_person').on('intake').columns(['person_id', 'noted_on', 'saved_at']).execute();
  await db.schema
    .createTable('attempt')
    .addColumn('client_key', 'text', (c) => c.primaryKey())
    .addColumn('person_id', 'text', (c) => c.notNull().references('person.id'))
    .addColumn('test', 'text', text())
    .addColumn('protocol_version', 'integer', text())
    .addColumn('sitting_date', 'text', text())
    .addColumn('side', 'text')
    .addColumn('conditions_json', 'text', text())
    .addColumn('started_wall_ms', 'real', text())
    .addColumn('state', 'text', text())
    .addColumn('result_json', 'text', text())
    .addColumn('measure_version', 'integer', text())
    .addColumn('received_at', 'text', text())
    .execute();
  await db.schema
    .createIndex('attempt_of_person')
    .on('attempt')
    .columns(['person_id', 'test', 'sitting_date', 'started_wall_ms'])
    .execute();
  await db.schema
    .createTable('attempt_event')
    .addColumn('client_key', 'text', (c) => c.notNull().references('attempt.client_key'))
    .addColumn('seq', 'integer', text())
    .addColumn('content_json', 'text', text())
    .addPrimaryKeyConstraint('attempt_event_key', ['client_key', 'seq'])
    .execute();
  await db.schema
    .createTable('attempt_event_conflict')
    .addColumn('client_key', 'text', (c) => c.notNull().references('attempt.client_key'))
    .addColumn('seq', 'integer', text())
    .addColumn('content_json', 'text', text())
    .addColumn('received_at', 'text', text())
    .addPrimaryKeyConstraint('attempt_event_conflict_key', ['client_key', 'seq', 'content_json'])
    .execute();
  await db.schema
    .createTable('confirmed_level')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('person_id', 'text', (c) => c.notNull().references('person.id'))
    .addColumn('pattern', 'text', text())
    .addColumn('rung', 'integer', text())
    .addColumn('support', 'text', text())
    .addColumn('code', 'text', text())
    .addColumn('confirmed_on', 'text', text())
    .addColumn('confirmed_at', 'text', text())
    .addColumn('rules_version', 'text', text())
    .addColumn('norms_version', 'text', text())
    .addColumn('facts_json', 'text', text())
    .addColumn('level_json', 'text', text())
    .execute();
  await db.schema
    .createIndex('level_of_person')
    .on('confirmed_level')
    .columns(['person_id', 'pattern', 'confirmed_on', 'confirmed_at'])
    .execute();
  await db.schema
    .createTable('place')
    .addColumn('id', 'integer', (c) => c.primaryKey().check(sql`id = 1`))
    .addColumn('content_json', 'text', text())
    .execute();
}
