import { expose } from 'comlink';
import {
  PotAdvisor,
  batchFigures,
  overnightForecast,
  type StoveSetup,
  type BatchFigures,
  type ParsedArrival,
  type ParsedLine,
  type OvernightForecast,
  type Pantry,
  type Problem,
  type RescueAdvice,
  type RunningBatch,
  type SheetTarget,
} from '@/core/batch';
import type { WrittenBatchEvent } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { Heat } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import type { Own } from './queries';

/** A batch to be looked at: as the page has read it, and all that has been told of it by now. */
export interface EstimateRequest {
  readonly running: RunningBatch;
  readonly written: StoveSetup;
  readonly own: Own;
  readonly events: readonly WrittenBatchEvent[];
  /** ms since 1970 */
  readonly now: number;
}

/** Where a batch is; and its lines in words where they are others than the page has read. */
interface Found {
  readonly figures: BatchFigures;
  readonly lines: readonly string[] | undefined;
}

/** What this house has may be so old before it is asked for again, ms. */
const FRESH_MS = 5 * 60_000;
let at: PotAdvisor | undefined;
let since = -Infinity;
let asking: Promise<void> | undefined;

/** Asks for what this house has: of the network, or of what the browser has kept of it. */
function askHouse(): Promise<void> {
  asking ??= fetch('/stove/pantry')
    .then(async (answer) => {
      if (!answer.ok) return;
      at = new PotAdvisor((await answer.json()) as Pantry);
      since = performance.now();
    })
    .catch(() => undefined)
    .finally(() => {
      asking = undefined;
    });
  return asking;
}

/** What may be said at a pot, as it is known here; an old answer now is better than a new one later. */
async function house(): Promise<PotAdvisor | undefined> {
  if (performance.now() - since < FRESH_MS) return at;
  const soon = askHouse();
  if (!at) await soon;
  return at;
}

const stands = ({ written, events }: EstimateRequest): StoveSetup => ({ ...written, events: [...events] });
const constantsOf = ({ own }: EstimateRequest) => ownConstants(own, CONSTANTS);

const naming = (events: readonly WrittenBatchEvent[]): string =>
  events
    .flatMap((e) => (e.is === 'rescue' || e.is === 'otherwise' ? [e.id] : []))
    .sort()
    .join(' ');

/** The batch with what names a thing of the house looked up here, and its lines in words, where some of that was told or taken back since the page was read. */
async function runningNow(
  of: EstimateRequest,
): Promise<{ running: RunningBatch; lines: readonly string[] | undefined }> {
  const here = naming(of.events) === naming(of.running.events) ? undefined : await house();
  return {
    running: here?.running(stands(of)) ?? { ...of.running, events: of.events },
    lines: here?.lines(stands(of)),
  };
}

const worker = {
  /** Asks ahead for what a house has, where it is not known or has become old. */
  ready: async (): Promise<void> => void (await house()),

  /** What this worker is made of: it is kept with the page. */
  parts: (): string[] => performance.getEntriesByType('resource').map((e) => e.name),

  /** Where a batch is at a moment. */
  async follow(of: EstimateRequest): Promise<Found> {
    const { running, lines } = await runningNow(of);
    return { figures: batchFigures(running, of.now, constantsOf(of), of.own.rules), lines };
  },

  /** What can be done about a pot; undefined where it is not known what the house has. */
  putRight: async (
    of: EstimateRequest,
    problem: Problem,
    wanted: number | null,
    sheet: SheetTarget,
  ): Promise<RescueAdvice | undefined> =>
    (await house())?.putRight(stands(of), { problem, wanted, sheet }, of.now, constantsOf(of)),

  /** What a pot is once something that was typed has come into it. */
  cameIn: async (of: EstimateRequest, text: string): Promise<ParsedArrival | undefined> =>
    (await house())?.cameIn(stands(of), text, of.now, constantsOf(of)),

  /** How it will stand that is left alone until somebody is back. */
  night: async (of: EstimateRequest, back: number, turned?: Heat): Promise<OvernightForecast> =>
    overnightForecast(
      (await runningNow(of)).running,
      of.now,
      back,
      constantsOf(of),
      of.own.rules?.night,
      turned,
    ),

  /** A line of it as one would type it. */
  line: async (of: EstimateRequest, id: string): Promise<string | undefined> =>
    (await house())?.line(stands(of), id),

  /** A line as somebody says that it was done. */
  read: async (of: EstimateRequest, text: string): Promise<ParsedLine | undefined> =>
    (await house())?.read(stands(of), text),
};
export type BatchWorker = typeof worker;

expose(worker);
