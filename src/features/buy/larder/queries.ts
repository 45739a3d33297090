import 'server-only';
import type { KitchenCosting } from '@/core/costing';
import { isGuess, type Supply } from '@/core/prices';
import type { Basis } from '@/core/kitchen-file';
import type { HouseMeasure } from '@/core/quantity';
import { referenceLarder } from '@/core/reference';
import { kitchenVersion, mergesOf } from '@/db/buying/larder';
import { database } from '@/server/database';
import { archivedRows } from '@/server/archived';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { searchLarder } from '@/server/larder-search';
import { larderItems, type LarderItem } from '@/server/larder-search';
import { searcher } from '@/search';

/** One thing of the larder: the kitchen's own, or a starting point it could take. */
export interface LarderRow {
  readonly id: string;
  readonly name: string;
  /** What else it is found by. */
  readonly words: string;
  readonly own: boolean;
  readonly version?: number | undefined;
  /** For an own one that was taken: the reference's name. */
  readonly from?: string | undefined;
  readonly usable: string;
  readonly estimate: boolean;
  readonly role: 'liquid' | 'piece';
  readonly confidence?: string | undefined;
  readonly carries: string;
  readonly basis?: string | undefined;
}

/** What of the larder fits what somebody typed: the first of it, and how much there is. */
export interface LarderFound {
  readonly of: string;
  readonly rows: readonly LarderRow[];
  readonly hits: number;
}

/** One of the kitchen's own, by name, with the version it has. */
export interface OwnName {
  readonly id: string;
  readonly name: string;
  readonly version: number;
}

export interface LarderPage {
  readonly found: LarderFound;
  /** The kitchen's own, and starting points to take from. */
  readonly own: number;
  readonly starting: number;
  readonly merges: readonly {
    readonly id: string;
    readonly version: number;
    readonly name: string;
    readonly into: string;
  }[];
  readonly measures: readonly (HouseMeasure & { readonly id: string })[];
  readonly mayEdit: boolean;
  /** Ingredients that were put away. */
  readonly away: Awaited<ReturnType<typeof archivedRows>>;
  /** Whether what holds for the whole kitchen may be set. */
  readonly maySet: boolean;
  /** Which price counts where an ingredient does not say otherwise. */
  readonly basis: Basis;
  readonly kitchenVersion: number;
}

/** As many as anybody looks through before typing another letter. */
const MOST_NAMES = 12;

/** The kitchen's own ingredients that fit some words, best first. */
export async function ownNames(who: Worker, wanted: string): Promise<OwnName[]> {
  const { costing, versions } = await costedKitchen(who.kitchenId);
  return searchLarder(costing, wanted)
    .slice(0, MOST_NAMES)
    .map(({ id, name }) => ({ id, name, version: versions.ingredients.get(id) ?? 1 }));
}

/** Rows told at once: more than a screen. */
const MOST_ROWS = 60;

interface LarderThing {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  readonly own: boolean;
}
type Search = ReturnType<typeof searcher<LarderThing>>;
const searches = new WeakMap<readonly LarderItem[], { readonly taken: string; readonly search: Search }>();

/** The search of a kitchen's larder: made again only when something in it is called otherwise, or taken. */
function searchOf(costing: KitchenCosting): Search {
  const things = larderItems(costing);
  const references = costing.state.ingredients.flatMap((i) => i.reference ?? []);
  const was = searches.get(things);
  if (was?.taken === references.join()) return was.search;
  const own = things.map((t): LarderThing => ({ ...t, own: true }));
  const taken = new Set(references);
  // A starting point that has been taken stands there as the kitchen's own.
  const starting = [...referenceLarder().values()]
    .filter((r) => !taken.has(r.id))
    .map((r): LarderThing => ({ id: r.id, name: r.name, words: r.group.replaceAll('-', ' '), own: false }));
  const search = searcher([...own, ...starting]);
  searches.set(things, { taken: references.join(), search });
  return search;
}

/** What of the larder fits some words, the kitchen's own and starting points it could take. */
export async function findInLarder(who: Worker, wanted: string): Promise<LarderFound> {
  return foundIn(await costedKitchen(who.kitchenId), wanted);
}

function foundIn({ costing, versions }: CostedKitchen, wanted: string): LarderFound {
  const hits = searchOf(costing)(wanted);
  return {
    of: wanted,
    hits: hits.length,
    rows: hits.slice(0, MOST_ROWS).map(({ id, name, words, own }): LarderRow => {
      const s = costing.supplies.get(id);
      const base = { id, name, words, own };
      return own && s
        ? { ...base, ...ownRow(s), version: versions.ingredients.get(id) }
        : { ...base, ...startingRow(id) };
    }),
  };
}

const ownRow = (s: Supply) => ({
  from: s.ingredient.reference ? referenceLarder().get(s.ingredient.reference)?.name : undefined,
  usable: `${Number((s.usable * 100).toFixed(1))} %${s.yieldRange && s.yieldSource === 'estimate' && s.yieldRange[0] !== s.yieldRange[1] ? `, ${s.yieldRange[0]}–${s.yieldRange[1]}` : ''}`,
  estimate: isGuess(s),
  role: s.ingredient.role,
  carries: s.ingredient.allergens.join(', '),
});

function startingRow(id: string) {
  const r = referenceLarder().get(id) as NonNullable<ReturnType<ReturnType<typeof referenceLarder>['get']>>;
  return {
    usable: `${r.usable.pct} %${r.usable.low === r.usable.high ? '' : `, ${r.usable.low}–${r.usable.high}`}`,
    estimate: r.usable.pct < 100,
    role: r.role,
    confidence: r.confidence,
    carries: r.allergens.join(', '),
    basis: r.basis,
  };
}

export async function larderPage(who: Worker): Promise<LarderPage> {
  const kitchen = await costedKitchen(who.kitchenId);
  const { state } = kitchen.costing;
  return {
    found: foundIn(kitchen, ''),
    own: state.ingredients.length,
    starting: searchOf(kitchen.costing)('').length - state.ingredients.length,
    merges: await mergesOf(database(), who.kitchenId),
    measures: state.measures,
    mayEdit: may(who.role, 'changer'),
    away: await archivedRows(who, 'ingredient'),
    maySet: may(who.role, 'manager'),
    basis: state.kitchen.priceBasis,
    kitchenVersion: await kitchenVersion(database(), who.kitchenId),
  };
}
