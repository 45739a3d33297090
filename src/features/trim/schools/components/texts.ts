/** What people read in trim/schools. */

// use-trimming.ts
export const setValue = 'set value';

// trimming-form.tsx
export const kiloTrimSetValue = 'A kilo of trim at its set value';
export const setValueKiloTrim = 'Set value of a kilo of trim';
export const labourPerHour = 'Labour per hour';
export const hourLabourCosts = 'An hour of labour costs';
export const kilowattHourElectricity = 'A kilowatt hour of electricity';
export const kilowattHourElectricityCosts = 'A kilowatt hour of electricity costs';
export const gas = '… and of gas';
export const kilowattHourGasCosts = 'A kilowatt hour of gas costs';
export const howKitchenTrims = 'How this kitchen trims';
export const howTrimCosted = 'How trim is costed, as on';
export const threeDishes = 'three dishes';
export const trimLabourEnergy = 'Trim, labour, energy';
export const learnedFromYieldTests = 'Learned from yield tests';
export const waitsUntilManagerAccepts = 'waits until a manager accepts it';
export const once = 'at once';
export const countsSoonTestFinished = 'counts as soon as a test is finished';
export const addressScale = 'Address of the scale';
export const noScale = 'no scale';
export const yesSave = 'Yes, save it';
export const save = 'Save';
export const costFromNow = (name: string): string => `Cost ${name} from now on`;
export const saved = '✓ saved';
export const perKiloUsedIngredients = (money: string): string =>
  `${money} per kilo is used for ingredients without a set value of their own. The wage decides whether a second pass pays. Labour and energy are shown beside the ingredients of every litre.`;

// kilo-table.tsx
export const usableKiloKiloWhat = 'A usable kilo, and a kilo of what comes off';
export const ingredient = 'Ingredient';
export const bought = 'bought at';
export const moreTrimPotTakes = (moreTaken: number): string =>
  `${moreTaken} more have trim that a pot takes; each is told on its own page. `;
export const trimNoPotTakes = (untaken: number): string =>
  `${untaken} have trim that no pot takes: every method costs them the same.`;
export const staysWithOwn = (method: string): string => `keeps its own method: ${method}`;
export const staysWithOwnValue = 'keeps its own set value';
export const cannot = 'cannot be';

// schools-view.tsx
export const howTrimCostedHeading = 'How trim is costed';
export const sameKitchenSamePrices =
  'The same kitchen, the same prices, three ways to share them. Choose one and stay with it: trim that is free on one sheet and charged on another makes both wrong.';
export const noDishesYetShow = 'There are no dishes yet to show it on.';
export const dishCosts = (currencySign: string): string => `A dish costs, in ${currencySign}`;
export const apart = 'apart by';
export const dish = (name: string): string => `Dish ${name}`;
export const incomplete = 'incomplete';
export const over = (figure: string): string => `over ${figure}`;
export const foodCost = 'food cost';
