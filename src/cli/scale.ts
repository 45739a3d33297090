import { costFile } from '../core/costing';
import { potOf } from '../core/shelf';
import { scaleTo, vesselsFor } from '../core/verbs';
import { mannerIn, readKitchenText, vesselOf } from '../core/kitchen-file';
import { ownConstants } from '../core/kitchen-state';
import { forCovers, type ForCovers } from '../core/planner';
import { type Scaled } from '../core/pot';
import { readAmountOf } from '../core/quantity';
import { CONSTANTS } from '../core/reference';
import { findNamed } from '../core/said';
import { refuse, type Outcome, type Trouble } from '../core/trouble';
import * as texts from './texts';

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
  const recipe = findNamed(recipeName, file.recipes, 'recipe', 'taken');
  if (!recipe.ok) return recipe;
  const amount = readAmountOf(['volume'], wanted, mannerIn(file));
  if (!amount.ok) return amount;
  const c = ownConstants(file.kitchen, CONSTANTS);
  const { shelf } = costFile(file, file.referenceDay, CONSTANTS);
  const pot = potOf(recipe.value, shelf);
  const ml = amount.value.value;
  if (inVessel === undefined) {
    const ways = vesselsFor(pot, ml, c, file.vessels.map(vesselOf));
    if (ways.length > 0) return { ok: true, value: { recipe: recipe.value.name, ml, ways } };
    const own = scaleTo(pot, ml, c);
    return own.ok ? refuse('no-vessel', '', texts.noVesselFits) : own;
  }
  const vessel = findNamed(inVessel, file.vessels, 'vessel', 'taken');
  if (!vessel.ok) return vessel;
  const scaled = scaleTo(pot, ml, c, vesselOf(vessel.value));
  return scaled.ok ? { ok: true, value: { recipe: recipe.value.name, ml, ways: [scaled.value] } } : scaled;
}

/**
 * A plate of a kitchen file for so many covers: everything it is made from.
 * @param covers as typed: `120 covers`
 */
export function coversText(
  text: string,
  plateName: string,
  covers: number,
): { readonly mistakes: readonly Trouble[] } | Outcome<ForCovers> {
  const read = readKitchenText(text);
  if (!read.ok) return { mistakes: read.mistakes };
  const plate = findNamed(plateName, read.file.plates, 'plate', 'taken');
  if (!plate.ok) return plate;
  const costing = costFile(read.file, read.file.referenceDay, CONSTANTS);
  return forCovers(costing, plate.value.id, covers, ownConstants(read.file.kitchen, CONSTANTS));
}

const off = ({ multiplied }: Scaled): string =>
  multiplied.offBy === undefined
    ? 'cannot be done'
    : `${multiplied.offBy >= 0 ? '+' : '−'}${Math.abs(multiplied.offBy * 100).toFixed(1)} %`;
const hobHours = ({ run, batches }: Scaled): number =>
  (run.rows[run.rows.length - 1]?.hobHours ?? 0) * batches;

/** What has to be cooked and bought for the covers, mothers first. */
export function coversTable({ plate, covers, makings, buy, troubles }: ForCovers): string {
  const rows = makings.map(({ name, ml, scaled, own, perL, sheetPerL }) => {
    const ownBatches = own && own.vessel.id !== scaled.vessel.id ? ` (${own.batches} in its own)` : '';
    return `${name.padEnd(24)}${(ml / 1000).toFixed(2).padStart(8)} l  ${`${scaled.batches} × ${scaled.vessel.name}${ownBatches}`.padEnd(42)}${`× ${scaled.factor.toFixed(3)}`.padStart(9)}${hobHours(scaled).toFixed(1).padStart(8)}${(perL?.toFixed(2) ?? '–').padStart(9)}${(sheetPerL?.toFixed(2) ?? '–').padStart(9)}   ${off(scaled)}`;
  });
  return [
    `${plate}, ${covers} covers`,
    '',
    `${'Cook'.padEnd(24)}${'make'.padStart(10)}  ${'in'.padEnd(42)}${'list'.padStart(9)}${'hob h'.padStart(8)}${'per litre'.padStart(9)}${'sheet'.padStart(9)}   plain multiplication is off by`,
    ...rows,
    '',
    'Have ready, trimmed',
    ...buy.map((b) => `${b.name.padEnd(40)}${(b.g / 1000).toFixed(2).padStart(9)} kg`),
    ...troubles.map((t) => `! ${t.message}`),
  ].join('\n');
}

/** Lines that are passed over leave the figures short, and that is said. */
const unreadWords = (n: number): string[] =>
  n === 0
    ? []
    : [
        `! ${n === 1 ? 'One line cannot be read: it is' : `${n} lines cannot be read: they are`} not in these figures, and grow with nothing.`,
      ];

/** The ways as a table, best first. */
export function scaleTable({ recipe, ml, ways }: ScaleReport): string {
  const rows = ways.map((way) => {
    const { vessel, batches, factor, multiplied } = way;
    return `${vessel.name.padEnd(24)}${String(batches).padStart(8)}${factor.toFixed(3).padStart(12)}${hobHours(way).toFixed(1).padStart(10)}   ${`× ${multiplied.factor.toFixed(3)}`.padEnd(10)} ${off(way)}`;
  });
  return [
    `${recipe}, ${(ml / 1000).toFixed(2)} l`,
    '',
    `${'In'.padEnd(24)}${'batches'.padStart(8)}${'list times'.padStart(12)}${'hob h'.padStart(10)}   plain multiplication is off by`,
    ...rows,
    ...unreadWords(ways[0]?.run.unread.length ?? 0),
  ].join('\n');
}
