import equal from 'fast-deep-equal';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { post } from './post';
import { remember } from './sent';
import { setStatus } from './status';
import type { Envelope } from './envelope';
import type { MayWait, No, Reply } from './wire';

/** A write that could not be sent, as it is kept in this browser. */
export interface QueuedWrite extends MayWait {
  readonly id: string;
  /** Only this person's hand sends it. */
  readonly person: string;
  /** ms; also its place in the queue. */
  readonly at: number;
  /** Where it was typed. */
  readonly page: { readonly path: string; readonly title: string };
  readonly envelope: Envelope;
  /** Whether it has been on its way: it may have arrived, though nobody answered. */
  readonly tried: boolean;
  /** Why it was not taken; it is not sent again by itself. */
  readonly refused?: Pick<No, 'code' | 'message' | 'version'>;
}

interface Schema extends DBSchema {
  waiting: { key: string; value: QueuedWrite };
}

/** Answers after which the same is simply sent again later. */
const LATER = new Set(['busy', 'no-database', 'failed', 'no-room', 'signed-out', 'other-person']);
/** ms between two tries while something waits. */
const AGAIN_MS = 4000;

let opened: Promise<IDBPDatabase<Schema>> | undefined;
const open = (): Promise<IDBPDatabase<Schema>> =>
  (opened ??= openDB<Schema>('half-pot', 1, {
    upgrade: (db) => void db.createObjectStore('waiting', { keyPath: 'id' }),
  }));

const NONE: readonly QueuedWrite[] = [];
let timer: ReturnType<typeof setTimeout> | undefined;
/** What waits, in the order in which it was typed; as it was read last. */
let list = NONE;
const watchers = new Set<() => void>();

/** What waits in this browser, of everybody, in its order. */
export const waitingNow = (): readonly QueuedWrite[] => list;
export const NOTHING_WAITS = (): readonly QueuedWrite[] => NONE;

/** @returns what ends the watching */
export function watchWaiting(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Reads again what waits: another window of this browser may have sent or added some. */
export async function readWaiting(): Promise<readonly QueuedWrite[]> {
  try {
    const all = await (await open()).getAll('waiting');
    all.sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1));
    // What waits as it did is the same: nothing that shows it is drawn or asked again.
    if (!equal(all, list)) list = all.length === 0 ? NONE : all;
    if (list === NONE) clearTimeout(timer);
    for (const watcher of watchers) watcher();
  } catch {
    // A browser without storage keeps nothing: what is typed is refused there, and stands in its field.
  }
  return list;
}

let person: string | undefined;

/** Who is at work at this screen: only theirs is sent. */
export function atWork(id: string): void {
  person = id;
}
export const whoIsAtWork = (): string | undefined => person;

/** Whether something of a thing waits already: what comes after it goes the same way. */
export const waitsFor = (thing: string): boolean =>
  list.some((w) => w.thing === thing && w.person === person && !w.refused);

/**
 * Keeps a write in this browser until it can be sent.
 * @returns whether it is kept: false where the browser keeps nothing, or nobody is at work
 */
export async function keepHere(may: MayWait, envelope: Envelope, tried: boolean): Promise<boolean> {
  if (person === undefined) return false;
  try {
    const db = await open();
    const before = list.findLast(
      (w) => w.person === person && w.thing === may.thing && w.envelope.kind === envelope.kind && !w.refused,
    );
    const entry: QueuedWrite = {
      ...may,
      id: envelope.commandId,
      person,
      at: Math.max(Date.now(), (list.at(-1)?.at ?? 0) + 1),
      page: { path: window.location.pathname + window.location.search, title: document.title },
      envelope,
      tried,
    };
    // What has never left this browser is simply said again.
    if (may.whole && before && !before.tried)
      await db.put('waiting', {
        ...before,
        words: may.words,
        envelope: { ...before.envelope, body: envelope.body },
      });
    else await db.put('waiting', entry);
    await readWaiting();
    again();
    return true;
  } catch {
    return false;
  }
}

/** Who wants to know what became of a write that waited; true where they show it themselves. */
type Heard = (sent: QueuedWrite, reply: Reply<unknown, unknown>) => boolean;
const listeners = new Set<Heard>();

/** @returns what ends the listening */
export function onSent(heard: Heard): () => void {
  listeners.add(heard);
  return () => listeners.delete(heard);
}

const told = (sent: QueuedWrite, reply: Reply<unknown, unknown>): boolean =>
  [...listeners].map((heard) => heard(sent, reply)).some(Boolean);

function again(): void {
  clearTimeout(timer);
  timer = setTimeout(() => void sendWaiting(), AGAIN_MS);
}

let sending: Promise<void> | undefined;

/** Sends what waits, one after the other, as long as somebody answers. Two windows of one browser take turns; sent twice it happens once. */
export function sendWaiting(): Promise<void> {
  sending ??= withLease(sendAll).finally(() => {
    sending = undefined;
    if (list.some((w) => w.person === person && !w.refused)) again();
  });
  return sending;
}

const withLease = async (work: () => Promise<void>): Promise<void> =>
  // Only pages that came safely have locks.
  'locks' in navigator ? void (await navigator.locks.request('half-pot waiting', work)) : work();

async function sendAll(): Promise<void> {
  await readWaiting();
  for (;;) {
    const next = list.find((w) => w.person === person && !w.refused);
    if (!next || !(await sendOne(next))) return;
    await readWaiting();
  }
}

/** @returns whether the next one may follow */
async function sendOne(next: QueuedWrite): Promise<boolean> {
  const db = await open();
  if (!next.tried) await db.put('waiting', { ...next, tried: true });
  const reply = await post(next.envelope);
  setStatus({ connected: reply !== undefined });
  if (!reply || (!reply.ok && LATER.has(reply.code))) return false;
  if (reply.ok) {
    remember(next, next.envelope, reply);
    await db.delete('waiting', next.id);
    await follow(next, reply.version);
    told(next, reply);
    setStatus({ kept: true });
    return true;
  }
  const isSaidAnew = list.some(
    (w) =>
      w.id !== next.id &&
      w.at > next.at &&
      w.thing === next.thing &&
      w.whole &&
      w.envelope.kind === next.envelope.kind,
  );
  const { code, message, version } = reply;
  if (isSaidAnew || told(next, reply)) await db.delete('waiting', next.id);
  else await db.put('waiting', { ...next, tried: true, refused: { code, message, version } });
  return true;
}

/** What was typed after something was typed at the version which that has left now. */
async function follow(sent: QueuedWrite, version: number | null): Promise<void> {
  const { seen } = sent.envelope;
  if (version === null || seen === null) return;
  const db = await open();
  for (const w of list)
    if (w.id !== sent.id && w.thing === sent.thing && w.person === sent.person && w.envelope.seen === seen)
      await db.put('waiting', { ...w, envelope: { ...w.envelope, seen: version } });
}

/** Gives up what was refused. */
export async function giveUp(id: string): Promise<void> {
  await (await open()).delete('waiting', id);
  await readWaiting();
}

/**
 * Sends again what was refused; where somebody else was faster, over theirs.
 * @param commandId a new one: under the old one something was answered
 */
export async function insist(id: string, commandId: string): Promise<void> {
  const db = await open();
  const found = await db.get('waiting', id);
  if (!found) return;
  const { refused, ...rest } = found;
  await db.delete('waiting', id);
  await db.put('waiting', {
    ...rest,
    id: commandId,
    tried: false,
    envelope: { ...found.envelope, commandId, seen: refused?.version ?? found.envelope.seen },
  });
  await sendWaiting();
}
