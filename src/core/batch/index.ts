/** Batches: what was really cooked, followed through its lines by what was read, and beside what the sheet said of it. */
export { varianceOf, type MeasuredShare, type Variance, type VarianceLine } from './variance';
export { boiling, isOnHeat, onHeat, type Belief, type OnHeat } from './evaporation';
export { dipFits, dipOf, saysHowMuch } from './readings';
export { type DoubtfulReading, type CurvePoint, type RunningBatch } from './pot-filter';
export { brixOf } from './meters';
export { potOfBatch as followBatch, estimateBatch, type Interval, type BatchEstimate } from './estimate';
export { rescueWays, type Problem, type RescueWay } from './rescue';
export { type Pantry, type PantryProduct } from './pantry';
export {
  PotAdvisor,
  type ParsedArrival,
  type ParsedLine,
  type RescueAdvice,
  type SheetTarget,
  type RescueOption,
} from './pot-advisor';
export { batchFigures, type BatchFigures, type PotFigures } from './batch-figures';
export { coolingOf, type Cooling, type LimitAhead, type Place } from './cooling';
export { type WarmHolding } from './warm-holding';
export { batchResult, type BatchResult } from './batch-result';
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
export { forecastBatch, checkForecast, type Forecast, type ForecastCheck } from './forecast';
export { overnightForecast, type OvernightForecast, type OvernightRule } from './overnight';
export type { Alarm } from './alarms';
export { runningOf, stepsDone, type StoveSetup } from './running';
