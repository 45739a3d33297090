import { costKitchen, potOf } from '../core/costing';
import { mannerIn, readKitchenText, vesselOf } from '../core/kitchen-file';
import { scaleTo, vesselsFor, type Scaled } from '../core/pot';
import { readAmountOf } from '../core/quantity';
import { CONSTANTS } from '../core/reference';
import { findNamed } from '../core/said';
import { refuse, type Outcome, type Trouble } from '../core/trouble';

/** A recipe for another amount: in the vessel asked for, or in each the kitchen has, best first. */
export interface ScaleReport {
  readonly recipe: string;
  readonly ml: number;
  readonly ways: readonly Scaled[];
}

/**
 * Scales a recipe of a kitchen file.
 * @param wanted an amount of the product as typed: `40 l`, `10 us gal`
 * @param inVessel by name; all vessels where it is left out
 */
export function scaleText(
  text: string,
  recipeName: string,
  wanted: string,
  inVessel?: string,
): { readonly mistakes: readonly Trouble[] } | Outcome<ScaleReport> {
  const read = readKitchenText(text);
  if (!read.ok) return { mistakes: read.mistakes };
  const { file } = read;
  const recipe = findNamed(recipeName, file.recipes, 'recipe');
  if (!recipe.ok) return recipe;
  const amount = readAmountOf(['volume'], wanted, mannerIn(file));
  if (!amount.ok) return amount;
  const { shelf } = costKitchen(file, file.referenceDay, CONSTANTS);
  const pot = potOf(recipe.value, shelf);
  const ml = amount.value.value;
  if (inVessel === undefined) {
    const ways = vesselsFor(pot, ml, CONSTANTS, file.vessels.map(vesselOf));
    if (ways.length > 0) return { ok: true, value: { recipe: recipe.value.name, ml, ways } };
    const own = scaleTo(pot, ml, CONSTANTS);
    return own.ok ? refuse('no-vessel', '', 'None of the vessels can make it.') : own;
  }
  const vessel = findNamed(inVessel, file.vessels, 'vessel');
  if (!vessel.ok) return vessel;
  const scaled = scaleTo(pot, ml, CONSTANTS, vesselOf(vessel.value));
  return scaled.ok ? { ok: true, value: { recipe: recipe.value.name, ml, ways: [scaled.value] } } : scaled;
}

/** The ways as a table, best first. */
export function scaleTable({ recipe, ml, ways }: ScaleReport): string {
  const rows = ways.map(({ vessel, batches, factor, run, multiplied }) => {
    const hours = (run.rows[run.rows.length - 1]?.hobHours ?? 0) * batches;
    const off =
      multiplied.offBy === undefined
        ? 'cannot be done'
        : `${multiplied.offBy >= 0 ? '+' : '−'}${Math.abs(multiplied.offBy * 100).toFixed(1)} %`;
    return `${vessel.name.padEnd(24)}${String(batches).padStart(8)}${factor.toFixed(3).padStart(12)}${hours.toFixed(1).padStart(10)}   ${`× ${multiplied.factor.toFixed(3)}`.padEnd(10)} ${off}`;
  });
  return [
    `${recipe}, ${(ml / 1000).toFixed(2)} l`,
    '',
    `${'In'.padEnd(24)}${'batches'.padStart(8)}${'list times'.padStart(12)}${'hob h'.padStart(10)}   plain multiplication is off by`,
    ...rows,
  ].join('\n');
}
