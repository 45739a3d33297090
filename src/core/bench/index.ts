/** Yield and cooking tests as a kitchen writes them down, and what they weigh up to. */
export { Test, type WrittenTest } from './schema';
export {
  drainedIn,
  hoursIn,
  isDrained,
  weighLive,
  weighTestIn,
  type LiveTest,
  type LiveWeight,
  type TestAsTyped,
} from './tests';
export { valuesOf, type Figure } from './values';
