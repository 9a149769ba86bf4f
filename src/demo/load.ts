import { existsSync, rmSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { holderOf, isDemo, openRegister } from '../use-cases/openRegister';
import { today } from '../use-cases/today';
import { loadClasses } from './loadClasses';
import { loadDemo } from './loadHall';

async function main(file: string, fresh: boolean, withoutClasses: boolean): Promise<void> {
  if (existsSync(file)) {
    if (!fresh) throw new Error(`${file} is there already.`);
    const holder = holderOf(file);
    if (holder)
      throw new Error(`${file} is being served by process ${holder.pid}: stop that first. Nothing was changed.`);
    const old = await openRegister(file);
    const demo = await isDemo(old);
    await old.destroy();
    if (!demo)
      throw new Error(
        `${file} is not a demo register, so it is not thrown away. Name another file with READY_STOOL_DB.`,
      );
    for (const part of ['', '-wal', '-shm']) rmSync(`${file}${part}`, { force: true });
  }
  const db = await openRegister(file);
  await loadDemo(db, today());
  if (!withoutClasses) await loadClasses(db, today());
  await db.destroy();
}

const [, script, file, ...flags] = process.argv;
if (script !== undefined && file !== undefined && import.meta.url === pathToFileURL(script).href)
  main(file, flags.includes('--fresh'), flags.includes('--without-classes')).catch((error: unknown) => {
    process.stderr.write(`${error instanceof Error ? error.message : String(error)}\n`);
    process.exitCode = 1;
  });
