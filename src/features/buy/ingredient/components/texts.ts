/** What people read in buy/ingredient. */

// substitute-form.tsx
export const replaceAnother = 'Replace with another';
export const usePlace = (name: string): string => `Use in place of ${name}`;
export const whatWouldUsedInstead = 'What would be used instead?';
export const searching = 'Searching …';
export const nothingYouEnteredChanges =
  'Nothing you have entered changes: the same allergens, salt, gelatin and cost. The label decides.';

// article-panel.tsx
export const changeNamed = (name: string): string => `Change ${name}`;
export const change = 'Change';
export const anotherPackOrAnother = (name: string): string => `Another pack of ${name}, or another supplier`;
export const anotherPackOrSupplier = 'Another pack or supplier';
export const whatCalls = (supplier: string): string => `What ${supplier} calls it`;
export const code = 'Its code';
export const pack = 'A pack is';
export const packCosts = (pack: string): string => `A pack of ${pack || '…'} costs`;
export const anotherPackAnotherArticle = (pack: string): string =>
  `Another pack is another article: what was bought in packs of ${pack} stays as it was bought, and that one is archived.`;
export const archived = (name: string): string => `${name} is archived.`;
export const nobodyElseSellsArchived = (name: string): string =>
  `Nobody else sells ${name}: archived, it has no price, and what is made from it has no cost.`;
export const whatBoughtStaysBought =
  'What was bought of it stays bought; it is no longer offered, and no cost stands on it.';
export const archive = 'Archive';

// sellers.tsx
export const suppliers = 'Suppliers';
export const costedFrom = 'Costed from';
export const article = 'Article';
export const packHeading = 'Pack';
export const packCurrencySign = (currencySign: string): string => `${currencySign} a pack`;
export const perKilo = (currencySign: string): string => `${currencySign} per kilo`;
export const usableKiloIn = (currencySign: string): string => `${currencySign} a usable kilo`;
export const held = (kilos: string, weighedOn: string): string => `held ${kilos} on ${weighedOn}`;
export const calculated = (kilos: string): string => `calculated at ${kilos}`;
export const weighPack = (name: string): string => `Weigh a pack of ${name}`;
export const weighOne = 'weigh one';
export const whatPackHeld = (name: string): string => `What a pack of ${name} held`;
export const costFrom = (name: string, otherName: string, supplier: string): string =>
  `Cost ${name} from ${otherName}, ${supplier}`;
export const label = (allergens: string): string => ` · label: ${allergens || 'no allergens'}`;
export const cheapest = 'cheapest';
export const staysArticleChosen = 'Stays with the article chosen.';
export const followWhicheverPricedLast = 'Follow whichever was priced last';
export const followsWhicheverArticlePriced =
  'Follows whichever article was priced last, until one is chosen.';

// which-price.tsx
export const kitchensUsualSeeBelow = 'the kitchen’s usual: see below';
export const latestPrice = 'the latest price';
export const averageSomeDaysWeight = 'the average of some days, by weight';
export const whatStockHandBought = 'what the stock on hand was bought at';
export const priceAgreed = 'a price agreed on';
export const priceBasis = 'Price basis';
export const over = 'over';
export const daysAverage = 'Days of the average';
export const days = 'days';
export const hand = 'On hand';
export const countedHand = 'Counted on hand';
export const counted = (day: string): string => `counted ${day}`;
export const notCountedYet = 'not counted yet';
export const openedPackCharged = 'An opened pack is charged';
export const partUsedRestBack = 'by the part used, the rest back in store';
export const wholeRestLost = 'whole, the rest is lost to it';
export const kitchensUsual = (words: string): string => `the kitchen’s usual (${words})`;
export const fixedPrice = 'Fixed price';
export const forText = 'for';
export const whatFixedPrice = 'What the fixed price is for';

// ingredient-view.tsx
export const costed = (basisWords: string): string => `Costed at ${basisWords}`;
export const used = ' · used by ';
export const whatKiloCostBought = 'What a kilo cost as bought';
export const whatKnown = 'What is known of it';
export const carries = 'Carries';
export const startingPoint = 'Starting point';
export const usableConfidenceHere = (name: string, usable: string, confidence: string, own: string): string =>
  `${name}: usable ${usable} (${confidence} confidence). Here: ${own}.`;
export const alsoWritten = 'Also written';
export const separate = 'separate';
export const perKiloComesOff = 'per kilo as it comes off';
export const perKiloBought = 'per kilo as bought';
export const usableEstimate = 'usable, an estimate';
export const usableTests = 'usable: its tests';
export const noPrice = 'no price';
export const usableKiloName = (name: string): string => `${name}, a usable kilo`;
export const usableKilo = 'a usable kilo';
export const comesOff = 'It comes off';
export const costsWhatIngredientsTrim = ', and costs what that ingredient’s trim method charges for it.';
export const notBoughtYetEnter = 'Not bought yet: enter an invoice under';
export const purchases = 'Purchases';
export const priceDrawnHere = 'and its price is drawn here.';
export const noCode = 'none';
