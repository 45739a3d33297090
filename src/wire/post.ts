import type { Envelope } from './envelope';
import type { Reply } from './wire';

/** Bytes up to which a browser carries a request on after its page is gone; all that are under way share 64 kB. */
const OUTLIVES = 16_000;

/** Sends a write once. @returns undefined where nobody answers, or not in our words */
export async function post(envelope: Envelope): Promise<Reply<unknown, unknown> | undefined> {
  const body = JSON.stringify(envelope);
  try {
    const answer = await fetch('/command', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
      // Anyone who types a price and goes on at once has typed it all the same.
      keepalive: new Blob([body]).size <= OUTLIVES,
    });
    return (await answer.json()) as Reply<unknown, unknown>;
  } catch {
    return undefined;
  }
}
