/** How often, how long one answer is waited for, and how long before the next time, ms. */
const USUAL = { times: 3, patience: 12_000, pause: 800 };

const after = (ms: number): Promise<undefined> =>
  new Promise((resolve) => setTimeout(() => resolve(undefined), ms));

/**
 * Asks the server something a page cannot do without, again where no answer comes: a question under way is dropped without a
 * word when the page goes elsewhere, and a busy server fails now and then.
 * @returns undefined where nobody has answered any of the times
 */
export async function askAgain<T>(
  ask: () => Promise<T | undefined>,
  { times, patience, pause } = USUAL,
): Promise<T | undefined> {
  for (let i = 0; i < times; i += 1) {
    if (i > 0) await after(pause);
    const answer = await Promise.race([ask().catch(() => undefined), after(patience)]);
    if (answer !== undefined) return answer;
  }
  return undefined;
}
