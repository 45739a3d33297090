/** What people read in core/learning. */

// weigh-test.ts
export const testNeedsWeightWent = 'A test needs the weight that went in: more than 0 g.';
export const testNeedsLeastOne = 'A test needs at least one part with its weight.';
export const secondPassNeedsWeight = 'A second pass needs the weight that went through again: more than 0 g.';
export const wentThroughAgainBut = (kg: string, kg2: string): string =>
  `${kg} went through again, but the first pass left only ${kg2} of waste.`;
export const partCannot0G = (kg: string): string => `A part of ${kg} cannot be: 0 g or more.`;
export const partsWeighMoreThan = (kg: string, all: string, what: string, kg2: string): string =>
  `The parts weigh ${kg}, ${all} % more than ${what} of ${kg2}: at most 1 % is a scale’s error.`;
