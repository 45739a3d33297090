/** Core, database and command line in Node; no screens here: those are driven for real in tests/e2e. */
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
const common = {
  testEnvironment: 'node',
  setupFiles: ['<rootDir>/tests/helpers/seed.ts'],
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
const config = {
  projects: [
    {
      ...common,
      displayName: 'core',
      testMatch: [
        '<rootDir>/src/core/**/*.test.ts',
        '<rootDir>/src/cli/**/*.test.ts',
        '<rootDir>/src/ui/**/*.test.ts',
        '<rootDir>/src/search/**/*.test.ts',
        '<rootDir>/stand-ins/**/*.test.ts',
        '<rootDir>/tools/__tests__/*.test.ts',
      ],
    },
    {
      ...common,
      displayName: 'database',
      testMatch: [
        ...['db', 'server', 'features', 'wire', 'app'].map((room) => `<rootDir>/src/${room}/**/*.test.ts`),
        '<rootDir>/tools/backup/*.test.ts',
        '<rootDir>/tools/lan/*.test.ts',
      ],
    },
  ],
};

export default config;
