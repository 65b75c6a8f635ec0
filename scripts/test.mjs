// Everything that must hold, from nothing installed: types, lint, layers, tests, build, browser.
import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { chromium } from './chromium.mjs';
import { build, packages, run } from './prepare.mjs';

// The families too large for every run: all of them with --full, else a share that this turns on.
const full = process.argv.includes('--full');
process.env.TOLVAN_SEED ??= String(Math.floor(Date.now() / 86_400_000));
if (full) process.env.TOLVAN_FULL = '1';
console.log(
  full
    ? 'Everything, in full.'
    : `Seed ${process.env.TOLVAN_SEED}: TOLVAN_SEED takes the same share again.`,
);

const begun = Date.now();
const times = [];
let passed = 0;
let failed = 0;

/** One stage counts as one test unless it counts its own. */
function stage(name, work) {
  const start = Date.now();
  console.log(`\n— ${name}`);
  tell(name, work(), Date.now() - start);
}

function tell(name, [good, bad], tookMs) {
  passed += good;
  failed += bad;
  times.push(`${name} ${(tookMs / 1000).toFixed(0)} s`);
  console.log(`  ${name}: ${good} passed, ${bad} failed (${(tookMs / 1000).toFixed(0)} s)`);
}

/** Runs a command; its output is kept until it ends. */
const runBeside = ([name, command, ...args]) =>
  new Promise((resolve) => {
    const start = Date.now();
    const child = spawn(command, args);
    let output = '';
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data) => (output += data.toString()));
    child.on('close', (status) => resolve({ name, status, output, tookMs: Date.now() - start }));
  });

packages();
process.env.CHROMIUM = chromium();
times.push(`install ${((Date.now() - begun) / 1000).toFixed(0)} s`);

// Two at a time: none of them uses more than one processor. The longest first; no check needs the driver.
const waiting = [
  ['driver', process.execPath, 'scripts/driver.mjs'],
  ...['types', 'lint', 'layers', ...(full ? ['format:check'] : [])].map((name) => [
    name,
    'npm',
    'run',
    '-s',
    name,
  ]),
];
const takeNext = async (done) => {
  const next = waiting.shift();
  return next ? takeNext([...done, await runBeside(next)]) : done;
};
for (const { name, status, output, tookMs } of (
  await Promise.all([takeNext([]), takeNext([])])
).flat()) {
  process.stdout.write(output);
  // A checker that saw no modules has checked nothing.
  const seen = name !== 'layers' || Number(/\((\d+) modules/.exec(output)?.[1] ?? 0) > 50;
  tell(name, status === 0 && seen ? [1, 0] : [0, 1], tookMs);
  if (name === 'driver' && status !== 0) end();
}
stage('unit and reference', () => {
  rmSync('test-results/unit.json', { force: true });
  run('npx', [
    'vitest',
    'run',
    '--reporter=default',
    '--reporter=json',
    '--outputFile.json=test-results/unit.json',
  ]);
  const report = read('test-results/unit.json');
  return report
    ? [report.numPassedTests, Math.max(report.numFailedTests, report.success ? 0 : 1)]
    : [0, 1];
});
// What the browser tests import is compiled beside the build, which does not use both processors all the time.
const listed = runBeside(['list', 'npx', 'playwright', 'test', '--list']);
stage('build', () => {
  build();
  return [1, 0];
});
await listed;
stage('browser', () => {
  rmSync('test-results/browser.json', { force: true });
  const good = run('npx', ['playwright', 'test']);
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
