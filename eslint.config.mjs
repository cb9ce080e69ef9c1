import next from 'eslint-config-next/core-web-vitals';
import nextTypes from 'eslint-config-next/typescript';
import { defineConfig, globalIgnores } from 'eslint/config';

/** From each layer, the layers above it may not be imported: app -> ui -> engine -> project, formats -> core. */
const LAYERS = ['core', 'formats', 'project', 'engine', 'ui', 'app'];
const zones = [
  ...LAYERS.flatMap((target, i) =>
    LAYERS.slice(i + 1).map((from) => ({ target: `./src/${target}`, from: `./src/${from}` })),
  ),
  { target: './src/project', from: './src/formats' },
].map((zone) => ({ ...zone, message: 'Imports point down: app -> ui -> engine -> project, formats -> core.' }));

export default defineConfig([
  globalIgnores(['.next*/**', 'next-env.d.ts', 'playwright-report/**', 'test-results/**', 'docs/**']),
  ...next,
  ...nextTypes,
  {
    rules: {
      'import/no-restricted-paths': ['error', { zones }],
      'import/no-cycle': ['error', { ignoreExternal: true }],
      'max-lines': ['error', { max: 250, skipBlankLines: true, skipComments: true }],
      'no-console': ['error', { allow: ['error'] }],
      eqeqeq: 'error',
      'prefer-const': ['error', { destructuring: 'all' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
    },
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
