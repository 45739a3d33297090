import type { WrittenBatch } from '../kitchen-file';
import { potOf } from '../shelf';
import { tryResolve, type Shelf } from '../verbs';
import type { RunningBatch } from './pot-filter';

/** What of a batch is needed to look at its pot: its own lines and what was told of it. */
export type StoveSetup = Pick<WrittenBatch, 'recipe' | 'vessel' | 'hob' | 'startedAt' | 'steps' | 'events'>;

/** The lines of a batch as they were really done: what was used otherwise stands in the place of its line, the last that was told of it. */
export function stepsDone({ steps, events }: Pick<WrittenBatch, 'steps' | 'events'>): WrittenBatch['steps'] {
  const otherwise = new Map(events.flatMap((e) => (e.is === 'otherwise' ? [[e.step, e.as] as const] : [])));
  if (otherwise.size === 0) return steps;
  return steps.map((s) => {
    const as = otherwise.get(s.id ?? '');
    return as ? { ...as, id: s.id } : s;
  });
}

/** A batch ready to be followed; nothing where its vessel or hob has been put away. */
export function runningOf(batch: StoveSetup, shelf: Shelf): RunningBatch | undefined {
  if (!shelf.vessel(batch.vessel) || !shelf.hob(batch.hob)) return undefined;
  const { vessel, hob, events } = batch;
  return {
    pot: potOf({ vessel, hob, steps: stepsDone(batch) }, shelf),
    lines: batch.steps.map((s) => s.id ?? ''),
    startedAt: Date.parse(batch.startedAt),
    events,
    rescues: rescuesIn(batch, shelf),
  };
}

/** Lines of rescues as the pot can do them; one whose thing has been put away since does nothing. */
const rescuesIn = ({ events }: Pick<WrittenBatch, 'events'>, shelf: Shelf): RunningBatch['rescues'] =>
  Object.fromEntries(
    events.flatMap((e) => {
      if (e.is !== 'rescue') return [];
      const steps = e.steps.flatMap((s) => {
        const step = tryResolve(s, shelf);
        return step.ok ? [step.value] : [];
      });
      return [[e.id, steps]];
    }),
  );

const DAY_MS = 24 * 3_600_000;

/**
 * The moment at which a batch is looked at, ms: now; one that has been over for a day stands as it was when somebody last told of it.
 */
export function momentOf(
  { startedAt, events }: Pick<RunningBatch, 'startedAt' | 'events'>,
  now: number,
): number {
  const last = Math.max(startedAt, ...events.map((e) => Date.parse(e.at)));
  const over = events.some((e) => e.is === 'ended');
  return over && now - last > DAY_MS ? last : Math.max(now, last);
}
