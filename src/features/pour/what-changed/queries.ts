import 'server-only';
import { LRUCache } from 'lru-cache';
import { z } from 'zod';
import { costOfPlate, costingKitchen, type KitchenCosting } from '@/core/costing';
import { beginOfDay, dayIn, endOfDay, isDay, shiftDay } from '@/core/day';
import {
  costedBetween,
  madeFrom,
  plateChanges,
  priceEffects,
  type PlateChange,
  type PriceEffect,
  type KitchenOnDay,
} from '@/core/cost-changes';
import { Basis, Plate, Recipe, type WrittenMenu } from '@/core/kitchen-file';
import type { History, KitchenState } from '@/core/kitchen-state';
import { TRIM_SCHOOLS } from '@/core/larder';
import { CONSTANTS } from '@/core/reference';
import { changesBetween, firstChangesFrom, type ChangedBy } from '@/db/changes';
import { database } from '@/server/database';
import { runInSlices } from '@/server/run-in-slices';
import { costedKitchen, readFor, todayIn, type AsOf } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import * as texts from './texts';

/** Something that happened to what a plate is made from, on a day. */
export interface Event {
  readonly on: string;
  readonly what: 'price' | 'test' | 'pot' | 'plate';
  readonly words: string;
  readonly href: string;
}

/** One plate looked at closely: which prices moved it, what happened to it, and what it cost meanwhile. */
export interface Closely {
  readonly id: string;
  readonly name: string;
  readonly prices: readonly PriceEffect[];
  /** Comes after the page: on every day on which something happened the kitchen is costed. */
  readonly meanwhile: Promise<Meanwhile>;
}

/** What happened to a plate between two days, and what it cost meanwhile. */
export interface Meanwhile {
  readonly events: readonly Event[];
  /** What it cost from each day on which something happened to it, oldest first; the latest of them where there are many. */
  readonly costs: readonly (readonly [string, number])[];
}

export interface WhatChangedPage {
  readonly from: string;
  readonly to: string;
  readonly today: string;
  readonly known: 'since' | 'then';
  /** Why nothing is told, where nothing is. */
  readonly trouble: string | undefined;
  readonly plates: readonly PlateChange[];
  readonly menus: readonly WrittenMenu[];
  readonly closely: Closely | undefined;
}

export interface WhatChangedAsked {
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  readonly known?: 'since' | 'then' | undefined;
  readonly of?: string | undefined;
}

const USUAL_LOOK_BACK = 21;
const KINDS = ['recipe', 'plate', 'plate away', 'trimming', 'usual price basis'] as const;
const Trimming = z.looseObject({ school: z.enum(TRIM_SCHOOLS), setValuePerKg: z.string() });
const Away = z.object({ away: z.boolean() });

/** Answers that are held while their kitchen stands where it stood. */
const held = new LRUCache<string, Promise<WhatChangedPage>>({ max: 24 });

/** What moved every plate between two days, and one of them closely. */
export async function whatChangedPage(who: Worker, asked: WhatChangedAsked): Promise<WhatChangedPage> {
  const { stood } = await costedKitchen(who.kitchenId);
  const key = JSON.stringify([who.kitchenId, stood, await todayIn(who.kitchenId), asked]);
  const known = held.get(key);
  if (known) return known;
  const made = workOut(who, asked);
  held.set(key, made);
  const forget = (): void => void held.delete(key);
  made.then((page) => page.closely?.meanwhile.catch(forget), forget);
  return made;
}

async function workOut(who: Worker, asked: WhatChangedAsked): Promise<WhatChangedPage> {
  const today = await todayIn(who.kitchenId);
  const to = asked.to !== undefined && isDay(asked.to) && asked.to <= today ? asked.to : today;
  const from = asked.from !== undefined && isDay(asked.from) ? asked.from : shiftDay(to, -USUAL_LOOK_BACK);
  const known = asked.known ?? 'since';
  const { read } = await readFor(who.kitchenId, { day: to, known });
  const page = { from, to, today, known, menus: read.state.menus, closely: undefined };
  if (from >= to) return { ...page, plates: [], trouble: texts.firstDayBeforeSecond };
  const { state } = read;
  const ends = await Promise.all([from, to].map((day) => standingOn(who, state, { day, known })));
  const [a, b] = ends as [KitchenOnDay, KitchenOnDay];
  // Most pots are on both days what they are today.
  const { workings } = (await costedKitchen(who.kitchenId)).costing;
  const costings = await runInSlices(costedBetween(state, a, b, CONSTANTS, workings));
  const plates = plateChanges(costings);
  const none = plates.length > 0 && plates.every((p) => p.was === null);
  return {
    ...page,
    plates,
    trouble: none ? texts.firstDayNoDishs : undefined,
    closely: closelyOf(who, state, a, b, costings, plates, asked.of, known),
  };
}

/** What stood in a kitchen at the end of a day, out of what stands in it now and what has changed since. */
async function standingOn(who: Worker, state: KitchenState, at: AsOf): Promise<KitchenOnDay> {
  const { zone } = state.kitchen;
  const [{ history }, first] = await Promise.all([
    readFor(who.kitchenId, at),
    firstChangesFrom(database(), who.kitchenId, beginOfDay(shiftDay(at.day, 1), zone), KINDS),
  ]);
  return {
    day: at.day,
    history,
    ...(at.known === 'then' ? { knownBy: endOfDay(at.day, zone).toISOString() } : {}),
    ...stoodBefore(state, first),
  };
}

/** A kitchen's pots, plates and ways of calculating as they stood before the first changes of each. */
function stoodBefore(state: KitchenState, first: readonly ChangedBy[]) {
  const of = <T extends { readonly id: string }>(
    list: readonly T[],
    what: string,
    schema: z.ZodType<T>,
  ): T[] => {
    const before = new Map(
      first
        .filter((c) => c.what === what)
        .map((c) => {
          const read = schema.safeParse(c.before);
          return [c.subject, read.success ? read.data : null] as const;
        }),
    );
    const kept = list.flatMap((x) => (before.has(x.id) ? (before.get(x.id) ?? []) : x));
    const there = new Set(list.map((x) => x.id));
    return [...kept, ...[...before].flatMap(([id, x]) => (x === null || there.has(id) ? [] : x))];
  };
  // A plate that was away and has come back since was not there.
  const away = new Set(
    first
      .filter((c) => c.what === 'plate away' && Away.safeParse(c.before).data?.away === true)
      .map((c) => c.subject),
  );
  const trimming = Trimming.safeParse(first.find((c) => c.what === 'trimming')?.before).data;
  const basis = Basis.safeParse(first.find((c) => c.what === 'usual price basis')?.before).data;
  return {
    recipes: of(state.recipes, 'recipe', Recipe),
    plates: of(state.plates, 'plate', Plate).filter((p) => !away.has(p.id)),
    trim: trimming ? { school: trimming.school, setValuePerKg: trimming.setValuePerKg } : state.kitchen.trim,
    priceBasis: basis ?? state.kitchen.priceBasis,
  };
}

/** Days on which a plate's cost is told: every one is a kitchen costed, and a large one takes its time. */
const mostDays = (state: KitchenState): number => (state.recipes.length > 300 ? 6 : 16);

function closelyOf(
  who: Worker,
  state: KitchenState,
  a: KitchenOnDay,
  b: KitchenOnDay,
  costings: readonly KitchenCosting[],
  plates: readonly PlateChange[],
  asked: string | undefined,
  known: AsOf['known'],
): Closely | undefined {
  const movedBy = (p: PlateChange): number => (p.is === null || p.was === null ? -1 : Math.abs(p.is - p.was));
  const [furthest] = [...plates].sort((x, y) => movedBy(y) - movedBy(x));
  const plate = plates.find((p) => p.id === asked) ?? furthest;
  const [first, last] = [costings[0], costings.at(-1)];
  if (!plate || !first || !last) return undefined;
  const reached = new Set([...madeFrom(last, plate.id), ...madeFrom(first, plate.id), plate.id]);
  return {
    id: plate.id,
    name: plate.name,
    prices: priceEffects(costings, plate.id),
    meanwhile: meanwhileOf(who, state, { a, b, known }, last, plate, reached),
  };
}

async function meanwhileOf(
  who: Worker,
  state: KitchenState,
  { a, b, known }: { readonly a: KitchenOnDay; readonly b: KitchenOnDay; readonly known: AsOf['known'] },
  last: KitchenCosting,
  plate: PlateChange,
  reached: ReadonlySet<string>,
): Promise<Meanwhile> {
  const events = [
    ...priceEvents(state, b.history, reached, a.day, b.day),
    ...testEvents(state, reached, a.day, b.day),
    ...(await changeEvents(who, state, reached, a.day, b.day)),
  ].sort((x, y) => (x.on < y.on ? -1 : x.on > y.on ? 1 : 0));
  const days = [...new Set(events.map((e) => e.on))].slice(-mostDays(state));
  const costs: (readonly [string, number])[] = plate.was === null ? [] : [[a.day, plate.was]];
  let { workings } = last;
  for (const day of days) {
    if (day >= b.day) continue;
    const then = await standingOn(who, state, { day, known });
    const { recipes, plates: on, trim, priceBasis, history } = then;
    const stood = { ...state, recipes, plates: on, kitchen: { ...state.kitchen, trim, priceBasis } };
    const costing = await runInSlices(costingKitchen(stood, day, CONSTANTS, history, workings));
    ({ workings } = costing);
    const cost = costing.plates.has(plate.id) ? costOfPlate(costing, plate.id).cost : null;
    if (cost !== null) costs.push([day, cost]);
  }
  if (plate.is !== null) costs.push([b.day, plate.is]);
  return { events, costs };
}

const within = (on: string, from: string, to: string): boolean => on > from && on <= to;

function priceEvents(
  state: KitchenState,
  history: History,
  reached: ReadonlySet<string>,
  from: string,
  to: string,
): Event[] {
  const names = new Map(state.ingredients.map((i) => [i.id, i.name]));
  return state.articles
    .filter((a) => reached.has(a.ingredient))
    .flatMap((a) =>
      history
        .article(a.id)
        .points.filter((p) => within(p.on, from, to))
        .map((p): Event => ({
          on: p.on,
          what: 'price',
          words: texts.forText(names.get(a.ingredient) ?? a.name, p.price.toFixed(2), a.pack, p.invoice),
          href: `/buy/${a.ingredient}`,
        })),
    );
}

function testEvents(state: KitchenState, reached: ReadonlySet<string>, from: string, to: string): Event[] {
  return state.ingredients
    .filter((i) => reached.has(i.id))
    .flatMap((i) =>
      i.yields
        // The first is what it was taken in with, and what says the same again moved nothing.
        .filter((y, n) => n > 0 && y.usablePct !== i.yields[n - 1]?.usablePct && within(y.on, from, to))
        .map((y): Event => ({
          on: y.on,
          what: 'test',
          words: texts.usable(i.name, Number(y.usablePct.toFixed(1)), y.source),
          href: `/buy/${i.id}`,
        })),
    );
}

async function changeEvents(
  who: Worker,
  state: KitchenState,
  reached: ReadonlySet<string>,
  from: string,
  to: string,
): Promise<Event[]> {
  const { zone } = state.kitchen;
  const names = new Map([...state.recipes, ...state.plates].map((x) => [x.id, x.name]));
  const changes = await changesBetween(
    database(),
    who.kitchenId,
    beginOfDay(shiftDay(from, 1), zone),
    beginOfDay(shiftDay(to, 1), zone),
    ['recipe', 'plate'],
  );
  return changes
    .filter((c) => reached.has(c.subject))
    .map((c): Event => ({
      on: dayIn(zone, c.at),
      what: c.what === 'recipe' ? 'pot' : 'plate',
      words: `${names.get(c.subject) ?? texts.somethingArchived}: ${c.before === null ? 'made' : 'changed'}${c.byName === null ? '' : texts.by(c.byName)}`,
      href: `/house/changes?of=${c.subject}`,
    }));
}
