/** Unit tests beside the code, component tests in jsdom, integration tests on a real PostgreSQL. */
const shared = {
  rootDir: '.',
  transform: {
    '^.+\\.(t|j)sx?$|^.+\\.mjs$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(d3-[a-z-]+|internmap|pure-rand|syllable|flesch)/)'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/data/'],
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/$1', '^server-only$': '<rootDir>/tests/serverOnlyStub.ts' },
};

const config = {
  // Databases are made and migrated within tests; a busy machine is slow at that.
  testTimeout: 60_000,
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testEnvironment: 'node',
      testMatch: [
        '<rootDir>/{app,core,compute,db,instruments,usecases,components,words}/**/*.test.ts',
        '<rootDir>/tests/*.test.ts',
      ],
    },
    {
      ...shared,
      displayName: 'component',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/components/**/*.test.tsx'],
      setupFilesAfterEnv: ['<rootDir>/tests/componentSetup.ts'],
    },
    {
      ...shared,
      displayName: 'integration',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/tests/integration/**/*.test.ts'],
    },
  ],
};

export default config;
