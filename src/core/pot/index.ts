/**
 * The pot: a recipe as a mass balance. Steps move grams between pieces, liquid, air, strainer and
 * plate. Read `run.ts` first, then `state.ts`, then any file in `steps/`. In words: docs/model.md.
 */
export { cautionFor, kindOfStep } from './cautions';
export { runPot, type Pot, type PotRun } from './run';
export { type LedgerRow } from './ledger';
export { warningWords, type Cure, type Warning } from './warnings';
export {
  type Joint,
  type JointCost,
  type Matter,
  type PotStep,
  type Portions,
  type ReduceTo,
  type SupplyKey,
  type WaterTo,
} from './step';
export { type Product } from './product';
export { scaledSteps, scaleTo, vesselsFor, type Scaled } from './scale';
export { retentionFrom } from './spent';
export { liquidG, liquidMl, noLiquid, type Liquid } from './liquid';
export { LOSSES, type Hob, type Loss } from './state';
export {
  BANDS,
  DEFATS,
  FUELS,
  HEATS,
  LIDS,
  ROUX,
  STRAINERS,
  type Band,
  type Defat,
  type Fuel,
  type Heat,
  type Lid,
  type ProcessConstants,
  type Roux,
  type Strainer,
} from './constants';
export {
  capacityMl,
  dipAt,
  levelAt,
  maxFillMl,
  openAreaM2,
  volumeAt,
  wettedAreaM2,
  type Vessel,
  type VesselShape,
} from './vessel';
