import { z } from 'zod';

/** What a browser test has to itself: the application it drives, and what stands around that. */
const Kitchen = z.object({
  address: z.string(),
  databaseUrl: z.string(),
  listsPort: z.number(),
  scalePort: z.number(),
  probePort: z.number(),
  /** Where a tablet reaches it: by https, at a name that a browser is told to look for on loopback. */
  secure: z.string(),
  /** Where the id of the application’s process is written down. */
  pidFile: z.string(),
  day: z.string(),
});
export type TestedKitchen = z.infer<typeof Kitchen>;

/** Where and how large the window of a test is. */
export const AS_HERE = {
  viewport: { width: 1280, height: 800 },
  locale: 'en-IE',
  timezoneId: 'Europe/Dublin',
};

/** The kitchens that `halfpot test` has started for as many tests at once. */
export const kitchens: readonly TestedKitchen[] = z
  .array(Kitchen)
  .parse(JSON.parse(process.env.HALFPOT_KITCHENS ?? '[]'));

/** The kitchen of the tests that run in this process: no other process's tests touch it. */
export function here(): TestedKitchen {
  const kitchen = kitchens[Number(process.env.TEST_PARALLEL_INDEX ?? 0)];
  if (!kitchen) throw new Error('browser tests are started by ./halfpot test browser');
  return kitchen;
}
