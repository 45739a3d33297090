/** A batch that was cooked, beside what the sheet said of it. */
export { varianceOf, type Measured, type Variance, type VarianceLine } from './variance';
