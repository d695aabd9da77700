/** Jest as native modules; swc strips the types and keeps the decorators the entry bodies need. */
const common = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          experimental: { keepImportAttributes: true },
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true, decorators: true },
          transform: {
            legacyDecorator: true,
            decoratorMetadata: false,
            useDefineForClassFields: false,
            react: { runtime: 'automatic' },
          },
        },
        module: { type: 'es6' },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/'],
};

/** What drives whole servers shares a database, started before the first of them and ended after the last. */
const drivesServers = {
  globalSetup: '<rootDir>/scripts/shareUp.mjs',
  globalTeardown: '<rootDir>/scripts/shareDown.mjs',
};

export default {
  // What is sent again and again until a server answers would keep a finished test waiting.
  forceExit: true,
  // A machine that does other work at once takes its time: what never comes is what fails.
  testTimeout: 120_000,
  testSequencer: '<rootDir>/scripts/sequencer.mjs',
  projects: [
    { ...common, displayName: 'core', roots: ['<rootDir>/core/src'], testMatch: ['**/*.test.ts'] },
    {
      ...common,
      displayName: 'house',
      roots: ['<rootDir>/scripts', '<rootDir>/web/src'],
      testMatch: ['**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'screens',
      roots: ['<rootDir>/web/src'],
      testMatch: ['**/*.test.tsx'],
      testEnvironment: '<rootDir>/web/src/testing/environment.mjs',
      setupFilesAfterEnv: ['<rootDir>/web/src/testing/patience.ts'],
    },
    {
      ...common,
      ...drivesServers,
      displayName: 'server',
      roots: ['<rootDir>/server/test'],
      testMatch: ['**/*.test.ts'],
      setupFilesAfterEnv: ['<rootDir>/scripts/patience.mjs'],
    },
    {
      ...common,
      ...drivesServers,
      displayName: 'e2e',
      roots: ['<rootDir>/e2e'],
      testMatch: ['**/*.test.ts'],
      testEnvironment: '<rootDir>/scripts/browserEnvironment.mjs',
      setupFilesAfterEnv: ['<rootDir>/scripts/patience.mjs'],
    },
  ],
};
