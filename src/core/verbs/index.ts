/**
 * The verbs of a recipe: one file each, which states its written form, how it is said and read, looked up, run, scaled, and what
 * hands, warnings and cautions it has. `table.ts` names them all; `steps.ts` is the pot, the language and the file with that
 * table in hand.
 */
export {
  amountOfStep,
  besideOf,
  cautionFor,
  flawOfStep,
  idsOfStep,
  lineOf,
  markOf,
  ofStep,
  partOfStep,
  resolveStep,
  runPot,
  runPotFrom,
  scaleBy,
  scaledSteps,
  scaleTo,
  tryResolve,
  vesselsFor,
  WrittenStep,
  writeStep,
  type Pot,
  type PotTrace,
} from './steps';
export { readStep, unsoundness } from './understand';
export { VERBS, type PotDoing, type PotStep } from './table';
export { MODEL_LINES } from './model-lines';
export { scaledLine } from './scaled-line';
export { countedIn, matterOf, supplyOf, thingOf, type Counted } from './resolving';
export type { OnShelf, Shelf } from './shelf';
export type { Verb } from './verb';
