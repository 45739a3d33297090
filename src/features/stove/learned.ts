import 'server-only';
import {
  boilsTaught,
  checkForecast,
  nextSd,
  runningOf,
  type BoilsTaught,
  type ForecastCheck,
  type LessonOf,
  type TimesKind,
} from '@/core/batch';
import type { KitchenCosting } from '@/core/costing';
import { lineWords, namesIn, type WrittenBatch } from '@/core/kitchen-file';
import { dayIn, shiftDay } from '@/core/day';
import type { Boils, Vessel } from '@/core/pot';
import { readBatches } from '@/db/cooking/batches';
import { deliveriesOf } from '@/db/buying/deliveries';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { batchLessons } from './batch-lessons';
import {
  giversIn,
  timesOf,
  timesRows,
  type CameFrom,
  type LessonSource,
  type TimesRow,
} from './learned-times';
import { boilsEffect, type LearnedEffect } from './learned-effect';
import { endOf } from './queries';

/** A row of what batches teach. */
export interface LearnedRow extends Omit<BoilsTaught, 'lessons'> {
  readonly vesselName: string;
  readonly lessons: readonly (BoilsTaught['lessons'][number] & {
    readonly name: string;
    readonly on: string;
  })[];
  readonly inForce: Boils | undefined;
  /** It is another figure than the one in force, of two batches or more. */
  readonly waits: boolean;
  readonly moves: readonly LearnedEffect[];
  /** So many more sheets would move. */
  readonly moreMoves: number;
}

/** Something that was foretold before a batch, beside what came. */
export interface JudgedRow extends ForecastCheck {
  readonly batch: string;
  readonly name: string;
  readonly on: string;
  readonly line: string | undefined;
}

export interface LearnedPage {
  readonly rows: readonly LearnedRow[];
  readonly times: readonly TimesRow[];
  readonly judged: readonly JudgedRow[];
  readonly mayAccept: boolean;
  /** Batches that are over and were read. */
  readonly batches: number;
}

/** Batches that teach: the newest. Older ones say how the burner was. */
const MOST_BATCHES = 400;
/** A learned figure that differs by less does not wait. */
const WORTH_A_WORD = 0.03;
const LEAST_BATCHES = 2;

/** What batches say of how fast vessels boil away. */
function lessonsIn({ batches, said }: LessonSource): LessonOf[] {
  return batches.flatMap((batch) =>
    (said.get(batch.id)?.boils ?? []).map((lesson) => ({
      ...lesson,
      batch: batch.id,
      vessel: batch.vessel,
      leftOut: batch.events.find((e) => e.is === 'left out' && e.heat === lesson.heat && e.lid === lesson.lid)
        ?.id,
    })),
  );
}

/** Batches of a house that are over, and what they say. */
async function lookedAt(who: Pick<Worker, 'kitchenId'>, costing: KitchenCosting): Promise<LessonSource> {
  const batches = await readBatches(database(), who.kitchenId, { are: 'ended', most: MOST_BATCHES });
  return { batches, said: await batchLessons(costing, batches) };
}

const inForceOf = (
  vessel: Vessel | undefined,
  { heat, lid }: Pick<BoilsTaught, 'heat' | 'lid'>,
): Boils | undefined => vessel?.boils?.find((b) => b.heat === heat && b.lid === lid);

/** What is learned of an ingredient, a strainer, a sheet’s lines or a kind of step, as a multiple of the value in use; undefined where nothing is. */
export async function timesTaughtOf(
  who: Pick<Worker, 'kitchenId' | 'zone'>,
  costing: KitchenCosting,
  kind: TimesKind,
  of: string,
  supplier?: string,
): Promise<number | undefined> {
  const looked = await lookedAt(who, costing);
  if (supplier === undefined) return timesOf(costing, looked, kind, of);
  const from = await cameFrom(who, [of], looked.batches);
  return timesOf(costing, looked, kind, of, (l) => from(of, l.batch)?.id === supplier);
}

/** Days before a batch in which its bones came at the earliest. */
const KEPT_DAYS = 90;

/** Whose the bones of batches were, by the last delivery before each was put on. */
async function cameFrom(
  who: Pick<Worker, 'kitchenId' | 'zone'>,
  ingredients: readonly string[],
  batches: readonly WrittenBatch[],
): Promise<CameFrom> {
  const days = new Map(batches.map((b) => [b.id, dayIn(who.zone, new Date(b.startedAt))]));
  const first = [...days.values()].sort()[0];
  if (first === undefined) return () => undefined;
  const since = shiftDay(first, -KEPT_DAYS);
  const deliveries = await deliveriesOf(database(), who.kitchenId, ingredients, since);
  const of = new Map<string, (typeof deliveries)[number][]>();
  for (const d of deliveries) {
    const own = of.get(d.ingredient);
    if (own) own.push(d);
    else of.set(d.ingredient, [d]);
  }
  return (ingredient, batch) => {
    const day = days.get(batch) ?? '';
    const last = of.get(ingredient)?.findLast((d) => d.on <= day);
    return last && { id: last.supplier, name: last.supplierName };
  };
}

/** The figure that batches of a vessel have come to at a heat under a lid; undefined where there is none. */
export async function figureTaught(
  who: Pick<Worker, 'kitchenId'>,
  costing: KitchenCosting,
  of: { readonly vessel: string; readonly heat: string; readonly lid: string },
): Promise<(Boils & { readonly batches: number }) | undefined> {
  const rows = boilsTaught(lessonsIn(await lookedAt(who, costing)));
  const row = rows.find((r) => r.vessel === of.vessel && r.heat === of.heat && r.lid === of.lid);
  return row?.learned && figureOf(row, row.learned.mean);
}

const figureOf = (row: BoilsTaught, mean: number) => ({
  heat: row.heat,
  lid: row.lid,
  times: Number(mean.toFixed(3)),
  sd: Number(nextSd(row).toFixed(3)),
  batches: row.lessons.filter((l) => l.leftOut === undefined).length,
});

/** What the kitchen’s own pots teach, what each figure would move, and how often what was foretold held. */
export async function learnedPage(who: Worker): Promise<LearnedPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const looked = await lookedAt(who, costing);
  const { batches } = looked;
  const rows = boilsTaught(lessonsIn(looked));
  const byId = new Map(batches.map((b) => [b.id, b]));
  const names = namesIn(costing.state);
  return {
    rows: rows
      .map((row): LearnedRow => {
        const vessel = costing.shelf.vessel(row.vessel);
        const inForce = inForceOf(vessel, row);
        const counted = row.lessons.filter((l) => l.leftOut === undefined).length;
        const off = Math.abs((row.learned?.mean ?? 1) - (inForce?.times ?? 1));
        const waits = row.learned !== undefined && counted >= LEAST_BATCHES && off > WORTH_A_WORD;
        const moved =
          waits && row.learned
            ? boilsEffect(costing, row, figureOf(row, row.learned.mean))
            : { moves: [], more: 0 };
        return {
          ...row,
          vesselName: vessel?.name ?? '',
          lessons: row.lessons.map((l) => {
            const of = byId.get(l.batch);
            return { ...l, name: of?.name ?? '', on: of?.startedAt ?? '' };
          }),
          inForce,
          waits,
          moves: moved.moves,
          moreMoves: moved.more,
        };
      })
      .sort((a, b) => Number(b.waits) - Number(a.waits) || b.lessons.length - a.lessons.length),
    times: timesRows(costing, looked, byId, await cameFrom(who, giversIn(looked), batches)),
    judged: batches.flatMap((batch) => judgedRows(costing, batch, names)),
    mayAccept: may(who.role, 'manager'),
    batches: batches.length,
  };
}

function judgedRows(
  costing: KitchenCosting,
  batch: WrittenBatch,
  names: ReturnType<typeof namesIn>,
): JudgedRow[] {
  const running = runningOf(batch, costing.shelf);
  if (!running || !batch.foretold) return [];
  const got = endOf(costing, batch, running)?.got;
  return checkForecast(batch.foretold, running, got).map((j) => {
    const step = batch.steps.find((s) => s.id === j.step);
    return {
      ...j,
      batch: batch.id,
      name: batch.name,
      on: batch.startedAt,
      line: step && lineWords(step, {}, { ...names, self: batch.recipe }),
    };
  });
}
