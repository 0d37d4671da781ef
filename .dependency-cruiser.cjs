/** Who may import whom (docs/decisions/0001-the-house.md). @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    {
      name: 'core-stands-alone',
      comment: 'The core has no interface, no database and no Node in it.',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
      to: {
        path: '^(src/(db|server|app|ui|cli|workers)|demo|node_modules/(react|react-dom|next|@mui|@emotion|kysely|better-sqlite3|class-validator|comlink|zustand))(/|$)',
      },
    },
    {
      name: 'core-without-node',
      severity: 'error',
      from: { path: '^src/core', pathNot: '\\.test\\.ts$' },
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
      from: { path: '^src/ui' },
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
