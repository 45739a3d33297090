/** What people read in buy/suppliers. */

// suppliers-view.tsx
export const whatSupplierCalled = 'What is the supplier called?';
export const addressMost300Characters = 'An address has at most 300 characters.';
export const suppliers = 'Suppliers';
export const whoSellsHereWhere = 'Who sells here, and where their price lists are fetched.';
export const newSupplier = 'New supplier';
export const noSuppliersYetAdd = 'No suppliers yet. Add one here, or type a new one on the first invoice.';
export const supplier = 'Supplier';
export const sells = 'sells';
export const list = 'list';
export const change = 'Change';
export const archived = (name: string): string => `${name} is archived.`;
export const nothingYet = 'nothing yet';
export const more = (more: number): string => ` and ${more} more`;
export const none = 'none';
export const fetched = 'fetched';
export const changeName = (name: string): string => `Change ${name}`;
export const archiveNamed = (name: string): string => `Archive ${name}`;
export const archive = 'Archive';
export const whatSupplierCalledHeading = 'What the supplier is called';
export const wherePriceListFetched = 'Where its price list is fetched';
export const httpsOrNothing = 'https://… or nothing';
