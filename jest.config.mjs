const esm = 'd3|d3-[a-z-]+|internmap|delaunator|robust-predicates|uuid|fast-check|pure-rand|comlink';
const config = {
  testEnvironment: '<rootDir>/launcher/jest-environment.mjs',
  // A slow machine is not a failure: tests wait for conditions, and this only ends what hangs.
  testTimeout: 60_000,
  // Native modules stay in memory after their tests: a worker that has grown is replaced by a fresh one.
  workerIdleMemoryLimit: '600MB',
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  // Native modules: through CommonJS getters the solver's kernels run many times slower.
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  roots: [
    '<rootDir>/src',
    '<rootDir>/launcher',
    '<rootDir>/checks',
    '<rootDir>/catalogue',
    '<rootDir>/stand-ins',
  ],
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/.data', '<rootDir>/.cache'],
  transform: {
    '^.+\\.(m?[jt]s|[jt]sx)$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
        module: { type: 'es6' },
      },
    ],
  },
  transformIgnorePatterns: [`/node_modules/(?!(${esm})/)`],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1', '\\.css$': '<rootDir>/launcher/empty-style.cjs' },
};
export default config;
