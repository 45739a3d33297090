import { wrap, type Remote } from 'comlink';
import type { ParsedArrival, ParsedLine, OvernightForecast, Problem, RescueAdvice } from '@/core/batch';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import type { Heat } from '@/core/pot';
import type { BatchWorker, EstimateRequest } from '../../batch.worker';
import type { BatchShown } from '../../queries';

let worker: Remote<BatchWorker> | undefined;

/** One worker for all pots of a page: a reading is answered while the page stays at hand. */
export const batchWorker = (): Remote<BatchWorker> =>
  (worker ??= wrap<BatchWorker>(
    new Worker(new URL('../../batch.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** A batch to be looked at; nothing where its vessel or hob has been put away. */
export const estimateRequest = (
  { running, written, own }: BatchShown,
  events: readonly WrittenBatchEvent[],
  now: number,
): EstimateRequest | undefined => running && { running, written, own, events, now };

/** What may be asked about a pot: answered in this browser, out of what the house has. Undefined where that is not known here. */
export interface PotQuestions {
  putRight(problem: Problem, wanted: number | null): Promise<RescueAdvice | undefined>;
  cameIn(text: string): Promise<ParsedArrival | undefined>;
  line(id: string): Promise<string | undefined>;
  read(text: string): Promise<ParsedLine | undefined>;
  night(back: number, turned?: Heat): Promise<OvernightForecast | undefined>;
}

/** @param events all that has been told of it, what waits for the network too */
export function potQuestions(batch: BatchShown, events: readonly WrittenBatchEvent[]): PotQuestions {
  const about = async <T>(ask: (of: EstimateRequest) => Promise<T | undefined>): Promise<T | undefined> => {
    const of = estimateRequest(batch, events, Date.now());
    return of && ask(of);
  };
  return {
    putRight: (problem, wanted) =>
      about(async (of) => await batchWorker().putRight(of, problem, wanted, batch.sheet)),
    cameIn: (text) => about(async (of) => await batchWorker().cameIn(of, text)),
    line: (id) => about(async (of) => await batchWorker().line(of, id)),
    night: (back, turned) => about(async (of) => await batchWorker().night(of, back, turned)),
    read: (text) => about(async (of) => await batchWorker().read(of, text)),
  };
}
