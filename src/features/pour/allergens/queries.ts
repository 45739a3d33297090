import 'server-only';
import { carriedIn, type AllergenSet } from '@/core/costing';
import { costedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';

/** One plate, or one pot that is sold by itself, and what it carries. */
export interface CarriesRow {
  readonly id: string;
  readonly name: string;
  readonly href: string;
  /** By allergen: the ingredients it comes from. */
  readonly from: Readonly<Record<string, readonly string[]>>;
  /** Ingredients in it whose label nobody has read: of no allergen it is said that it is free of it while there is one. */
  readonly unread: readonly { readonly id: string; readonly name: string }[];
  /** Lines of a plate that could not be looked up: what they would carry is not known either. */
  readonly lines: number;
  /** Pots in it, or itself, with lines that are not understood or cannot be done. */
  readonly unsure: readonly string[];
}

export interface AllergensPage {
  readonly kitchen: string;
  readonly day: string;
  readonly what: 'plates' | 'pots';
  /** Every allergen that anything here carries, by name. */
  readonly allergens: readonly string[];
  readonly rows: readonly CarriesRow[];
  /** All ingredients whose label is to be read, those in most rows first. */
  readonly toRead: readonly { readonly id: string; readonly name: string; readonly rows: number }[];
}

/** A matrix of plates, or pots, and allergens, with what each comes from. */
export async function allergensPage(who: Worker, what: 'plates' | 'pots'): Promise<AllergensPage> {
  const { costing } = await costedKitchen(who.kitchenId);
  const carried = carriedIn(costing);
  const names = new Map(costing.state.ingredients.map((i) => [i.id, i.name]));
  const pots = new Map(costing.state.recipes.map((r) => [r.id, r.name]));
  const row = (id: string, name: string, key: string, href: string, lines: number): CarriesRow => ({
    id,
    name,
    href,
    ...told(carried.get(key), names, pots),
    lines,
  });
  const rows =
    what === 'plates'
      ? [...costing.plates.values()].map(({ plate, lines }) =>
          row(
            plate.id,
            plate.name,
            `plate:${plate.id}`,
            `/pour/${plate.id}`,
            lines.filter((l) => !l.resolved.ok).length,
          ),
        )
      : [...costing.recipes.values()].map(({ recipe }) =>
          row(recipe.id, recipe.name, `product:${recipe.id}`, `/pot/${recipe.id}`, 0),
        );
  return {
    kitchen: costing.state.kitchen.name,
    day: costing.day,
    what,
    allergens: [...new Set(rows.flatMap((r) => Object.keys(r.from)))].sort(),
    rows,
    toRead: mostMissed(rows),
  };
}

function told(
  carries: AllergenSet | undefined,
  names: ReadonlyMap<string, string>,
  pots: ReadonlyMap<string, string>,
) {
  const named = (ids: Iterable<string>): string[] => [...ids].map((id) => names.get(id) ?? '').sort();
  return {
    from: Object.fromEntries(
      [...(carries?.allergens ?? [])].map(([allergen, ids]) => [allergen, named(ids)]),
    ),
    unsure: [...(carries?.unsure ?? [])].map((id) => pots.get(id) ?? ''),
    unread: [...(carries?.unread ?? [])].map((id) => ({ id, name: names.get(id) ?? '' })),
  };
}

/** Ingredients to be read, by how many rows wait for them. */
function mostMissed(rows: readonly CarriesRow[]): AllergensPage['toRead'] {
  const many = new Map<string, { id: string; name: string; rows: number }>();
  for (const { unread } of rows)
    for (const { id, name } of unread) many.set(id, { id, name, rows: (many.get(id)?.rows ?? 0) + 1 });
  return [...many.values()].sort((a, b) => b.rows - a.rows || a.name.localeCompare(b.name));
}
