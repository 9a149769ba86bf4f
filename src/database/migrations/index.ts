import { sql, type Migration } from 'kysely';
import { firstLoop } from './0001-first-loop';
import { intakeAndReadiness } from './0002-intake-and-readiness';
import { anyTest } from './0003-any-test';
import { hallNorms } from './0004-hall-norms';
import { printedPages } from './0005-printed-pages';
import { safeRecords } from './0006-safe-records';
import { shapes } from './0007-shapes';
import { whoseFile } from './0009-whose-file';
import { testingDay } from './0010-testing-day';
import { helpers } from './0008-helpers';
import { steps } from './0011-steps';
import { ownExercises } from './0012-own-exercises';
import { handedCards } from './0013-handed-cards';
import { classTemplates } from './0014-class-templates';
import { classPlaces } from './0015-class-places';

/**
 * A migration with its number. Kysely does not wrap SQLite's schema changes in a transaction, so each opens its own
 * and raises the file's version inside it; one that was cut off between the two is not run twice.
 */
function numbered(version: number, change: Migration['up']): Migration {
  return {
    async up(db) {
      await db.transaction().execute(async (trx) => {
        const { rows } = await sql<{ user_version: number }>`PRAGMA user_version`.execute(trx);
        if ((rows[0]?.user_version ?? 0) >= version) return;
        await change(trx);
        await sql`PRAGMA user_version = ${sql.lit(version)}`.execute(trx);
      });
    },
  };
}

/** In order, listed by hand, never edited once shipped. */
export const migrations: Readonly<Record<string, Migration>> = {
  '0001-first-loop': numbered(1, firstLoop),
  '0002-intake-and-readiness': numbered(2, intakeAndReadiness),
  '0003-any-test': numbered(3, anyTest),
  '0004-hall-norms': numbered(4, hallNorms),
  '0005-printed-pages': numbered(5, printedPages),
  '0006-safe-records': numbered(6, safeRecords),
  '0007-shapes': numbered(7, shapes),
  '0008-helpers': numbered(8, helpers),
  '0009-whose-file': numbered(9, whoseFile),
  '0010-testing-day': numbered(10, testingDay),
  '0011-steps': numbered(11, steps),
  '0012-own-exercises': numbered(12, ownExercises),
  '0013-handed-cards': numbered(13, handedCards),
  '0014-class-templates': numbered(14, classTemplates),
  '0015-class-places': numbered(15, classPlaces),
};

export const newestVersion = Object.keys(migrations).length;
