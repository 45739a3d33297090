import { sleep } from './processes';
import { say } from './stop';

/** s of pause before something that has ended by itself is started again: longer each time. After the last it is left. */
const PAUSES_S = [1, 2, 5, 10, 30];
/** ms of running after which what went wrong before is forgotten. */
const FORGIVEN_MS = 10 * 60_000;

export interface Kept {
  /** Such as “The database”. */
  readonly what: string;
  /** Where it says why it ended. */
  readonly log: string;
  /** Settles when it ends. */
  readonly ended: () => Promise<unknown>;
  readonly again: () => Promise<unknown>;
  /** Whether we are ending it ourselves. */
  readonly stopping: () => boolean;
}

/**
 * Keeps something going: whenever it ends by itself it is started again, after a pause that grows.
 * @returns when it has ended once too often, or because we are stopping
 */
export async function keepAlive(kept: Kept, pausesS: readonly number[] = PAUSES_S): Promise<void> {
  const { what, log, ended, again, stopping } = kept;
  for (let many = 0; ; many += 1) {
    const since = Date.now();
    await ended();
    if (stopping()) return;
    if (Date.now() - since > FORGIVEN_MS) many = 0;
    const pause = pausesS[many];
    if (pause === undefined) {
      say(`${what} has ended by itself ${many + 1} times and is not started again; its log is ${log}.`);
      return;
    }
    say(`${what} has ended by itself (its log is ${log}); it is started again in ${pause} s.`);
    await sleep(pause * 1000);
    if (stopping()) return;
    try {
      await again();
      say(`${what} runs again.`);
    } catch (error) {
      say(`${what} did not start: ${error instanceof Error ? error.message : 'unknown'}`);
    }
  }
}
