// Finds Chromium for the end-to-end tests and the pictures, and installs Debian's package when there is none.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { fail, run } from './prepare.mjs';

export function chromiumPath() {
  const chosen = process.env.CHROMIUM_PATH;
  if (chosen) return existsSync(chosen) ? chosen : fail(`CHROMIUM_PATH names ${chosen}, which is not there.`);
  const usual = '/usr/bin/chromium';
  if (existsSync(usual)) return usual;
  const canInstall = process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0;
  if (!canInstall)
    fail(
      'Chromium is needed and cannot be installed from here. Install it and name it with CHROMIUM_PATH=/path/to/chromium.',
    );
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', 'chromium']);
  return usual;
}
