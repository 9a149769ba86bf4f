import type { OwnTemplate } from '../core/shapes/classPlan';
import type { Register } from './connection';

/** Classes of the hall’s own, by title; those put aside left out. */
export async function listTemplates(db: Register): Promise<OwnTemplate[]> {
  const rows = await db
    .selectFrom('class_template')
    .select(['id', 'content_json'])
    .where('aside_at', 'is', null)
    .execute();
  return rows
    .map(({ id, content_json }) => ({ ...(JSON.parse(content_json) as Omit<OwnTemplate, 'id'>), id }))
    .sort((a, b) => a.title.localeCompare(b.title) || a.id.localeCompare(b.id));
}

/** Keeps one; the same id again changes nothing. */
export async function addTemplate(
  db: Register,
  { id, ...content }: OwnTemplate,
  at: string,
  by: string,
): Promise<void> {
  await db
    .insertInto('class_template')
    .values({ id, at, by, aside_at: null, content_json: JSON.stringify(content) })
    .onConflict((c) => c.doNothing())
    .execute();
}

export async function putTemplateAside(db: Register, id: string, at: string): Promise<void> {
  await db.updateTable('class_template').set({ aside_at: at }).where('id', '=', id).execute();
}
