/** Batches: what was really cooked, followed through its lines by what was read, and beside what the sheet said of it. */
export { varianceOf, type Measured, type Variance, type VarianceLine } from './variance';
export { boiling, isOnHeat, onHeat, type Belief, type OnHeat } from './evaporation';
export { dipFits, dipOf, saysHowMuch } from './readings';
export { type Asked, type OnCurve, type Running } from './follow';
export { brixOf } from './meters';
export { follow as followBatch, whereabouts, type Span, type Whereabouts } from './whereabouts';
export { rescueWays, type Problem, type RescueWay } from './rescue';
export { type Pantry, type PantryProduct } from './pantry';
export { AtPot, type CameIn, type LineRead, type PutRight, type SheetKnown, type WayOut } from './put-right';
export { batchFigures, type BatchFigures, type PotFigures } from './shown';
export { coolingOf, type Cooling, type LimitAhead, type Place } from './cooling';
export { type Warm } from './warm';
export { endedOf, type Ended } from './ended';
export {
  boilsTaught,
  fires,
  handsToldOf,
  lessonsOf,
  nextSd,
  timesTaught,
  type BoilsTaught,
  type Lesson,
  type LessonOf,
  type TimesKind,
  type TimesLesson,
  type TimesTaught,
} from './learning';
export { leftToldOf, type LeftLesson } from './left-behind';
export { foretell, judged, type Foretold, type Judged } from './foretold';
export { nightAhead, type NightAhead, type NightRule } from './night';
export type { Call } from './calls';
export { runningOf, stepsDone, type AtStove } from './running';
