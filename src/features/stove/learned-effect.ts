import 'server-only';
import { fires, type BoilsTaught, type TimesKind } from '@/core/batch';
import { costOfProduct, type KitchenCosting } from '@/core/costing';
import type { WrittenRecipe } from '@/core/kitchen-file';
import { ownConstants } from '@/core/kitchen-state';
import type { Boils, PotRun, ProcessConstants } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { potOf } from '@/core/shelf';
import { runPot } from '@/core/verbs';
import type { Learnable } from './learnable';

/** What a figure may move of a sheet: litres, h on the hob, min of hands, g of gelatin a litre, portions, money. */
export type EffectCell = 'litres' | 'hours' | 'hands' | 'gelatin' | 'portions' | 'perL' | 'perPortion';

/** A sheet in which a figure stands, before and after what was learned; null where it is not known. */
export interface LearnedEffect {
  readonly recipe: string;
  readonly name: string;
  readonly cells: readonly {
    readonly of: EffectCell;
    readonly before: number | null;
    readonly after: number | null;
  }[];
}

/** Sheets that are shown; of more it is said how many. */
const MOST_SHOWN = 12;

type Pot = ReturnType<typeof potOf>;
type Run = ReturnType<typeof runPot>;
type Held = { readonly moves: readonly LearnedEffect[]; readonly more: number };

/** What figures would move, held while the kitchen stands. */
const held = new WeakMap<KitchenCosting, Map<string, Held>>();
function hold(costing: KitchenCosting, key: string, make: () => Held): Held {
  const all = held.get(costing) ?? new Map<string, Held>();
  held.set(costing, all);
  const known = all.get(key) ?? make();
  all.set(key, known);
  return known;
}

/** Figures of a run, and of its money where the same went in. */
function cellOf(of: EffectCell, run: PotRun, total: number | null): number | null {
  const [last, ml] = [run.rows.at(-1), run.product?.ml ?? 0];
  switch (of) {
    case 'litres':
      return ml / 1000;
    case 'hours':
      return last?.hobHours ?? 0;
    case 'hands':
      return run.rows.reduce((h, row) => h + row.handsHours, 0) * 60;
    case 'gelatin':
      return ml > 0 && run.product ? (run.product.liquid.gelatin / ml) * 1000 : null;
    case 'portions':
      return last?.portions?.whole ?? null;
    case 'perL':
      return total === null || !(ml > 0) ? null : total / (ml / 1000);
    case 'perPortion':
      return total === null || !last?.portions || !(ml > 0) ? null : (total / ml) * last.portions.pouredMl;
  }
}

/** Every sheet in which a figure stands, run as it would be: its own pot alone, not what is made from it. */
function movesOf(
  costing: KitchenCosting,
  cells: readonly EffectCell[],
  which: (recipe: WrittenRecipe) => boolean,
  then: (pot: Pot, c: ProcessConstants) => Run,
): Held {
  const { state, shelf, recipes } = costing;
  const c = ownConstants(state.kitchen, CONSTANTS);
  const standing = state.recipes.filter((r) => recipes.get(r.id)?.run.product && which(r));
  const moves = standing.slice(0, MOST_SHOWN).flatMap((r): LearnedEffect[] => {
    const now = recipes.get(r.id)?.run;
    const after = then(potOf(r, shelf), c);
    if (!now?.product || !after.product) return [];
    const { total } = costOfProduct(costing, r.id);
    return [
      {
        recipe: r.id,
        name: r.name,
        cells: cells.map((of) => ({
          of,
          before: cellOf(of, now, total),
          after: cellOf(of, after, total),
        })),
      },
    ];
  });
  return { moves, more: standing.length - moves.length };
}

/** What a figure of a vessel would make of the sheets that stand in it at its heat. */
export function boilsEffect(costing: KitchenCosting, row: BoilsTaught, after: Boils): Held {
  return hold(costing, JSON.stringify([row.vessel, after]), () =>
    movesOf(
      costing,
      ['litres', 'hours', 'perL'],
      (r) =>
        r.vessel === row.vessel &&
        fires(potOf(r, costing.shelf).steps).some((f) => f.heat === row.heat && f.lid === row.lid),
      (pot, c) => {
        const others = (pot.vessel.boils ?? []).filter((b) => b.heat !== row.heat || b.lid !== row.lid);
        return runPot({ ...pot, vessel: { ...pot.vessel, boils: [...others, after] } }, c);
      },
    ),
  );
}

/** What each kind of figure moves. */
const MOVED: Readonly<Record<TimesKind, readonly EffectCell[]>> = {
  gives: ['gelatin'],
  keeps: ['litres', 'perL'],
  clings: ['litres', 'perL'],
  loses: ['litres', 'perL'],
  pours: ['portions', 'perPortion'],
  hands: ['hands'],
};

/** What a figure that is learned in times of what it is would make of the sheets it stands in. */
export function timesEffect(
  costing: KitchenCosting,
  kind: TimesKind,
  of: string,
  times: number,
  is: Learnable,
): Held {
  return hold(costing, JSON.stringify([kind, of, times]), () =>
    movesOf(
      costing,
      MOVED[kind],
      (r) => (is.only === undefined || is.only === r.id) && r.steps.some(is.stands),
      (pot, c) =>
        runPot({ ...pot, steps: is.lines?.(pot.steps, times) ?? pot.steps }, is.constants?.(c, times) ?? c),
    ),
  );
}
