const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx },
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'es6' },
    sourceMaps: 'inline',
  },
];
const common = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: { '\\.tsx$': swc(true), '\\.ts$': swc(false) },
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
};
export default {
  maxWorkers: 2,
  // What a test file leaves behind is let go before it is too much.
  workerIdleMemoryLimit: '800MB',
  // Generous, so that a busy machine fails nothing; what is there is found at once.
  testTimeout: 60_000,
  projects: [
    {
      ...common,
      displayName: 'pure',
      testEnvironment: 'node',
      roots: [
        '<rootDir>/packages/core',
        '<rootDir>/packages/words',
        '<rootDir>/packages/plan',
        '<rootDir>/packages/contract',
        '<rootDir>/packages/catalogue',
        '<rootDir>/packages/sound',
        '<rootDir>/packages/interchange',
        '<rootDir>/packages/solver',
      ],
      testMatch: ['**/*.test.ts'],
    },
    {
      ...common,
      displayName: 'server',
      testEnvironment: 'node',
      roots: ['<rootDir>/packages/server', '<rootDir>/tools'],
      testMatch: ['**/*.test.ts'],
      globalSetup: '<rootDir>/packages/server/src/testing/globalSetup.ts',
      globalTeardown: '<rootDir>/packages/server/src/testing/globalTeardown.ts',
    },
    {
      ...common,
      displayName: 'web',
      testEnvironment: '<rootDir>/packages/web/src/testing/environment.cjs',
      setupFilesAfterEnv: ['<rootDir>/packages/web/src/testing/patience.ts'],
      roots: ['<rootDir>/packages/web', '<rootDir>/packages/client'],
      transform: {
        ...common.transform,
        '\\.woff2$': '<rootDir>/packages/web/src/testing/asset.cjs',
      },
      transformIgnorePatterns: ['/node_modules/(?!.*\\.woff2$)'],
      moduleNameMapper: { '^(.+\\.woff2)\\?url$': '$1' },
      testMatch: ['**/*.test.ts', '**/*.test.tsx'],
    },
  ],
};
