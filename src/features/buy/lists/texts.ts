import { plural } from '@/core/plural';

/** What people read in buy/lists. */

// jobs.ts
export const stoppedNothingWritten = 'Stopped: nothing was written.';
export const couldNotDoneSomething =
  'This could not be done: something went wrong on our side. Nothing was written; try again.';

// table.ts
export const picturePng = 'a picture (PNG)';
export const pictureJpeg = 'a picture (JPEG)';
export const pictureGif = 'a picture (GIF)';
export const pdf = 'a PDF';
export const oldExcelFileXls = 'an old Excel file (.xls)';
export const fileEmpty = 'The file is empty.';
export const fileMbMostMb = (count: string, mostBytes: number): string =>
  `The file has ${count} MB; at most ${mostBytes} MB are read.`;
export const fileNotListCsv = (kind: string): string =>
  `The file is ${kind}, not a list: CSV and Excel (.xlsx) are read.`;
export const unpackedFileMbMost = (megabytes: number, mostUnpacked: number): string =>
  `Unpacked, the file has ${megabytes} MB; at most ${mostUnpacked} MB are read.`;
export const cellsMergedOverSheets = (merged: number, mostMerged: number): string =>
  `Cells are merged over ${merged} of the sheet's own; at most ${mostMerged} are read: save it again as CSV.`;
export const fileLooksLikeExcel =
  'The file looks like Excel but cannot be opened: save it again as .xlsx or CSV.';
export const noSheetFile = 'There is no sheet in the file.';
export const excelSheet = (name: string): string => `Excel, sheet “${name}”`;
export const listColumnsMostRead = (columns: number, mostColumns: number): string =>
  `The list has ${columns} columns; at most ${mostColumns} are read.`;
export const listRowsMostRead = (rows: number, mostRows: number): string =>
  `The list has ${rows} rows; at most ${mostRows} are read.`;
export const fileNotTextCsv = 'The file is not text: CSV and Excel (.xlsx) are read.';
export const textBetween = (name: string, coding: string): string => `text between ${name}, ${coding}`;
export const fileCannotReadList = (why: string | undefined): string =>
  `The file cannot be read as a list: ${why ?? 'unknown'}.`;
export const noTableFileNo = 'There is no table in the file: no line has two cells.';

// file.ts
export const readingFileTakesLonger = (longestMs: number): string =>
  `Reading the file takes longer than ${longestMs} seconds: save it again as CSV, or in two parts.`;
export const unpackedFileLargerThan =
  'Unpacked, the file is larger than a list can be: save it again as CSV, with the list alone.';
export const fileCannotReadListSaveAgain =
  'The file cannot be read as a list: save it again as .xlsx or CSV.';

// lists.ts
export const priceListNoLonger = 'This price list is no longer here.';
export const listDecidedAlready = 'This list has been decided on already.';

// wire.ts
export const whoseListChooseSupplier = 'Whose list is it? Choose the supplier.';
export const listMoreThanMb = (largestMb: number): string =>
  `A list of more than ${largestMb} MB is not taken.`;
export const most20CharactersKept = 'At most 20 characters are kept.';

// accept.ts
export const listBeingWorkedAlready = 'This list is being worked on already.';
export const nothingWriteNoRow = 'There is nothing to write: no row is taken.';
export const pricesChangedSinceList = (count: number, names: string): string =>
  `${plural(count, 'A price has', `${count} prices have`)} been changed since this list was checked (${names}): check it again.`;
export const listNotPriceBook = 'This list is not in the price book.';

// preview.ts
export const noArticleSupplierCode = 'No article of this supplier has that code or name.';
export const standsLineAlready = (first: number, reason: string): string =>
  `It stands on line ${first} already. ${reason}`;
export const foundNameCodeNew = (code: string): string => `Found by its name: the code ${code} is new. `;
export const articleCannotWeighedPrice = 'Its article cannot be weighed, so its price means nothing.';
export const priceCannotRead = 'Its price cannot be read.';

// decide.ts
export const noLineList = (line: number): string => `There is no line ${line} in this list.`;
export const lineDoesNotSay = (line: number): string =>
  `Line ${line} does not say how it is packed: a new article needs that.`;
export const articleNotSuppliers = 'That article is not this supplier’s.';

// preview-list.ts
export const whichColumnPriceChoose = 'Which column is the price? Choose it.';
export const whichColumnSaysWhat = 'Which column says what it is: the code, the name, or both? Choose one.';
export const pricesDoNotShow =
  'Its prices do not show whether the comma or the point is the decimal mark: say which.';
export const shareOutOfRange = (percent: number): string =>
  `A share of ${percent} % cannot be: above 0 and at most 1000 %.`;
export const fromWhichDayDo = 'From which day on do these prices hold? Choose a day of the calendar.';
export const pricesFromMostDays = (on: string, daysAhead: number, latest: string): string =>
  `Prices from ${on} on: at most ${daysAhead} days ahead, ${latest}, are taken.`;

// fetch-list.ts
export const suppliersServerAnsweredInstead = (status: number): string =>
  `The supplier’s server answered with ${status} instead of a list: try later, or take a file.`;
export const listLongerThanMb = (mostBytes: number): string =>
  `The list is longer than ${mostBytes} MB: it was not read further.`;
export const suppliersServerDidNot = (patienceMs: number): string =>
  `The supplier’s server did not send the list within ${patienceMs} seconds: try later, or take a file.`;
export const suppliersServerDoesNot =
  'The supplier’s server does not answer, or broke off: try later, or take a file.';

// take.ts
export const listAcceptedNothingNew = (dayIn: string): string =>
  `This list was accepted on ${dayIn}: there is nothing new in it. Undo that one to read it again.`;
export const supplierNoAddressList = 'This supplier has no address for its list.';
