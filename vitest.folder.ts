import { existsSync, mkdtempSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { folderName } from './src/demo/demoCopy';

const memory = '/dev/shm';
/** Registers, copies of them and profiles of browsers of a whole run. */
const leastBytes = 4 * 1024 ** 3;

/** Where a disk that stalls holds nobody up; what is killed in a test is a program, never the machine. */
function quickest(): string {
  if (!existsSync(memory)) return tmpdir();
  const { bavail, bsize } = statfsSync(memory);
  return bavail * bsize >= leastBytes ? memory : tmpdir();
}

/** A folder for a run of the tests, gone when it ends; all temporary folders of the tests lie in it. */
export default function setup(): () => void {
  const folder = mkdtempSync(join(quickest(), 'ready-stool-tests-'));
  process.env[folderName] = folder;
  process.env['TMPDIR'] = folder;
  return () => rmSync(folder, { recursive: true, force: true, maxRetries: 5 });
}
