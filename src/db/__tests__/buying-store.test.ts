import type { Pool } from 'mysql2/promise';
import { Decimal } from 'decimal.js';
import { z } from 'zod';
import { historyFrom } from '@/core/kitchen-state';
import {
  mannerIn,
  packOn,
  receivedOn,
  type GoodsLine,
  type KitchenFile,
  type WrittenPurchase,
} from '@/core/kitchen-file';
import { demoKitchen } from '@/core/testing/demo';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { newId } from '../mapping/ids';
import { lastCountOf, mergesOf, spellingsOf } from '../buying/larder';
import { addCount, addMeasure, addWeighing, archiveMeasure, setIngredient } from '../buying/larder-edits';
import { insertArticles } from '../buying/larder-rows';
import {
  archiveArticles,
  archivedAt,
  articlesWithoutPrice,
  editedSince,
  insertImportQuotes,
  withdrawQuotes,
} from '../buying/price-list-quotes';
import {
  clearRows,
  insertListRows,
  replaceRow,
  rowAt,
  listRowsOf,
  samePrice,
  setWanted,
  verdictCounts,
  wantedRows,
  type ImportRow,
} from '../buying/price-list-rows';
import {
  acceptedTwin,
  importBody,
  importById,
  importsOf,
  insertImport,
  rememberColumns,
  setImport,
} from '../buying/price-lists';
import { insertPurchases } from '../buying/purchases';
import { withIds } from '../recipes/recipe-steps';
import { purchaseById, purchasesOf, sameInvoice } from '../buying/purchases-read';
import { readKitchenForDay, readKitchenFrom } from '../kitchen/read-kitchen';
import { pointsOf, receiptsOf } from '../kitchen/read-past';
import { inTransaction, many, one, openPool } from '../sql';

const file = demoKitchen();
const K = file.kitchen.id;
const DAY = '2026-03-14';
const AT = new Date('2026-03-14T12:00:00.000Z');
const manner = mannerIn(file);
const count = z.object({ n: z.union([z.string(), z.number()]).transform(Number) });
let pool: Pool;
let drop: () => Promise<void>;

const articleOf = (code: string): KitchenFile['articles'][number] => {
  const found = file.articles.find((a) => a.code === code);
  if (!found) throw new Error(`there is no ${code}`);
  return found;
};
const ingredientOf = (name: string): KitchenFile['ingredients'][number] => {
  const found = file.ingredients.find((i) => i.name === name);
  if (!found) throw new Error(`there is no ${name}`);
  return found;
};
const supplierOf = (name: string): string => file.suppliers.find((s) => s.name === name)?.id ?? '';

beforeAll(async () => {
  const fresh = await freshDatabase('demo');
  drop = fresh.drop;
  pool = openPool(fresh.url);
});
afterAll(async () => {
  await pool.end();
  await drop();
});

async function book(purchase: WrittenPurchase): Promise<void> {
  const goods = purchase.lines.map((line) => {
    if (line.is !== 'goods') return undefined;
    const article = file.articles.find((a) => a.id === line.article);
    const ingredient = file.ingredients.find((i) => i.id === article?.ingredient);
    if (!article || !ingredient) throw new Error('an unknown article');
    const came = receivedOn(purchase, line, article, ingredient, manner);
    if (!came.ok) throw new Error(came.trouble.message);
    const { acceptedG, money, via } = came.value;
    return { line, ingredientId: ingredient.id, pack: article.pack, acceptedG, money: money.toFixed(4), via };
  });
  await inTransaction(pool, (sql) => insertPurchases(sql, K, [{ purchase, goods }]));
}

const invoice = (
  number: string,
  lines: WrittenPurchase['lines'],
  part: Partial<WrittenPurchase> = {},
): WrittenPurchase => ({
  id: newId(),
  kind: 'invoice',
  supplier: supplierOf('Low Meadow Growers'),
  on: '2026-03-13',
  recordedAt: '2026-03-13T09:00:00.000Z',
  number,
  lines: withIds(lines),
  ...part,
});
const goods = (code: string, part: Partial<GoodsLine> = {}): GoodsLine => ({
  is: 'goods',
  article: articleOf(code).id,
  packs: 2,
  packPrice: '15.00',
  ...part,
});

describe('purchases', () => {
  const bought = invoice('LMG 9001', [
    goods('LE5', { rejected: '1 kg', note: 'wet' }),
    { is: 'deposit', amount: '4.50' },
  ]);
  const credit = invoice('CN 1', [goods('LE5', { packs: 0.2, delivered: '1 kg' })], {
    kind: 'credit note',
    corrects: bought.id,
  });

  test('set a price, fill the store with what was kept, and are found again as they were written', async () => {
    await book(bought);
    await book(credit);
    const { file: read } = await readKitchenFrom(pool, K);
    expect(read.purchases.find((p) => p.id === bought.id)).toEqual(bought);
    expect(read.purchases.find((p) => p.id === credit.id)).toEqual(credit);
    const moved = await many(
      pool,
      z.object({ kind: z.string(), g: z.string() }),
      'SELECT kind, g FROM stock_movement WHERE kitchen_id = ? AND purchase_id IN (?, ?) ORDER BY g DESC',
      [K, bought.id, credit.id],
    );
    // Two boxes of leeks that held 4.86 kg each when one was weighed, one kilo sent back.
    expect(moved).toEqual([
      { kind: 'receipt', g: '8720.000000' },
      { kind: 'return', g: '-1000.000000' },
    ]);
    const points = (await pointsOf(pool, K, [articleOf('LE5').id])).get(articleOf('LE5').id) ?? [];
    expect(points.at(-1)).toMatchObject({ on: '2026-03-13', invoice: 'LMG 9001' });
    expect(points.at(-1)?.price.toString()).toBe('15');
  });

  test('money of the goods and of the rest stand apart in the list, newest first, page by page', async () => {
    const first = await purchasesOf(pool, K, { most: 5 });
    expect(first).toHaveLength(5);
    expect((first[0]?.on ?? '') >= (first[4]?.on ?? '')).toBe(true);
    expect(first.find((p) => p.number === 'LMG 9001')).toMatchObject({
      goods: 30,
      extras: 4.5,
      odd: 1,
      lines: 2,
    });
    expect(first.find((p) => p.number === 'CN 1')).toMatchObject({ goods: -3, kind: 'credit note' });
    const seen = new Set<string>();
    let before: { on: string; id: string } | undefined;
    for (let page = await purchasesOf(pool, K, { most: 20 }); page.length > 0;) {
      for (const p of page) expect(seen.has(p.id)).toBe(false);
      for (const p of page) seen.add(p.id);
      const last = page[page.length - 1];
      before = last && { on: last.on, id: last.id };
      page = await purchasesOf(pool, K, { most: 20, before });
    }
    expect(seen.size).toBe(file.purchases.length + 2);
    const weirside = await purchasesOf(pool, K, { most: 200, supplier: supplierOf('Weirside Game') });
    expect(new Set(weirside.map((p) => p.supplier))).toEqual(new Set(['Weirside Game']));
  });

  test('one is read with its lines, what it corrects and what corrects it', async () => {
    expect(await purchaseById(pool, K, bought.id)).toMatchObject({
      number: 'LMG 9001',
      supplierName: 'Low Meadow Growers',
      credits: [{ number: 'CN 1' }],
      lines: [
        {
          is: 'goods',
          packs: 2,
          packPrice: '15.00',
          acceptedG: 8720,
          money: '30.00',
          rejected: '1 kg',
          note: 'wet',
        },
        { is: 'deposit', amount: '4.50' },
      ],
    });
    expect(await purchaseById(pool, K, credit.id)).toMatchObject({
      corrects: bought.id,
      correctsNumber: 'LMG 9001',
    });
    expect(await purchaseById(pool, K, newId())).toBeUndefined();
  });

  test('the same number of the same supplier cannot be written twice, not even by a program', async () => {
    expect(await sameInvoice(pool, K, bought.supplier, 'LMG 9001', DAY)).toMatchObject({ id: bought.id });
    expect(await sameInvoice(pool, K, supplierOf('Weirside Game'), 'LMG 9001', DAY)).toBeUndefined();
    await expect(book(invoice('LMG 9001', [goods('LE5')]))).rejects.toMatchObject({ errno: 1062 });
    // Suppliers begin their numbers again each year.
    expect(await sameInvoice(pool, K, bought.supplier, 'LMG 9001', '2025-03-13')).toBeUndefined();
    const left = await one(
      pool,
      count,
      "SELECT COUNT(*) AS n FROM purchase WHERE kitchen_id = ? AND number = 'LMG 9001'",
      [K],
    );
    expect(left.n).toBe(1);
  });

  test('receipts come with the money that was paid, credits below 0', async () => {
    const id = articleOf('LE5').id;
    const receipts = (await receiptsOf(pool, K, [id], DAY, AT)).get(id) ?? [];
    const spent = receipts.reduce((sum, r) => sum.plus(r.money), new Decimal(0));
    const whole = historyFrom({ ...file, purchases: [...file.purchases, bought, credit] }, DAY).article(
      id,
    ).receipts;
    expect(spent.toFixed(4)).toBe(whole.reduce((sum, r) => sum.plus(r.money), new Decimal(0)).toFixed(4));
    expect(await receiptsOf(pool, K, [], DAY, AT)).toEqual(new Map());
  });
});

describe('settings of an ingredient', () => {
  const read = async (name: string) => {
    const { file: now } = await readKitchenFrom(pool, K);
    return now.ingredients.find((i) => i.name === name);
  };
  test('basis, article and opened packs are set and taken away again', async () => {
    const { id } = ingredientOf('Carrot');
    await setIngredient(pool, K, id, {
      priceBasis: { by: 'average', days: 14 },
      boughtAs: articleOf('CA10').id,
      partPack: 'whole',
    });
    expect(await read('Carrot')).toMatchObject({
      priceBasis: { by: 'average', days: 14 },
      boughtAs: articleOf('CA10').id,
      partPack: 'whole',
    });
    await setIngredient(pool, K, id, { priceBasis: null, boughtAs: null, partPack: 'part' });
    const after = await read('Carrot');
    expect([after?.priceBasis, after?.boughtAs, after?.partPack]).toEqual([undefined, undefined, 'part']);
    await setIngredient(pool, K, id, {});
  });
  test('a weight that was asked for stands beside those that were known', async () => {
    const { id } = ingredientOf('Carrot');
    await setIngredient(pool, K, id, { piece: { unit: 'bunch', g: 500 } });
    await setIngredient(pool, K, id, { piece: { unit: 'box', g: 9000 }, densityGPerMl: 0.58 });
    expect(await read('Carrot')).toMatchObject({
      pieceG: { bunch: 500, box: 9000 },
      densityGPerMl: 0.58,
      composition: { water: 88 },
    });
  });
  test('counts, weighings and measures', async () => {
    const { id } = ingredientOf('Carrot');
    await addCount(pool, K, id, file.people[0]?.id ?? '', DAY, AT, '2 bunches', 1000);
    expect(await lastCountOf(pool, K, id)).toEqual({ on: DAY, amount: '2 bunches' });
    await addWeighing(pool, K, articleOf('CA10').id, DAY, AT, '9.7 kg', 9700);
    const day = await readKitchenForDay(pool, K, DAY);
    const carrots = day.state.articles.find((a) => a.code === 'CA10');
    expect(carrots?.weighings).toMatchObject([{ on: DAY, held: '9.7 kg' }]);
    const measure = newId();
    await addMeasure(pool, K, measure, 'jug', '1.5 l');
    expect((await readKitchenFrom(pool, K)).file.measures.map((m) => m.name)).toContain('jug');
    expect(await archiveMeasure(pool, K, measure, AT)).toBe(true);
    expect(await archiveMeasure(pool, K, measure, AT)).toBe(false);
    expect((await readKitchenFrom(pool, K)).file.measures.map((m) => m.name)).not.toContain('jug');
  });
  test('a merge is a pointer that is set and taken away', async () => {
    const [from, into] = [ingredientOf('Shallots, banana'), ingredientOf('Shallot')];
    await setIngredient(pool, K, from.id, { mergedInto: into.id });
    expect(await mergesOf(pool, K)).toMatchObject([
      { id: from.id, name: 'Shallots, banana', into: 'Shallot' },
    ]);
    expect(await spellingsOf(pool, K, into.id)).toEqual([{ id: from.id, name: 'Shallots, banana' }]);
    await setIngredient(pool, K, from.id, { mergedInto: null });
    expect(await mergesOf(pool, K)).toEqual([]);
  });
});

describe('price lists', () => {
  const id = newId();
  const supplier = supplierOf('Weirside Game');
  const row = (line: number, part: Partial<ImportRow> = {}): ImportRow => ({
    line,
    code: `C${line}`,
    name: `Thing ${line}`,
    pack: '5 kg',
    priceTyped: '9,90',
    price: '9.90',
    verdict: 'moved',
    article: articleOf('VB10').id,
    ...part,
  });
  const LINES = [
    row(1),
    row(2, { verdict: 'odd' }),
    row(3, { verdict: 'ask', article: undefined }),
    row(4, { verdict: 'refused', price: undefined }),
    row(5, { verdict: 'same' }),
  ];

  test('a list is kept with its file, found again, and its columns are remembered', async () => {
    const body = Buffer.from([0xef, 0xbb, 0xbf, 0x61, 0x00, 0xff]);
    await insertImport(pool, K, {
      id,
      supplier,
      fileName: 'list.csv',
      sha256: 'a'.repeat(64),
      body,
      at: AT,
      personId: file.people[0]?.id ?? '',
      oddShare: 0.15,
    });
    expect(await importBody(pool, K, id)).toEqual(body);
    expect(await importById(pool, K, id)).toMatchObject({
      state: 'columns',
      supplierName: 'Weirside Game',
      oddShare: 0.15,
      version: 1,
    });
    await rememberColumns(pool, K, supplier, { price: 'Net', name: 'What' });
    expect((await readKitchenFrom(pool, K)).file.suppliers.find((s) => s.id === supplier)?.columns).toEqual({
      price: 'Net',
      name: 'What',
    });
    await setImport(pool, K, id, {
      state: 'preview',
      on: DAY,
      columns: { price: 'Net', mark: ',' },
      oddShare: 0.2,
    });
    expect(await importById(pool, K, id)).toMatchObject({
      state: 'preview',
      on: DAY,
      columns: { price: 'Net', mark: ',' },
      oddShare: 0.2,
      version: 2,
    });
    expect((await importsOf(pool, K)).map((i) => i.id)).toEqual([id]);
  });

  test('only moved rows are taken unless somebody says otherwise', async () => {
    await insertListRows(pool, K, id, LINES);
    const wanted = async (): Promise<number[]> => (await wantedRows(pool, K, id)).map((r) => r.line);
    expect(await wanted()).toEqual([1]);
    await setWanted(pool, K, id, { line: 2 }, true);
    expect(await wanted()).toEqual([1, 2]);
    await setWanted(pool, K, id, { verdict: 'moved' }, false);
    expect(await wanted()).toEqual([2]);
    await replaceRow(pool, K, id, {
      ...row(3, { verdict: 'ask', article: undefined }),
      ingredient: ingredientOf('Carrot').id,
      wanted: true,
    });
    expect(await wanted()).toEqual([2, 3]);
    // A row without a price is never written, whatever is wanted.
    await setWanted(pool, K, id, { line: 4 }, true);
    expect(await wanted()).toEqual([2, 3]);
    expect(await verdictCounts(pool, K, id)).toEqual(
      new Map([
        ['moved', { rows: 1, wanted: 0 }],
        ['odd', { rows: 1, wanted: 1 }],
        ['ask', { rows: 1, wanted: 1 }],
        ['refused', { rows: 1, wanted: 1 }],
        ['same', { rows: 1, wanted: 0 }],
      ]),
    );
    expect(await rowAt(pool, K, id, 5)).toMatchObject({ verdict: 'same', wanted: undefined });
    expect(await listRowsOf(pool, K, id, 'odd', 0, 10)).toHaveLength(1);
    expect(await clearRows(pool, K, id)).toBe(5);
  });

  test('its prices count from their day, and are withdrawn without those edited since', async () => {
    const [bones, loin] = [articleOf('VB10').id, articleOf('VL').id];
    const price = async (article: string): Promise<string | undefined> =>
      (await readKitchenForDay(pool, K, DAY)).history.article(article).points[0]?.price.toString();
    const before = await price(bones);
    const later = new Date(AT.getTime() + 1000);
    await insertImportQuotes(pool, K, id, DAY, AT, [
      { article: bones, typed: '30,00', price: '30' },
      { article: loin, typed: '120,00', price: '120' },
    ]);
    expect(await price(bones)).toBe('30');
    expect(await editedSince(pool, K, id)).toEqual([]);
    const other = newId();
    await insertImport(pool, K, {
      id: other,
      supplier,
      fileName: 'next.csv',
      sha256: 'b'.repeat(64),
      body: Buffer.from('x'),
      at: later,
      personId: file.people[0]?.id ?? '',
      oddShare: 0.15,
    });
    await insertImportQuotes(pool, K, other, DAY, later, [{ article: loin, typed: '125', price: '125' }]);
    expect(await editedSince(pool, K, id)).toEqual([
      { article: loin, name: articleOf('VL').name, price: '125.00' },
    ]);
    expect(await withdrawQuotes(pool, K, id, [loin], later)).toEqual([bones]);
    expect(await price(bones)).toBe(before);
    // What was known before it was taken back still counts it.
    const then = await readKitchenForDay(pool, K, DAY, new Date(later.getTime() - 1));
    expect(then.history.article(bones).points[0]?.price.toString()).toBe('30');
    expect(await price(loin)).toBe('125');
    expect(await withdrawQuotes(pool, K, id, [], later)).toEqual([loin]);
    // What was withdrawn is in no file and no chart.
    const { file: read } = await readKitchenFrom(pool, K);
    expect(read.articles.find((a) => a.id === bones)?.quotes).toEqual(articleOf('VB10').quotes);
  });

  test('an accepted list is known by its content', async () => {
    expect(await acceptedTwin(pool, K, supplier, 'a'.repeat(64))).toBeUndefined();
    await setImport(pool, K, id, { state: 'accepted', acceptedAt: AT });
    expect(await acceptedTwin(pool, K, supplier, 'a'.repeat(64))).toMatchObject({ id });
  });

  test('an article that only a withdrawn list priced is bare; what was archived at an instant is found', async () => {
    const old = articleOf('DC');
    const ingredient = ingredientOf('Duck carcass');
    const fresh = { ...old, id: newId(), pack: '8 kg', quotes: [] };
    const pack = packOn(fresh, ingredient, DAY, manner);
    if (!pack.ok) throw new Error(pack.trouble.message);
    await insertArticles(pool, K, [{ article: fresh, pack: pack.value }], 999);
    await archiveArticles(pool, K, [old.id], AT);
    expect((await archivedAt(pool, K, AT)).map((a) => a.id)).toEqual([old.id]);
    expect((await articlesWithoutPrice(pool, K, [fresh.id, articleOf('VB10').id])).map((a) => a.id)).toEqual([
      fresh.id,
    ]);
    expect(await articlesWithoutPrice(pool, K, [])).toEqual([]);
    await archiveArticles(pool, K, [old.id], null);
    expect((await readKitchenFrom(pool, K)).file.articles.map((a) => a.id)).toContain(old.id);
  });

  test('a price is the same by its value, not by how it is written', () => {
    expect(samePrice('24.0000', new Decimal(24))).toBe(true);
    expect(samePrice('24.01', new Decimal(24))).toBe(false);
    expect(samePrice(undefined, undefined)).toBe(true);
    expect(samePrice(undefined, new Decimal(0))).toBe(false);
  });
});
