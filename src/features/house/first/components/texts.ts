/** What people read in house/first. */

// first-visit.tsx
export const halfPot = 'Half Pot';
export const kitchenYourOwnAll =
  'A kitchen of your own. All of this can be changed later, under This kitchen.';
export const whatKitchenCalled = 'What the kitchen is called';
export const wordCommandPrinted = 'The word that the command printed';
export const yourNameFirstManager = 'Your name, its first manager';
export const yourPassword = 'Your password';
export const least8Characters = 'at least 8 characters';
export const currency = 'Currency';
export const numberDateFormat = 'Number and date format';
export const timeZone = 'Time zone';
export const opening = 'Opening …';
export const openKitchen = 'Open the kitchen';
export const amountsCupsSpoons = 'Amounts, cups and spoons';
export const emptyFirstPotSheet = 'Empty: the first pot sheet is written next';
export const copyDemoTryThings = 'As a copy of the demo, to try things out';
export const fromKitchenFile = 'From a kitchen file';
export const pricesStayEuroFigures = 'Its prices stay in euro, its figures and cups are the demo’s.';
export const nameCurrencyFiguresZone = 'Its name, currency, figures, zone and cups are the file’s own.';
export const start = 'Start with';
export const kitchenFile = 'The kitchen file';
