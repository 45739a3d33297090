import { plural } from '@/core/plural';

/** What people read in buy/lists. */

// lists-view.tsx
export const waitsColumns = 'waits for its columns';
export const waitsAccepted = 'waits to be accepted';
export const priceBook = 'in the price book';
export const undone = 'undone';
export const priceLists = 'Price lists';
export const suppliersListCheckedRow =
  'A supplier’s list is checked row by row. Nothing is saved until you have seen what would change.';
export const noListReadHere = 'No list has been read here yet.';
export const listDidNotArrive = 'the list did not arrive';
export const whoseListChooseSupplier = 'Whose list is it? Choose the supplier, then its file.';
export const holdsMbListMost = (name: string, size: string, largestMb: number): string =>
  `${name} holds ${size} MB: a list of at most ${largestMb} MB is taken.`;
export const reading = (name: string): string => `Reading ${name} …`;
export const whoseList = 'Whose list';
export const whoseListHeading = 'Whose list is it?';
export const priceListFile = 'Price list file';
export const chooseFile = 'Choose its file';
export const asking = (name: string): string => `Asking ${name} …`;
export const fetchTodaysFrom = (name: string): string => `Fetch today’s from ${name}`;
export const orDropHereCsv =
  'or drop it here: CSV or Excel, columns in any order, comma or point, up to 100,000 rows';
export const sayWhoseListThen = 'Say whose list it is, then choose the file or drop it here.';
export const pricesFrom = 'Prices from';
export const status = 'Status';

// choose-columns.tsx
export const code = 'its code';
export const what = 'what it is';
export const howPacked = 'how it is packed';
export const packsUnitIfApart = 'the pack’s unit, if apart';
export const netPrice = 'the net price';
export const whichColumnWhat = 'Which column is what?';
export const decimalMark = 'decimal mark';
export const decimalMarkHeading = 'Decimal mark';
export const sayWhich = 'say which';
export const point1250 = 'a point: 12.50';
export const comma1250 = 'a comma: 12,50';
export const flagChangesOver = 'flag changes over, %';
export const flagChangesOverHeading = 'Flag changes over';
export const preview = 'Preview';
export const discardList = 'Discard list';
export const column = (words: string): string => `Column of ${words}`;
export const notList = 'not in this list';
export const pricesHoldFrom = 'prices hold from';
export const pricesHoldFromHeading = 'Prices hold from';

// list-row.tsx
export const beforeWithPackBefore = (packBefore: string): string => `before: ${packBefore}`;
export const apply = (name: string): string => `Apply ${name}`;
export const same = (pack: string): string => `the same, ${pack}`;
export const newArticle = 'a new article of it';
export const whatName = (name: string): string => `What is ${name}`;
export const leaveOut = 'leave it out';

// undo-import.tsx
export const pricesPriceBook = 'Its prices are in the price book.';
export const undoWholeList = 'Undo the whole list';
export const editedSinceLeftThey = (names: string): string =>
  `Edited since, and left as they are unless you choose otherwise: ${names}`;
export const more = (count: number): string => ` and ${count} more`;
export const undoThoseListPrices = 'undo those list prices too';

// decide.tsx
export const unusualCheck = 'unusual: check';
export const notKnownWhat = 'not known: what is it?';
export const cannotRead = 'cannot be read';
export const before = 'as before';
export const listUndonePricesNo = 'This list was undone: its prices no longer count.';
export const rowsStatus = 'Rows by status';
export const noRowsHere = 'No rows here.';
export const applyPricePrices = (wanted: number): string =>
  `Apply ${wanted} ${plural(wanted, 'price', 'prices')}`;
export const oddRowsWrittenOnly = 'Odd rows are written only if you take them. ';
export const theseWrittenUnlessYou = 'These are written unless you leave them out. ';
export const takeAll = 'Take all';
export const leaveAllOut = 'Leave all out';
export const lineCodeWhat = 'Line, code, what';
export const packed = 'Packed';
export const decideBefore = 'before';
export const now = 'now';
export const whatHeading = 'What is it?';
export const why = 'Why';
export const take = 'take';
export const earlierRows = 'Earlier rows';
export const moreRows = 'More rows';

// job-progress.tsx
export const writing = 'Writing';
export const checking = 'Checking';
export const partOf = (done: number, total: number): string => `${done} of ${total}`;
export const stop = 'Stop';
export const howFar = 'How far it is';

// list-view.tsx
export const read = (supplierName: string, day: string): string => `${supplierName}, read ${day}`;
export const pricesFromDay = (day: string): string => `, prices from ${day}`;
export const rows = (rows: number, how: string): string => ` · ${rows} rows, ${how}`;
export const columnsDay = 'columns and day';
export const list = 'List';
export const supplier = 'Supplier';
export const readOn = 'Read';
