import 'server-only';
import { notFound } from 'next/navigation';
import { type KitchenCosting } from '@/core/costing';
import { priceBeforeTrim, isGuess, type Supply } from '@/core/prices';
import type { Knife } from '@/core/knife';
import { taught, type Taught } from '@/core/taught';
import type { WrittenTest } from '@/core/bench';
import { shiftDay } from '@/core/day';
import type { TestKind } from '@/core/learning';
import type { Stuff } from '@/core/larder';
import type { ProcessConstants } from '@/core/pot';
import type { DecimalMark } from '@/core/quantity';
import { CONSTANTS, referenceLarder } from '@/core/reference';
import { peopleOf } from '@/db/people/people';
import { boughtBetween } from '@/db/cooking/wastes';
import { testDeliveries } from '@/db/cooking/yield-tests';
import { database } from '@/server/database';
import { costedKitchen, todayIn } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { byName } from '@/search';
import { searchLarder } from '@/server/larder-search';
import { TERMS, testResults } from '../test-results';
import * as texts from './texts';

/** Where the bench scale answers, if the kitchen has one. */
export async function scaleAddress(who: Worker): Promise<string | undefined> {
  return (await costedKitchen(who.kitchenId)).costing.state.kitchen.scale;
}

/** One thing that could be tested: the value in use, and how much money hangs on it. */
export interface BenchRow {
  readonly id: string;
  readonly name: string;
  readonly usablePct: number;
  readonly guess: boolean;
  /** Likely range of the usable share, %, where it has one. */
  readonly range?: readonly [number, number] | undefined;
  readonly tests: number;
  readonly lastOn?: string | undefined;
  readonly outliers: number;
  /** Where the tests differ from the value in use: waits to be accepted. */
  readonly waits: readonly string[];
  /** Money a week that hangs on its yield: what is spent on it × half the width of its range. */
  readonly inDoubt: number;
}

export interface OpenTest {
  readonly id: string;
  readonly ingredient: string;
  readonly kind: TestKind;
  readonly on: string;
  readonly by?: string | undefined;
  readonly start: string;
}

export interface BenchIndex {
  readonly rows: readonly BenchRow[];
  readonly open: readonly OpenTest[];
  readonly total: number;
  readonly mayTest: boolean;
}

const MOST_ROWS = 80;
const WEEKS = 4;

/** What is on the bench, what waits, and what is worth weighing next: first what waits, then by the money in doubt. */
export async function benchIndex(who: Worker): Promise<BenchIndex> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { tests } = await testResults(who.kitchenId, costing);
  const rows = await rowsOf(who, costing, tests, [...costing.supplies.values()]);
  const people = new Map((await peopleOf(database(), who.kitchenId)).map((p) => [p.id, p.name]));
  const names = new Map(costing.state.ingredients.map((i) => [i.id, i.name]));
  return {
    rows: rows.filter((r) => r.tests > 0 || r.usablePct < 100).slice(0, MOST_ROWS),
    open: tests
      .filter((t) => t.state === 'open')
      .map((t) => ({
        id: t.id,
        ingredient: names.get(t.ingredient) ?? '',
        kind: t.kind,
        on: t.on,
        by: people.get(t.by ?? ''),
        start: t.start,
      })),
    total: costing.supplies.size,
    mayTest: may(who.role, 'cook'),
  };
}

/** Anything in the larder by name, for the bench: also what is used whole. */
export async function findToTest(who: Worker, wanted: string): Promise<BenchRow[]> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { tests } = await testResults(who.kitchenId, costing);
  const hits = searchLarder(costing, wanted).slice(0, 25);
  const supplies = hits.flatMap(({ id }) => costing.supplies.get(id) ?? []);
  const rows = new Map((await rowsOf(who, costing, tests, supplies)).map((r) => [r.id, r]));
  return hits.flatMap(({ id }) => rows.get(id) ?? []);
}

async function rowsOf(
  who: Worker,
  costing: KitchenCosting,
  tests: readonly WrittenTest[],
  supplies: readonly Supply[],
): Promise<BenchRow[]> {
  const today = await todayIn(who.kitchenId);
  const bought = await boughtBetween(database(), who.kitchenId, shiftDay(today, 1 - 7 * WEEKS), today);
  const tested = new Set(tests.filter((t) => t.state === 'kept').map((t) => t.ingredient));
  return supplies
    .map((s): BenchRow => {
      const { id, name } = s.ingredient;
      const all = tested.has(id) ? taught(costing.state, s.ingredient, tests, today, TERMS) : [];
      const kept = new Map(all.flatMap((t) => t.tests.map((x) => [x.test.id, x.test] as const)));
      const [low, high] = s.yieldRange ?? [s.usable * 100, s.usable * 100];
      const spent = ((bought.get(id) ?? 0) / 1000 / WEEKS) * (priceBeforeTrim(s) ?? 0);
      return {
        id,
        name,
        usablePct: s.usable * 100,
        guess: isGuess(s),
        range: low < high ? [low, high] : undefined,
        tests: kept.size,
        lastOn: [...kept.values()]
          .map((t) => t.on)
          .sort()
          .at(-1),
        outliers: new Set(all.flatMap((t) => t.tests.filter((x) => x.outlier).map((x) => x.test.id))).size,
        waits: all.filter((t) => t.waits).map((t) => waitWords(t)),
        inDoubt: (spent * (high - low)) / 2 / (s.usable * 100),
      };
    })
    .sort(
      (a, b) =>
        Number(b.waits.length > 0) - Number(a.waits.length > 0) || b.inDoubt - a.inDoubt || byName(a, b),
    );
}

/** What waits, in a word: the usable share with its figure, the others by name. */
const waitWords = (t: Taught): string =>
  t.figure === 'usable'
    ? `${((t.learned?.mean ?? 0) * 100).toFixed(1)} % usable`
    : t.figure.startsWith('by-product:')
      ? 'by-product'
      : t.figure;

/** A delivery that a test can be of. Money per kg as purchased. */
export interface TestDelivery {
  readonly purchase: string;
  readonly supplier: string;
  readonly words: string;
  readonly perKg: number;
}

/** One test, with everything it takes to weigh it up while it is typed. */
export interface TestPage {
  readonly test: WrittenTest;
  readonly version: number;
  readonly name: string;
  readonly by?: string | undefined;
  readonly mayTest: boolean;
  readonly mayAccept: boolean;
  readonly mark: DecimalMark;
  readonly deliveries: readonly TestDelivery[];
  /** Per kg before the knife as costed today; null while it is not known. */
  readonly perKg: number | null;
  readonly knife: Knife;
  readonly usable: number;
  readonly stockTrim: number;
  readonly guess: boolean;
  /** Ingredients that come off this one. */
  readonly products: readonly { readonly id: string; readonly name: string }[];
  /** Starting points that a new by-product can be treated as. */
  readonly likes: readonly string[];
  readonly stuff?: Stuff | undefined;
  readonly constants: ProcessConstants;
  readonly wage?: number | undefined;
  readonly scale: boolean;
}

const DELIVERIES = 14;

export async function testPage(who: Worker, id: string): Promise<TestPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const { tests, versions } = await testResults(who.kitchenId, costing);
  const test = tests.find((t) => t.id === id);
  const supply = test && costing.supplies.get(test.ingredient);
  if (!test || !supply) notFound();
  const { state } = costing;
  const deliveries = await testDeliveries(database(), who.kitchenId, test.ingredient, DELIVERIES);
  const people = await peopleOf(database(), who.kitchenId);
  return {
    test,
    version: versions.get(id) ?? 1,
    name: supply.ingredient.name,
    by: people.find((p) => p.id === test.by)?.name,
    mayTest: may(who.role, 'cook'),
    mayAccept: may(who.role, 'manager'),
    mark: state.kitchen.decimalMark,
    deliveries: deliveries.map((d) => ({
      purchase: d.purchase,
      supplier: d.supplier,
      words: texts.kg(d.on, d.supplierName, d.number, (d.g / 1000).toFixed(1)),
      perKg: (d.money * 1000) / d.g,
    })),
    perKg: priceBeforeTrim(supply) ?? null,
    knife: supply.knife,
    usable: supply.usable,
    stockTrim: supply.stockTrim,
    guess: isGuess(supply),
    products: state.ingredients
      .filter((i) => i.comesOff?.ingredient === test.ingredient)
      .map(({ id: product, name }) => ({ id: product, name })),
    likes: [...referenceLarder().values()].map((r) => r.name),
    stuff: costing.shelf.stuff(test.ingredient)?.stuff,
    constants: CONSTANTS,
    wage: state.kitchen.wagePerHour === undefined ? undefined : Number(state.kitchen.wagePerHour),
    scale: state.kitchen.scale !== undefined,
  };
}
