import { defineConfig } from '@playwright/test';
import { find } from './scripts/chromium.mjs';
// Tests prove programs themselves.
import './src/core/verify/prover';

const PORT = 4477;
const DATA = 'test-results/data';
/** `npm test` fills the workshop beside the build. */
const fill = process.env.TOLVAN_FILLED ? '' : `rm -rf ${DATA} && npx tsx src/demo/fill.ts && `;
const browser = find();

export default defineConfig({
  testDir: 'tests/browser',
  outputDir: 'test-results/browser',
  timeout: 120_000,
  // What a proof is waited for takes long where a server has just begun and the machine is busy.
  expect: { timeout: 45_000 },
  // Waits are most of a test: two side by side fit on two processors.
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/browser.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Drawings that move cost time and show a test nothing.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      ...(browser ? { executablePath: browser } : {}),
      args: [
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  webServer: {
    command: `${fill}node scripts/serve.mjs ${PORT}`,
    url: `http://127.0.0.1:${PORT}`,
    env: { TOLVAN_DATA: DATA, NEXT_TELEMETRY_DISABLED: '1' },
    timeout: 120_000,
  },
});
