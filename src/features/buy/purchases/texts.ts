/** What people read in buy/purchases. */

// understand.ts
export const howManyPacksInvoice = 'How many packs are on the invoice? Write a number such as 3 or 7.05.';
export const packsOutOfRange = (value: string, mostPacks: number): string =>
  `${value} packs cannot be: above 0 and at most ${mostPacks}.`;

// wire.ts
export const noteMost200Characters = 'A note has at most 200 characters.';
export const nameMost120Characters = 'A name has at most 120 characters.';
export const codeMost40Characters = 'A code has at most 40 characters.';
export const invoiceNumberMost60 = 'An invoice number has at most 60 characters.';
export const invoiceMost300Lines = 'An invoice has at most 300 lines.';

// commands.ts
export const supplier = 'this supplier';
export const alreadyEntered = (number: string, supplier: string, on: string): string =>
  `${number} of ${supplier} is already entered, for ${on}.`;
export const noLongerAmongPurchases = 'This is no longer among the purchases.';
export const whoFrom = 'Who is it from?';
export const invoiceNumberCopyFrom = 'An invoice has a number: copy it from the paper.';
export const whichDayChooseDay = 'Which day is on it? Choose a day of the calendar.';
export const notComeYetInvoice = (on: string, today: string): string =>
  `${on} has not come yet: an invoice is of today, ${today}, or before.`;
export const moreThanYearsAgo = (on: string, yearsBack: number, oldest: string): string =>
  `${on} is more than ${yearsBack} years ago: the oldest day taken is ${oldest}.`;
export const nothingYetWriteLeast = 'There is nothing on it yet: write at least one line.';
export const soldAnotherChooseWhat = (name: string): string =>
  `${name} is sold by another: choose what this supplier sells.`;
export const whatBoughtChooseArticle = 'What was bought? Choose an article or write a new one.';
export const whatKitchenChooseIngredient = 'What is it in the kitchen? Choose the ingredient.';
export const whatDoesSupplierCall = 'What does the supplier call it?';
export const weighsNothingMoreThan = (text: string): string =>
  `“${text}” weighs nothing: more than 0 g is wanted.`;

// queries.ts
export const articleGone = 'an article that has gone';
