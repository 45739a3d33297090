/** What people read in core/bench. */

// tests.ts
export const weightMissingPutScale = 'A weight is missing: put it on the scale or type it, such as 2.4 kg.';
export const productNeedsProductBecomes =
  'A by-product needs the product it becomes: choose one, or call it stock trim.';
export const testSpentSolidsNeeds = 'A test of spent solids needs their drained weight.';
export const wentIntoWaterBut = (kilos: string, otherKilos: string): string =>
  `${kilos} went into the water, but only ${otherKilos} was there raw.`;
export const howLongCookedMissing = 'How long it cooked is missing: write it, such as 6 h or 40 min.';
export const testNeedsWeightWent = 'A test needs the weight that went in: more than 0 g.';
