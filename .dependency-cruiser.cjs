/**
 * The rooms of the core, lowest first (docs/decisions/0001-the-house.md). A room may use those on lower floors only;
 * rooms on one floor do not know each other.
 */
const FLOORS = [
  ['measure', 'color'],
  ['book', 'week'],
  ['kit'],
  ['manner', 'art'],
  ['spread'],
  ['eye'],
  ['arrange'],
  ['edit', 'bench'],
  ['repair'],
  ['review'],
  ['remedy'],
  ['compare', 'make'],
  ['format'],
  ['keep'],
  ['scan'],
];

const TEST = '\\.test\\.tsx?$';

const oneDirection = FLOORS.flatMap((rooms, floor) =>
  rooms.map((room) => ({
    name: `core-${room}-uses-lower-floors-only`,
    comment: 'Imports in the core run one way (CONTRIBUTING.md, The rooms).',
    severity: 'error',
    from: { path: `^src/core/${room}/`, pathNot: TEST },
    to: {
      path: '^src/core/',
      pathNot: `^src/core/(${[room, ...FLOORS.slice(0, floor).flat()].join('|')})/`,
    },
  })),
);

/** Who may import whom. @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    ...oneDirection,
    {
      name: 'core-rooms-have-a-floor',
      comment: 'A new room of the core gets its floor in FLOORS.',
      severity: 'error',
      from: { path: '^src/core/', pathNot: `^src/core/(${FLOORS.flat().join('|')})/` },
      to: {},
    },
    {
      name: 'core-stands-alone',
      comment: 'The core has no interface, no database and no Node in it.',
      severity: 'error',
      from: { path: '^src/core', pathNot: TEST },
      to: {
        path: '^(src/(db|server|app|ui|cli|workers)|demo|node_modules/(react|react-dom|next|@mui|@emotion|kysely|better-sqlite3|class-validator|comlink|zustand))(/|$)',
      },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^src/core', pathNot: TEST },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-prefers-nothing-typed-away',
      severity: 'error',
      from: { path: '^src/core' },
      to: { couldNotResolve: true },
    },
    {
      name: 'db-below-server',
      severity: 'error',
      from: { path: '^src/db' },
      to: { path: '^src/(server|app|ui|cli|workers)' },
    },
    {
      name: 'server-below-screens',
      severity: 'error',
      from: { path: '^src/server' },
      to: { path: '^src/(app|ui|cli|workers)' },
    },
    {
      name: 'screens-keep-off-the-database',
      severity: 'error',
      from: { path: '^src/ui', pathNot: TEST },
      to: { path: '^src/(db|cli)', dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'workers-are-thin',
      severity: 'error',
      from: { path: '^src/workers' },
      to: { path: '^src/(db|server|app|ui|cli)' },
    },
    {
      name: 'command-needs-no-database',
      severity: 'error',
      from: { path: '^src/cli' },
      to: { path: '^src/(db|app|ui|workers)' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.js', '.json'],
    },
  },
};
