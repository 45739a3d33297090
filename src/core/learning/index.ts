/** What own weighings teach: a test weighed up, what tests together say beside the reference, a scale that has settled. */
export { weighTest, FATES, type Fate, type TestPart, type TestPass, type TestWeighed } from './weigh-test';
export {
  learn,
  outliers,
  typicalSd,
  type Learned,
  type LearningConstants,
  type Prior,
  type Sample,
} from './learn';
export { worthOf, type SecondPassWorth } from './second-pass';
export { SEASONS, seasonOf, type Season } from './season';
export { scaleState, type ScaleReading, type ScaleState } from './scale-state';
export { COOKED, TEST_KINDS, figureUnit, type Cooked, type TestKind } from './figures';
