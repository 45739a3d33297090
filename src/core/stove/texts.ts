/** What people read in core/stove. */

// by-water.ts
export const theseReadingsWouldCm = (
  baseCm: string,
  topCm: string,
  tapers: number,
  toTapers: number,
): string =>
  `By these readings it would be ${baseCm} cm across at the base and ${topCm} cm at the rim: a pot’s rim is ${tapers} to ${toTapers} times its base. Measure the dips again.`;
export const noPotTheseReadings =
  'No pot has these readings: measure the dips again, from the rim down to the water.';
export const noPotFitsThese = (offCm: string, mostOffCm: number): string =>
  `No pot fits these readings nearer than ${offCm} cm, and a ruler reads to ${mostOffCm} cm: measure the dips again.`;
export const twoReadingsNeededPour =
  'Two readings are needed: pour in some litres, read the dip, pour in more.';
export const dipCmCannotVessel = (dipCm: number, heightCm: number): string =>
  `A dip of ${dipCm} cm cannot be in a vessel ${heightCm} cm high: from 0 to ${heightCm}.`;
export const lWaterMustStand = (ml: number, otherMl: number, dipCm: number, otherDipCm: number): string =>
  `With ${ml} l the water must stand higher than with ${otherMl} l: a dip under ${dipCm} cm, not ${otherDipCm}.`;

// hob-power.ts
export const litresOutOfRange = (litres: number): string => `${litres} l cannot be: from 0.1 to 500 l.`;
export const waterCCannotStart = (fromC: number): string =>
  `Water at ${fromC} °C cannot be the start: from 0 to 90 °C.`;
export const minutesOutOfRange = (minutes: number): string => `${minutes} minutes cannot be: from 1 to 600.`;
export const kwIntoPotCannot = (kw: string, leastKw: number, mostKw: number): string =>
  `${kw} kW into the pot cannot be: from ${leastKw} to ${mostKw} kW.`;
