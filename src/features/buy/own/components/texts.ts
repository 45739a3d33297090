/** What people read in buy/own. */

// allergen-boxes.tsx
export const contains = 'Contains';

// new-ingredient-form.tsx
export const whatCalledHere = 'What it is called here';
export const pot = 'In the pot it is';
export const piecesUntilTheyStrained = 'pieces, until they are strained off (meat, bones, vegetables)';
export const partLiquidMilkWine = 'part of the liquid (milk, wine, sugar, flour, a paste)';
export const usableAfterTrimming = 'usable after trimming, %';
export const oneWeighsIfCounted = 'one weighs, if it is counted';
export const notCounted = 'not counted';
export const saving = 'Saving …';
export const addMyIngredients = 'Add to my ingredients';
export const energyKj = 'energy, kJ';
export const fatG = 'fat, g';
export const carbohydrateG = 'carbohydrate, g';
export const whichSugarsG = 'of which sugars, g';
export const fibreG = 'fibre, g';
export const proteinG = 'protein, g';
export const saltG = 'salt, g';
export const tablePacket = 'The table on its packet, in';
export const tablePer = 'The table is per';
export const per100G = '100 g';
export const per100Ml = '100 ml';
export const leaveOutWhatNot = 'Leave out what is not stated. What the table does not account for is water.';

// unknown-name.tsx
export const use = (name: string): string => `Use “${name}”`;
export const call = (called: string): string => ` and call it ${called}`;
export const newIngredient = 'New ingredient …';
export const ingredientYourOwn = 'An ingredient of your own';

// piece-weight-form.tsx
export const one = (name: string): string => `One of ${name}`;
export const aOf = (measure: string, name: string): string => `A ${measure} of ${name}`;
export const weighs = (one: string): string => `${one} weighs`;
export const save = 'Save';

// first-price-form.tsx
export const howPackedWriteSuch = 'How is it packed? Write such as 10 kg or 6 x 1 l.';
export const whatDoesPackCost = 'What does the pack cost?';
export const whoSells = 'Who sells it?';
export const noPriceYet = (name: string): string => `${name} has no price yet`;
export const keepPrice = 'Keep the price';
export const pack = 'a pack of';
export const packHolds = (name: string): string => `${name}, a pack holds`;
export const example5Kg = '5 kg';
export const packCurrencySign = (currencySign: string): string => `${currencySign} a pack`;
export const pricePack = (name: string): string => `${name}, price of a pack`;
export const oneWeighs = 'one weighs';
export const oneWeighsName = (name: string): string => `${name}, one weighs`;
export const from = 'from';
export const whoSellsName = (name: string): string => `${name}, who sells it`;
export const whoSellsInline = 'who sells it';

// ingredient-tools.tsx
export const whatCalledKitchen = 'What is it called in this kitchen?';
export const whereUsed = 'Where it is used';
export const rename = 'Rename';
export const history = 'History';
export const archive = 'Archive';
export const whatCalledKitchenHeading = 'What it is called in this kitchen';
export const recipesDishesShowNew = 'Recipes and dishes show the new name from then on.';

// label-form.tsx
export const changeAllergens = 'Change allergens';
export const checkLabel = 'Check its label';
export const allergens = (name: string): string => `Allergens in ${name}`;
export const allergensSaved = (name: string): string => `Allergens of ${name} saved.`;
export const remarkOn = (name: string, remark: string): string => `${name}: ${remark}`;
