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

/** The tests of one room of the core: what mistakes planted there are looked for with. */
const core = compiled;
const room = process.env.HALFPOT_MUTATE_ROOM ?? '*';
const config = {
  ...core,
  rootDir: process.cwd(),
  testMatch: [room, ...(TESTED_IN[room] ?? [])].map((r) => `<rootDir>/src/core/${r}/**/*.test.ts`),
};
export default config;
