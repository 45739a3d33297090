/** What people read in buy/larder. */

// measures.tsx
export const housesOwnMeasures = 'The house’s own measures';
export const a = 'a';
export const nameMeasure = 'Name of the measure';
export const is = 'is';
export const whatMeasureHolds = 'What the measure holds';
export const define = 'Define';
export const writtenLikeAnyUnit = (name: undefined | string): string =>
  `Written like any unit: “2 ${name ?? 'ladle'}s of cream”.`;
export const aIs = (name: string): string => `a ${name} is`;
export const putAway = (name: string): string => `Put the ${name} away`;
export const archived = (name: string): string => `The ${name} is archived.`;

// merges.tsx
export const mergeDuplicates = 'Merge duplicates';
export const mergeWhichIngredient = 'Merge which ingredient';
export const merge = 'Merge …';
export const intoWhichIngredient = 'into which ingredient';
export const into = 'into …';
export const mergeHistory = 'Merge, with history';
export const counts = (name: string): string => `${name} counts as`;
export const separateFrom = (name: string, into: string): string => `Separate ${name} from ${into}`;
export const separate = 'Separate';

// usual-basis.tsx
export const latestPrice = 'the latest price';
export const averageSomeDaysWeight = 'the average of some days, by weight';
export const whatStockHandBought = 'what the stock on hand was bought at';
export const whichPriceUsuallyCounts = 'Which price usually counts';
export const over = 'over';
export const daysUsualAverage = 'Days of the usual average';
export const days = 'days';
export const ingredientMayBasisOwn = 'An ingredient may have a basis of its own: open it to set that.';

// larder-view.tsx
export const larder = 'Larder';
export const kitchensOwnStartingPoints = (own: number, starting: number): string =>
  `${own} of the kitchen’s own, and ${starting} starting points to take from: estimates with their range, until this kitchen has weighed.`;
export const newIngredient = 'New ingredient';
export const findAnyWord = 'Find by any word';
export const findLarder = 'Find in the larder';
export const moreTypeWordWhat = (more: number): string =>
  `${more} more: type a word of what you are looking for.`;
export const nothingLarderFits = (wanted: string): string => `Nothing in the larder fits “${wanted}”.`;
export const ingredientYourOwn = 'An ingredient of your own';
export const liquid = 'liquid';
export const pieces = 'pieces';
export const takenFrom = (from: string): string => ` · taken from ${from}`;
export const kitchen = 'in the kitchen';
export const confidence = (confidence: undefined | string): string => `${confidence} confidence`;
export const addMyIngredientsNamed = (name: string): string => `Add ${name} to my ingredients`;
export const take = 'Take';
export const nameHere = 'Name here';
export const nameKitchen = (name: string): string => `Name of ${name} in this kitchen`;
export const addMyIngredients = 'Add to my ingredients';
export const cancel = 'Cancel';
export const ingredient = 'Ingredient';
export const carries = 'Carries';
export const usable = 'usable';
export const howSure = 'how sure';
export const add = 'Add';
export const exampleMeasure = 'jug';
