// Packages that ship only ES modules are compiled for Jest as well.
const esm = [
  'd3(-[a-z-]+)?',
  'internmap',
  'comlink',
  '@gltf-transform',
  'property-graph',
  'ktx-parse',
  'three',
  'idb',
  'bezier-js',
  'earcut',
  'three-stdlib',
];

/** @type {import('jest').Config} */
const config = {
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx', '<rootDir>/cli/**/*.test.ts'],
  modulePathIgnorePatterns: ['<rootDir>/.next'],
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!(${esm.join('|')})/)`],
};

export default config;
