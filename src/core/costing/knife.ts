import { sharePrice, type TrimSchool } from '../larder';
import type { KitchenFile, WrittenIngredient } from '../kitchen-file';
import type { Trouble } from '../trouble';

/** Something with an ingredient of its own that comes off another. */
export interface ByProduct {
  /** Share of the as-purchased mass, 0 while no test has found any. */
  readonly share: number;
  readonly setValuePerKg: number;
  readonly taken: number;
  readonly sold: boolean;
  /** Its own yield and knife: what comes off may be trimmed in its turn. */
  readonly usable: number;
  readonly stockTrim: number;
  readonly knife: Knife;
}

/** Who pays for what comes off an ingredient: everything but its price and its yield, which people change. */
export interface Knife {
  readonly id: string;
  readonly name: string;
  readonly school: TrimSchool;
  readonly setValuePerKg: number;
  /** How much of its stock trim is taken, 0 to 1. */
  readonly trimTaken: number;
  readonly byProducts: readonly ByProduct[];
}

export interface SupplyPrices {
  readonly usablePerKg?: number | undefined;
  readonly trimPerKg?: number | undefined;
  readonly trouble?: Trouble | undefined;
}

/** A by-product as the knife prices it: what a kilo of it as it comes off costs, and what its own knife makes of that. */
export interface CameOff extends SupplyPrices {
  readonly id: string;
  readonly perKg?: number | undefined;
}

/** Usable and stock trim per kg, and everything that comes off, from a price per kg as purchased and the two shares. */
export function afterTheKnife(
  knife: Knife,
  perKg: number | undefined,
  usable: number,
  stockTrim: number,
): SupplyPrices & { readonly cameOff: readonly CameOff[] } {
  const shared =
    perKg === undefined
      ? undefined
      : sharePrice(
          usable,
          [
            { name: 'Stock trim', share: stockTrim, setValue: knife.setValuePerKg, taken: knife.trimTaken },
            ...knife.byProducts.map((b) => ({
              name: b.knife.name,
              share: b.share,
              setValue: b.setValuePerKg,
              taken: b.taken,
              sold: b.sold,
            })),
          ],
          perKg,
          knife.school,
        );
  const prices = shared?.ok ? shared.value : undefined;
  const cameOff = knife.byProducts.flatMap((b, i) => {
    const own = prices?.others[i + 1];
    const below = afterTheKnife(b.knife, own, b.usable, b.stockTrim);
    return [{ id: b.knife.id, perKg: own, ...below }, ...below.cameOff];
  });
  return {
    usablePerKg: prices?.usable,
    trimPerKg: prices?.others[0],
    trouble: shared && !shared.ok ? shared.trouble : undefined,
    cameOff,
  };
}

/** Everything of use that comes off beside the usable part, share of the as-purchased mass. */
export const comesOffShare = (stockTrim: number, knife: Knife): number =>
  knife.byProducts.reduce((sum, b) => sum + b.share, stockTrim);

type YieldOf = (ingredient: WrittenIngredient) => WrittenIngredient['yields'][number];

/** Looks up the knife of any ingredient of a kitchen. */
export function knivesOf(file: KitchenFile, yieldOf: YieldOf): (ingredient: WrittenIngredient) => Knife {
  const used = usedIn(file);
  const children = new Map<string, WrittenIngredient[]>();
  for (const child of file.ingredients) {
    const of = child.comesOff?.ingredient;
    if (of !== undefined) children.set(of, [...(children.get(of) ?? []), child]);
  }
  const { trim } = file.kitchen;
  const made = (ingredient: WrittenIngredient, above: readonly string[]): Knife => {
    const shares = new Map(yieldOf(ingredient).byProducts.map((b) => [b.ingredient, b.pct / 100]));
    const path = [...above, ingredient.id];
    return {
      id: ingredient.id,
      name: ingredient.name,
      school: ingredient.trim?.school ?? trim.school,
      setValuePerKg: Number(ingredient.trim?.setValuePerKg ?? trim.setValuePerKg),
      trimTaken: used.has(`trim:${ingredient.id}`) ? (ingredient.trim?.takenPct ?? 100) / 100 : 0,
      byProducts: (children.get(ingredient.id) ?? [])
        // A file with a loop is refused; whoever builds one by program must not hang.
        .filter((child) => !path.includes(child.id))
        .map((child): ByProduct => {
          const y = yieldOf(child);
          const knife = made(child, path);
          const sold = child.comesOff?.sold ?? false;
          const wanted =
            sold ||
            used.has(`usable:${child.id}`) ||
            knife.trimTaken > 0 ||
            knife.byProducts.some((b) => b.taken > 0);
          return {
            share: shares.get(child.id) ?? 0,
            setValuePerKg: Number(child.comesOff?.setValuePerKg ?? trim.setValuePerKg),
            taken: wanted ? (child.comesOff?.takenPct ?? 100) / 100 : 0,
            sold,
            usable: y.usablePct / 100,
            stockTrim: y.stockTrimPct / 100,
            knife,
          };
        }),
    };
  };
  return (ingredient) => made(ingredient, []);
}

/** Supplies that some pot or plate takes: only they carry money away from where they come off. */
function usedIn(file: KitchenFile): Set<string> {
  const used = new Set<string>();
  for (const list of [...file.recipes.map((r) => r.steps), ...file.plates.map((p) => p.lines)])
    for (const line of list) {
      if (!('of' in line)) continue;
      if ('stockTrimOf' in line.of) used.add(`trim:${line.of.stockTrimOf}`);
      else if ('ingredient' in line.of) used.add(`usable:${line.of.ingredient}`);
    }
  return used;
}
