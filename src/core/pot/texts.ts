/** What people read in core/pot. */

// warnings.ts
export const standsAboveWhichShould = (
  litres: string,
  overLitres: string,
  limitLitres: string,
  name: string,
): string =>
  `Stands at ${litres}, ${overLitres} above the ${limitLitres} to which the ${name} should be filled: it cannot be stirred or skimmed.`;
export const putLessOrTake = (litres: string): string => `Put ${litres} less in, or take a larger vessel.`;
export const saltAboveMostTasters = (percent: string, limitPercent: string): string =>
  `Salt ${percent}: above ${limitPercent} most tasters call it too salty.`;
export const leaveSaltOut = (kilos: string): string => `Leave ${kilos} of salt out.`;
export const unsaltedStockOrWater = (litres: string): string =>
  `${litres} of unsalted stock or water would bring it back, or less reduction.`;
export const butterMountedIntoLets = (limit: string, celsius: string): string =>
  `The butter mounted into it lets go above ${limit} °C: the pot is at ${celsius} °C.`;
export const curdlesAboveCPot = (curdler: string, limit: string, celsius: string): string =>
  `${curdler} curdles above ${limit} °C: the pot is at ${celsius} °C.`;
export const mountLastKeepBelow = 'Mount it last and keep it below that, or mount a little butter again.';
export const stirOffHeatBelow = (limit: string, boilGPerL: string): string =>
  `Stir it in off the heat, below ${limit} °C, or bind with ${boilGPerL} g of flour a litre first.`;
export const volumeFatHeldAbove = (share: string, warnsAt: string, splitsAt: string): string =>
  `${share} of its volume is fat that is held: above ${warnsAt} it is about to split, and at ${splitsAt} it does.`;
export const whiskMlWaterOr = (ml: number): string => `Whisk in ${ml} ml of water or stock.`;

// look-ahead.ts
export const leavesNoRoomStep = (step: number, litres: string): string =>
  `Leaves no room for step ${step}, which will stand ${litres} above the maximum fill.`;
export const fillLessHere = (litres: string): string => `Fill ${litres} less here.`;
export const stillStandTheyCounted = (litres: string, name: string): string =>
  `${litres} still stand in the ${name}: they are counted with what is made here.`;
export const combine = (name: string): string => `Combine with the ${name}.`;
export const stillSetAsideThey = (kilos: string): string =>
  `${kilos} are still set aside: they are counted with what is made here.`;
export const returnPiecesPickThem = 'Return the pieces, pick them, or take them out for good.';
