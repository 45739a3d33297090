import 'server-only';
import { createHmac } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';

import { clockIn, dayIn } from '@/core/day';
import type { KitchenState } from '@/core/kitchen-state';
import {
  startWrite,
  changesLeased,
  commandDone,
  forgetCommands,
  rememberCommand,
  REMEMBERED_DAYS,
} from '@/db/commands';
import { changesIn, recordChange, type ChangedBy } from '@/db/changes';
import {
  bumpRevision,
  changedIdsSince,
  currentRevision,
  forgetRevisions,
  isSameRevision,
  type RevisionMark,
} from '@/db/revisions';
import { takeVersion, versionOf } from '@/db/edits';
import { UnresponsiveError } from '@/db/watchdog';
import { BusyError, inTransaction, isDuplicate, isLockConflict, type Connection, type Sql } from '@/db/sql';
import { pathOf, type Envelope, type No, type Reply } from '@/wire';
import { now } from '../clock';
import { database } from '../database';
import { noRoom } from '../disk';
import { env } from '../env';
import { costedKitchen, pricedKitchen, standingKitchen, type Freshness } from '../kitchen';
import { log } from '../log';
import { withMutex } from '../mutex';
import { may, roleWords, type Rank, type Worker } from '../roles';
import { Refused, type AnyDeclared, type Looking, type Writing } from './declare';
import * as texts from './texts';
import { withLease, leaseReleased } from './lease';

/** How often a write is started again: after a lock conflict, or because the kitchen moved between looking and writing. */
const MOST_TRIES = 8;
/** Revisions that a first look may lie behind. */
const CACHED: Freshness = { behind: 100 };
const UP_TO_DATE: Freshness = { behind: 0 };
/** Tries before a write asks for a lease. The first is made at once, the others one after the other for each thing. */
const OPTIMISTIC_TRIES = 3;
const DAY_MS = 24 * 60 * 60 * 1000;

const no = (code: string, message: string, path = ''): No => ({ ok: false, code, message, path });

/** Thrown inside a transaction when something that was looked at has changed since. */
class DependencyChanged extends Error {
  /**
   * @param dependsOn ids that the write depends on; null where it may be anything
   * @param because one thing that has changed
   */
  constructor(
    readonly dependsOn: readonly string[] | null,
    readonly changedId = '',
  ) {
    super('moved on');
  }
}

/** Thrown inside a transaction when another writer, who was overtaken before, holds the lease. */
class LeaseHeld extends Error {}

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
 * the kitchen's next number first, change record, revision, and the answer kept with the write itself, so that sent twice it happens once.
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
  if (!may(who.role, declared.role)) {
    log.warn(
      { personId: who.person.id, kind: envelope.kind, role: who.role },
      'a write was refused: not allowed',
    );
    return no('not-allowed', mayNot(who.role, declared.role));
  }
  const room = await noRoom();
  if (room) return no('no-room', room);
  const body = readBody(declared, envelope);
  if (!('read' in body)) return body;
  try {
    const sent: Sent = { ...envelope, sha256: bodyHash(envelope.body) };
    const { reply, first, ready } = await inTries(declared, sent, body.read, who);
    if (first) await afterwards(declared, body.read, ready, who);
    return reply;
  } catch (error) {
    if (!(error instanceof Stale)) return failed(error, envelope.kind);
    // How it stands now is read when nothing is locked any more.
    const { looking } = lookingAs(who, envelope.seen, UP_TO_DATE);
    const theirs = await otherSide(declared, body.read, looking);
    return {
      ...no('stale', await overtaken(error.id, looking, tell)),
      theirs,
      version: await versionNow(declared, error.id, who),
    };
  } finally {
    forgetOld(who.kitchenId);
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

/** What was sent, with the hash it is known by. */
interface Sent extends Envelope {
  readonly sha256: string;
}

async function inTries(declared: AnyDeclared, sent: Sent, body: unknown, who: Worker): Promise<Tried> {
  // A cached kitchen is good enough to begin with, for a write that can tell whether anything it depends on has changed since.
  let fresh = declared.dependsOn ? CACHED : UP_TO_DATE;
  let dependsOn: readonly string[] | null = null;
  let changedId = '';
  for (let tries = 1; ; tries += 1) {
    const attempt = (holder: string | null) => tryOnce(declared, sent, body, who, { holder, fresh });
    try {
      if (tries > OPTIMISTIC_TRIES) return await withLease(who.kitchenId, dependsOn, attempt);
      return await (tries === 1
        ? attempt(null)
        : withMutex(`${who.kitchenId} ${changedId}`, () => attempt(null)));
    } catch (error) {
      // What is refused may have been made a moment ago.
      const again =
        error instanceof DependencyChanged ||
        isLockConflict(error) ||
        (fresh === CACHED && error instanceof Refused);
      fresh = UP_TO_DATE;
      if (!again || tries >= MOST_TRIES) throw error;
      if (error instanceof DependencyChanged) ({ dependsOn, changedId } = error);
      await pause(5 * tries * Math.random());
    }
  }
}

/** Looks once, and writes as soon as it is let in. */
async function tryOnce(
  declared: AnyDeclared,
  sent: Sent,
  body: unknown,
  who: Worker,
  { holder, fresh }: Pick<Looked, 'holder'> & { readonly fresh: Freshness },
): Promise<Tried> {
  const before = await commandDone(database(), who.kitchenId, sent.commandId);
  if (before) return sentBefore(before, who, sent);
  const { looking, stoodAt } = lookingAs(who, sent.seen, fresh);
  const ready = await declared.look(body, looking);
  const looked: Looked = { body, ready, looking, stoodAt: stoodAt(), holder };
  // Seen before anybody is kept waiting for it.
  if (looked.stoodAt.length > 0)
    await mustBeUnchanged(database(), declared, looked, await currentRevision(database(), who.kitchenId));
  for (;;)
    try {
      // One after the other: they would wait for the kitchen's row, each with a connection that looking needs.
      return await withMutex(`write ${who.kitchenId}`, () => writeOnce(declared, sent, looked));
    } catch (error) {
      if (!(error instanceof LeaseHeld)) throw error;
      await leaseReleased(who.kitchenId);
    }
}

interface Looked {
  readonly body: unknown;
  readonly ready: unknown;
  readonly looking: Looking;
  readonly stoodAt: readonly RevisionMark[];
  /** Holder of the lease, where this write has it. */
  readonly holder: string | null;
}

function writeOnce(declared: AnyDeclared, sent: Sent, looked: Looked): Promise<Tried> {
  const { body, ready, looking, holder } = looked;
  const { at, today, who } = looking;
  const { kitchenId } = who;
  const { commandId, kind, sha256 } = sent;
  return inTransaction(database(), async (sql) => {
    const started = await startWrite(sql, kitchenId);
    // Somebody may have sent the same write a moment ago.
    const done = await commandDone(sql, kitchenId, commandId);
    if (done) return sentBefore(done, who, sent);
    const lease = started.lease?.holder === holder ? undefined : started.lease;
    if (lease?.dependsOn === null) throw new LeaseHeld();
    await mustBeUnchanged(sql, declared, looked, started);
    const version = await takeSeen(sql, declared, body, looking);
    const writing: Writing = { sql, who, kitchenId, at, today, version };
    const { value, also = [], ...change } = await declared.write(writing, body, ready);
    if (lease?.dependsOn && (await changesLeased(sql, kitchenId, started, lease.dependsOn)))
      throw new LeaseHeld();
    for (const { what, subject, before, after, undoes } of [change, ...also])
      await recordChange(sql, {
        kitchenId,
        seq: started.seq,
        personId: who.person.id,
        at,
        what,
        subjectId: subject,
        before,
        after,
        undoes,
        act: commandId,
      });
    if (declared.moves === 'costs') await bumpRevision(sql, kitchenId);
    const reply = { ok: true as const, value, version };
    await rememberCommand(
      sql,
      kitchenId,
      { id: commandId, personId: who.person.id, kind, bodySha256: sha256, answer: reply },
      at,
    );
    return { reply, first: true, ready };
  });
}

/** @throws DependencyChanged where something has changed since that the write depends on */
async function mustBeUnchanged(
  sql: Sql,
  { dependsOn: idsOf }: AnyDeclared,
  { body, ready, stoodAt, looking }: Looked,
  now: RevisionMark,
): Promise<void> {
  const dependsOn = idsOf ? [...idsOf(body, ready)] : null;
  for (const at of stoodAt) {
    if (isSameRevision(at, now)) continue;
    const changed = dependsOn && (await changedIdsSince(sql, looking.who.kitchenId, at, now));
    if (!changed || changed.house.length > 0) throw new DependencyChanged(dependsOn);
    const { ingredients, articles, recipes, plates } = changed;
    const moved = new Set([...ingredients, ...articles, ...recipes, ...plates]);
    const changedId = dependsOn.find((id) => moved.has(id));
    if (changedId !== undefined) throw new DependencyChanged(dependsOn, changedId);
  }
}

/** What a write sees before it is done, and where the kitchen stood each time it looked. */
function lookingAs(who: Worker, seen: number | null, fresh: Freshness) {
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
    state: async () => (await kept(standingKitchen(who.kitchenId, fresh))).state,
    supplies: async () => (await kept(pricedKitchen(who.kitchenId, undefined, fresh))).supplies,
    costed: () => kept(costedKitchen(who.kitchenId, undefined, fresh)),
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
  { kind, sha256 }: Sent,
): Tried {
  const same = done.personId === who.person.id && done.kind === kind && done.bodySha256 === sha256;
  const reply = same
    ? (done.answer as Reply<unknown, unknown>)
    : no('id-twice', texts.underCommandsIdSomething);
  return { reply, first: false, ready: undefined };
}

/** What a write that was not done is answered. */
export function failed(error: unknown, kind: string): No<unknown> {
  if (error instanceof Refused) {
    const { code, message, path, numbers } = error.trouble;
    const mistakes = error.more.mistakes?.map((m) => ({ path: m.path, message: m.message }));
    return { ok: false, code, message, path, numbers, mistakes, theirs: error.more.theirs };
  }
  if (isDuplicate(error)) return no('there-already', texts.somethingNameOrNumber);
  if (error instanceof DependencyChanged || error instanceof BusyError || isLockConflict(error))
    return no('busy', texts.manyPeopleWritingMoment);
  log.error({ err: error, kind }, 'a write failed');
  if (error instanceof UnresponsiveError) return no('no-database', texts.kitchensRecordsDoNot);
  return no('failed', texts.couldNotSavedSomething);
}

let forgotAt = 0;
const writes = new Map<string, number>();
/** Writes of a kitchen after which its old revisions are forgotten. */
const FORGET_EVERY = 100;

/** Now and then forgets revisions that nobody stands at, and writes that nobody will send again. */
function forgetOld(kitchenId: string): void {
  const count = (writes.get(kitchenId) ?? 0) + 1;
  writes.set(kitchenId, count);
  if (count % FORGET_EVERY === 0)
    forgetRevisions(database(), kitchenId).catch((error: unknown) =>
      log.error({ err: error }, 'old revisions could not be forgotten'),
    );
  const at = now().getTime();
  if (at - forgotAt < DAY_MS / 24) return;
  forgotAt = at;
  forgetCommands(database(), new Date(at - REMEMBERED_DAYS * DAY_MS)).catch((error: unknown) =>
    log.error({ err: error }, 'old commands could not be forgotten'),
  );
}
