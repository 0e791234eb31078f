/**
 * The architecture's arrows (docs/architecture.md): app → ui → core, app → server → core,
 * ui → workers → core, cli → core. Inside core and ui the arrows go down the floors below.
 * A room is entered by its public face only.
 */

/** Wings of src/core, lowest floor first; a wing imports from lower floors only, never sideways. */
const coreFloors = [
  ['numerics', 'text'],
  ['terms'],
  ['equipment'],
  [
    'bench',
    'motor',
    'fault-finding',
    'commissioning',
    'replacement',
    'power-up',
    'parameter-sets',
    'reading',
  ],
  ['logbook'],
  ['job'],
  ['verbs'],
];

/** These wings are one room; the others hold a folder per room. */
const oneRoomWings = ['text', 'terms', 'logbook', 'verbs'];
const wingsOfRooms = coreFloors.flat().filter((wing) => !oneRoomWings.includes(wing));

/**
 * Layers of src/ui, lowest first. Stages do not know each other: what several of them show is a panel.
 */
const uiFloors = [
  ['api'],
  ['kit'],
  ['job-store'],
  ['drive-link'],
  ['documents', 'shop'],
  ['panels'],
  ['stages'],
  ['job-card'],
];

/** A test may build its case from any room. */
const testCode = '(\\.test\\.tsx?$|/__tests__/)';

/** One rule per floor: nothing on it imports from the same floor (another wing) or from above. */
const floorRules = (root, floors) =>
  floors.flatMap((floor, level) =>
    floor.flatMap((name) => {
      const above = [...floor.filter((other) => other !== name), ...floors.slice(level + 1).flat()];
      if (above.length === 0) return [];
      return {
        name: `${root.replace(/^src\//, '')}-${name}-looks-down-only`,
        severity: 'error',
        from: { path: `^${root}/${name}/`, pathNot: testCode },
        to: { path: `^${root}/(${above.join('|')})/` },
      };
    }),
  );

const roomOfMany = `^src/core/(${wingsOfRooms.join('|')})/([^/]+)/`;
const roomAlone = `^src/core/(${oneRoomWings.join('|')})/`;
const face = '(index|schema)\\.ts$';
const faceOfAnyRoom = `^src/core/(((${wingsOfRooms.join('|')})/[^/]+)|${oneRoomWings.join('|')})/${face}`;

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    ...floorRules('src/core', coreFloors),
    ...floorRules('src/ui', uiFloors),
    {
      name: 'stages-do-not-know-each-other',
      severity: 'error',
      from: { path: '^src/ui/stages/([^/]+)/', pathNot: testCode },
      to: { path: '^src/ui/stages/', pathNot: '^src/ui/stages/$1/' },
    },
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
      from: { path: '^src/core', pathNot: testCode },
      to: {
        dependencyTypes: ['npm', 'npm-dev', 'core'],
        pathNot:
          'node_modules/(zod|canonicalize|fastest-levenshtein|papaparse|@types/papaparse|jsonc-parser|ini|@types/ini|crc-32|tinyqueue|fft\\.js)/',
      },
    },
    {
      name: 'core-rooms-by-their-face',
      comment: 'index.ts computes; schema.ts (Zod) is for the borders of the system.',
      severity: 'error',
      from: { path: roomOfMany, pathNot: testCode },
      to: { path: '^src/core/', pathNot: `^src/core/$1/$2/|${faceOfAnyRoom}` },
    },
    {
      name: 'core-one-room-wings-by-their-face',
      severity: 'error',
      from: { path: roomAlone, pathNot: testCode },
      to: { path: '^src/core/', pathNot: `^src/core/$1/|${faceOfAnyRoom}` },
    },
    {
      name: 'core-from-outside-by-its-face',
      severity: 'error',
      from: { path: '^(src/(?!core)|launcher|checks|stand-ins)' },
      to: { path: '^src/core/', pathNot: `${faceOfAnyRoom}|/__tests__/` },
    },
    {
      name: 'ui-knows-core-api-readers-and-workers-only',
      severity: 'error',
      from: { path: '^src/ui' },
      to: { path: '^src/(?!ui/|core/|api/|readers/|workers/)' },
    },
    {
      name: 'ui-takes-only-types-of-the-api',
      comment: 'The schemas of the routes do not travel to the browser.',
      severity: 'error',
      from: { path: '^src/ui' },
      to: { path: '^src/api/', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'api-knows-core-only',
      severity: 'error',
      from: { path: '^src/api' },
      to: { path: '^src/(?!api/|core/)' },
    },
    {
      name: 'workers-know-core-and-readers-only',
      severity: 'error',
      from: { path: '^src/workers' },
      to: { path: '^src/(?!workers|core|readers)' },
    },
    {
      name: 'readers-know-core-only',
      severity: 'error',
      from: { path: '^src/readers' },
      to: { path: '^src/(?!readers|core)' },
    },
    {
      name: 'server-knows-core-and-api-only',
      severity: 'error',
      from: { path: '^src/server' },
      to: { path: '^src/(?!server/|core/|api/)' },
    },
    {
      name: 'cli-knows-core-and-readers-only',
      severity: 'error',
      from: { path: '^src/cli' },
      to: { path: '^src/(?!cli|core|readers)' },
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
