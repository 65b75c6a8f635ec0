import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  test: {
    isolate: false,
    maxWorkers: 2,
    include: ['src/**/*.test.ts', 'tests/{reference,setups}/**/*.test.ts'],
    // Only a test that hangs may run into it: how long one takes depends on what else the machine does.
    testTimeout: process.env.TOLVAN_FULL === '1' ? 24 * 3_600_000 : 600_000,
  },
});
