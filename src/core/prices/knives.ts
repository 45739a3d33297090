import { stepsInForce } from '../kitchen-file';
import type { WrittenIngredient } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import type { ByProduct, Knife } from '../knife';
import { ofStep } from '../verbs';
import type { Of } from '../written';

type YieldOf = (ingredient: WrittenIngredient) => WrittenIngredient['yields'][number];

/** Looks up the knife of any ingredient of a kitchen. */
export function knivesOf(
  { kitchen: { trim } }: Pick<KitchenState, 'kitchen'>,
  yieldOf: YieldOf,
  used: SupplyUse,
  children: ReadonlyMap<string, readonly WrittenIngredient[]>,
): (ingredient: WrittenIngredient) => Knife {
  const made = (ingredient: WrittenIngredient, above: readonly string[]): Knife => {
    const shares = new Map(yieldOf(ingredient).byProducts.map((b) => [b.ingredient, b.pct / 100]));
    const path = [...above, ingredient.id];
    return {
      id: ingredient.id,
      name: ingredient.name,
      school: ingredient.trim?.school ?? trim.school,
      setValuePerKg: Number(ingredient.trim?.setValuePerKg ?? trim.setValuePerKg),
      trimTaken: used.trim.has(ingredient.id) ? (ingredient.trim?.takenPct ?? 100) / 100 : 0,
      byProducts: (children.get(ingredient.id) ?? [])
        // A file with a loop is refused; whoever builds one by program must not hang.
        .filter((child) => !path.includes(child.id))
        .map((child): ByProduct => {
          const y = yieldOf(child);
          const knife = made(child, path);
          const sold = child.comesOff?.sold ?? false;
          const wanted =
            sold ||
            used.usable.has(child.id) ||
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

/** What comes off each ingredient. */
export function childrenIn(ingredients: readonly WrittenIngredient[]): Map<string, WrittenIngredient[]> {
  const children = new Map<string, WrittenIngredient[]>();
  for (const child of ingredients) {
    const of = child.comesOff?.ingredient;
    if (of !== undefined) children.set(of, [...(children.get(of) ?? []), child]);
  }
  return children;
}

/** Ids of ingredients of which some pot or plate takes the usable part, or the trim: only they carry money away from where they come off. */
export interface SupplyUse {
  readonly usable: ReadonlySet<string>;
  readonly trim: ReadonlySet<string>;
}

export function supplyUses(state: Pick<KitchenState, 'recipes' | 'plates'>): SupplyUse {
  const [usable, trim] = [new Set<string>(), new Set<string>()];
  for (const one of [...state.recipes, ...state.plates]) {
    const taken = takenBy(one);
    for (const id of taken.usable) usable.add(id);
    for (const id of taken.trim) trim.add(id);
  }
  return { usable, trim };
}

type Written = KitchenState['recipes'][number] | KitchenState['plates'][number];

interface Taken {
  readonly usable: readonly string[];
  readonly trim: readonly string[];
}
/** A recipe or plate that is the same object takes the same. */
const known = new WeakMap<Written, Taken>();

function takenBy(one: Written): Taken {
  const was = known.get(one);
  if (was) return was;
  const of = 'steps' in one ? stepsInForce(one).map(ofStep) : one.lines.map((line): Of => line.of);
  const taken = {
    usable: of.flatMap((o) => (o && 'ingredient' in o ? [o.ingredient] : [])),
    trim: of.flatMap((o) => (o && 'stockTrimOf' in o ? [o.stockTrimOf] : [])),
  };
  known.set(one, taken);
  return taken;
}

/** Whether two kitchens take of the same things. */
export const sameUsed = (a: SupplyUse, b: SupplyUse): boolean =>
  sameSet(a.usable, b.usable) && sameSet(a.trim, b.trim);

function sameSet(a: ReadonlySet<string>, b: ReadonlySet<string>): boolean {
  if (a.size !== b.size) return false;
  for (const id of a) if (!b.has(id)) return false;
  return true;
}
