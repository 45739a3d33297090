import 'server-only';
import type { Reply } from '@/wire';
import { Envelope } from '@/wire/envelope';
import { env } from '../env';
import { currentWorker } from '../session';
import type { AnyDeclared } from './declare';
import { log } from '../log';
import { failed, perform, type Tell } from './perform';
import * as texts from './texts';

/** Bytes of the largest write: a price list of 16 MB, in letters. */
const LARGEST = 24 * 1024 * 1024;

const refused = (status: number, code: string, message: string): Response =>
  Response.json({ ok: false, code, message, path: '' } satisfies Reply<null>, { status });

/**
 * Whether a request comes from a page of this very house: a browser says where a page is from, and no other site may write here
 * with somebody's cookie.
 */
export function isFromHere(headers: Headers): boolean {
  const origin = headers.get('origin');
  if (origin === null || !URL.canParse(origin)) return false;
  const from = new URL(origin);
  const ours = env().HALFPOT_ORIGIN;
  // Whatever stands in front may have put its own host in the request's: where people reach us by is known. What a request says
  // of the host it was forwarded for, anybody can write.
  return from.host === headers.get('host') || (ours !== undefined && from.origin === new URL(ours).origin);
}

/** Half a letter, as JSON writes one: no browser types it, and no database keeps it. */
const HALF_LETTER = /\\u[dD][89a-fA-F]/;

/** What JSON says, with half letters made whole ones that stand for nothing; undefined where it is none. */
export function readJson(text: string): unknown {
  try {
    return HALF_LETTER.test(text)
      ? JSON.parse(text, (_key, value: unknown) => (typeof value === 'string' ? value.toWellFormed() : value))
      : JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Answers what was sent to the door. */
export async function answerCommand(
  request: Request,
  kinds: ReadonlyMap<string, AnyDeclared>,
  tell?: Tell,
): Promise<Response> {
  if (!isFromHere(request.headers)) {
    log.warn({ origin: request.headers.get('origin') }, 'a write was refused: it came from elsewhere');
    return refused(403, 'other-origin', texts.didNotComeFrom);
  }
  if (Number(request.headers.get('content-length') ?? 0) > LARGEST)
    return refused(413, 'too-large', texts.largerThanMbMost(LARGEST / 1024 / 1024));
  const json = readJson(await request.text().catch(() => ''));
  const envelope = Envelope.safeParse(json);
  if (!envelope.success) return refused(400, 'unreadable', texts.couldNotReadLoad);
  const { data } = envelope;
  try {
    return Response.json(await perform(kinds.get(data.kind), data, await currentWorker(), tell));
  } catch (error) {
    // Before anything is tried the database is asked who this is: it may be silent then, too.
    return Response.json(failed(error, data.kind));
  }
}

/** Kinds by their names; throws where two declare the same. */
export function kindsOf(all: readonly AnyDeclared[]): ReadonlyMap<string, AnyDeclared> {
  const kinds = new Map<string, AnyDeclared>();
  for (const declared of all) {
    const { kind, version } = declared.wire;
    if (kinds.has(kind)) throw new Error(`two writes are called ${kind}`);
    if ((declared.upgrades?.length ?? 0) !== version - 1)
      throw new Error(`${kind} is of version ${version} and needs ${version - 1} upgrades`);
    kinds.set(kind, declared);
  }
  return kinds;
}
