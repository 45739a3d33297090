/** What people read in house/settings. */

// settings-form.tsx
export const nameMoneyFigures = 'Name, money, figures';
export const everyPriceStaysFigure = (currency: string): string =>
  `Every price stays the figure it is, and is read as ${currency} from now on. Is that meant?`;
export const whatKitchenCalled = 'What the kitchen is called';
export const timeZone = 'Time zone';
export const currency = 'Currency';
export const numberDateFormat = 'Number and date format';
export const amountsShown = 'Amounts are shown in';
export const kilosLitres = 'kilos and litres';
export const poundsUsQuarts = 'pounds and US quarts';
export const poundsImperialPints = 'pounds and imperial pints';
export const costsStillShownPer = 'Costs are still shown per kilo and per litre.';
export const alsoShown = 'Also shown';
export const strainersYourOwnWhat = 'Strainers of your own, and what stays in each';
export const superbag60MlCone = 'superbag 60 ml; cone sieve 200 ml';
export const saidSheetStrainThrough =
  'Said on a sheet as “strain through a superbag”. A ladle is a measure: Buy, Larder.';
export const wallsPotPouredOut = 'On the walls of a pot that is poured out, times what is usual';
export const moreWherePotsTipped = 'More where pots are tipped and not scraped.';
export const potCooled = 'A pot is cooled to';
export const example21C2H = '21 °C in 2 h; 5 °C in 6 h';
export const sheetWarnsWhereChilling = 'A sheet warns where its chilling takes longer.';
export const hotFood = 'Hot food is';
export const reheated75C1 = 'reheated to 75 °C in 1 h; held at 63 °C';
export const stoveProbeReadBeside =
  'At the stove a probe is read beside it. The food-safety plan comes first.';
export const mayStayHeatOvernight = 'May stay on the heat overnight';
export const electricityBareSimmerBack = 'electricity at bare simmer; back at 06:00';
export const stoveShowsPotLeft =
  'The stove shows that a pot is left alone, and how it will be at the end of the night.';
export const probeStoveAnswers = 'The probe of the stove answers at';
export const thenDegreesTakenInstead = 'Then its degrees are taken instead of typed.';
export const lostServiceWhatPlated = 'Lost in service, of what is plated';
export const banquet6Staff10 = 'banquet 6 %; staff 10 %';
export const countsDishesServedSay = 'Counts for dishes that are served so and say nothing themselves.';
export const closed = 'Closed on';
export const singleDays = 'and on single days';
export const taxNewDish = 'Tax on a new dish, %';
export const targetFoodCost = 'Target food cost, %';
export const noTarget = 'no target';
export const cooksMayChange = 'Cooks may change';
export const ownWork = 'own work';
export const theirOwnWorkTests = 'their own work: tests, waste, saved costings';
export const recipesPrices = 'recipes and prices';
export const recipesDishesPricesToo = 'recipes, dishes and prices too';
