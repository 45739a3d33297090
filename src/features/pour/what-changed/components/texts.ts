/** What people read in pour/what-changed. */

// happened-view.tsx
export const whatChanged = 'What changed';
export const whatEachDishsIngredients =
  'What each dish’s ingredients cost on two days, and what prices, tests, pots and portions each did to that in between.';
export const fromEnd = 'From the end of';
export const end = 'to the end of';
export const pricesTests = 'prices and tests';
export const pricesTestsHeading = 'Prices and tests';
export const correctedSince = 'as corrected since';
export const knownThen = 'as known then';
export const noDishesYet = 'There are no dishes yet.';
export const dish = 'Dish';
export const averageDish = (name: string): string => `${name}, average dish`;
export const dishesKnownBothDays = 'of its dishes that are known on both days';
export const notKnown = 'not known';
export const closely = (name: string): string => `${name}, closely`;
export const whichPricesChanged = 'Which prices changed it';
export const perKilo = (money: string, moneyAfter: string): string => `${money} → ${moneyAfter} per kilo`;
export const calculatingCostsBetween = 'Calculating the costs in between …';
export const whatCost = (name: string, costs: string): string => `What ${name} cost: ${costs}`;
export const history = 'History';
export const nothingMadeFromChanged = 'Nothing it is made from changed in between.';
export const earlierOnes = (count: number): string => `and ${count} earlier ones.`;
