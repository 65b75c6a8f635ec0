// Everything that must hold, from nothing installed: types, lint, layers, tests, build, browser.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { chromium } from './chromium.mjs';
import { build, install, run } from './prepare.mjs';

let passed = 0;
let failed = 0;

/** One stage counts as one test unless it counts its own. */
function stage(name, work) {
  const start = Date.now();
  console.log(`\n— ${name}`);
  const [good, bad] = work();
  passed += good;
  failed += bad;
  const seconds = ((Date.now() - start) / 1000).toFixed(0);
  console.log(`  ${name}: ${good} passed, ${bad} failed (${seconds} s)`);
}

const command =
  (...words) =>
  () =>
    run(words[0], words.slice(1)) ? [1, 0] : [0, 1];

install();
process.env.CHROMIUM = chromium();

stage('types', command('npm', 'run', '-s', 'types'));
stage('lint', command('npm', 'run', '-s', 'lint'));
stage('format', command('npm', 'run', '-s', 'format:check'));
stage('layers', () => {
  const result = spawnSync('npm', ['run', '-s', 'layers'], { encoding: 'utf8' });
  process.stdout.write(result.stdout + result.stderr);
  // A checker that saw no modules has checked nothing.
  const modules = Number(/\((\d+) modules/.exec(result.stdout)?.[1] ?? 0);
  return result.status === 0 && modules > 50 ? [1, 0] : [0, 1];
});
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
stage('build', () => {
  build();
  return [1, 0];
});
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

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
