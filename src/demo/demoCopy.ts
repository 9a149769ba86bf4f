import { copyFileSync, existsSync, mkdtempSync, renameSync } from 'node:fs';
import { join } from 'node:path';
import { openRegister, type Register } from '../use-cases/openRegister';
import { loadDemo } from './loadHall';

/** Where a run of the tests keeps its files; set and thrown away by `vitest.folder.ts`. */
export const folderName = 'READY_STOOL_TEST_FOLDER';

/**
 * The made-up hall of a day in a register of its own: loaded once a run of the tests, copied for each that asks.
 * @throws RangeError outside a run of the tests
 */
export async function demoCopy(today: string): Promise<Register> {
  const folder = process.env[folderName];
  if (folder === undefined) throw new RangeError('demoCopy: only in a run of the tests');
  const made = join(folder, `${today}.sqlite`);
  const own = mkdtempSync(join(folder, 'copy-'));
  if (!existsSync(made)) {
    const file = join(own, 'making.sqlite');
    const db = await openRegister(file);
    await loadDemo(db, today);
    await db.destroy();
    // Whole or not there: another worker may be making the same.
    renameSync(file, made);
  }
  const file = join(own, 'hall.sqlite');
  copyFileSync(made, file);
  return openRegister(file);
}
