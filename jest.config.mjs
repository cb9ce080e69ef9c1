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
  'manifold-3d',
  'meshoptimizer',
  'fast-png',
  'iobuffer',
];

/** @type {import('jest').Config} */
const config = {
  testEnvironment: 'node',
  testTimeout: 60_000,
  maxWorkers: '100%', // Jest itself leaves a core free: on two that is half of them
  // Looked up through Jest's sandbox, these take many times as long as in Node.
  sandboxInjectedGlobals: [
    'Math',
    'Array',
    'Float32Array',
    'Float64Array',
    'Int32Array',
    'Map',
    'Number',
    'Uint32Array',
    'Uint8Array',
  ],
  testMatch: ['<rootDir>/src/**/*.test.ts', '<rootDir>/src/**/*.test.tsx', '<rootDir>/cli/**/*.test.ts'],
  // Exported to importing modules only.
  moduleNameMapper: { '^manifold-3d$': '<rootDir>/node_modules/manifold-3d/manifold.js' },
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
