import { wrap, type Remote } from 'comlink';
import type { CameIn, LineRead, NightAhead, Problem, PutRight } from '@/core/batch';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import type { Heat } from '@/core/pot';
import type { FollowWorker, Looked } from '../follow.worker';
import type { BatchShown } from '../queries';

let worker: Remote<FollowWorker> | undefined;

/** One worker for all pots of a page: a reading is answered while the page stays at hand. */
export const following = (): Remote<FollowWorker> =>
  (worker ??= wrap<FollowWorker>(
    new Worker(new URL('../follow.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** A batch to be looked at; nothing where its vessel or hob has been put away. */
export const looked = (
  { running, written, own }: BatchShown,
  events: readonly WrittenBatchEvent[],
  now: number,
): Looked | undefined => running && { running, written, own, events, now };

/** What may be asked about a pot: answered in this browser, out of what the house has. Undefined where that is not known here. */
export interface AskPot {
  putRight(problem: Problem, wanted: number | null): Promise<PutRight | undefined>;
  cameIn(text: string): Promise<CameIn | undefined>;
  line(id: string): Promise<string | undefined>;
  read(text: string): Promise<LineRead | undefined>;
  night(back: number, turned?: Heat): Promise<NightAhead | undefined>;
}

/** @param events all that has been told of it, what waits for the network too */
export function askPot(batch: BatchShown, events: readonly WrittenBatchEvent[]): AskPot {
  const about = async <T>(ask: (of: Looked) => Promise<T | undefined>): Promise<T | undefined> => {
    const of = looked(batch, events, Date.now());
    return of && ask(of);
  };
  return {
    putRight: (problem, wanted) =>
      about(async (of) => await following().putRight(of, problem, wanted, batch.sheet)),
    cameIn: (text) => about(async (of) => await following().cameIn(of, text)),
    line: (id) => about(async (of) => await following().line(of, id)),
    night: (back, turned) => about(async (of) => await following().night(of, back, turned)),
    read: (text) => about(async (of) => await following().read(of, text)),
  };
}
