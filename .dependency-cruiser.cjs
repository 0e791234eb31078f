/**
 * The architecture's arrows (docs/architecture.md): app → ui → core, app → server → core,
 * ui → workers → core, cli → core. A room is entered by its public face only.
 * @type {import('dependency-cruiser').IConfiguration}
 */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-imports-nothing-above-it',
      severity: 'error',
      from: { path: '^src/core' },
      to: { path: '^src/(?!core)|^(launcher|e2e|checks|demo|catalogue|stand-ins)/' },
    },
    {
      name: 'core-is-pure',
      comment: 'No React, Next, database, Node or browser API in the computing.',
      severity: 'error',
      // What tests are made of is test code.
      from: { path: '^src/core', pathNot: '(\\.test\\.tsx?$|/__tests__/)' },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot:
          'node_modules/(zod|fastest-levenshtein|papaparse|@types/papaparse|jsonc-parser|ini|@types/ini|crc-32|tinyqueue|fft\\.js)/',
      },
    },
    {
      name: 'core-rooms-by-their-face',
      comment: 'index.ts computes; schema.ts (Zod) is for the borders of the system.',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '(\\.test\\.ts$|/__tests__/)' },
      to: { path: '^src/core/([^/]+)/', pathNot: '^src/core/$1/|^src/core/[^/]+/(index|schema)\\.ts$' },
    },
    {
      name: 'core-from-outside-by-its-face',
      severity: 'error',
      from: { path: '^(src/(?!core)|launcher|checks|stand-ins)' },
      to: { path: '^src/core/', pathNot: '^src/core/[^/]+/((index|schema)\\.ts$|__tests__/)' },
    },
    {
      name: 'ui-knows-core-and-workers-only',
      severity: 'error',
      from: { path: '^src/ui' },
      to: { path: '^src/(?!ui|core|workers)' },
    },
    {
      name: 'workers-know-core-only',
      severity: 'error',
      from: { path: '^src/workers' },
      to: { path: '^src/(?!workers|core)' },
    },
    {
      name: 'server-knows-core-only',
      severity: 'error',
      from: { path: '^src/server' },
      to: { path: '^src/(?!server|core)' },
    },
    {
      name: 'cli-knows-core-only',
      severity: 'error',
      from: { path: '^src/cli' },
      to: { path: '^src/(?!cli|core)' },
    },
    {
      name: 'sequelize-only-in-server',
      severity: 'error',
      from: { path: '^src', pathNot: '^src/server' },
      to: { path: 'node_modules/(sequelize|pg|umzug)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.next|\\.data|\\.cache' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
