import { sql } from 'kysely';
import { asKeptThen } from '../core/view/oldReports';
import type { PrintedPage, Report } from '../core/view/report';
import type { PersonId } from '../core/shapes/person';
import { inOne, type Register } from './connection';
import type { Schema } from './schema';

/** Keeps a page; the same page once more changes nothing. */
export async function addPrintedPage(db: Register, page: PrintedPage, fingerprint: string, at: Date): Promise<void> {
  const { id, personId, report } = page;
  await inOne(db, (trx) =>
    trx
      .insertInto('printed_page')
      .values({
        id,
        person_id: personId,
        printed_at: at.toISOString(),
        norms_version: report.normsVersion,
        rules_version: report.rulesVersion,
        fingerprint,
        content_json: JSON.stringify(report),
      })
      .onConflict((c) => c.doNothing())
      .execute(),
  );
}

/** Pages of one person, newest first. */
export async function listPrintedPages(db: Register, personId: PersonId): Promise<PrintedPage[]> {
  const rows = await db
    .selectFrom('printed_page')
    .selectAll()
    .where('person_id', '=', personId)
    .orderBy(sql`rowid`, 'desc')
    .execute();
  return rows.map(toPage);
}

/** Everybody’s pages printed by other figures than those of a version: the newest first, and how many older there are. */
export async function listPagesOfOtherNorms(
  db: Register,
  normsVersion: string,
  most: number,
): Promise<{ readonly newest: readonly PrintedPage[]; readonly older: number }> {
  const others = db.selectFrom('printed_page').where('norms_version', '<>', normsVersion);
  const rows = await others
    .selectAll()
    .orderBy(sql`rowid`, 'desc')
    .limit(most)
    .execute();
  const { n } = await others.select(({ fn }) => fn.countAll<number>().as('n')).executeTakeFirstOrThrow();
  return { newest: rows.map(toPage), older: n - rows.length };
}

const toPage = ({ id, person_id, content_json }: Schema['printed_page']): PrintedPage => ({
  id,
  personId: person_id,
  report: asKeptThen(JSON.parse(content_json) as Report),
});
