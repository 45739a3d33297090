/** What people read in core/larder. */

// ingredient.ts
export const partsMakeG100 = (sum: string): string => `The parts make ${sum} g in 100 g: at most 100.`;
export const givesGelatinNeedsHours = (name: string): string =>
  `${name} gives gelatin, so it needs the hours in which half of it has come out.`;
export const pieceAlcoholFollowedLiquids = (name: string): string =>
  `${name} is a piece: alcohol is followed in liquids only.`;

// trim.ts
export const perKiloWouldCredited = (
  name: string,
  setValue: string,
  credit: string,
  price: string,
  most: string,
): string =>
  `${name} at ${setValue} per kilo would be credited with more (${credit}) than the whole cost (${price}): the most it can bear is ${most}.`;
export const usableYieldCannotLies = (pct: string): string =>
  `A usable yield of ${pct} cannot be: it lies above 0 and at most at 100 %.`;
export const stockTrimCannotLies = (pct: string): string =>
  `Stock trim of ${pct} cannot be: it lies between 0 and 100 %.`;
export const usableStockTrimMake = (usablePct: string, trimPct: string, sumPct: string): string =>
  `Usable ${usablePct} and stock trim ${trimPct} make ${sumPct}: together they cannot be more than 100 %.`;

// typed.ts
export const priceMissingWriteNumber = 'A price is missing: write a number such as 24.50.';
export const notPriceWriteNumber = (typed: string): string =>
  `“${typed}” is not a price: write a number such as 24.50.`;
export const priceBelow0 = (price: string): string => `A price of ${price} is below 0.`;
export const priceAboveDecimalMark = (price: string, highestPrice: number): string =>
  `A price of ${price} is above ${highestPrice}: has a decimal mark slipped?`;
export const decimalsPriceMost4 = (price: string, decimalPlaces: number): string =>
  `${price} has ${decimalPlaces} decimals; a price has at most 4.`;
export const missingWriteNumberSuch = (what: string): string =>
  `A ${what} is missing: write a number such as 88.`;
export const notWriteNumberSuch = (typed: string, what: string): string =>
  `“${typed}” is not a ${what}: write a number such as 88.`;
export const averageOverDaysCannot = (typed: string, mostDays: number): string =>
  `An average over “${typed}” days cannot be: a whole number from 1 to ${mostDays}.`;

// received.ts
export const kgReturnedButOnly = (rejectedG: string, name: string, deliveredG: string): string =>
  `${rejectedG} kg of ${name} returned, but only ${deliveredG} kg came.`;

// substitute.ts
export const bringsWhichDoesNot = (list: string, name: string): string =>
  `Brings ${list}, which ${name} does not carry.`;
export const doesNotCarryLabel = (list: string): string =>
  `Does not carry ${list}: the label decides before anybody is told so.`;
export const instead = (salt: number, pct: string, oldPct: string): string =>
  `${salt > 0 ? 'Saltier' : 'Less salty'}: ${pct} instead of ${oldPct}.`;
export const gelatinInstead = (
  gelatinPct: number,
  oldGelatinPct: number,
  pct: string,
  oldPct: string,
): string => `${gelatinPct > oldGelatinPct ? 'More' : 'Less'} gelatin: ${pct} instead of ${oldPct}.`;
export const whatCostsBesideOther = (name: string): string =>
  `What it costs beside the other is not known: ${name} has no price.`;
export const usableKiloInstead = (by: number, money: string, newMoney: string, oldMoney: string): string =>
  `${by > 0 ? 'Dearer' : 'Cheaper'} by ${money} a usable kilo: ${newMoney} instead of ${oldMoney}.`;

// label.ts
export const whatLabelStatesFills = (fullMl: string): string =>
  `What the label states fills ${fullMl} ml of 100: is the table per 100 g?`;
export const copyLeastOneFigure = 'Copy at least one figure of the table, such as its fat.';
export const shareOf100OutOfRange = (value: number): string => `${value} of 100 cannot be: from 0 to 100.`;
export const sugarsGPartCarbohydrate = (sugars: number): string =>
  `Sugars of ${sugars} g are part of the carbohydrate: write that too.`;
export const sugarsGMoreThan = (sugars: number, carbohydrate: number): string =>
  `Sugars of ${sugars} g are more than the carbohydrate they are part of, ${carbohydrate} g.`;
export const tableAddsUpG = (grams: number): string =>
  `The table adds up to ${grams} g: at most 100 g are in 100 g.`;
