/** What people read in find. */

// search-everything.ts
export const priceBook = 'Price book';
export const pricesYields = 'prices yields';
export const invoicesCreditNotesDeliveries = 'invoices credit notes deliveries';
export const newInvoice = 'New invoice';
export const purchaseNewDelivery = 'purchase new delivery';
export const priceLists = 'Price lists';
export const supplierListImport = 'supplier list import';
export const ingredientsStartingPointsMeasures = 'ingredients starting points measures';
export const whoSells = 'who sells';
export const yieldTests = 'Yield tests';
export const yieldTestsWeigh = 'yield tests weigh';
export const whereTrimGoes = 'Where trim goes';
export const wasteRecorded = 'waste recorded';
export const howTrimCosted = 'How trim is costed';
export const schoolsSetValueWage = 'schools set value wage energy';
export const recipesSheets = 'recipes sheets';
export const newRecipe = 'New recipe';
export const recipeSheetWritePaste = 'recipe sheet write paste';
export const dishesMenu = 'dishes menu';
export const kitchen = 'This kitchen';
export const settingsCurrencyTaxTarget = 'settings currency tax target hands cups backup file export';
export const vesselsHobs = 'Vessels and hobs';
export const pansBurners = 'pans burners';
export const passwordPinRoleDevices = 'password pin role devices sign in dark light';
export const history = 'History';
export const historyUndoLog = 'history undo log';
export const tests = 'its tests';
export const partOf = (kind: string, supplier: string): string => `${kind} of ${supplier}`;
export const screen = 'screen';
