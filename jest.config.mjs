/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  testEnvironmentOptions: { globalsCleanup: 'off' },
  testTimeout: 60_000,
  // What is looked up again and again: in the sandbox of a test each look at a global one goes a long way round.
  sandboxInjectedGlobals: [
    ...[
      'Math',
      'Number',
      'String',
      'Boolean',
      'Symbol',
      'Object',
      'Array',
      'Map',
      'Set',
      'WeakMap',
      'JSON',
      'Infinity',
    ],
    ...['Float32Array', 'Float64Array', 'Int16Array', 'Int32Array', 'Uint8Array', 'Uint16Array'],
  ],
  roots: ['<rootDir>/src', '<rootDir>/demo', '<rootDir>/tests'],
  // What only a running Next.js has: a mark that a module is the server's own, and its cache.
  moduleNameMapper: {
    '^server-only$': '<rootDir>/tests/stand-ins/server-only.ts',
    '^next/cache$': '<rootDir>/tests/stand-ins/next-cache.ts',
  },
  testMatch: ['**/*.test.ts'],
  transform: {
    '^.+\\.(t|j|mj)sx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', decorators: true },
          transform: { legacyDecorator: true, decoratorMetadata: true },
          target: 'es2022',
        },
        module: { type: 'commonjs' },
      },
    ],
  },
  // These packages ship modules only.
  transformIgnorePatterns: ['/node_modules/(?!(culori|ical\\.js|luxon)/)'],
};
