import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  test: {
    isolate: false,
    maxWorkers: 2,
    include: ['src/**/*.test.ts', 'tests/{reference,setups}/**/*.test.ts'],
    testTimeout: 30_000,
  },
});
