import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';

export default tseslint.config(
  { ignores: ['.next/**', 'node_modules/**', 'test-results/**', 'next-env.d.ts', 'data/**'] },
  ...next,
  ...tseslint.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
    },
  },
  {
    // It fetches pages nobody asked for: the app has a link of its own.
    ignores: ['src/ui/parts/Link.tsx'],
    rules: { 'no-restricted-imports': ['error', 'next/link'] },
  },
);
