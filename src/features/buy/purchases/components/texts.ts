/** What people read in buy/purchases. */

// use-invoice.ts
export const removed = (name: string): string => `${name} removed.`;
export const whatYouTypedKept = 'what you typed is kept here and in this browser';

// purchase-list-view.tsx
export const purchases = 'Purchases';
export const everyInvoiceCameUpdates =
  'Every invoice as it came. It updates prices; a credit note corrects it, and a wrong one can be undone.';
export const newInvoice = 'New invoice';
export const noInvoicesYetSave = 'No invoices yet. Save the first one and its prices are in the price book.';
export const olderOnes = 'Older ones';
export const fromWhichSupplier = 'From which supplier';
export const fromAllSuppliers = 'from all suppliers';
export const supplier = 'Supplier';
export const number = 'Number';
export const day = 'Day';
export const lines = 'lines';
export const notInvoiced = 'not as invoiced';
export const other = (currencySign: string): string => `${currencySign} other`;
export const goodsNet = (currencySign: string): string => `${currencySign} goods, net`;
export const creditNote = 'credit note';
export const takenBack = 'undone';
export const line = 'line';

// delete-invoice.tsx
export const creditNoteHeading = 'Credit note';
export const takenBackName = (name: string): string => `${name} undone.`;
export const undone = (day: string): string => `Undone ${day}`;
export const noLongerCounts = ': it no longer counts.';
export const restore = 'Restore';
export const undo = 'Undo';
export const undoName = (name: string): string => `Undo ${name}?`;
export const pricesNoLongerCount =
  'Its prices no longer count and its goods leave the stock. It stays here for reference, and its number can be used again.';
export const calculatingWhatChanges = 'Calculating what that changes …';
export const wouldChange = 'would change';
export const cancel = 'Cancel';

// purchase-page.tsx
export const invoice = 'Invoice';
export const newCreditNote = 'New credit note';
export const item = 'Item';
export const pack = 'Pack';
export const packs = 'packs';
export const packCurrencySign = (currencySign: string): string => `${currencySign} a pack`;
export const received = 'received';
export const perKgReceived = (currencySign: string): string => `${currencySign} per kg received`;
export const net = (currencySign: string): string => `${currencySign} net`;
export const together = 'Together';
export const cameInPlaceOf = (ordered: string): string => `Came in place of ${ordered}.`;
export const entered = (supplier: string, day: string, otherDay: string): string =>
  `${supplier}, ${day}, entered ${otherDay}`;
export const corrects = ' · corrects ';
export const credited = ' · credited by ';

// new-article-fields.tsx
export const lineWords = (number: number, label: string): string => `Line ${number}, ${label}`;
export const itIs = 'It is';
export const lineIngredient = (number: number): string => `Line ${number}, ingredient`;
export const whichIngredient = 'which ingredient?';
export const calledInvoice = 'Called on the invoice';
export const leeksWashed = 'Leeks, washed';
export const packed = 'Packed as';
export const oneThemWeighs = 'One of them weighs';
export const litreWeighs = 'A litre of it weighs';
export const weighOnceSay = (message: string): string => `${message} Weigh it once and say so.`;
export const onePackKg = (grams: string, via: string): string => `one pack is ${grams} kg (${via})`;
export const larderEmptyTakeIngredients = 'The larder is empty: take ingredients from the larder first.';

// goods-row.tsx
export const netPricePack = 'net price of a pack';
export const whatCame = 'what came';
export const whatReturnedDoor = 'what was returned at the door';
export const netPack = 'net a pack';
export const newItem = 'New item …';
export const remove = (name: string): string => `Remove ${name}`;
export const right = 'It is right';
export const articleGone = 'an article that has gone';
export const invoiced = 'invoiced';
export const back = (money: string): string => `${money} back`;
export const outStore = (kilos: string): string => `, ${kilos} out of the store`;
export const forText = (kilos: string, money: string): string => `${kilos} for ${money}`;
export const perKilo = (money: string): string => `, ${money} per kilo`;
export const dearerCheaperThanLast = (value: string, percent: number, moved: number): string =>
  `${value} ${percent} % ${moved > 0 ? 'dearer' : 'cheaper'} than the last`;
export const lineArticle = (number: number): string => `Line ${number}, article`;
export const what = 'what is it?';
export const camePlace = 'came in place of';
export const linePlace = (number: number): string => `Line ${number}, in place of`;
export const nothingWhatOrdered = 'nothing: it is what was ordered';
export const belongsToOtherSupplier = (name: string, named: string, otherNamed: string): string =>
  `${name} is ${named}’s: choose what ${otherNamed} sells.`;

// money-row.tsx
export const noPrice = 'in no price';
export const lineNote = (number: number): string => `Line ${number}, note`;
export const removeLine = (number: number): string => `Remove line ${number}`;

// purchase-head.tsx
export const creditNoteNumber = 'Credit note number';
export const invoiceNumber = 'Invoice number';
export const whoFrom = 'Who is it from?';
export const dayHeading = 'Day on it';

// new-purchase.tsx
export const newPurchaseCreditNote = (number: string): string => `Credit note for ${number}`;
export const sayBesideEachLine =
  'Say beside each line how many packs are credited; what is left empty is not on it. “Went back” only for goods that left the store again.';
export const paperYouCanType =
  'As on the paper. You can type sums, such as 3*12.50. If something else arrived, say so beside it.';
export const creditNoteTitle = 'A credit note';
export const invoiceHeading = 'An invoice';
export const startedDeviceNotSaved = 'started on this device was not saved.';
export const go = 'Go on with it';
export const deleteText = 'Delete';
export const whatHeading = 'What';
export const packsCredited = 'packs credited';
export const wentBack = 'went back';
export const receivedIfDifferent = 'received, if different';
export const returned = 'returned';
export const understood = 'understood';
export const takeOut = 'Remove';
export const addLine = 'Add line';
export const saving = 'Saving …';
export const save = 'Save';
export const creditAll = 'Credit all of it';
export const togetherPaper = 'together, as on the paper';
export const oneThing = 'one thing is';
export const things = (n: number): string => `${n} things are`;
export const notSavedYetMarked = (counted: string): string => `Not saved yet: ${counted} marked above.`;
export const notSavedYetAsked = (counted: string): string => `Not saved yet: ${counted} asked above.`;
export const note = 'note';
