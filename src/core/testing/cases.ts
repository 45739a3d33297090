/** Whether this run tries everything: tests that take long to say little more run then alone. */
export const isFullRun = Number(process.env.HALFPOT_CASES ?? 1) >= 1;

/** How many random cases a law is tried on: fewer while mistakes are planted by the hundred and each is looked for. */
export const cases = (n: number): number =>
  Math.max(2, Math.ceil(n * Number(process.env.HALFPOT_CASES ?? 1)));
