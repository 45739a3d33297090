import 'server-only';
import { setImmediate as soon } from 'node:timers/promises';
import { LRUCache } from 'lru-cache';
import {
  boilsTaught,
  fires,
  handsToldOf,
  keptToldOf,
  judged,
  lessonsOf,
  nextSd,
  runningOf,
  saysHowMuch,
  timesTaught,
  type BoilsTaught,
  type Judged,
  type KeptLesson,
  type Lesson,
  type LessonOf,
  type Running,
  type TimesKind,
  type TimesLesson,
  type TimesTaught,
} from '@/core/batch';
import type { KitchenCosting } from '@/core/costing';
import type { WrittenBatch } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { Boils, ProcessConstants, Vessel } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { productOf, usableOf } from '@/core/supply';
import { cookedOn, lineWords, namesIn } from '@/core/kitchen-file';
import { runPot } from '@/core/verbs';
import { readBatches } from '@/db/batches';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { endOf, physicsOf } from './queries';

/** A sheet that stands in a vessel at a heat, before and after what was learned. */
export interface Moves {
  readonly recipe: string;
  readonly name: string;
  readonly litres: readonly [before: number, after: number];
  readonly hours: readonly [before: number, after: number];
  /** Money a litre; null where it is not known. */
  readonly perL: readonly [before: number | null, after: number | null];
}

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
  readonly moves: readonly Moves[];
}

/** Something that was foretold before a batch, beside what came. */
export interface JudgedRow extends Judged {
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

/** A figure that is learned in times of what is reckoned with now. */
export interface TimesRow extends Omit<TimesTaught, 'lessons'> {
  readonly kind: TimesKind;
  readonly title: string;
  readonly lessons: readonly (TimesTaught['lessons'][number] & {
    readonly name: string;
    readonly on: string;
  })[];
  readonly waits: boolean;
  /** It is reckoned with as it was weighed on the bench: there, and not here, it moves. */
  readonly weighed: boolean;
}

/** Batches that teach: the newest. Older ones say how the burner was. */
const MOST_BATCHES = 400;
/** A learned figure that differs by less does not wait. */
const WORTH_A_WORD = 0.03;
const LEAST_BATCHES = 2;

/** What batches taught, by what they are and what was told of them: a batch that stands is not followed again. */
const known = new LRUCache<string, readonly Lesson[]>({ max: 4 * MOST_BATCHES });

async function lessonsIn(costing: KitchenCosting, batches: readonly WrittenBatch[]): Promise<LessonOf[]> {
  const c = ownConstants(costing.state.kitchen, CONSTANTS);
  const found: LessonOf[] = [];
  for (const batch of batches) {
    const running = runningOf(batch, costing.shelf);
    if (!running) continue;
    const key = JSON.stringify([batch.id, batch.events.map((e) => e.id), running.pot]);
    let lessons = known.get(key);
    if (!lessons) {
      lessons = lessonsOf(running, c);
      known.set(key, lessons);
      // Others are answered in between.
      await soon();
    }
    found.push(
      ...lessons.map((lesson) => ({
        ...lesson,
        batch: batch.id,
        vessel: batch.vessel,
        leftOut: batch.events.find(
          (e) => e.is === 'left out' && e.heat === lesson.heat && e.lid === lesson.lid,
        )?.id,
      })),
    );
  }
  return found;
}

const inForceOf = (
  vessel: Vessel | undefined,
  { heat, lid }: Pick<BoilsTaught, 'heat' | 'lid'>,
): Boils | undefined => vessel?.boils?.find((b) => b.heat === heat && b.lid === lid);

/** What figures would move, held while the kitchen stands. */
const moved = new WeakMap<KitchenCosting, Map<string, readonly Moves[]>>();
function movesHeld(costing: KitchenCosting, row: BoilsTaught, after: Boils): readonly Moves[] {
  const held = moved.get(costing) ?? new Map<string, readonly Moves[]>();
  moved.set(costing, held);
  const key = JSON.stringify([row.vessel, after]);
  const known = held.get(key) ?? movesOf(costing, row, after);
  held.set(key, known);
  return known;
}

/** What a figure would make of the sheets that stand in its vessel at its heat. */
function movesOf(costing: KitchenCosting, row: BoilsTaught, after: Boils): Moves[] {
  const { state, shelf, recipes, graph } = costing;
  const c = ownConstants(state.kitchen, CONSTANTS);
  return state.recipes.flatMap((r): Moves[] => {
    const now = recipes.get(r.id)?.run;
    if (r.vessel !== row.vessel || !now?.product) return [];
    const pot = potOf(r, shelf);
    if (!fires(pot.steps).some((f) => f.heat === row.heat && f.lid === row.lid)) return [];
    const others = (pot.vessel.boils ?? []).filter((b) => b.heat !== row.heat || b.lid !== row.lid);
    const then = runPot({ ...pot, vessel: { ...pot.vessel, boils: [...others, after] } }, c);
    if (!then.product) return [];
    const perG = graph.cost(productOf(r.id));
    const perL = perG === null ? null : (perG * now.product.g) / (now.product.ml / 1000);
    return [
      {
        recipe: r.id,
        name: r.name,
        litres: [now.product.ml / 1000, then.product.ml / 1000],
        hours: [now.rows.at(-1)?.hobHours ?? 0, then.rows.at(-1)?.hobHours ?? 0],
        perL: [perL, perL === null ? null : (perL * now.product.ml) / then.product.ml],
      },
    ];
  });
}

/** What batches of a house have taught. */
async function taughtIn(
  who: Pick<Worker, 'kitchenId'>,
  costing: KitchenCosting,
): Promise<{ readonly rows: BoilsTaught[]; readonly batches: readonly WrittenBatch[] }> {
  const batches = await readBatches(database(), who.kitchenId, { are: 'ended', most: MOST_BATCHES });
  return { rows: boilsTaught(await lessonsIn(costing, batches)), batches };
}

/** What of a batch gives most of its gelatin: an ingredient’s id; undefined where nothing does. */
function giverOf(
  state: KitchenCosting['state'],
  inputs: readonly { readonly supply: string; readonly g: number }[],
) {
  const per = new Map(
    state.ingredients.map((i) => [usableOf(i.id) as string, { id: i.id, gPerKg: i.gelatin?.gPerKg ?? 0 }]),
  );
  let most: { id: string; g: number } | undefined;
  for (const { supply, g } of inputs) {
    const of = per.get(supply);
    if (of && of.gPerKg * g > (most?.g ?? 0)) most = { id: of.id, g: of.gPerKg * g };
  }
  return most?.id;
}

const leftOutIn = ({ events }: WrittenBatch, kind: TimesKind, of: string): string | undefined =>
  events.find((e) => e.is === 'not learned' && e.kind === kind && e.of === of)?.id;

/** What solids kept in batches that are over, held while nothing of them is another. */
const kept = new LRUCache<string, readonly KeptLesson[]>({ max: 2 * MOST_BATCHES });
function keptHeld(batch: WrittenBatch, running: Running, c: ProcessConstants) {
  const key = JSON.stringify([batch.id, batch.events.map((e) => e.id), running.pot]);
  const known = kept.get(key) ?? keptToldOf(running, c);
  kept.set(key, known);
  return known;
}

/** What batches say of what bones give, of what solids keep, and of minutes of hands. */
function timesIn(costing: KitchenCosting, batches: readonly WrittenBatch[], kind: TimesKind): TimesTaught[] {
  const c = ownConstants(costing.state.kitchen, CONSTANTS);
  const wanted = (b: WrittenBatch): boolean =>
    b.events.some((e) =>
      kind === 'keeps'
        ? saysHowMuch(e)
        : kind === 'gives'
          ? e.is === 'brix'
          : e.is === 'done' && e.handsMin !== undefined,
    );
  const lessons = batches.filter(wanted).flatMap((batch): TimesLesson[] => {
    const running = runningOf(batch, costing.shelf);
    if (!running) return [];
    const { run, followed } = physicsOf(batch, running, c);
    const of = (what: string, times: number, sd = 0): TimesLesson => ({
      batch: batch.id,
      of: what,
      times,
      sd,
      leftOut: leftOutIn(batch, kind, what),
    });
    if (kind === 'hands') return handsToldOf(running, run.rows).map((h) => of(h.kind, h.times));
    if (kind === 'keeps') return keptHeld(batch, running, c).map((k) => of(k.of, k.times, k.sd));
    const giver = giverOf(costing.state, run.inputs);
    return giver !== undefined && followed.gave !== undefined ? [of(giver, followed.gave)] : [];
  });
  return timesTaught(kind, lessons);
}

/** What is learned of an ingredient or a kind of step, in times of what is reckoned with; undefined where nothing is. */
export async function timesOf(
  who: Pick<Worker, 'kitchenId'>,
  costing: KitchenCosting,
  kind: TimesKind,
  of: string,
): Promise<number | undefined> {
  const batches = await readBatches(database(), who.kitchenId, { are: 'ended', most: MOST_BATCHES });
  return timesIn(costing, batches, kind).find((r) => r.of === of)?.learned?.mean;
}

/** Whether what an ingredient keeps was weighed on the bench: drained bones say more of it than two dips. */
export function isWeighed({ state, day }: KitchenCosting, ingredient: string): boolean {
  const found = state.ingredients.find((i) => i.id === ingredient);
  return found !== undefined && cookedOn(found, 'retention', day) !== undefined;
}

/** A learned figure of which less than this share would move does not wait. */
const MOVES_LITTLE = 0.05;

function timesRows(
  costing: KitchenCosting,
  batches: readonly WrittenBatch[],
  byId: ReadonlyMap<string, WrittenBatch>,
): TimesRow[] {
  const name = new Map(costing.state.ingredients.map((i) => [i.id, i.name]));
  return (['gives', 'keeps', 'hands'] as const).flatMap((kind) =>
    timesIn(costing, batches, kind).map((row): TimesRow => {
      const counted = row.lessons.filter((l) => l.leftOut === undefined).length;
      const weighed = kind === 'keeps' && isWeighed(costing, row.of);
      return {
        ...row,
        kind,
        weighed,
        title:
          kind === 'hands' ? `Hands: ${row.of}` : `${name.get(row.of) ?? 'An ingredient'}: what it ${kind}`,
        lessons: row.lessons.map((l) => ({
          ...l,
          name: byId.get(l.batch)?.name ?? '',
          on: byId.get(l.batch)?.startedAt ?? '',
        })),
        waits:
          row.learned !== undefined &&
          !weighed &&
          counted >= LEAST_BATCHES &&
          Math.abs(row.learned.mean - 1) > MOVES_LITTLE,
      };
    }),
  );
}

/** The figure that batches of a vessel have come to at a heat under a lid; undefined where there is none. */
export async function figureTaught(
  who: Pick<Worker, 'kitchenId'>,
  costing: KitchenCosting,
  of: { readonly vessel: string; readonly heat: string; readonly lid: string },
): Promise<(Boils & { readonly batches: number }) | undefined> {
  const { rows } = await taughtIn(who, costing);
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
  const { rows, batches } = await taughtIn(who, costing);
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
        return {
          ...row,
          vesselName: vessel?.name ?? '',
          lessons: row.lessons.map((l) => {
            const of = byId.get(l.batch);
            return { ...l, name: of?.name ?? '', on: of?.startedAt ?? '' };
          }),
          inForce,
          waits,
          moves: waits && row.learned ? movesHeld(costing, row, figureOf(row, row.learned.mean)) : [],
        };
      })
      .sort((a, b) => Number(b.waits) - Number(a.waits) || b.lessons.length - a.lessons.length),
    times: timesRows(costing, batches, byId),
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
  return judged(batch.foretold, running, got).map((j) => {
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
