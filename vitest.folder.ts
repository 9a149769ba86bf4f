import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { folderName } from './src/demo/demoCopy';

/** A folder for a run of the tests, gone when it ends. */
export default function setup(): () => void {
  const folder = mkdtempSync(join(tmpdir(), 'ready-stool-tests-'));
  process.env[folderName] = folder;
  return () => rmSync(folder, { recursive: true, force: true });
}
