import fs from 'node:fs';
import path from 'node:path';
import ExcelJS from 'exceljs';
import JSZip from 'jszip';
import { isFullRun } from '../../../../core/testing/cases';
import { readTable as readInThread } from '../file';
import { readTable } from '../table';

const lists = path.join(process.cwd(), 'demo/price-lists');
const demo = (name: string): Buffer => fs.readFileSync(path.join(lists, name));
const table = async (bytes: Buffer) => {
  const read = await readTable(bytes);
  if (!read.ok) throw new Error(read.trouble.message);
  return read.value;
};
const text = (s: string, coding: BufferEncoding = 'utf8'): Buffer => Buffer.from(s, coding);

describe('a price list’s file', () => {
  test('Latin-1 with semicolons and the supplier’s own headings', async () => {
    const t = await table(demo('weirside-game-latin1.csv'));
    expect(t.heads).toEqual(['Bestellnr.', 'Ware', 'Gebinde', 'Preis netto €']);
    expect(t.how).toBe('text between semicolons, Latin-1');
    expect(t.rows[0]).toEqual(['VB10', 'Venison bones, chopped', '10 kg', '25,50']);
    expect(t.firstLine).toBe(5);
    expect(t.rows.flat().join()).toContain('défaite');
  });
  test('UTF-8 with its mark, tabs, columns in another order', async () => {
    const t = await table(demo('brackwater-tabs.txt'));
    expect(t.heads).toEqual(['Net EUR', 'UoM', 'Size', 'SKU', 'Article']);
    expect(t.how).toBe('text between tabs, UTF-8');
  });
  test('Excel: a merged title is passed over, numbers are numbers, a formula is seen as one', async () => {
    const t = await table(demo('low-meadow-week-11.xlsx'));
    expect(t.heads).toEqual(['Description', 'Art.', 'Packed', 'Was', 'Price EUR']);
    expect(t.rows[0]).toEqual(['Onions, brown, net', 'ON10', '10 kg', '10.2', '10.6']);
    expect(t.rows[6]?.[4]).toBe('=D9*0.95');
  });
  test('UTF-16, commas inside quotes, heads that stand twice, no heads at all', async () => {
    const wide = Buffer.concat([Buffer.from([0xff, 0xfe]), text('Name,Price\r\nCrème,3.20', 'utf16le')]);
    expect((await table(wide)).rows).toEqual([['Crème', '3.20']]);
    expect((await table(text('Name,Price\n"Leeks, washed",3.20'))).rows).toEqual([['Leeks, washed', '3.20']]);
    expect((await table(text('Name,Price,Price\na,1,2'))).heads).toEqual(['Name', 'Price', 'Price (2)']);
    expect(await table(text('Leeks;12.50\nKale;3.20'))).toMatchObject({
      heads: ['column A', 'column B'],
      rows: [
        ['Leeks', '12.50'],
        ['Kale', '3.20'],
      ],
      firstLine: 1,
    });
  });
  test.each([
    ['nothing', Buffer.alloc(0), 'The file is empty.'],
    [
      'a picture',
      demo('../../docs/screenshots/plate.png'),
      'The file is a picture (PNG), not a list: CSV and Excel (.xlsx) are read.',
    ],
    [
      'a program',
      Buffer.from([0x7f, 0x45, 0x4c, 0x46, 0, 0, 0, 1]),
      'The file is not text: CSV and Excel (.xlsx) are read.',
    ],
    [
      'a broken Excel file',
      Buffer.from('PK\u0003\u0004 but no more'),
      'The file looks like Excel but cannot be opened: save it again as .xlsx or CSV.',
    ],
    [
      'prose',
      text('no table in here\nonly words\n'),
      'There is no table in the file: no line has two cells.',
    ],
    ['too long a file', Buffer.alloc(17 * 1024 * 1024, 'a'), 'The file has 17.0 MB; at most 16 MB are read.'],
    [
      'a million rows',
      text('a;1\n'.repeat(1_000_000)),
      'The list has 1000001 rows; at most 100000 are read.',
    ],
  ])('%s is refused in words', async (_, bytes, words) => {
    const read = await readTable(bytes);
    expect(!read.ok && read.trouble.message).toBe(words);
  });
  test('Excel with more rows than are read', async () => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('long');
    sheet.getCell('A1').value = 'Name';
    sheet.getCell('B1').value = 'Price';
    sheet.getCell('A200000').value = 'Leeks';
    const read = await readTable(Buffer.from(await book.xlsx.writeBuffer()));
    expect(!read.ok && read.trouble.message).toBe('The list has 200000 rows; at most 100000 are read.');
  });
});

describe('files made to do harm are refused in a sentence within seconds, and hurt nobody', () => {
  /** A workbook whose first sheet's XML somebody has had a hand in. */
  const workbook = async (change: (xml: string) => string): Promise<Buffer> => {
    const book = new ExcelJS.Workbook();
    const sheet = book.addWorksheet('List');
    sheet.addRow(['Name', 'Price']);
    sheet.addRow(['Leeks', '3.20']);
    const zip = await JSZip.loadAsync(await book.xlsx.writeBuffer());
    const at = 'xl/worksheets/sheet1.xml';
    zip.file(at, change(await (zip.file(at) as JSZip.JSZipObject).async('string')));
    return zip.generateAsync({
      type: 'nodebuffer',
      compression: 'DEFLATE',
      compressionOptions: { level: 1 },
    });
  };
  const merged = (xml: string): string =>
    xml.replace(
      '</sheetData>',
      '</sheetData><mergeCells count="1"><mergeCell ref="A1:XFD1048576"/></mergeCells>',
    );
  const files: readonly (readonly [string, () => Buffer | Promise<Buffer>, RegExp])[] = [
    [
      'one merge over a whole sheet',
      () => workbook(merged),
      /merged over 17179869184 of the sheet's own; at most 50000/,
    ],
    [
      'a cell in the last column of the last row',
      () =>
        workbook((xml) =>
          xml.replace('</sheetData>', '<row r="1048576"><c r="XFD1048576"><v>1</v></c></row></sheetData>'),
        ),
      /1048576 rows; at most 100000/,
    ],
    [
      'a cell in the last column',
      () => workbook((xml) => xml.replace('</row>', '<c r="XFD1"><v>1</v></c></row>')),
      /16384 columns; at most 200/,
    ],
    [
      'sixteen MB that unpack to a quarter of a GB',
      () => workbook((xml) => xml.replace('<sheetData>', `${' '.repeat(160 * 1024 * 1024)}<sheetData>`)),
      /Unpacked, the file has 160 MB; at most 150 MB/,
    ],
    [
      'lines that end in a carriage return alone',
      () => text('a;1\r'.repeat(4_000_000)),
      /rows; at most 100000/,
    ],
    [
      'one line of sixteen MB',
      () => text(`${'x;'.repeat(8_000_000)}\n1;2`),
      /cannot be read as a list|columns|takes longer than/,
    ],
    [
      'a zip that is torn',
      async () => (await workbook((xml) => xml)).subarray(0, 1800),
      /cannot be opened|cannot be read/,
    ],
  ];
  // Each starts a thread; in everyday tests those whose harm is another than the row's before.
  test.each(
    isFullRun ? files : files.filter(([name]) => !/last column$|GB$|carriage return alone/.test(name)),
  )(
    '%s',
    async (_name, make, says) => {
      const bytes = await make();
      const read = await readInThread(bytes);
      expect(read.ok ? 'it was read' : read.trouble.message).toMatch(says);
    },
    60_000,
  );
  test('what a thread reads is what is read without one', async () => {
    const bytes = demo('weirside-game-latin1.csv');
    expect(await readInThread(bytes)).toEqual(await readTable(bytes));
  });
  test('a list of a hundred thousand rows is read all the same', async () => {
    const rows = Array.from({ length: 99_000 }, (_, i) => `N${i};Something ${i};5 kg;3,20`);
    const read = await table(text(['code;name;pack;price', ...rows].join('\r\n')));
    expect(read.rows).toHaveLength(99_000);
    expect(read.rows[98_999]?.[1]).toBe('Something 98999');
  }, 60_000);
});
