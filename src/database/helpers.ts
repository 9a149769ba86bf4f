import type { Helper, HelperTask, MayDo } from '../core/shapes/helper';
import { inOne, type Register } from './connection';

/** By name. */
export async function listHelpers(db: Register): Promise<Helper[]> {
  const rows = await db.selectFrom('helper').selectAll().orderBy('name').orderBy('id').execute();
  return rows.map(({ id, name, may_count_json, may_spot_json }) => ({
    ...{ id, name },
    may: { count: mayDo(may_count_json), spot: mayDo(may_spot_json) },
  }));
}

const mayDo = (json: string | null): MayDo | null => (json === null ? null : (JSON.parse(json) as MayDo));

export async function addHelper(db: Register, id: string, name: string): Promise<void> {
  await inOne(db, (trx) =>
    trx.insertInto('helper').values({ id, name, may_count_json: null, may_spot_json: null }).execute(),
  );
}

export async function sayMayDo(db: Register, id: string, task: HelperTask, may: MayDo | null): Promise<void> {
  const json = may && JSON.stringify(may);
  await inOne(db, (trx) =>
    trx
      .updateTable('helper')
      .set(task === 'count' ? { may_count_json: json } : { may_spot_json: json })
      .where('id', '=', id)
      .execute(),
  );
}

export async function removeHelper(db: Register, id: string): Promise<void> {
  await inOne(db, (trx) => trx.deleteFrom('helper').where('id', '=', id).execute());
}
