// Everything that must hold, from nothing installed: types, lint, layers, tests, build, browser.
import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { find } from './chromium.mjs';
import { build, packages } from './prepare.mjs';

// The families too large for every run: all of them with --full, else a share that this turns on.
const full = process.argv.includes('--full');
process.env.TOLVAN_SEED ??= String(Math.floor(Date.now() / 86_400_000));
if (full) process.env.TOLVAN_FULL = '1';
console.log(
  full
    ? 'Everything, in full.'
    : `Seed ${process.env.TOLVAN_SEED}: TOLVAN_SEED takes the same share again.`,
);

/** The workshop of the browser tests; see playwright.config.ts. */
const TEST_DATA = 'test-results/data';

const begun = Date.now();
const times = [];
let passed = 0;
let failed = 0;

/** One stage counts as one test unless it counts its own. */
async function stage(name, work) {
  const start = Date.now();
  console.log(`\n— ${name}`);
  const counts = await work();
  tell(name, counts, Date.now() - start);
}

function tell(name, [good, bad], tookMs) {
  passed += good;
  failed += bad;
  times.push(`${name} ${(tookMs / 1000).toFixed(0)} s`);
  console.log(`  ${name}: ${good} passed, ${bad} failed (${(tookMs / 1000).toFixed(0)} s)`);
}

/** Runs a command with its output shown; true when it went well. */
const runShown = (command, args) =>
  new Promise((resolve) => {
    spawn(command, args, { stdio: 'inherit' }).on('close', (status) => resolve(status === 0));
  });

/** Runs a command; its output is kept until it ends. */
const runBeside = ([name, command, ...args], env = {}) =>
  new Promise((resolve) => {
    const start = Date.now();
    const child = spawn(command, args, { env: { ...process.env, ...env } });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data) => (output += data.toString()));
    child.on('close', (status) => resolve({ name, status, output, tookMs: Date.now() - start }));
  });

/** What a command beside came to: it counts as one test. */
function report({ name, status, output, tookMs }) {
  process.stdout.write(output);
  // A checker that saw no modules has checked nothing.
  const seen = name !== 'layers' || Number(/\((\d+) modules/.exec(output)?.[1] ?? 0) > 50;
  tell(name, status === 0 && seen ? [1, 0] : [0, 1], tookMs);
}

packages();
times.push(`install ${((Date.now() - begun) / 1000).toFixed(0)} s`);

/** Checks one after another, beside whatever else runs: none of them uses more than one processor. */
async function takeAll(checks) {
  const done = [];
  for (const check of checks) done.push(await runBeside(check));
  return done;
}
const check = (name) => [name, 'npm', 'run', '-s', name];
// Only the browser tests need a browser: it comes from the network while the processors are busy.
const browser = runBeside(['chromium', process.execPath, 'scripts/chromium.mjs']);
const checked = takeAll(['types', 'lint', 'layers', ...(full ? ['format:check'] : [])].map(check));
const driver = await runBeside(['driver', process.execPath, 'scripts/driver.mjs']);
report(driver);
if (driver.status !== 0) end();
// The tests begin as soon as they can, whatever is still being checked.
await stage('unit and reference', async () => {
  rmSync('test-results/unit.json', { force: true });
  await runShown('npx', [
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    '--outputFile.json=test-results/unit.json',
  ]);
  const told = read('test-results/unit.json');
  return told ? [told.numPassedTests, Math.max(told.numFailedTests, told.success ? 0 : 1)] : [0, 1];
});
(await checked).forEach(report);
const found = await browser;
report(found);
if (found.status !== 0) end();
process.env.CHROMIUM = find();
// What the browser tests import is compiled, and their workshop filled, beside the build, which does not use both
// processors all the time.
rmSync(TEST_DATA, { recursive: true, force: true });
const prepared = Promise.all([
  runBeside(['list', 'npx', 'playwright', 'test', '--list']),
  runBeside(['fill', 'npx', 'tsx', 'src/demo/fill.ts'], { TOLVAN_DATA: TEST_DATA }),
]);
await stage('build', async () => {
  build();
  return [1, 0];
});
const [, filled] = await prepared;
// Where it went wrong the browser tests fill it themselves, and show why not.
if (filled.status === 0) process.env.TOLVAN_FILLED = '1';
await stage('browser', async () => {
  rmSync('test-results/browser.json', { force: true });
  const good = await runShown('npx', ['playwright', 'test']);
  const stats = read('test-results/browser.json')?.stats;
  if (!stats) return [0, 1];
  return [stats.expected, Math.max(stats.unexpected + stats.flaky, good ? 0 : 1)];
});

function read(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return undefined;
  }
}

end();

function end() {
  console.log(`\n${times.join(', ')}; ${((Date.now() - begun) / 1000).toFixed(0)} s in all`);
  console.log(`\n${passed} passed, ${failed} failed`);
  process.exit(failed === 0 ? 0 : 1);
}
