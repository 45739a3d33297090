import { plural } from '@/core/plural';

/** What people read in pour/what-if. */

// another-trial.tsx
export const priceOneThing = 'the price of one thing';
export const allPricesGroup = 'all prices of a group';
export const allPricesSupplier = 'all prices of a supplier';
export const howMuchThingUsable = 'how much of a thing is usable';
export const linePotSuchReduction = 'a line of a pot, such as a reduction';
export const portionDish = 'a portion in a dish';
export const menuPrice = 'menu price';
export const priceMenu = 'a price on the menu';
export const howTrimCosted = 'how trim is costed';
export const labourPerHour = 'labour per hour';
export const whatEnergyCosts = 'what energy costs';
export const oneIngredientPlaceAnother = 'one ingredient in place of another';
export const onePotPlaceAnother = 'one pot in place of another';
export const whichThing = 'of which thing';
export const whichPot = 'of which pot';
export const whichDish = 'in which dish';
export const whichDishInline = 'of which dish';
export const insteadWhichIngredient = 'instead of which ingredient';
export const insteadWhichPot = 'instead of which pot';
export const trySomething = 'Try something';
export const whatTry = 'What to try';
export const trySomethingInline = 'try something …';
export const whichGroup = 'Which group';
export const whichSupplier = 'Which supplier';
export const addWhatIf = 'Add to the what-if';
export const whichLine = 'Which line';
export const whichPortions = 'Which of its portions';
export const whatPlace = 'what in its place';

// tray-forms.tsx
export const whatWhatIfCalled = 'What is the what-if called?';
export const newWhatIf = 'New what-if';
export const whatWhatIfCalledHeading = 'What the what-if is called';
export const suchBonesFifthDearer = 'Such as “Bones a fifth dearer”. Everybody in the house sees it.';
export const rename = 'Rename';

// tray-tools.tsx
export const deleted = (name: string): string => `${name} is deleted.`;
export const appliedPriceBookCtrl = (name: string): string =>
  `${name} is applied to the price book. Ctrl Z undoes all of it.`;
export const applyPriceBook = 'Apply to the price book';
export const linkCopiedEveryoneWho = 'Link copied. Everyone who works here can open it.';
export const addressPourWhatIf = (origin: string, id: string): string =>
  `Its address is ${origin}/pour/what-if?of=${id}`;
export const copyLink = 'Copy link';
export const history = 'History';
export const deleteText = 'Delete';
export const whatIfSaved = '✓ what-if saved';

// trial-row.tsx
export const remove = (title: string): string => `Remove ${title}`;
export const ofWhat = (now: string): string => `of ${now}`;
export const now = (now: string): string => `now: ${now}`;
export const trimFree = 'trim is free';
export const trimSetValue = 'trim at a set value';
export const sharedWeight = 'shared by weight';
export const perKiloNowThen = (money: string, otherMoney: string): string =>
  `${money} per kilo now, ${otherMoney} then`;
export const shareNow = (title: string): string => `${title}, share of now`;
export const typed = (label: string): string => `${label}, typed`;
export const cannotTriedFrom = (typed: string, least: number, most: number): string =>
  `${typed} cannot be tried: from ${least} to ${most}.`;

// movers.tsx
export const biggestChanges = (words: string): string => `Biggest changes: ${words}`;
export const moreOrLess = 'more or less';

// trays-view.tsx
export const whatIf = 'What if';
export const tryChangesOutEvery =
  'Try changes out: every dish before and after. The price book stays as it is.';
export const whatIfDeletedOr = 'This what-if has been deleted or applied.';
export const noWhatIfsYet = 'No what-ifs yet.';
export const startWhatIf = 'Start a what-if';
export const managerCreatesFirstOne = 'A manager creates the first one.';
export const whatTried = 'What is tried';
export const nothingWhatIfYet = 'Nothing in this what-if yet.';
export const whatDoes = 'What it does';
export const dishWouldBreakTarget = 'dish would break its target';
export const dishesWouldBreakTheir = 'dishes would break their target';
export const breakAlready = (over: number): string => `; ${over} break${plural(over, 's', '')} it already`;
export const calculating = ' · calculating …';
export const foodCostMenu = (name: string): string => `${name}, food cost of the menu`;
export const notKnown = 'not known';
export const oneEachDish = (layerName: string): string => `One of each dish, ${layerName}`;
export const dish = 'Dish';
export const costsNow = 'costs now';
export const wouldCost = 'would cost';
export const foodCost = 'food cost';
export const target = 'target';
export const moreSmallerChanges = (count: number): string => `And ${count} more with smaller changes`;
export const wouldNoCostTrim = 'It would have no cost: trim cannot be charged at such a price or yield.';
export const noneSet = 'none set';
export const noPrice = 'no price';
export const over = (percent: string): string => `▲ over ${percent} %`;
export const newText = ', new';
export const keeps = (percent: string): string => `keeps ${percent} %`;
export const percentMoreOrLess = '% more or less';
