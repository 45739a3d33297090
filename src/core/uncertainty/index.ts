/** How sure a comparison is: every figure drawn from its range, the same draw for all ways, and what came of it in bands. */
export { drawn, pertOf, type Pert } from './pert';
export { Draws } from './draws';
export { bandOf, importance, wins, type Band } from './bands';
export { boilsId, checkRange, rangesOf, type RangeFrom, type Uncertain } from './ranges';
export {
  BAND_STEP_H,
  drawsOf,
  simulatedFigure,
  SIMULATED,
  Simulation,
  type SimulationSetup,
  type SimulatedFigure,
} from './simulation';
