// Installs what the project needs when it is not there yet; quick when it is.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export const root = new URL('..', import.meta.url).pathname;
process.chdir(root);
process.env.NEXT_TELEMETRY_DISABLED = '1';

/** Runs a command with its output shown; true when it went well. */
export function run(command, args, options = {}) {
  return spawnSync(command, args, { stdio: 'inherit', ...options }).status === 0;
}

function hashOf(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    if (statSync(path).isDirectory())
      for (const name of readdirSync(path).sort()) add(join(path, name));
    else hash.update(path).update(readFileSync(path));
  };
  paths.forEach(add);
  return hash.digest('hex');
}

/** Does the work only when the files it depends on changed since the last time it went well. */
function once(stampFile, inputs, work) {
  const now = hashOf(inputs);
  if (existsSync(stampFile) && readFileSync(stampFile, 'utf8') === now) return;
  work();
  mkdirSync(join(stampFile, '..'), { recursive: true });
  writeFileSync(stampFile, now);
}

function stop(message) {
  console.error(`\n${message}`);
  process.exit(1);
}

const PACKAGE_FILES = ['package.json', 'package-lock.json'];

/** Everything the project needs from the registry. */
export function install() {
  packages();
  driver();
}

/** The packages, without what some of them do once they are there. */
export function packages() {
  once('node_modules/.tolvan-packages', PACKAGE_FILES, () => {
    console.log('Installing packages …');
    const quiet = ['--ignore-scripts', '--no-audit', '--no-fund'];
    if (!run('npm', ['ci', ...quiet])) {
      console.log(
        'A clean install was refused (the lock may lack packages of this platform); trying an ordinary one …',
      );
      if (!run('npm', ['install', ...quiet, '--no-save']))
        stop('The packages could not be installed. Is the npm registry reachable from here?');
    }
  });
}

/** What packages do once they are there, the database driver first of all: it may be compiled here. */
export function driver() {
  once('node_modules/.tolvan-driver', PACKAGE_FILES, () => {
    console.log(
      'Making the database driver ready. It may be compiled here, which takes a few minutes …',
    );
    // Optimizing takes two thirds of the compile time, and no query here is slow enough to need it.
    const made = run('npm', ['rebuild'], { env: { ...process.env, CFLAGS: '-O1' } });
    const loads = run(process.execPath, ['-e', "new (require('better-sqlite3'))(':memory:')"]);
    if (!made || !loads)
      stop(
        'The database driver could not be built. Install python3, make and g++ (on Debian: apt-get install python3 make g++), then run this again.',
      );
  });
}

const BUILD_INPUTS = [
  'src',
  'package.json',
  'package-lock.json',
  'next.config.ts',
  'postcss.config.mjs',
  'tsconfig.json',
];

export function build() {
  once('.next/tolvan-built', BUILD_INPUTS, () => {
    if (!run('npx', ['next', 'build'])) stop('The build failed; see above.');
  });
}
