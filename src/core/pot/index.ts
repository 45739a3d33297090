/**
 * The pot: a recipe as a mass balance. Steps move grams between pieces, liquid, air, strainer and
 * plate. Read `run.ts` first, then `state.ts`, then any verb in `../verbs`. In words: docs/model.md.
 */
export { doStep, runPotFromWith, runPotWith, type PotOf, type PotRun, type TracedRun } from './run';
export {
  isIdle,
  type Doing,
  type Handled,
  type IdleStep,
  type LeftOutStep,
  type PotTable,
  type PotVerb,
  type UnreadStep,
} from './verb';
export { isInKilos, type LedgerRow } from './ledger';
export { MOUNTED, warningWords, type Cure, type Warning } from './warnings';
export { bookLoss, noReport, type Joint, type JointCost, type Portions, type StepReport } from './report';
export { mustJoin, nameOf, putIn, saltShare, type Matter } from './matter';
export { servedMl, type Product } from './product';
export { scaleByWith, scaledStepsWith, scaleToWith, vesselsForWith, type Scaled } from './scale';
export { retentionFrom } from './retention';
export { crossing, type Crossing } from './root';
export { kilos, litres, percent, trouble } from './figures';
export {
  copyLiquid,
  delicate,
  liquidG,
  liquidMl,
  noLiquid,
  pourShare,
  scaleLiquid,
  scaleUnderFat,
  type Liquid,
} from './liquid';
export { browned, pieceG, shareOfPiece, type Piece } from './piece';
export { heldBackMl, loseMl, loseShare, wallCling } from './left-behind';
export { asideIn, clearTray, layTray, mustBeFree, notAside, trayOf } from './aside';
export { chosenPieces, liftWet, wetShare, type PieceChoice } from './piece-choice';
export { partFat, partOff, type GoesOn } from './part-off';
export {
  bringTo,
  fireOf,
  heatForHours,
  heatUntil,
  LONGEST_H,
  loseThroughWall,
  standFor,
  type Fire,
} from './heat';
export { LOSSES, type Loss } from './losses';
export {
  becomePot,
  bindingGPerL,
  body,
  bodyAt,
  heldFatShare,
  copyPot,
  emptyPot,
  fatPct,
  fries,
  gelatinPct,
  heapLevelCm,
  levelCm,
  mixedCelsius,
  overBrimMl,
  piecesG,
  piecesMl,
  saltPct,
  standingMl,
  standingOf,
  type BodyParts,
  type Hob,
  type PotState,
  type StandLevel,
} from './state';
export {
  BANDS,
  DEFATS,
  FUELS,
  HEATS,
  LIDS,
  ROUX,
  STRAINERS,
  type BodyBand,
  type Defat,
  type Effort,
  type Fuel,
  type Heat,
  type Lid,
  type ProcessConstants,
  type Roux,
  type Strainer,
} from './constants';
export {
  boilsIn,
  capacityMl,
  dipAt,
  levelAt,
  maxFillMl,
  openAreaM2,
  volumeAt,
  wettedAreaM2,
  type Boils,
  type Vessel,
  type VesselShape,
} from './vessel';
