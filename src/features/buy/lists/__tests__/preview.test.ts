import fs from 'node:fs';
import path from 'node:path';
import { historyFrom, stateFrom } from '@/core/kitchen-state';
import { guessColumns, listMark, placesOf, type Verdict } from '@/core/price-list';
import { demoKitchen } from '@/core/testing/demo';
import type { ImportRow } from '@/db/buying/price-list-rows';
import { readTable } from '../file';
import { previewContext, judgeFor, previewRows } from '../preview';

const file = demoKitchen();
const DAY = '2026-03-14';

async function preview(
  name: string,
  supplier: string,
): Promise<{ rows: ImportRow[]; of: (v: Verdict) => string[] }> {
  const table = await readTable(fs.readFileSync(path.join(process.cwd(), 'demo/price-lists', name)));
  if (!table.ok) throw new Error(table.trouble.message);
  const known = file.suppliers.find((s) => s.name === supplier);
  const places = placesOf(table.value.heads, guessColumns(table.value.heads, known?.columns));
  const mark = listMark(table.value.rows.map((r) => r[places.price ?? 0] ?? ''));
  if (!mark) throw new Error('the mark is not told');
  const bench = previewContext(
    { state: stateFrom(file), history: historyFrom(file, DAY) },
    known?.id ?? '',
    DAY,
    {
      places,
      mark,
      oddShare: 0.15,
    },
  );
  const rows = [...previewRows(table.value, bench)].filter((r) => r !== undefined);
  return { rows, of: (v) => rows.filter((r) => r.verdict === v).map((r) => r.code ?? r.name ?? '') };
}

describe('the demo’s three ugly lists, row by row', () => {
  test('Weirside Game: Latin-1, commas, blank lines, a remark at the foot', async () => {
    const { of, rows } = await preview('weirside-game-latin1.csv', 'Weirside Game');
    expect(of('moved')).toEqual(['VB10', 'VT5', 'VL', 'MN']);
    expect(of('odd')).toEqual(['DC', 'SHL']);
    expect(of('ask')).toEqual(['PH1', 'RB']);
    expect(of('refused')).toEqual(['HV', 'All prices net, ex weir. Crème de cassis no longer stocked.']);
    expect(rows.find((r) => r.code === 'VB10')).toMatchObject({
      line: 5,
      price: '25.5000',
      priceBefore: '24.0000',
    });
    expect(rows.find((r) => r.code === 'DC')).toMatchObject({ pack: '8 kg', packBefore: '10 kg' });
  });

  test('Brackwater: tabs, another currency, a formula, a code twice, a bare figure, a negative price', async () => {
    const { of, rows } = await preview('brackwater-tabs.txt', 'Brackwater Dry Goods');
    expect(of('refused')).toEqual(['RW', 'SP', 'BS12', 'OA']);
    expect(of('ask')).toEqual(['BU-PAL']);
    expect(of('same')).toEqual(['FL16']);
    expect(of('odd')).toEqual(['FL16', 'CV']);
    const twice = rows.filter((r) => r.code === 'FL16');
    expect(twice[1]?.reason).toContain('It stands on line 6 already.');
    expect(rows.find((r) => r.code === 'BU-PAL')?.price).toBe('1072.5000');
  });

  test('Low Meadow: Excel, its columns known, a formula and a pack that changed', async () => {
    const { of } = await preview('low-meadow-week-11.xlsx', 'Low Meadow Growers');
    expect(of('refused')).toEqual(['SO']);
    expect(of('odd')).toEqual(['CE12', 'FE']);
    expect(of('ask')).toEqual(['KA']);
    expect(of('same')).toEqual(['SH5']);
  });
});

test('a row told what it is becomes like one that was found', async () => {
  const { rows } = await preview('weirside-game-latin1.csv', 'Weirside Game');
  const supplier = file.suppliers.find((s) => s.name === 'Weirside Game')?.id ?? '';
  const bench = previewContext({ state: stateFrom(file), history: historyFrom(file, DAY) }, supplier, DAY, {
    places: {},
    mark: ',',
    oddShare: 0.15,
  });
  const rabbit = rows.find((r) => r.code === 'RB') as ImportRow;
  const duck = file.articles.find((a) => a.code === 'DC')?.id ?? '';
  expect(judgeFor(rabbit, duck, bench)).toMatchObject({
    verdict: 'odd',
    article: duck,
    priceBefore: '19.5000',
  });
  expect(judgeFor(rabbit, 'nothing', bench).verdict).toBe('refused');
});
