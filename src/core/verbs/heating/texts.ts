/** What people read in core/verbs/heating. */

// brown.ts
export const waterPiecesWaterStops = (litres: string, kilos: string): string =>
  `There are ${litres} of water with ${kilos} of pieces: water stops browning.`;
export const brownFirstThenPut = 'Brown first, then put the liquid in.';

// chill.ts
export const cOnlyAfterH = (toC: number, at: string, withinH: number): string =>
  `It is at ${toC} °C only after ${at} h: here it has to be within ${withinH} h.`;
export const coolShallowPansOr =
  'Cool it in shallow pans or small tubs in ice water, or say how long it takes so.';

// heat-warnings.ts
export const piecesStandCmOut = (heap: string, level: string): string =>
  `The pieces stand ${heap} cm out of the liquid at ${level} cm.`;
export const topUpOrUse = (litres: string): string => `Top up with ${litres} or use a narrower pot.`;
export const boilsCBonesAbove = (celsius: string, limit: string): string =>
  `Boils at ${celsius} °C with the bones in: above ${limit} °C scum and fat are beaten back in and the liquid clouds.`;
export const keepBareSimmerC = (celsius: string): string => `Keep it at a bare simmer, ${celsius} °C.`;
export const boilsDryAfterMin = (dryAfter: number, minutes: number): string =>
  `Boils dry after ${dryAfter} of its ${minutes} min: it would burn.`;
export const lessThanMinOr = (verb: string, minutes: number): string =>
  `${verb} it less than ${minutes} min, or put a lid on.`;
export const wouldDriveOffKg = (
  heat: string,
  name: string,
  wants: string,
  netKw: string,
  otherName: string,
  gives: string,
): string =>
  `A ${heat} in the ${name} would drive off ${wants} kg an hour; the ${netKw} kW of the ${otherName} drive off ${gives} at most, so it takes longer.`;
export const needsKwOrTwo = (kw: string): string => `It needs ${kw} kW, or two vessels on two hobs.`;

// reduce.ts
export const reduceNeedsTargetHalf = (said: string): string =>
  `“reduce ${said}” needs a target: “by half”, “to 3 l”, “to a dip of 33 cm”, “to 8 % gelatin” or “for 20 min”.`;
