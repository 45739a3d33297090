import { plural } from '@/core/plural';

/** What people read in buy/suppliers. */

// names.ts
export const whoSells = 'Who sells it?';
export const sellsHereAlreadyChoose = (twin: string): string =>
  `“${twin}” sells here already: choose that one, or choose another name.`;

// wire.ts
export const addressMost300Characters = 'An address has at most 300 characters.';

// commands.ts
export const supplierArchivedAlready = 'This supplier is archived already.';
export const whatSupplierCalled = 'What is the supplier called?';
export const notWhereListFetched = (list: string): string =>
  `“${list}” is not where a list is fetched: an address that begins with https://`;
export const supplierAlreadyList = 'This supplier is already in the list.';
export const boughtFromArchiveFirst = (names: string, count: number, name: string): string =>
  `${names} ${plural(count, 'is', 'are')} bought from ${name}: archive ${plural(count, 'that', 'these')} first, or keep the supplier.`;
