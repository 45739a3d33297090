import type { WrittenIngredient } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import type { ByProduct, Knife } from '../knife';
import { ofStep, supplyOf } from '../verbs';

type YieldOf = (ingredient: WrittenIngredient) => WrittenIngredient['yields'][number];

/** Looks up the knife of any ingredient of a kitchen. */
export function knivesOf(state: KitchenState, yieldOf: YieldOf): (ingredient: WrittenIngredient) => Knife {
  const used = usedIn(state);
  const children = new Map<string, WrittenIngredient[]>();
  for (const child of state.ingredients) {
    const of = child.comesOff?.ingredient;
    if (of !== undefined) children.set(of, [...(children.get(of) ?? []), child]);
  }
  const { trim } = state.kitchen;
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
function usedIn(state: KitchenState): Set<string> {
  const taken = [
    ...state.recipes.flatMap((r) => r.steps.flatMap((step) => ofStep(step) ?? [])),
    ...state.plates.flatMap((p) => p.lines.map((line) => line.of)),
  ];
  return new Set(taken.map(supplyOf));
}
