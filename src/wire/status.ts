/** How it stands with what is written from this page: what the words in the bar say. */
export interface Status {
  /** Writes that are under way. */
  readonly sending: number;
  /** Whether the kitchen's computer answered the last time it was asked. */
  readonly connected: boolean;
  /** Whether anything has been kept since the page was opened. */
  readonly kept: boolean;
}

export const AT_FIRST: Status = { sending: 0, connected: true, kept: false };
let status = AT_FIRST;
const watchers = new Set<() => void>();

export const statusNow = (): Status => status;

/** Says that something of it is otherwise now. */
export function setStatus(change: Partial<Status> | ((was: Status) => Partial<Status>)): void {
  status = { ...status, ...(typeof change === 'function' ? change(status) : change) };
  for (const watcher of watchers) watcher();
}

/** What a browser itself says of its network: asked or not, the words in sight follow it. */
export const networkIs = (there: boolean): void => setStatus({ connected: there });

/** @returns what ends the watching */
export function watchStatus(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Waits until nothing is under way any more. */
export const whenSent = (): Promise<void> =>
  new Promise((done) => {
    if (status.sending === 0) return done();
    const end = watchStatus(() => {
      if (status.sending > 0) return;
      end();
      done();
    });
  });
