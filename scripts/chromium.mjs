// Finds the Chromium the browser tests drive, installing Debian's when it may.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { run } from './prepare.mjs';

// The shell is the same browser without windows and menus, which saves a test an eighth of its time.
const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
];
/** Debian's packages of it, the first that is to be had. */
const PACKAGES = ['chromium-headless-shell', 'chromium'];

/** Path of a Chromium that is here; undefined where there is none. */
export const find = () => PLACES.find((p) => p && existsSync(p));

/** Path of a Chromium; ends the run with what to install when there is none to be had. */
export function chromium() {
  const there = find();
  if (there) return there;
  const root = process.getuid?.() === 0;
  const apt = spawnSync('apt-get', ['--version']).status === 0;
  if (root && apt) {
    console.log('Installing Chromium for the browser tests …');
    run('apt-get', ['update', '-qq']);
    for (const name of PACKAGES) {
      run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name]);
      const now = find();
      if (now) return now;
    }
  }
  console.error(
    '\nThe browser tests need Chromium and it is not here. Install it (on Debian: apt-get install chromium), or set CHROMIUM to its path.',
  );
  process.exit(1);
}

if (import.meta.url === `file://${process.argv[1]}`) chromium();
