/** @type {import('jest').Config} */
export default {
  testEnvironment: 'node',
  testEnvironmentOptions: { globalsCleanup: 'off' },
  testTimeout: 60_000,
  roots: ['<rootDir>/src', '<rootDir>/demo', '<rootDir>/tests'],
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
