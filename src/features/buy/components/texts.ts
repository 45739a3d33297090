/** What people read in buy. */

// answers.tsx
export const whatThesePricesChange = 'What these prices change';
export const dish = 'A dish';
export const litre = 'A litre';
export const moreNotMadeFrom = (others: number): string =>
  `${others} more are not made from the rows on screen.`;
export const change = (moving: number, count: number): string => `${moving} of ${count} change`;
export const dearer = 'dearer by ';
export const cheaper = 'cheaper by ';
export const incomplete = 'incomplete';
export const breaksTargetOverTarget = (breaks: boolean, money: string): string =>
  `${breaks ? 'breaks its target' : 'over its target'}, ${money} at most`;

// as-of-bar.tsx
export const name = 'by name';
export const biggestChangeFirst = 'biggest change first';
export const dearestUsableKilo = 'dearest usable kilo';
export const costs = 'Costs as of';
export const changedSince = 'Changed since';
export const movedSince = 'changed since';
export const order = 'in order';
export const orderRows = 'Order of the rows';
export const pricesYieldsThenThey = (day: string, known: string): string =>
  `Prices and yields of ${day}, ${known === 'then' ? 'as they were known then' : 'as corrected since'}; recipes as they are today.`;
export const countLaterCorrections = 'Count later corrections';
export const knownThen = 'As known then';
export const backToday = 'Back to today';

// price-line.tsx
export const priceSince = (words: string, since: string): string => `${words}, price since ${since}`;
export const comesOff = (parent: string): string => `comes off ${parent}`;
export const notBoughtYet = 'not bought yet';
export const keepMine = 'Keep mine';
export const takeTheirs = (packPrice: string, usablePct: number): string =>
  `Take theirs (${packPrice}, ${usablePct} %)`;
export const pricePack = (name: string): string => `${name}, price of a pack`;
export const estimateNotMeasuredHere = 'An estimate: not measured here yet';
export const measuredHereOrNothing = 'Measured here, or nothing comes off';
export const usablePerCent = (name: string, guess: boolean): string =>
  `${name}, usable per cent${guess ? ', an estimate' : ''}`;
export const noPrice = 'no price';
export const usableKilo = (name: string): string => `${name}, a usable kilo`;
export const kept = 'kept';

// price-book.tsx
export const bought = 'bought as';
export const perKilo = 'per kilo';
export const priceBook = 'price book';
export const priceBookHeading = 'Price book';
export const whatUsableKiloCosts =
  'What a usable kilo costs. Type a price or a yield and see what changes; Enter saves it.';
export const findIngredient = 'Find an ingredient';
export const showMore = (more: number, hits: number): string => `Show ${more} more of ${hits}`;
export const nothingPriceBookFits = (wanted: string): string => `Nothing in the price book fits “${wanted}”.`;
export const noIngredientsYet = 'There are no ingredients yet:';
export const takeSomeFromLarder = 'take some from the larder';
export const writeFirstInvoice = 'write the first invoice';
export const or = ', or';
export const writeFirstPotSheet = 'write the first pot sheet';
export const whichAsksWhatMisses = ', which asks for what it misses.';
export const boughtHeading = 'Bought as';
export const pack = (currencySign: string): string => `${currencySign} a pack`;
export const perKiloCurrencySign = (currencySign: string): string => `${currencySign} per kilo`;
export const usableKiloCurrencySign = (currencySign: string): string => `${currencySign} a usable kilo`;
export const priceChange = 'change';
export const ingredient = 'Ingredient';
export const usablePercent = 'usable %';
export const trimPercent = 'trim %';
