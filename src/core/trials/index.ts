/** What if: trial changes done to a kitchen without touching it, all of them at once or while a slider moves. */
export { ingredientsPriced, applyTrials, type TrialResult } from './apply-trials';
export { isSlider, slidersOf } from './sliders';
export { sliderPlates, type Sliders, type SliderPortion, type TrialPlate } from './slider-costs';
