import type { Names } from '../said';
import type { Hob, Product, Vessel } from '../pot';
import { refuse, fine } from '../trouble';
import type { Manner } from '../quantity';
import type { OnShelf, Shelf } from '../verbs';
import type { Of } from '../written';
import * as texts from './texts';

/** Something made here, as a pot may take it. */
export interface PantryProduct {
  readonly id: string;
  /** Left out, the whole of it; else what parts from it. */
  readonly part?: string | undefined;
  readonly name: string;
  readonly product: Product;
}

/**
 * What a house has that may come into a pot, as plain data: it is kept in a browser, so that a pot is put right and a line is read with
 * nobody answering.
 */
export interface Pantry {
  readonly mark: Manner['mark'];
  readonly measures: readonly (readonly [
    name: string,
    unit: NonNullable<Manner['measures']> extends ReadonlyMap<string, infer U> ? U : never,
  ])[];
  readonly stuffs: readonly (readonly [id: string, stuff: OnShelf])[];
  readonly products: readonly PantryProduct[];
  readonly lastBatches: readonly PantryProduct[];
  readonly vessels: readonly Vessel[];
  readonly hobs: readonly Hob[];
  readonly names: Names;
  readonly thickeners: readonly Of[];
  /** Without salt, the cheapest first. */
  readonly stocks: readonly PantryStock[];
  /** Money a gram of every supply of which it is known. */
  readonly prices: readonly (readonly [supply: string, perG: number])[];
}

/** A stock that a pot may be made up with, and the bones and shells that are in it, by their ids. */
export interface PantryStock {
  readonly of: Of;
  readonly recipe: string;
  readonly bones: readonly string[];
}

const keyOf = (id: string, part: string | undefined): string => `${id} ${part ?? ''}`;

/** Where lines that are said at a pot look up what they name. */
export function shelfOfPantry(pantry: Pantry): Shelf {
  const stuffs = new Map(pantry.stuffs);
  const byId = <T extends { readonly id: string }>(all: readonly T[]) => new Map(all.map((x) => [x.id, x]));
  const made = (all: readonly PantryProduct[]) => new Map(all.map((p) => [keyOf(p.id, p.part), p]));
  const [vessels, hobs] = [byId(pantry.vessels), byId(pantry.hobs)];
  const [products, lasts] = [made(pantry.products), made(pantry.lastBatches)];
  const names = byId(pantry.names.recipes);
  const find =
    (all: ReadonlyMap<string, PantryProduct>, none: (name: string) => string) =>
    (id: string, part?: string) => {
      const found = all.get(keyOf(id, part));
      return found ? fine(found) : refuse('no-product', 'of', none(names.get(id)?.name ?? texts.recipe));
    };
  return {
    manner: { mark: pantry.mark, measures: new Map(pantry.measures) },
    stuff: (id) => stuffs.get(id),
    vessel: (id) => vessels.get(id),
    hob: (id) => hobs.get(id),
    product: find(products, (name) => `${name} cannot be made yet, so nothing can be taken from it.`),
    lastBatch: find(lasts, (name) => `No batch of ${name} can be made yet, so none has left anything.`),
  };
}

/** Money of things that come in; null where the price of one is not known. */
export function costIn(
  prices: ReadonlyMap<string, number>,
  takes: readonly { readonly supply: string; readonly g: number }[],
): number | null {
  let sum = 0;
  for (const { supply, g } of takes) {
    const perG = supply === 'free' ? 0 : prices.get(supply);
    if (perG === undefined) return null;
    sum += perG * g;
  }
  return sum;
}
