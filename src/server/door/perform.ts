import 'server-only';
import { createHmac } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';

import { clockIn, dayIn } from '@/core/day';
import type { KitchenState } from '@/core/kitchen-state';
import { commandDone, forgetCommands, lockKitchen, rememberCommand, REMEMBERED_DAYS } from '@/db/commands';
import { changesIn, recordChange, type ChangedBy } from '@/db/changes';
import { bumpRevision, isSameRevision, type RevisionMark } from '@/db/revisions';
import { takeVersion, versionOf } from '@/db/edits';
import { UnresponsiveError } from '@/db/watchdog';
import { BusyError, inTransaction, isDuplicate, isLockConflict, type Connection } from '@/db/sql';
import { pathOf, type Envelope, type No, type Reply } from '@/wire';
import { now } from '../clock';
import { database } from '../database';
import { noRoom } from '../disk';
import { env } from '../env';
import { costedKitchen, pricedKitchen, standingKitchen } from '../kitchen';
import { log } from '../log';
import { may, roleWords, type Rank, type Worker } from '../roles';
import { withMutex } from '../mutex';
import { Refused, type AnyDeclared, type Looking, type Writing } from './declare';
import * as texts from './texts';

/** How often a write is started again: after a lock conflict, or because the kitchen moved between looking and writing. */
const MOST_TRIES = 8;
const DAY_MS = 24 * 60 * 60 * 1000;

const no = (code: string, message: string, path = ''): No => ({ ok: false, code, message, path });

/** Thrown inside a transaction when the kitchen is no longer as it was looked at. */
class MovedOn extends Error {}

/** Hash of a body by what it says, whatever order its fields came in. Keyed: a body may hold a secret, and nobody is to try secrets against it. */
export function bodyHash(body: unknown): string {
  const sorted = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(sorted)
      : typeof value === 'object' && value !== null
        ? Object.fromEntries(
            Object.entries(value)
              .sort(([a], [b]) => (a < b ? -1 : 1))
              .map(([key, x]) => [key, sorted(x)]),
          )
        : value;
  return createHmac('sha256', env().HALFPOT_SECRET)
    .update(JSON.stringify(sorted(body)) ?? '')
    .digest('hex');
}

/** Tells a change in words, with what the kitchen calls things now. */
export type Tell = (change: ChangedBy, state: KitchenState) => string;

/**
 * The one way to write: role, version of the kind, shape of the body, version seen, one transaction on one connection that takes
 * the kitchen's row first, change record, revision, and the answer kept with the write itself, so that sent twice it happens once.
 *
 * @param who somebody at work; undefined where nobody is signed in
 * @param tell what somebody else changed, to the person who was overtaken; without it only who and when
 */
export async function perform(
  declared: AnyDeclared | undefined,
  envelope: Envelope,
  who: Worker | undefined,
  tell?: Tell,
): Promise<Reply<unknown, unknown>> {
  if (!who) return no('signed-out', texts.youSignedOutSign);
  if (envelope.person !== undefined && envelope.person !== who.person.id)
    return no('other-person', texts.signedHereNowTyped(who.person.name));
  if (!declared) return no('unknown-kind', texts.writtenAnotherVersionHalf);
  if (!may(who.role, declared.role)) return no('not-allowed', mayNot(who.role, declared.role));
  const room = await noRoom();
  if (room) return no('no-room', room);
  const body = readBody(declared, envelope);
  if (!('read' in body)) return body;
  try {
    const { reply, first, ready } = await inTries(declared, envelope, body.read, who);
    if (first) await afterwards(declared, body.read, ready, who);
    return reply;
  } catch (error) {
    if (!(error instanceof Stale)) return failed(error, envelope.kind);
    // How it stands now is read when nothing is locked any more.
    const { looking } = lookingAs(who, envelope.seen);
    const theirs = await otherSide(declared, body.read, looking);
    return {
      ...no('stale', await overtaken(error.id, looking, tell)),
      theirs,
      version: await versionNow(declared, error.id, who),
    };
  } finally {
    forgetOld();
  }
}

const mayNot = (rank: Rank, least: Rank): string => texts.mayLookButNot(roleWords(rank), least);

/** How the thing stands now, for the person who was overtaken; undefined where that cannot be told. */
async function otherSide({ changes, wire }: AnyDeclared, body: unknown, looking: Looking): Promise<unknown> {
  try {
    return await changes?.theirs(body, looking);
  } catch (error) {
    log.error({ err: error, kind: wire.kind }, 'the other side of a stale write could not be read');
    return undefined;
  }
}

/** The version that the other side stands at; undefined where the thing has gone. */
const versionNow = async ({ changes }: AnyDeclared, id: string, who: Worker): Promise<number | undefined> =>
  changes && versionOf(database(), changes.table, who.kitchenId, id);

/** Who was faster, when, and with what: one of the two is kept. */
async function overtaken(id: string, { who, state }: Looking, tell: Tell | undefined): Promise<string> {
  const [last] = await changesIn(database(), who.kitchenId, { subject: id, most: 1 });
  if (!last) return texts.somebodyChangedWhileYou;
  const by = texts.changedWhileYouEditing(last.byName, clockIn(who.zone, last.at));
  const what = tell ? ` (${tell(last, await state())})` : '';
  return texts.keepYoursOrTake(by, what);
}

/** What follows a write that has been done: whatever becomes of it, the write has been kept, and that is what is answered. */
async function afterwards(
  { then, wire }: AnyDeclared,
  body: unknown,
  ready: unknown,
  who: Worker,
): Promise<void> {
  try {
    await then?.(body, ready, who);
  } catch (error) {
    log.error({ err: error, kind: wire.kind }, 'what follows a write failed');
  }
}

/** The body brought up to the version this server writes, and checked; or why it cannot be taken. */
function readBody(
  { wire, upgrades = [] }: AnyDeclared,
  { kindVersion, body }: Envelope,
): { readonly read: unknown } | No {
  if (kindVersion > wire.version) return no('newer-kind', texts.halfPotUpdatedWhile);
  const current = upgrades.slice(kindVersion - 1).reduce<unknown>((older, up) => up(older), body);
  const read = wire.body.safeParse(current);
  if (read.success) return { read: read.data };
  const mistakes = read.error.issues.map((i) => ({ path: pathOf(i.path), message: i.message }));
  return { ...no('bad-field', mistakes[0]?.message ?? '', mistakes[0]?.path ?? ''), mistakes };
}

interface Tried {
  readonly reply: Reply<unknown, unknown>;
  /** Whether it was done now, and not before. */
  readonly first: boolean;
  readonly ready: unknown;
}

async function inTries(
  declared: AnyDeclared,
  envelope: Envelope,
  body: unknown,
  who: Worker,
): Promise<Tried> {
  for (let tries = 1; ; tries += 1) {
    const attempt = () => tryOnce(declared, envelope, body, who);
    try {
      // A writer who was overtaken once waits for a turn: overtaken for ever would be lost as well.
      return await (tries === 1 ? attempt() : withMutex(who.kitchenId, attempt));
    } catch (error) {
      const again = error instanceof MovedOn || isLockConflict(error);
      if (!again || tries >= MOST_TRIES) throw error;
      await pause(5 * tries * Math.random());
    }
  }
}

async function tryOnce(
  declared: AnyDeclared,
  { commandId, kind, seen, body: typed }: Envelope,
  body: unknown,
  who: Worker,
): Promise<Tried> {
  const { kitchenId } = who;
  const bodySha256 = bodyHash(typed);
  const before = await commandDone(database(), kitchenId, commandId);
  if (before) return { reply: sentBefore(before, who, kind, bodySha256), first: false, ready: undefined };
  const { looking, stoodAt } = lookingAs(who, seen);
  const ready = await declared.look(body, looking);
  return inTransaction(database(), async (sql) => {
    const stands = await lockKitchen(sql, kitchenId);
    // Somebody may have sent the same write a moment ago.
    const done = await commandDone(sql, kitchenId, commandId);
    if (done) return { reply: sentBefore(done, who, kind, bodySha256), first: false, ready };
    if (!stoodAt().every((at) => isSameRevision(at, stands))) throw new MovedOn();
    const version = await takeSeen(sql, declared, body, looking);
    const writing: Writing = { sql, who, kitchenId, at: looking.at, today: looking.today, version };
    const { value, also = [], ...change } = await declared.write(writing, body, ready);
    for (const { what, subject, before: was, after, undoes } of [change, ...also])
      await recordChange(sql, {
        kitchenId,
        personId: who.person.id,
        at: looking.at,
        what,
        subjectId: subject,
        before: was,
        after,
        undoes,
        act: commandId,
      });
    if (declared.moves === 'costs') await bumpRevision(sql, kitchenId);
    const reply = { ok: true as const, value, version };
    await rememberCommand(
      sql,
      kitchenId,
      { id: commandId, personId: who.person.id, kind, bodySha256, answer: reply },
      looking.at,
    );
    return { reply, first: true, ready };
  });
}

/** What a write sees before it is done, and where the kitchen stood each time it looked. */
function lookingAs(who: Worker, seen: number | null) {
  const { zone } = who;
  const at = now();
  const stood: RevisionMark[] = [];
  const kept = async <T extends { readonly stood: RevisionMark }>(read: Promise<T>): Promise<T> => {
    const found = await read;
    stood.push(found.stood);
    return found;
  };
  const looking: Looking = {
    who,
    at,
    today: dayIn(zone, at),
    seen,
    state: async () => (await kept(standingKitchen(who.kitchenId))).state,
    supplies: async () => (await kept(pricedKitchen(who.kitchenId))).supplies,
    costed: () => kept(costedKitchen(who.kitchenId)),
  };
  return { looking, stoodAt: (): readonly RevisionMark[] => stood };
}

/** Takes the next version of what is changed, or refuses, telling who changed it meanwhile and how it stands now. */
async function takeSeen(
  sql: Connection,
  { changes }: AnyDeclared,
  body: unknown,
  looking: Looking,
): Promise<number | null> {
  const { who, seen } = looking;
  const id = changes?.id(body, who) ?? null;
  // What was not there before has no version that anybody could have seen.
  if (!changes || id === null) return null;
  if (seen !== null && (await takeVersion(sql, changes.table, who.kitchenId, id, seen))) return seen + 1;
  throw new Stale(id);
}

/** Thrown for a write whose thing has moved on; the other side is read once the locks are gone. */
class Stale extends Error {
  constructor(readonly id: string) {
    super('stale');
  }
}

function sentBefore(
  done: NonNullable<Awaited<ReturnType<typeof commandDone>>>,
  who: Worker,
  kind: string,
  bodySha256: string,
): Reply<unknown, unknown> {
  return done.personId === who.person.id && done.kind === kind && done.bodySha256 === bodySha256
    ? (done.answer as Reply<unknown, unknown>)
    : no('id-twice', texts.underCommandsIdSomething);
}

function failed(error: unknown, kind: string): No<unknown> {
  if (error instanceof Refused) {
    const { code, message, path, numbers } = error.trouble;
    const mistakes = error.more.mistakes?.map((m) => ({ path: m.path, message: m.message }));
    return { ok: false, code, message, path, numbers, mistakes, theirs: error.more.theirs };
  }
  if (isDuplicate(error)) return no('there-already', texts.somethingNameOrNumber);
  if (error instanceof MovedOn || error instanceof BusyError || isLockConflict(error))
    return no('busy', texts.manyPeopleWritingMoment);
  log.error({ err: error, kind }, 'a write failed');
  if (error instanceof UnresponsiveError) return no('no-database', texts.kitchensRecordsDoNot);
  return no('failed', texts.couldNotSavedSomething);
}

let forgotAt = 0;

/** Now and then forgets writes that nobody will send again. */
function forgetOld(): void {
  const at = now().getTime();
  if (at - forgotAt < DAY_MS / 24) return;
  forgotAt = at;
  forgetCommands(database(), new Date(at - REMEMBERED_DAYS * DAY_MS)).catch((error: unknown) =>
    log.error({ err: error }, 'old commands could not be forgotten'),
  );
}
