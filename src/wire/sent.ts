import equal from 'fast-deep-equal';
import type { Envelope } from './envelope';
import type { MayWait, Reply } from './wire';

/** A write that was sent from this browser and done: what its thing said of itself then. */
export interface SentWrite {
  readonly thing: string;
  readonly kind: string;
  readonly body: unknown;
  readonly value: unknown;
  /** ms since 1970, by this browser's clock. */
  readonly at: number;
}

const KEY = 'half-pot-sent';
/** Pages that a browser has kept are older than what it has sent since: so much is remembered, and for so long. */
const MOST = 300;
const LONG_MS = 2 * 24 * 3_600_000;

const NONE: readonly SentWrite[] = [];
let list: readonly SentWrite[] | undefined;
const watchers = new Set<() => void>();

function stored(): readonly SentWrite[] {
  let all: readonly SentWrite[];
  try {
    all = JSON.parse(localStorage.getItem(KEY) ?? '[]') as readonly SentWrite[];
  } catch {
    // A browser without storage forgets with its page.
    all = list ?? NONE;
  }
  return all.filter((s) => Date.now() - s.at < LONG_MS);
}

/** What was sent from this browser of what is remembered, in the order in which it was. */
export const sentNow = (): readonly SentWrite[] => (list ??= stored());
export const NOTHING_SENT = (): readonly SentWrite[] => NONE;

/** @returns what ends the watching */
export function watchSent(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

function set(all: readonly SentWrite[]): void {
  list = all;
  try {
    localStorage.setItem(KEY, JSON.stringify(all));
  } catch {
    // As above.
  }
  for (const watcher of watchers) watcher();
}

/** Remembers a write that was done, where its kind is remembered. */
export function remember(
  may: MayWait | undefined,
  { kind, body }: Envelope,
  reply: Reply<unknown, unknown> | undefined,
): void {
  if (!may?.remembered || !reply?.ok) return;
  // Another window may have added some since.
  const all = stored().filter((s) => s.kind !== kind || !equal(s.body, body));
  set([...all, { thing: may.thing, kind, body, value: reply.value, at: Date.now() }].slice(-MOST));
}
