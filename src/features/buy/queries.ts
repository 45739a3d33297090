import 'server-only';
import { costOfProduct, type GraphNode, type KitchenCosting, type Supply } from '@/core/costing';
import type { TrimSchool } from '@/core/larder';
import type { DecimalMark } from '@/core/quantity';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';

/** One line of the price book. Money per kg in currency, shares in %. */
export interface PriceRow {
  readonly id: string;
  readonly name: string;
  readonly version: number;
  readonly article?: {
    readonly id: string;
    readonly version: number;
    readonly words: string;
    readonly packG: number;
    readonly packPrice: string;
    readonly since: string;
  };
  readonly usablePct: number;
  readonly stockTrimPct: number;
  readonly estimate: boolean;
  readonly school: TrimSchool;
  readonly setValuePerKg: number;
  readonly trimTaken: boolean;
  readonly trouble?: string;
}

/** Who answers a price: a product per litre or a plate, each `weight` grams of its graph node. */
export interface Answer {
  readonly key: string;
  readonly name: string;
  readonly href: string;
  readonly weight: number;
  readonly target?: number;
}

export interface PriceBookData {
  readonly day: string;
  readonly mark: DecimalMark;
  readonly mayEdit: boolean;
  readonly rows: readonly PriceRow[];
  readonly graph: readonly GraphNode[];
  readonly products: readonly Answer[];
  readonly plates: readonly Answer[];
}

export async function priceBook(who: Worker): Promise<PriceBookData> {
  const kitchen = await costedKitchen(who.kitchenId);
  const { costing } = kitchen;
  return {
    day: costing.day,
    mark: costing.file.kitchen.decimalMark,
    mayEdit: may(who.role, 'manager'),
    rows: costing.file.ingredients
      .map((i) => priceRow(kitchen, i.id))
      .sort((a, b) => a.name.localeCompare(b.name)),
    graph: costing.graph.nodes,
    products: costing.file.recipes.map((r) => ({
      key: `product:${r.id}`,
      name: r.name,
      href: `/pot/${r.id}`,
      weight: gramsPerLitre(costing, r.id),
    })),
    plates: costing.file.plates.map((p) => ({
      key: `plate:${p.id}`,
      name: p.name,
      href: `/pour/${p.id}`,
      weight: 1,
    })),
  };
}

const gramsPerLitre = (costing: KitchenCosting, recipeId: string): number => {
  const { g, ml } = costOfProduct(costing, recipeId);
  return ml > 0 ? (g / ml) * 1000 : 0;
};

/** One ingredient as the price book shows it. */
export function priceRow({ costing, versions }: CostedKitchen, ingredientId: string): PriceRow {
  const s = costing.supplies.get(ingredientId) as Supply;
  const { price } = s;
  return {
    id: ingredientId,
    name: s.ingredient.name,
    version: versions.ingredients.get(ingredientId) ?? 1,
    article: price && {
      id: price.article.id,
      version: versions.articles.get(price.article.id) ?? 1,
      words: `${price.article.pack}, ${price.supplier}`,
      packG: price.pack.g,
      packPrice: price.packPrice.toFixed(Math.max(2, price.packPrice.decimalPlaces())),
      since: price.invoice ? `${price.on}, invoice ${price.invoice}` : price.on,
    },
    usablePct: Number((s.usable * 100).toFixed(5)),
    stockTrimPct: Number((s.stockTrim * 100).toFixed(5)),
    estimate: s.yieldSource === 'estimate',
    school: s.school,
    setValuePerKg: s.setValuePerKg,
    trimTaken: s.trimTaken,
    trouble: s.trouble?.message,
  };
}
