import type { Coaching } from '../core/shapes/style';
import type { HouseRules } from '../core/shapes/ladder';
import type { Place } from '../core/shapes/person';
import { inOne, type Register } from './connection';

export async function findPlace(db: Register): Promise<Place | undefined> {
  const row = await db.selectFrom('place').selectAll().executeTakeFirst();
  return row && (JSON.parse(row.content_json) as Place);
}

export async function savePlace(db: Register, place: Place): Promise<void> {
  const content_json = JSON.stringify(place);
  await inOne(db, (trx) =>
    trx
      .insertInto('place')
      .values({ id: 1, content_json })
      .onConflict((c) => c.column('id').doUpdateSet({ content_json }))
      .execute(),
  );
}

/** Marks a register as the made-up hall; only such a file may be thrown away and made again. */
export async function markAsDemo(db: Register): Promise<void> {
  await inOne(db, (trx) =>
    trx
      .insertInto('meta')
      .values({ key: 'demo', value: '1' })
      .onConflict((c) => c.doNothing())
      .execute(),
  );
}

export async function isDemo(db: Register): Promise<boolean> {
  return (await db.selectFrom('meta').selectAll().where('key', '=', 'demo').executeTakeFirst())?.value === '1';
}

/** The register's own name, made with it: a browser tells by it whether it speaks to the register it kept something for. */
export async function registerId(db: Register): Promise<string> {
  const row = await db.selectFrom('meta').select('value').where('key', '=', 'register-id').executeTakeFirstOrThrow();
  return row.value;
}

/** The house rules a hall has of its own, in place of the shipped ones. */
export async function findHouseRules(db: Register): Promise<Partial<HouseRules> | null> {
  const row = await db.selectFrom('meta').select('value').where('key', '=', houseRules).executeTakeFirst();
  return row ? (JSON.parse(row.value) as Partial<HouseRules>) : null;
}

const coaching = 'coaching';

/** How the hall coaches where it differs from what is shipped. */
export async function findCoaching(db: Register): Promise<Coaching> {
  const row = await db.selectFrom('meta').select('value').where('key', '=', coaching).executeTakeFirst();
  return row ? (JSON.parse(row.value) as Coaching) : {};
}

export async function saveCoaching(db: Register, chosen: Coaching): Promise<void> {
  const value = JSON.stringify(chosen);
  await inOne(db, (trx) =>
    trx
      .insertInto('meta')
      .values({ key: coaching, value })
      .onConflict((c) => c.column('key').doUpdateSet({ value }))
      .execute(),
  );
}

const houseRules = 'house-rules';

/** Keeps them; the shipped ones stay a press away. */
export async function saveHouseRules(db: Register, own: Partial<HouseRules>): Promise<void> {
  const value = JSON.stringify(own);
  await inOne(db, (trx) =>
    trx
      .insertInto('meta')
      .values({ key: houseRules, value })
      .onConflict((c) => c.column('key').doUpdateSet({ value }))
      .execute(),
  );
}
