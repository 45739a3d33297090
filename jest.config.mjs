/**
 * Core, database and command line in Node. Screens are driven for real in tests/e2e.
 *
 * Started by `./halfpot test`, which bundles the tests first (tools/test/unit-bundle.ts) and names the groups to run.
 * Mutation tests use `compiled` by themselves: planted mistakes want files one by one (tools/mutation/jest.core.mjs).
 */
const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      target: 'es2022',
      transform: { react: { runtime: 'automatic' } },
    },
    module: { type: 'commonjs' },
  },
];

/** Test files as they are, compiled one by one. */
export const compiled = {
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/tests/unit/setup.ts'],
  transform: { '^.+\\.[cm]?[jt]sx?$': swc },
  transformIgnorePatterns: [
    '/node_modules/(?!(fast-check|pure-rand|postgrator|uuid|idb|fake-indexeddb|httpxy|@standard-schema|csv-parse|minisearch|get-port)/)',
  ],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/tests/helpers/nothing.cjs',
  },
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.halfpot/'],
};

const UNIT = '<rootDir>/.halfpot/test/unit';

const config = {
  maxWorkers: 2,
  projects: [
    {
      displayName: 'bundled',
      testEnvironment: `${UNIT}/environment.cjs`,
      setupFiles: [`${UNIT}/setup.cjs`],
      roots: [UNIT],
      testMatch: ['**/*.group.cjs'],
      transform: { 'bundle\\.cjs$': `${UNIT}/source-maps.cjs` },
      moduleFileExtensions: ['cjs', 'js', 'json', 'node'],
    },
    {
      ...compiled,
      displayName: 'with mocks',
      testEnvironment: `${UNIT}/environment.cjs`,
      testMatch: ['<rootDir>/src/**/*.test.ts'],
    },
  ],
};

export default config;
