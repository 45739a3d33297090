import type { WrittenRecipe } from '../kitchen-file';
import type { PotRun } from '../pot';
import type { PotStep } from '../verbs';

/** A recipe of the kitchen with its steps looked up, and what became of the pot. */
export interface RecipeCosting {
  readonly recipe: WrittenRecipe;
  readonly steps: readonly PotStep[];
  readonly run: PotRun;
}
