import { plural } from '@/core/plural';

/** What people read in ui/panels. */

// side-panel.tsx
export const close = 'Close';

// why-panel.tsx
export const searching = 'Searching …';
export const why = (money: undefined | null | number, otherMoney: string): string =>
  `Why ${money === null ? 'is the cost of this not known' : otherMoney}?`;
export const whyHeading = 'Why?';
export const openPotSheet = 'Open the pot sheet';
export const findPriceBook = 'Find it in the price book';
export const openDish = 'Open the dish';
export const seeTestsLearnedFrom = 'See the tests it was learned from';
export const openInvoice = 'Open the invoice';

// why.tsx
export const whyLabel = (label: string): string => `${label}: why?`;

// more-menu.tsx
export const more = 'More';

// archive-dialog.tsx
export const replaced = (name: string): string => `, replaced by ${name}`;
export const archived = (name: string, so: string): string => `${name} is archived${so}.`;
export const archiveNamed = (name: string): string => `Archive ${name}?`;
export const notUsedAnywhereYou = 'Not used anywhere. You can restore it from the list at any time.';
export const used = 'Used in ';
export const whatTakesPlaceAll = (count: number): string =>
  `What takes its place in ${plural(count, 'it', 'all of them')}?`;
export const replacement = 'Replacement';
export const removeFirst = 'Remove it there first.';
export const archiveReplace = 'Archive and replace';
export const archive = 'Archive';
export const cancel = 'Cancel';
