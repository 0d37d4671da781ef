/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  testEnvironmentOptions: { globalsCleanup: 'off' },
  testTimeout: 60_000,
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
