import next from 'eslint-config-next/core-web-vitals';
import nextTypes from 'eslint-config-next/typescript';
import { defineConfig, globalIgnores } from 'eslint/config';

export default defineConfig([
  globalIgnores(['.next*/**', 'next-env.d.ts', 'playwright-report/**', 'test-results/**', 'docs/**']),
  ...next,
  ...nextTypes,
  {
    rules: {
      'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
      'no-console': ['error', { allow: ['error'] }],
      eqeqeq: 'error',
      'prefer-const': ['error', { destructuring: 'all' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
    },
  },
  {
    // Casts and `!` that change nothing: for this the linter reads types.
    files: ['src/**/*.ts', 'src/**/*.tsx', 'cli/**/*.ts', 'e2e/**/*.ts', 'scripts/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true } },
    rules: { '@typescript-eslint/no-unnecessary-type-assertion': 'error' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/testing/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['react*', 'three*', 'next*', '@mui/*', 'node:*'],
              message: 'The core computes: no interface, no platform.',
            },
          ],
        },
      ],
    },
  },
  {
    // react-three-fiber is told of changes by writing to three's objects.
    files: ['src/ui/bentview/**'],
    rules: { 'react-hooks/immutability': 'off' },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**', 'scripts/**', 'cli/**'],
    rules: { 'max-lines': 'off', 'no-console': 'off' },
  },
]);
