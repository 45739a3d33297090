import { v7 } from 'uuid';
import type { Envelope, Reply, Wire } from './wire';

/** What is said when the kitchen's computer cannot be reached, and what that means for what was typed. */
export const noAnswer = (so: string): string => `The kitchen’s computer does not answer; ${so}.`;
/** For work that is typed in and kept: nothing of it is lost. */
export const STILL_TYPED = noAnswer('what you typed stands here and can be kept again');
export const TRY_AGAIN = noAnswer('try again');

/** ms after which a write that was not answered is sent again; with the same id it happens once. */
const AGAIN_AFTER = [400, 1500];

const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** Bytes up to which a browser carries a request on after its page is gone; all that are under way share 64 kB. */
const OUTLIVES = 16_000;

async function post(envelope: Envelope): Promise<unknown> {
  const body = JSON.stringify(envelope);
  const answer = await fetch('/command', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
    // Whoever types a price and goes on at once has typed it all the same.
    keepalive: new Blob([body]).size <= OUTLIVES,
  });
  return answer.json();
}

/**
 * Sends a write and brings back what became of it; where nobody answers it is tried again twice, under the same id.
 * @param seen the version of the thing that its writer was looking at
 */
export async function send<Body, Answer, Theirs>(
  { kind, version, body: schema }: Wire<Body, Answer, Theirs>,
  body: Body,
  seen: number | null,
): Promise<Reply<Answer, Theirs>> {
  // What the server would refuse need not travel; it says the same in the same words.
  const asked = schema.safeParse(body);
  if (!asked.success) {
    const mistakes = asked.error.issues.map((i) => ({ path: pathOf(i.path), message: i.message }));
    const { message = '', path = '' } = mistakes[0] ?? {};
    return { ok: false, code: 'bad-field', message, path, mistakes };
  }
  const envelope = { commandId: v7(), kind, kindVersion: version, seen, body };
  for (const wait of [...AGAIN_AFTER, undefined]) {
    const reply = await post(envelope).catch(() => undefined);
    if (reply !== undefined) return reply as Reply<Answer, Theirs>;
    if (wait !== undefined) await pause(wait);
  }
  return { ok: false, code: 'no-answer', message: STILL_TYPED, path: '' };
}

/** A function that sends one kind of write; `seen` travels beside the body. */
export const sender =
  <Body extends object, Answer, Theirs>(w: Wire<Body, Answer, Theirs>) =>
  ({ seen, ...body }: Body & { readonly seen?: number }): Promise<Reply<Answer, Theirs>> =>
    send(w, body as unknown as Body, seen ?? null);

/** A place in a body as paths are written everywhere: `lines[2].amount`. */
export const pathOf = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (said, key) =>
      typeof key === 'number' ? `${said}[${key}]` : said === '' ? String(key) : `${said}.${String(key)}`,
    '',
  );
