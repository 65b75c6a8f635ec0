import { defineConfig } from 'vitest/config';
import { languagePlugin, pretended } from './scripts/language.ts';
import { waiting } from './tests/kit/turns.ts';

const alias = { '@': new URL('./src', import.meta.url).pathname };

// See tests/kit/share.ts.
const exclude = process.env.TOLVAN_TURNS === '1' ? waiting(Number(process.env.TOLVAN_SEED)) : [];

export default defineConfig({
  resolve: { alias },
  test: {
    exclude,
    isolate: false,
    maxWorkers: 2,
    setupFiles: ['./src/core/verify/prover.ts'],
    // Only a test that hangs may run into it: how long one takes depends on what else the machine does.
    testTimeout: process.env.TOLVAN_FULL === '1' ? 24 * 3_600_000 : 600_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'tests/{reference,setups}/**/*.test.ts'],
        },
      },
      {
        extends: true,
        // Everything that is read, in a language nobody speaks.
        plugins: [languagePlugin(pretended)],
        test: { name: 'language', include: ['tests/language/**/*.test.ts'] },
      },
    ],
  },
});
