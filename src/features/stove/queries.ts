import 'server-only';
import { LRUCache } from 'lru-cache';
import { notFound } from 'next/navigation';
import {
  batchFigures,
  coolingOf,
  batchResult,
  followBatch,
  runningOf,
  stepsDone,
  type StoveSetup,
  type BatchFigures,
  type BatchResult,
  type RunningBatch,
  type SheetTarget,
} from '@/core/batch';
import { lineWords, namesIn, type WrittenBatch, type WrittenBatchEvent } from '@/core/kitchen-file';
import type { KitchenCosting } from '@/core/costing';
import { dayIn } from '@/core/day';
import { ownConstants, type KitchenState } from '@/core/kitchen-state';
import { energyKey, LABOUR } from '@/core/layers';
import type { ProcessConstants, Vessel } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { runPot } from '@/core/verbs';
import { readStanding, type StandingBatch } from '@/db/cooking/batches';
import { allPeople } from '@/db/people/people';
import { archivedRows } from '@/server/archived';
import { now } from '@/server/clock';
import { database } from '@/server/database';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { bonesIn } from './pantry';
import * as texts from './texts';

/** What of a kitchen counts in how its pots are followed. */
export type Own = Pick<KitchenState['kitchen'], 'hands' | 'sharedHands' | 'rules'>;

/** A batch as it is shown: enough to follow it in a browser without asking anybody. */
export interface BatchShown {
  readonly id: string;
  readonly name: string;
  readonly recipe: { readonly id: string; readonly there: boolean };
  readonly vessel: Vessel | undefined;
  readonly hob: string;
  /** Why it cannot be followed: what it is cooked in has been put away. */
  readonly gone: string | undefined;
  readonly running: RunningBatch | undefined;
  /** Its own lines as they are written: what is told without the network is looked up there. */
  readonly written: StoveSetup;
  readonly sheet: SheetTarget;
  readonly own: Own;
  readonly lines: readonly { readonly id: string; readonly words: string }[];
  readonly events: readonly WrittenBatchEvent[];
  /** How often something had been told of it, or taken back, when it was read. */
  readonly stands: number;
  /** Where it was when the page was asked for. */
  readonly first: BatchFigures | undefined;
  /** How it ended, where it has. */
  readonly end: BatchResult | undefined;
  /** What energy and hands of it cost; of a batch that is looked at by itself. */
  readonly beside?: Beside | undefined;
  readonly mayTell: boolean;
  /** Who is looking at it, and who else works here: without the network a name is said, and no PIN with it. */
  readonly me: string;
  readonly people: readonly string[];
  /** Where the kitchen’s clock stands, and how its figures are written. */
  readonly zone: string;
  readonly mark: '.' | ',';
}

export interface BoardPage {
  readonly batches: readonly BatchShown[];
  readonly ended: readonly EndedRow[];
  readonly sheets: readonly SheetChoice[];
  readonly vessels: readonly {
    readonly id: string;
    readonly name: string;
    readonly holds: string | undefined;
  }[];
  readonly hobs: readonly { readonly id: string; readonly name: string }[];
  readonly away: Awaited<ReturnType<typeof archivedRows>>;
  readonly mayTell: boolean;
  readonly mark: '.' | ',';
}

export interface SheetChoice {
  readonly id: string;
  readonly name: string;
  readonly vessel: string;
  readonly hob: string;
  /** ml that stand in it at most as planned. */
  readonly fullestMl: number;
  readonly litres: number;
  /** What most of is bought for it, kg: what came in of that says how large the batch is. */
  readonly main: { readonly name: string; readonly kg: number } | undefined;
}

export interface EndedRow {
  readonly id: string;
  readonly name: string;
  /** The business day on which it was over. */
  readonly endedOn: string;
  readonly end: BatchResult | undefined;
}

/** Ended batches that the board still tells of. */
const MOST_ENDED = 15;

/** A batch with its pot as it is to be run: the things it takes as the kitchen has them now. */
function shown(
  costing: KitchenCosting,
  { batch, stands }: StandingBatch,
  who: Worker,
  at: number,
  people: readonly string[],
): BatchShown {
  const { state, shelf } = costing;
  const vessel = shelf.vessel(batch.vessel);
  const hob = shelf.hob(batch.hob);
  const { hands, sharedHands, rules } = state.kitchen;
  const own = { hands, sharedHands, rules };
  const names = { ...namesIn(state), self: batch.recipe };
  const running = runningOf(batch, costing.shelf);
  const end = costing.recipes.get(batch.recipe)?.run.rows.at(-1);
  return {
    id: batch.id,
    name: batch.name,
    recipe: { id: batch.recipe, there: state.recipes.some((r) => r.id === batch.recipe) },
    vessel,
    hob: hob?.name ?? '',
    gone: running ? undefined : texts.vesselOrHobArchived,
    running,
    written: {
      recipe: batch.recipe,
      vessel: batch.vessel,
      hob: batch.hob,
      startedAt: batch.startedAt,
      steps: batch.steps,
      events: [],
    },
    sheet: {
      end: end && { body: end.body, saltPct: end.saltPct, ml: end.ml },
      bones: bonesIn(costing).get(batch.recipe) ?? [],
    },
    own,
    lines: stepsDone(batch).map((s) => ({ id: s.id ?? '', words: lineWords(s, {}, names) })),
    events: batch.events,
    stands,
    first: running && figuresAt(costing, batch, running, at),
    end: running && endOf(costing, batch, running),
    mayTell: may(who.role, 'cook'),
    me: who.person.name,
    people,
    zone: state.kitchen.zone,
    mark: state.kitchen.decimalMark,
  };
}

/** Where batches were, held while the kitchen stands: several tablets ask within one minute. */
const wheres = new WeakMap<KitchenCosting, LRUCache<string, BatchFigures>>();
const MINUTE = 60_000;
const MOST_HELD = 60;

function figuresAt(
  costing: KitchenCosting,
  batch: WrittenBatch,
  running: RunningBatch,
  at: number,
): BatchFigures {
  const held = wheres.get(costing) ?? new LRUCache<string, BatchFigures>({ max: MOST_HELD });
  wheres.set(costing, held);
  const key = `${Math.floor(at / MINUTE)} ${batch.id} ${batch.events.map((e) => e.id).join()}`;
  const known =
    held.get(key) ??
    batchFigures(running, at, ownConstants(costing.state.kitchen, CONSTANTS), costing.state.kitchen.rules);
  held.set(key, known);
  return known;
}

/** Batches that are over as they were followed, and their sheets as they were run: by what they are, whatever things cost since. */
const runs = new LRUCache<string, { readonly followed: Followed; readonly run: PotRun }>({ max: 400 });
type Followed = ReturnType<typeof followBatch>;
type PotRun = ReturnType<typeof runPot>;

/** A batch that is over as it was followed, and its sheet as it was run. */
export function physicsOf(batch: WrittenBatch, running: RunningBatch, c: ProcessConstants) {
  const key = JSON.stringify([
    batch.id,
    batch.events.map((e) => e.id),
    running.pot,
    c.coolingLimits,
    c.hands,
    c.strainers,
    c.wallCling,
  ]);
  const known = runs.get(key) ?? { followed: followBatch(running, c), run: runPot(running.pot, c) };
  runs.set(key, known);
  return known;
}

/** Beside what went into a batch: money of energy and hands, as they were and as planned; null where nobody has said what they cost. */
interface Beside {
  readonly energy: readonly [was: number, should: number] | null;
  readonly hands: readonly [was: number, should: number] | null;
}

function besideOf({ layer }: KitchenCosting, { fuel, kWh, handsHours }: BatchResult): Beside {
  const at = (perOne: number | null, [was, should]: readonly [number, number]): Beside['energy'] =>
    perOne === null ? null : [was * perOne, should * perOne];
  return {
    energy: at(layer('energy').cost(energyKey(fuel)), kWh),
    hands: at(layer('hands').cost(LABOUR), handsHours),
  };
}

/** What batches came to, held while the kitchen they are costed in stands. */
const ends = new WeakMap<KitchenCosting, Map<string, BatchResult | undefined>>();

/** How a batch ended, at the prices of today; nothing while it is on. */
export function endOf(
  costing: KitchenCosting,
  batch: WrittenBatch,
  running: RunningBatch,
): BatchResult | undefined {
  const end = batch.events.find((e) => e.is === 'ended');
  if (end?.is !== 'ended') return undefined;
  const held = ends.get(costing) ?? new Map<string, BatchResult | undefined>();
  ends.set(costing, held);
  const key = `${batch.id} ${batch.events.map((e) => e.id).join()}`;
  if (held.has(key)) return held.get(key);
  const c = ownConstants(costing.state.kitchen, CONSTANTS);
  const { run, followed } = physicsOf(batch, running, c);
  const made = batchResult(running, { run }, end.l, (k) => costing.graph.cost(k), c, followed);
  held.set(key, made);
  return made;
}

/** h after which a pot that nobody has read to be cold is no longer looked for on the board. */
const LOOKED_FOR_H = 12;

/** Whether a batch that is over has a limit of the house still before it, or has missed it: the board tells of it till somebody reads it there. */
function stillCools({ state }: KitchenCosting, { events }: WrittenBatch, at: number): boolean {
  const cooling = coolingOf(events, state.kitchen.rules?.cooling ?? [], at);
  return (
    cooling !== undefined && cooling.since < LOOKED_FOR_H && cooling.limits.some((l) => l.read === undefined)
  );
}

/** Every pot that is on, those that still cool, what has been cooked lately, and what can be put on. */
export async function boardPage(who: Worker): Promise<BoardPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const sql = database();
  const at = now().getTime();
  const running = await readStanding(sql, who.kitchenId, { are: 'running' });
  const ended = await readStanding(sql, who.kitchenId, { are: 'ended', most: MOST_ENDED });
  const holds = new Map(running.map(({ batch }) => [batch.vessel, batch.name]));
  const { recipes, vessels, hobs } = costing.state;
  return {
    // Nobody tells anything on the board.
    batches: [...running, ...ended.filter(({ batch }) => stillCools(costing, batch, at))].map((b) =>
      shown(costing, b, who, at, []),
    ),
    ended: ended.map(({ batch }) => endedRow(costing, batch)),
    sheets: recipes.flatMap(({ id, name, vessel, hob }): SheetChoice[] => {
      const run = costing.recipes.get(id)?.run;
      if (!run?.product) return [];
      const fullestMl = Math.max(...run.rows.map((r) => r.standingMl));
      return [{ id, name, vessel, hob, fullestMl, litres: run.product.ml / 1000, main: mainOf(run.inputs) }];
    }),
    vessels: vessels.map(({ id, name }) => ({ id, name, holds: holds.get(id) })),
    hobs: hobs.map(({ id, name }) => ({ id, name })),
    away: await archivedRows(who, 'batch'),
    mayTell: may(who.role, 'cook'),
    mark: costing.state.kitchen.decimalMark,
  };
}

/** What most of goes in, water apart. */
function mainOf(inputs: PotRun['inputs']): SheetChoice['main'] {
  const all = new Map<string, number>();
  for (const { supply, name, g } of inputs) if (supply !== 'free') all.set(name, (all.get(name) ?? 0) + g);
  const [most] = [...all].sort((a, b) => b[1] - a[1]);
  return most && most[1] > 0 ? { name: most[0], kg: most[1] / 1000 } : undefined;
}

function endedRow(costing: KitchenCosting, batch: WrittenBatch): EndedRow {
  const { id, name, startedAt, events } = batch;
  const running = runningOf(batch, costing.shelf);
  return {
    id,
    name,
    endedOn: dayIn(
      costing.state.kitchen.zone,
      new Date(events.find((e) => e.is === 'ended')?.at ?? startedAt),
    ),
    end: running && endOf(costing, batch, running),
  };
}

/** One batch, to be followed. */
export async function batchPage(who: Worker, id: string): Promise<BatchShown> {
  const [batch] = await readStanding(database(), who.kitchenId, { are: 'one', id });
  if (!batch) notFound();
  const { costing } = await costedKitchen(who.kitchenId);
  const people = (await allPeople(database(), who.kitchenId))
    .filter((p) => p.leftAt === null)
    .map((p) => p.name);
  const it = shown(costing, batch, who, now().getTime(), people);
  return { ...it, beside: it.end && besideOf(costing, it.end) };
}
