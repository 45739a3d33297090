/** What people read in core/learning. */

// weigh-test.ts
export const testNeedsWeightWent = 'A test needs the weight that went in: more than 0 g.';
export const testNeedsLeastOne = 'A test needs at least one part with its weight.';
export const secondPassNeedsWeight = 'A second pass needs the weight that went through again: more than 0 g.';
export const wentThroughAgainBut = (kg: string, otherKg: string): string =>
  `${kg} went through again, but the first pass left only ${otherKg} of waste.`;
export const partCannot0G = (kg: string): string => `A part of ${kg} cannot be: 0 g or more.`;
export const partsWeighMoreThan = (kg: string, percent: string, what: string, totalKg: string): string =>
  `The parts weigh ${kg}, ${percent} % more than ${what} of ${totalKg}: at most 1 % is a scale’s error.`;
