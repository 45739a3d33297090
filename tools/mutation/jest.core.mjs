import { compiled } from '../../jest.config.mjs';

/** Rooms whose tests stand in another: the pot and its language are tested through the verbs they are made for. */
const TESTED_IN = {
  graph: ['costing'],
  'kitchen-state': ['costing'],
  layers: ['costing', 'verbs'],
  pot: ['verbs'],
  prices: ['costing'],
  said: ['verbs'],
  shelf: ['costing'],
  taught: ['costing'],
  why: ['costing'],
  written: ['kitchen-file', 'verbs'],
};

/** What stations write and ask is tested through the door, on a database. */
const OF_STATIONS = ['<rootDir>/src/app/__tests__/*.test.ts', '<rootDir>/src/features/**/*.test.ts'];

/** The tests of one room of the core, or of the stations: what mistakes planted there are looked for with. */
const room = process.env.HALFPOT_MUTATE_ROOM ?? '*';
const config = {
  ...compiled,
  rootDir: process.cwd(),
  testTimeout: 120_000,
  testMatch:
    room === 'features'
      ? OF_STATIONS
      : [room, ...(TESTED_IN[room] ?? [])].map((r) => `<rootDir>/src/core/${r}/**/*.test.ts`),
};
export default config;
