/** What people read in app. */

// manifest.ts
export const halfPot = 'Half Pot';
export const whatPotReallyDoes = 'What the pot really does';

// route.ts
export const cost = (name: string): string => `${name}, cost`;
export const managerSignedPasswordTakes = 'A manager, signed in by password, takes the kitchen as a file.\n';

// layout.tsx
export const titleTemplate = '%s · Half Pot';
export const whatLitreCostsBefore = 'What a litre costs before, while and after it cooks.';

// not-found.tsx
export const pageNotFound = 'Page not found';
export const whatAddressPointedNot = 'What this address pointed to is not in this kitchen.';
export const backPriceBook = 'Back to the price book';

// error.tsx
export const screenCouldNotShown = 'This screen could not be shown';
export const somethingWentWrongOur = 'Something went wrong on our side; nothing you have saved is lost.';
export const tryAgain = 'Try again';

// page.tsx
export const priceBook = 'Price book';
export const priceLists = 'Price lists';
export const priceList = 'Price list';
export const newInvoice = 'New invoice';
export const kitchen = 'This kitchen';
export const history = 'History';
export const vesselsHobs = 'Vessels and hobs';
export const potSheet = 'Pot sheet';
export const wall = 'For the wall';
export const newRecipe = 'New recipe';
export const familyTree = 'Family tree';
export const whatChanged = 'What changed';
export const whereUsed = 'Where used';
export const whatIf = 'What if';
export const batch = 'A batch';
export const recordCooling = 'A record of cooling';
export const learnedFromBatches = 'Learned from batches';
export const yieldTests = 'Yield tests';
export const learnedFromYieldTests = 'Learned from yield tests';
export const yieldTest = 'Yield test';
export const whereTrimGoes = 'Where trim goes';
export const howTrimCosted = 'How trim is costed';
export const weighUp = 'Weigh up';
export const rulesThumb = 'Rules of thumb';
export const kitchenYourOwn = 'A kitchen of your own';
export const sign = 'Sign in';
export const larder = 'Larder';
export const purchase = 'Purchase';
export const purchases = 'Purchases';
export const suppliers = 'Suppliers';
export const people = 'People';
export const pots = 'Pots';
export const allergens = 'Allergens';
export const menus = 'Menus';
export const dishes = 'Dishes';
export const stove = 'Stove';
export const components = 'Components';
