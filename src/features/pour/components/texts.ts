/** What people read in pour. */

// use-plate.ts
export const kg = (g: string): string => `${g} kg`;

// plate-forms.tsx
export const whatDishCalled = 'What is the dish called?';
export const whatCalled = 'What it is called';
export const howMuchEachPortionNamed = (name: string): string => `How much of each portion of ${name}`;
export const taxDishsLeaveField = 'Its tax is that dish’s. Leave a field empty to use that dish’s value.';
export const taxPrice = 'Tax in its price, %';
export const targetFoodCostNet = 'Target food cost, % of the net price';
export const noTarget = 'no target';
export const howServed = 'How it is served';
export const asThere = 'as there';
export const may = 'as it may be';
export const lostServiceWhatPlated = 'Lost in service, % of what is plated';
export const usualHere = 'as usual here';
export const labourMinutesPlate = 'Labour minutes to plate it';
export const notCounted = 'not counted';
export const dishesPlatedOnce = 'Dishes plated at once';
export const oneEachToOrder = '1, each to order';
export const asThereThere = (there: number): string => `as in that dish, ${there}`;
export const whatDishCalledHeading = 'What the dish is called';
export const howMuchEachPortion = 'How much of each portion';
export const suchHalf60Or = 'Such as half, 60 % or 1.5. It follows the dish except where you change it.';
export const opening = 'Opening …';
export const openDish = 'Open the dish';

// plate-list.tsx
export const size = (sizeOf: string): string => `a size of ${sizeOf}`;
export const menu = 'on the menu';
export const foodCost = 'food cost';
export const dishes = 'Dishes';
export const everyDishCostPrice = 'Every dish with its cost, its price and its gross profit.';
export const newDish = 'A new dish';
export const noDishesYet = 'There are no dishes yet.';
export const dishNameListWhat =
  'A dish has a name, a list of what is in it and how much of each, and a price on the menu.';
export const createFirstDish = 'Create the first dish';
export const managerCreatesFirstOne = 'A manager creates the first one.';
export const incomplete = 'incomplete';
export const perDish = (name: string): string => `${name}, per dish`;
export const noneSet = 'none set';
export const keeps = (percent: string): string => `keeps ${percent} %`;
export const over = (percent: string): string => `▲ over ${percent} %`;

// plate-answer.tsx
export const dishsCost = 'The dish’s cost';
export const perDishLayersText = (layersText: string): string => `per dish, ${layersText}`;
export const lostService = (percent: string): string => `, ${percent} % lost in service`;
export const saved = '✓ saved';
export const menuTax = (percent: string): string => `On the menu, tax ${percent} % in it`;
export const priceMenu = 'Price on the menu';
export const netTax = 'Net of tax';
export const foodCostHeading = 'Food cost';
export const target = 'Target';
export const grossProfit = 'Gross profit';
export const plus = (layerName: string): string => `Plus ${layerName}`;
export const notKnown = 'not known';
export const alcoholLeft = 'Alcohol left on it';
export const asItIs = ', as it is';
export const inText = (on: string): string => `, in ${on}`;
export const priceTarget = 'Price for its target';
export const needs = (percent: string): string => `${percent} % needs`;
export const usePrice = 'Use this price';
export const theirsNoneYoursNone = (what: string, other: string, mine: string): string =>
  `${what}: theirs ${other || 'none'}, yours ${mine || 'none'}.`;
export const keepMine = 'Keep mine';
export const takeTheirs = 'Take theirs';

// add-line.tsx
export const addNewIngredient = 'Add a new ingredient …';
export const whatDishChooseFrom = 'What is in the dish? Choose it from the list.';
export const howMuchDishWrite = 'How much of it is in the dish? Write such as 60 ml or 120 g.';
export const whatElseDish = 'What else is in the dish';
export const anotherThingSauceCut = 'another thing: a sauce, a cut, a garnish';
export const howMuch = 'How much of it';
export const example60Ml = '60 ml';
export const add = 'Add';
export const typeNameFirst = 'Type its name first.';

// served-forms.tsx
export const overfilled = 'Overfilled, %';
export const sideHowMuchGuests = 'On the side: how much of it guests take, %';
export const all = 'all of it';
export const whatTheyLeaveGoes = 'What they leave goes back to the store and is not counted.';
export const packagingJarLidBox = 'It is packaging: a jar, a lid, a box';
export const whatSmallPotCalled = 'What is the small pot called?';
export const forText = (name: string, otherName: string): string => `${name} for ${otherName}`;
export const finishedSmallPot = 'Finished in a small pot';
export const finishedSmallPotOrder = 'Finished in a small pot, to order';
export const potSheetWhoseBatch =
  'A pot sheet whose batch is one dish, for what is reduced, mounted or seasoned to order. It starts with what is in the dish here, and the dish takes a batch of it.';
export const whatSmallPotCalledHeading = 'What the small pot is called';
export const finishSmallPot = 'Finish it in a small pot';

// line-served.tsx
export const moreThanGoes = (pct: string): string => `overfilled by ${pct}`;
export const packagingNotFoodCost = 'packaging, not in the food cost';
export const sideTaken = (pct: string): string => `on the side, ${pct} of it taken`;
export const howServedName = (name: string): string => `How ${name} is served`;

// plate-lines.tsx
export const dish = 'In the dish';
export const portion = 'portion';
export const weight = 'weight';
export const share = 'share';
export const costs = 'costs';
export const remove = 'Remove';
export const nothingDishYetAdd = 'Nothing in this dish yet. Add the first line.';
export const sizes = 'Sizes of it';
export const dishHeading = 'Dish';
export const targetInline = 'target';
export const whatNoPriceYet = 'What has no price yet';
export const removed = (name: string): string => `${name} is removed.`;
export const usableEstimateMeasured = (guess: boolean, basis: undefined | string): string =>
  `usable, ${guess ? 'an estimate' : (basis ?? 'measured')}`;
export const differsFromDish = (there: string): string => `differs from that dish, ${there}`;
export const letFollowDishAgain = (name: string): string => `Let ${name} follow that dish again`;
export const followAgain = 'Follow again';
export const oneDishMoreThan = (kilos: string, otherKilos: string): string =>
  `${kilos} in one dish is more than a batch makes: its pot gives ${otherKilos}.`;
export const portionName = (name: string): string => `${name}, portion`;
export const dishName = (name: string): string => `${name} in the dish`;
export const removeName = (name: string): string => `Remove ${name}`;
export const countedTrimmedPiecesDish = 'Counted as trimmed pieces, as this dish was first written.';
export const countBought = 'Count as bought';
export const bought = (kilos: string, totalKilos: string): string => `${kilos} of ${totalKilos} as bought`;

// plate-tools.tsx
export const nameTaxTarget = 'Name, tax and target';
export const newPortionSize = 'New portion size';
export const costOverTime = 'Cost over time';
export const history = 'History';
export const duplicate = 'Duplicate';
export const archive = 'Archive';
export const newPortionSizeName = (name: string): string => `New portion size of ${name}`;
export const copy = (name: string): string => `A copy of ${name}`;
export const stopFollowing = 'Stop following';

// plate-page.tsx
export const times = (figure: string): string => `${figure} times`;
export const eachPortion = (sizeWords: string): string => `${sizeWords} of each portion of`;
export const exceptWhereChangedHere = ', except where changed here.';
export const typeAnotherPortionOr = 'Type another portion or price; Enter saves it.';
export const half = 'half';
export const noOverfill = 'none';
