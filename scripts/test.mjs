// Everything that must hold, from nothing installed: types, lint, layers, tests, build, browser.
import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { find } from './chromium.mjs';
import { packages } from './prepare.mjs';

// The families too large for every run: all of them with --full, else a share that this turns on.
const full = process.argv.includes('--full');
process.env.TOLVAN_SEED ??= String(Math.floor(Date.now() / 86_400_000));
if (full) process.env.TOLVAN_FULL = '1';
else process.env.TOLVAN_TURNS = '1';
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
const runBeside = ([name, command, ...args]) =>
  new Promise((resolve) => {
    const start = Date.now();
    const child = spawn(command, args, { env: { ...process.env, TOLVAN_DATA: TEST_DATA } });
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data) => (output += data.toString()));
    child.on('close', (status) => resolve({ name, status, output, tookMs: Date.now() - start }));
  });

/** One after another. */
async function inTurn(jobs) {
  const done = [];
  for (const job of jobs) done.push(await runBeside(job));
  return done;
}

/** What a command beside came to: it counts as one test. */
function report({ name, status, output, tookMs }) {
  process.stdout.write(output);
  // A checker that saw no modules has checked nothing.
  const seen = name !== 'layers' || Number(/\((\d+) modules/.exec(output)?.[1] ?? 0) > 50;
  tell(name, status === 0 && seen ? [1, 0] : [0, 1], tookMs);
}

packages();
times.push(`install ${((Date.now() - begun) / 1000).toFixed(0)} s`);

const check = (name) => [name, 'npm', 'run', '-s', name];

// Two lanes, as many as there are processors: more at once would slow all of them down.
rmSync(TEST_DATA, { recursive: true, force: true });
const lanes = [
  [
    ['driver', process.execPath, 'scripts/driver.mjs'],
    ['build', process.execPath, 'scripts/build.mjs'],
    ['workshop', 'npx', 'tsx', 'src/demo/fill.ts'],
  ],
  [
    ...['types', 'lint', 'layers', ...(full ? ['format:check'] : [])].map(check),
    // Compiles what the browser tests import.
    ['stories', 'npx', 'playwright', 'test', '--list'],
  ],
  // From the network, which keeps no processor busy.
  [['chromium', process.execPath, 'scripts/chromium.mjs']],
];
const prepared = await Promise.all(lanes.map(inTurn));
prepared.flat().forEach(report);
const needed = ['driver', 'build', 'workshop', 'chromium'];
if (prepared.flat().some(({ name, status }) => needed.includes(name) && status !== 0)) end();
process.env.CHROMIUM = find();
process.env.TOLVAN_FILLED = '1';

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
