import type { Alarm } from '@/core/batch';

/** A pot that calls. */
export interface Alarms {
  readonly batch: string;
  readonly name: string;
  /** The line at hand, in words. */
  readonly line: string | undefined;
  readonly calls: readonly Alarm[];
}

let all: readonly Alarms[] = [];
const watchers = new Set<() => void>();

export const currentAlarms = (): readonly Alarms[] => all;
const NONE: readonly Alarms[] = [];
export const NO_ALARMS = (): readonly Alarms[] => NONE;

/** @returns what ends the watching */
export function watchAlarms(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Says what a pot on the page calls for now; nothing of one that has gone from it. */
export function setAlarms(of: Alarms): void {
  const others = all.filter((c) => c.batch !== of.batch);
  all = of.calls.length > 0 ? [...others, of] : others;
  for (const watcher of watchers) watcher();
}

const HEARD = 'half-pot-heard';
/** Calls that a device remembers to have been heard. */
const MOST = 400;

/** Calls that somebody has heard on this device. */
export function heard(): ReadonlySet<string> {
  try {
    return new Set(JSON.parse(localStorage.getItem(HEARD) ?? '[]') as readonly string[]);
  } catch {
    return new Set();
  }
}

export function hear(keys: readonly string[]): void {
  try {
    localStorage.setItem(HEARD, JSON.stringify([...heard(), ...keys].slice(-MOST)));
  } catch {
    // A browser without storage is told again after a reload.
  }
}
