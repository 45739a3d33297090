import { parse } from 'csv-parse/sync';
import ExcelJS from 'exceljs';
import iconv from 'iconv-lite';
import { fromBuffer, fromBufferPromise } from 'yauzl';
import { guessColumns } from '@/core/price-list';
import { fine, refuse, type Outcome } from '@/core/trouble';
import * as texts from './texts';

/** A list's file as a table of cells. */
export interface ListTable {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** Line of the file that the first of `rows` stands on. */
  readonly firstLine: number;
  /** What it was taken for, in words. */
  readonly how: string;
}

export const MOST_BYTES = 16 * 1024 * 1024;
const MOST_ROWS = 100_000;
/** Columns of a list: a supplier's has a dozen. */
const MOST_COLUMNS = 200;
/** What a zipped file may come to unpacked: a list of a hundred thousand rows has some 40 MB. */
const MOST_UNPACKED = 150 * 1024 * 1024;
/** Cells that lie under merged ones: a list has titles merged over its columns, not over the sheet. */
const MOST_MERGED = 50_000;
/** Letters of the longest line. */
const LONGEST_LINE = 100_000;
/** Headings of the supplier's own above the columns: so many lines are looked through. */
const HEAD_LINES = 20;

const KINDS: readonly (readonly [string, readonly number[]])[] = [
  [texts.picturePng, [0x89, 0x50, 0x4e, 0x47]],
  [texts.pictureJpeg, [0xff, 0xd8, 0xff]],
  [texts.pictureGif, [0x47, 0x49, 0x46, 0x38]],
  [texts.pdf, [0x25, 0x50, 0x44, 0x46]],
  [texts.oldExcelFileXls, [0xd0, 0xcf, 0x11, 0xe0]],
];

/**
 * Reads a price list: CSV with any delimiter in UTF-8, UTF-16 or Latin-1, or XLSX. Only ever called where running long or out of
 * memory hurts nobody: in the worker of `file.ts`.
 * @returns trouble `empty-file`, `file-too-large`, `not-a-list`, `too-many-rows`, `too-many-columns`, `no-table`
 */
export async function readTable(bytes: Buffer): Promise<Outcome<ListTable>> {
  if (bytes.length === 0) return refuse('empty-file', '', texts.fileEmpty);
  if (bytes.length > MOST_BYTES)
    return refuse(
      'file-too-large',
      '',
      texts.fileMbMostMb((bytes.length / 1024 / 1024).toFixed(1), MOST_BYTES / 1024 / 1024),
      { value: bytes.length, limit: MOST_BYTES },
    );
  const kind = KINDS.find(([, magic]) => magic.every((byte, i) => bytes[i] === byte));
  if (kind) return refuse('not-a-list', '', texts.fileNotListCsv(kind[0]));
  const cells = bytes[0] === 0x50 && bytes[1] === 0x4b ? await fromXlsx(bytes) : fromText(bytes);
  return cells.ok ? tableOf(cells.value.rows, cells.value.how) : cells;
}

type Cells = { readonly rows: string[][]; readonly how: string };

async function fromXlsx(bytes: Buffer): Promise<Outcome<Cells>> {
  const unpacked = await unpackedSize(bytes);
  if (unpacked > MOST_UNPACKED)
    return refuse(
      'file-too-large',
      '',
      texts.unpackedFileMbMost(Math.round(unpacked / 1024 / 1024), MOST_UNPACKED / 1024 / 1024),
      { value: unpacked, limit: MOST_UNPACKED },
    );
  const merged = await mergedCells(bytes);
  if (merged > MOST_MERGED)
    return refuse('too-much-merged', '', texts.cellsMergedOverSheets(merged, MOST_MERGED), {
      value: merged,
      limit: MOST_MERGED,
    });
  const book = new ExcelJS.Workbook();
  try {
    // The library's own type wants a browser's buffer; Node's is what it is given everywhere.
    await book.xlsx.load(bytes as unknown as ArrayBuffer);
  } catch {
    return refuse('not-a-list', '', texts.fileLooksLikeExcel);
  }
  const sheet = book.worksheets.find((s) => s.actualRowCount > 1) ?? book.worksheets[0];
  if (!sheet) return refuse('no-table', '', texts.noSheetFile);
  if (sheet.rowCount > MOST_ROWS + HEAD_LINES) return tooMany(sheet.rowCount);
  if (sheet.columnCount > MOST_COLUMNS) return tooWide(sheet.columnCount);
  const rows: string[][] = [];
  sheet.eachRow({ includeEmpty: true }, (row) => {
    const cells: string[] = [];
    row.eachCell({ includeEmpty: true }, (cell) => cells.push(cellText(cell)));
    rows.push(cells);
  });
  return fine({ rows, how: texts.excelSheet(sheet.name) });
}

/** Bytes that a zipped file says it comes to unpacked: told before anything is unpacked. */
function unpackedSize(bytes: Buffer): Promise<number> {
  return new Promise((done) => {
    fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
      // What cannot be opened is told as that when it is opened.
      if (error) return done(0);
      let size = 0;
      zip.on('entry', (entry: { uncompressedSize: number }) => {
        size += entry.uncompressedSize;
        zip.readEntry();
      });
      zip.on('end', () => done(size));
      zip.on('error', () => done(0));
      zip.readEntry();
    });
  });
}

/** What a merge covers, as a sheet's XML has it: `<mergeCell ref="A1:C3"/>`. */
const MERGE = /mergeCell\s[^>]*?ref\s*=\s*["']\$?([A-Z]{1,3})\$?(\d{1,7}):\$?([A-Z]{1,3})\$?(\d{1,7})["']/g;
const column = (letters: string): number => [...letters].reduce((n, l) => n * 26 + l.charCodeAt(0) - 64, 0);

/** Cells covered by merges, in all sheets: counted as the file is unpacked, since laying them out is what takes for ever. */
async function mergedCells(bytes: Buffer): Promise<number> {
  try {
    const zip = await fromBufferPromise(bytes, { lazyEntries: true });
    let cells = 0;
    for await (const entry of zip.eachEntry()) {
      let rest = '';
      for await (const part of await zip.openReadStreamPromise(entry)) {
        const text = rest + (part as Buffer).toString('latin1');
        for (const [, left = '', top, right = '', bottom] of text.matchAll(MERGE))
          cells += (column(right) - column(left) + 1) * (Number(bottom) - Number(top) + 1);
        // A merge that stands across two parts is read with the second.
        rest = text.slice(text.lastIndexOf('<')).slice(0, 200);
      }
    }
    return cells;
  } catch {
    // What cannot be unpacked is told as that when it is opened.
    return 0;
  }
}

/** A cell as it reads; a formula as itself, so that it is noticed and refused. */
function cellText(cell: ExcelJS.Cell): string {
  if (cell.formula) return `=${cell.formula}`;
  const { value } = cell;
  if (typeof value === 'number') return String(value);
  return cell.text;
}

const tooWide = (columns: number) =>
  refuse('too-many-columns', '', texts.listColumnsMostRead(columns, MOST_COLUMNS), {
    value: columns,
    limit: MOST_COLUMNS,
  });

const tooMany = (rows: number) =>
  refuse('too-many-rows', '', texts.listRowsMostRead(rows, MOST_ROWS), {
    value: rows,
    limit: MOST_ROWS,
  });

function fromText(bytes: Buffer): Outcome<Cells> {
  const { text, coding } = decode(bytes);
  if (text === undefined) return refuse('not-a-list', '', texts.fileNotTextCsv);
  let lines = 1;
  for (let i = 0; i < text.length; i += 1) {
    const char = text.charCodeAt(i);
    // A line ends in \n, or in \r alone as some old tills still write it.
    if (char === 10 || (char === 13 && text.charCodeAt(i + 1) !== 10)) lines += 1;
  }
  if (lines > MOST_ROWS + HEAD_LINES) return tooMany(lines);
  const delimiter = delimiterOf(text);
  try {
    const rows = parse(text, {
      delimiter,
      bom: true,
      relax_column_count: true,
      relax_quotes: true,
      max_record_size: LONGEST_LINE,
      skip_empty_lines: false,
    });
    const widest = rows.reduce((most, row) => Math.max(most, row.length), 0);
    if (widest > MOST_COLUMNS) return tooWide(widest);
    const name = { ';': 'semicolons', '\t': 'tabs', ',': 'commas', '|': 'bars' }[delimiter];
    return fine({ rows, how: texts.textBetween(name, coding) });
  } catch (error) {
    return refuse(
      'not-a-list',
      '',
      texts.fileCannotReadList(error instanceof Error ? error.message.split('\n')[0] : undefined),
    );
  }
}

/** UTF-16 by its mark, UTF-8 if it is sound, else Latin-1; undefined for what is no text. */
function decode(bytes: Buffer): { text: string | undefined; coding: string } {
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes), coding: 'UTF-16' };
  if (bytes.subarray(0, 8192).includes(0)) return { text: undefined, coding: '' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), coding: 'UTF-8' };
  } catch {
    // Node's own decoder takes windows-1252 for bare Latin-1 and loses the euro sign.
    return { text: iconv.decode(bytes, 'win1252'), coding: 'Latin-1' };
  }
}

const DELIMITERS = [';', '\t', ',', '|'] as const;

/** The delimiter that cuts the most of the first lines into equally many cells. */
function delimiterOf(text: string): (typeof DELIMITERS)[number] {
  const lines = text
    .split(/\r?\n/, 60)
    .filter((l) => l.trim() !== '')
    .slice(0, 40);
  let best: (typeof DELIMITERS)[number] = ',';
  let most = -1;
  for (const delimiter of DELIMITERS) {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const n = line.replace(/"[^"]*"/g, '').split(delimiter).length - 1;
      if (n > 0) counts.set(n, (counts.get(n) ?? 0) + 1);
    }
    const [cells = 0, agree = 0] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
    const score = agree * 100 + cells;
    if (cells > 0 && score > most) {
      most = score;
      best = delimiter;
    }
  }
  return best;
}

/** Finds the line with the columns' heads among the supplier's own headings. */
function tableOf(rows: readonly string[][], how: string): Outcome<ListTable> {
  const filled = (row: readonly string[]): number => row.filter((c) => c.trim() !== '').length;
  const at = rows.slice(0, HEAD_LINES).findIndex((row) => {
    const found = guessColumns(row);
    return filled(row) >= 2 && found.price !== undefined && (found.name ?? found.code) !== undefined;
  });
  const first = at >= 0 ? at : rows.findIndex((row) => filled(row) >= 2);
  if (first < 0) return refuse('no-table', '', texts.noTableFileNo);
  // Without heads the columns are called by their letters, and every line is a row.
  const width = Math.max(...rows.slice(first, first + HEAD_LINES).map((r) => r.length));
  const heads =
    at >= 0
      ? distinct((rows[at] as string[]).map((h) => h.trim()))
      : Array.from({ length: width }, (_, i) => `column ${String.fromCharCode(65 + (i % 26))}`);
  const start = at >= 0 ? at + 1 : first;
  return fine({ heads, rows: rows.slice(start), firstLine: start + 1, how });
}

/** Heads that stand twice get a number, so that each can be chosen. */
function distinct(heads: readonly string[]): string[] {
  const seen = new Map<string, number>();
  return heads.map((h, i) => {
    const name = h === '' ? `column ${String.fromCharCode(65 + (i % 26))}` : h;
    const n = (seen.get(name) ?? 0) + 1;
    seen.set(name, n);
    return n === 1 ? name : `${name} (${n})`;
  });
}
