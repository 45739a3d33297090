import {
  hobOf,
  inForce,
  mannerIn,
  measuringDensity,
  stuffOf,
  vesselOf,
  yieldOn,
  type WrittenIngredient,
  type WrittenRecipe,
} from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import type { PotRun, Product } from '../pot';
import { productOf } from '../supply';
import { fine, refuse } from '../trouble';
import { resolveStep, type OnShelf, type Pot, type Shelf } from '../verbs';
import { reuseIfEqual, type CachedMatter } from './pot-cache';
import type { RecipeCosting } from './recipe-costing';
import * as texts from './texts';

/** Thrown for a recipe that stands on a vessel or hob that the kitchen does not have: reading a kitchen refuses those. */
export class NowhereToStand extends Error {}

/** A joint product of a run, by the name it parts under. */
export const jointOf = (run: PotRun | undefined, part: string): Product | undefined =>
  run?.rows.flatMap((row) => row.parted).find((j) => j.name === part)?.product;

const LEFT_OUT = { do: 'left out' } as const;

/** A recipe as the pot runs it, the house's way; every line has its place, done or not. Also for a recipe being written, on a costed kitchen's shelf. */
export function potOf(
  recipe: Pick<WrittenRecipe, 'vessel' | 'hob' | 'steps' | 'choices'>,
  shelf: Shelf,
): Pot {
  const vessel = shelf.vessel(recipe.vessel);
  const hob = shelf.hob(recipe.hob);
  if (!vessel || !hob)
    throw new NowhereToStand('the recipe stands on a vessel or hob that the kitchen does not have');
  const done = inForce(recipe);
  return {
    vessel,
    hob,
    steps: recipe.steps.map((step) => (done(step) ? resolveStep(step, shelf) : LEFT_OUT)),
  };
}

/** What a pot reads of a kitchen's ingredients, vessels and hobs on a day; what says the same as before is the same object. */
export function matterOn(state: KitchenState, day: string, before?: CachedMatter): CachedMatter {
  const stuffs = new Map<string, { of: WrittenIngredient; on: OnShelf | undefined }>();
  for (const of of state.ingredients) {
    const was = before?.stuffs.get(of.id);
    stuffs.set(
      of.id,
      was && was.of === of && before?.day === day ? was : { of, on: reuseIfEqual(onShelf(of, day), was?.on) },
    );
  }
  const { vessels, hobs } = state;
  return {
    day,
    manner: reuseIfEqual(mannerIn(state), before?.manner),
    stuffs,
    vessels: new Map(vessels.map((v) => [v.id, reuseIfEqual(vesselOf(v), before?.vessels.get(v.id))])),
    hobs: new Map(hobs.map((h) => [h.id, reuseIfEqual(hobOf(h), before?.hobs.get(h.id))])),
  };
}

function onShelf(ingredient: WrittenIngredient, day: string): OnShelf | undefined {
  const stuff = stuffOf(ingredient, day);
  if (!stuff.ok) return undefined;
  return {
    stuff: stuff.value,
    densityGPerMl: measuringDensity(ingredient, stuff.value),
    eachG: ingredient.eachG,
    eachUnit: ingredient.eachUnit,
    pieceG: ingredient.pieceG,
    usable: yieldOn(ingredient, day).usablePct / 100,
  };
}

/** Where a kitchen's steps look their names up; products and last batches as they are cooked. */
export function shelfOf(
  { manner, stuffs, vessels, hobs }: CachedMatter,
  recipes: ReadonlyMap<string, RecipeCosting>,
  written: ReadonlyMap<string, WrittenRecipe>,
  lefts: ReadonlyMap<string, Product>,
): Shelf {
  return {
    manner,
    stuff: (id) => stuffs.get(id)?.on,
    vessel: (id) => vessels.get(id),
    hob: (id) => hobs.get(id),
    product(id, part) {
      const recipe = written.get(id)?.name ?? 'A recipe';
      const run = recipes.get(id)?.run;
      const name = part === undefined ? recipe : `${part} of ${recipe}`;
      const product = part === undefined ? run?.product : jointOf(run, part);
      return product
        ? fine({ name, product })
        : refuse('no-product', 'of', texts.cannotMadeYetTaken(recipe, part));
    },
    lastBatch(id, part) {
      const recipe = written.get(id)?.name ?? 'a recipe';
      const product = lefts.get(productOf(id, part));
      return product
        ? fine({ name: `last batch of ${part === undefined ? recipe : `${part} of ${recipe}`}`, product })
        : refuse('no-product', 'of', texts.noBatchCanMade(recipe));
    },
  };
}

/** What a line takes of something made here, where one batch does not give it. */
export interface Batches {
  readonly step: number;
  readonly name: string;
  /** g taken, and g that one batch gives. */
  readonly g: number;
  readonly eachG: number;
  readonly batches: number;
}

/** Lines that take more of a product than one batch of it gives: that is not wrong, it means several batches. */
export const batchesTaken = (run: PotRun, gives: (supply: string) => number | undefined): Batches[] =>
  run.inputs.flatMap(({ supply, name, g, step }) => {
    const eachG = gives(supply);
    const batches = eachG === undefined || eachG <= 0 ? 0 : Math.ceil(g / eachG - 1e-6);
    return batches > 1 && eachG !== undefined ? [{ step, name, g, eachG, batches }] : [];
  });
