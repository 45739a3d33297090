import { v7 } from 'uuid';
import { post } from './post';
import { remember } from './sent';
import { setStatus } from './status';
import { keepHere, sendWaiting, waitingNow, waitsFor, whoIsAtWork } from './waiting';
import type { Envelope } from './envelope';
import type { MayWait, No, Reply, Wire } from './wire';
import * as texts from './texts';

/** What is said when the kitchen's computer cannot be reached, and what that means for what was typed. */
export const noAnswer = (so: string): string => texts.serverDoesNotAnswer(so);
/** For work that is typed in and kept: nothing of it is lost. */
export const STILL_TYPED = noAnswer(texts.whatYouTypedStands);
export const TRY_AGAIN = noAnswer(texts.tryAgain);

/** Not sent, and not lost: what a write that may wait is answered while nobody answers it. */
export const KEPT_HERE = {
  ok: false,
  code: 'waits',
  message: texts.noConnectionSavedDevice,
  path: '',
} as const satisfies No;

/** Whether a write was kept here for now. */
export const canWait = (answer: { readonly ok: boolean; readonly code?: string } | null): boolean =>
  answer?.ok === false && answer.code === KEPT_HERE.code;

/** ms after which a write that was not answered is sent again; with the same id it happens once. */
const AGAIN_AFTER = [400, 1500];

const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/**
 * Sends a write and brings back what became of it; where nobody answers it is tried again twice, under the same id.
 * @param seen the version of the thing that its writer was looking at
 */
export async function send<Body, Answer, Theirs>(
  wire: Wire<Body, Answer, Theirs>,
  body: Body,
  seen: number | null,
): Promise<Reply<Answer, Theirs>> {
  const { kind, version, body: schema } = wire;
  // What the server would refuse need not travel; it says the same in the same words.
  const asked = schema.safeParse(body);
  if (!asked.success) {
    const mistakes = asked.error.issues.map((i) => ({ path: pathOf(i.path), message: i.message }));
    const { message = '', path = '' } = mistakes[0] ?? {};
    return { ok: false, code: 'bad-field', message, path, mistakes };
  }
  const person = whoIsAtWork();
  const envelope: Envelope = {
    commandId: v7(),
    kind,
    kindVersion: version,
    seen,
    body,
    ...(person && { person }),
  };
  const may = wire.waits?.(body);
  const reply = may
    ? await after(may.thing, () => triedOrKept(may, envelope))
    : ((await tried(envelope)) ?? NOBODY);
  return reply as Reply<Answer, Theirs>;
}

const NOBODY = { ok: false, code: 'no-answer', message: STILL_TYPED, path: '' } as const satisfies No;

/** A page that is older than the application asks for what is not there any more. */
const NOT_FETCHED = {
  ...NOBODY,
  message: texts.serverDoesNotAnswerOrBrought,
} as const satisfies No;

/** What is under way of each thing that may wait. */
const underWay = new Map<string, Promise<unknown>>();

/** Does something of a thing when what is under way of it has arrived, or waits: what was typed first is sent first. */
function after<T>(thing: string, work: () => Promise<T>): Promise<T> {
  const mine = (underWay.get(thing) ?? Promise.resolve()).then(work, work);
  underWay.set(thing, mine);
  const done = (): void => {
    if (underWay.get(thing) === mine) underWay.delete(thing);
  };
  mine.then(done, done);
  return mine;
}

async function triedOrKept(may: MayWait, envelope: Envelope): Promise<Reply<unknown, unknown>> {
  // After what waits already, never before it.
  if (waitsFor(may.thing) && (await keepHere(may, envelope, false))) {
    void sendWaiting();
    return KEPT_HERE;
  }
  const reply = await tried(envelope);
  remember(may, envelope, reply);
  if (reply) return reply;
  return (await keepHere(may, envelope, true)) ? KEPT_HERE : NOBODY;
}

/** Sends a write, twice more where nobody answers. */
async function tried(envelope: Envelope): Promise<Reply<unknown, unknown> | undefined> {
  setStatus((was) => ({ sending: was.sending + 1 }));
  let reply: Reply<unknown, unknown> | undefined;
  for (const wait of [...AGAIN_AFTER, undefined]) {
    reply = await post(envelope);
    // A browser that knows of no network need not try twice.
    if (reply !== undefined || wait === undefined || navigator.onLine === false) break;
    await pause(wait);
  }
  setStatus((was) => ({
    sending: was.sending - 1,
    connected: reply !== undefined,
    kept: reply?.ok === true || was.kept,
  }));
  if (reply && waitingNow().length > 0) void sendWaiting();
  return reply;
}

/** A function that sends one kind of write; `seen` travels beside the body. */
export const sender =
  <Body extends object, Answer, Theirs>(w: Wire<Body, Answer, Theirs>) =>
  ({ seen, ...body }: Body & { readonly seen?: number }): Promise<Reply<Answer, Theirs>> =>
    send(w, body as unknown as Body, seen ?? null);

/**
 * The same for a kind that is declared elsewhere and fetched when it is first sent: a page that is looked at is sent none of the checks
 * of what might be written from it. Only for what does not wait without a network: then nothing can be fetched.
 */
export const senderOf =
  <Body extends object, Answer, Theirs>(declared: () => Promise<Wire<Body, Answer, Theirs>>) =>
  async (body: Body & { readonly seen?: number }): Promise<Reply<Answer, Theirs>> => {
    const w = await declared().catch(() => undefined);
    return w ? sender(w)(body) : NOT_FETCHED;
  };

/** The version that something is written over, where it has one, beside the body. */
export const over = (seen: number | undefined): { readonly seen?: number } =>
  seen === undefined ? {} : { seen };

/** A place in a body as paths are written everywhere: `lines[2].amount`. */
export const pathOf = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (said, key) =>
      typeof key === 'number' ? `${said}[${key}]` : said === '' ? String(key) : `${said}.${String(key)}`,
    '',
  );
