/** How often, how long one answer is waited for, and how long before the next time, ms. */
const USUAL = { times: 3, patience: 12_000, pause: 800 };

/** Nothing, after a while; `stop` lets go of what waits for it. */
function after(ms: number) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const nothing = new Promise<undefined>((resolve) => {
    timer = setTimeout(() => resolve(undefined), ms);
  });
  return { nothing, stop: () => clearTimeout(timer) };
}

/**
 * Asks the server something a page cannot do without, again where no answer comes: a question under way is dropped without a
 * word when the page goes elsewhere, and a busy server fails now and then.
 * @returns undefined where nobody has answered any of the times
 */
export async function withRetry<T>(
  ask: () => Promise<T | undefined>,
  { times, patience, pause } = USUAL,
): Promise<T | undefined> {
  for (let i = 0; i < times; i += 1) {
    if (i > 0) await after(pause).nothing;
    const late = after(patience);
    const answer = await Promise.race([ask().catch(() => undefined), late.nothing]);
    late.stop();
    if (answer !== undefined) return answer;
  }
  return undefined;
}
