import type { GoodsLine, WrittenLine, WrittenPurchase } from '@/core/kitchen-file';
import { newId } from '../mapping/ids';
import { z } from 'zod';
import { figure, id } from '../mapping/rows';
import { insertAll, many, run, type Sql, insertRows } from '../sql';

/** A goods line with what it came to. */
export interface BookedLine {
  readonly line: GoodsLine;
  readonly ingredientId: string;
  /** What a pack is, as typed. */
  readonly pack: string;
  readonly acceptedG: number;
  /** Net of tax, exact; negative on a credit note. */
  readonly money: string;
  readonly via: string;
}

/** A purchase with its goods lines in the order of its lines; undefined where a line is money only. */
export interface BookedPurchase {
  readonly purchase: WrittenPurchase;
  readonly goods: readonly (BookedLine | undefined)[];
}

type Booked = BookedLine & { readonly purchase: WrittenPurchase };

/**
 * Writes purchases: their lines, a dated price for each goods line of an invoice, and a stock movement
 * for each that brought something (or took something back).
 */
export async function insertPurchases(
  sql: Sql,
  kitchenId: string,
  purchases: readonly BookedPurchase[],
  personId: string | null = null,
): Promise<void> {
  await insertRows(
    sql,
    'purchase',
    purchases.map(({ purchase: p }) => ({
      kitchen_id: kitchenId,
      id: p.id,
      supplier_id: p.supplier,
      effective_on: p.on,
      recorded_at: new Date(p.recordedAt),
      kind: p.kind,
      number: p.number,
    })),
  );
  for (const { purchase: p } of purchases)
    if (p.corrects !== undefined)
      await run(sql, 'UPDATE purchase SET corrects_id = ? WHERE kitchen_id = ? AND id = ?', [
        p.corrects,
        kitchenId,
        p.id,
      ]);
  await insertAll(
    sql,
    'purchase_line',
    [
      'kitchen_id',
      'id',
      'purchase_id',
      'position',
      'kind',
      'article_id',
      'packs',
      'pack_price',
      'delivered_typed',
      'rejected_typed',
      'in_place_of',
      'accepted_g',
      'money',
      'amount',
      'note',
    ],
    purchases.flatMap(({ purchase: p, goods }) =>
      p.lines.map((line, i) => [kitchenId, line.id ?? newId(), p.id, i, ...lineValues(line, goods[i])]),
    ),
  );
  const booked = purchases.flatMap(({ purchase, goods }) =>
    goods.flatMap((g) => (g ? [{ purchase, ...g }] : [])),
  );
  await insertQuotes(sql, kitchenId, booked);
  await insertMovements(sql, kitchenId, booked, personId);
}

/** What an invoice says a pack costs is a dated price; a credit note says none. */
const insertQuotes = (sql: Sql, kitchenId: string, booked: readonly Booked[]): Promise<void> =>
  insertRows(
    sql,
    'price_quote',
    booked
      .filter(({ purchase }) => purchase.kind === 'invoice')
      .map(({ purchase: p, line }) => ({
        kitchen_id: kitchenId,
        id: newId(),
        article_id: line.article,
        effective_on: p.on,
        recorded_at: new Date(p.recordedAt),
        price_typed: line.packPrice,
        price: line.packPrice,
        purchase_id: p.id,
      })),
  );

/** What stands in a line's row after its place, in the order of the columns above. */
function lineValues(l: WrittenLine, came: BookedLine | undefined) {
  const note = l.note ?? null;
  if (l.is !== 'goods') return [l.is, null, null, null, null, null, null, null, null, l.amount, note];
  return [
    l.is,
    l.article,
    l.packs,
    l.packPrice,
    l.delivered ?? null,
    l.rejected ?? null,
    l.inPlaceOf ?? null,
    came?.acceptedG.toFixed(6) ?? null,
    came?.money ?? null,
    null,
    note,
  ];
}

async function insertMovements(
  sql: Sql,
  kitchenId: string,
  booked: readonly Booked[],
  personId: string | null,
): Promise<void> {
  const moved = booked.filter((b) => b.acceptedG !== 0).map((b) => ({ ...b, lot: newId() }));
  await insertRows(
    sql,
    'lot',
    moved.map((m) => ({
      kitchen_id: kitchenId,
      id: m.lot,
      ingredient_id: m.ingredientId,
      made_on: m.purchase.on,
    })),
  );
  await insertRows(
    sql,
    'stock_movement',
    moved.map(({ purchase: p, line, ...m }) => ({
      kitchen_id: kitchenId,
      id: newId(),
      lot_id: m.lot,
      kind: m.acceptedG > 0 ? 'receipt' : 'return',
      effective_on: p.on,
      recorded_at: new Date(p.recordedAt),
      person_id: personId,
      g: m.acceptedG.toFixed(6),
      typed: (line.delivered ?? `${line.packs} x ${m.pack}`).slice(0, 80),
      via: m.via,
      purchase_id: p.id,
    })),
  );
}

/**
 * Takes a purchase back, or lets it stand again: its prices with it, and what it brought into stock is moved the other way. Nothing of
 * it is deleted, and what was known in between still counts it.
 * @param back true where it is taken back
 */
export async function withdrawPurchase(
  sql: Sql,
  kitchenId: string,
  purchaseId: string,
  back: boolean,
  by: { readonly person: string; readonly on: string; readonly at: Date },
): Promise<void> {
  const withdrawn = back ? by.at : null;
  await run(sql, 'UPDATE purchase SET withdrawn_at = ? WHERE kitchen_id = ? AND id = ?', [
    withdrawn,
    kitchenId,
    purchaseId,
  ]);
  await run(sql, 'UPDATE price_quote SET withdrawn_at = ? WHERE kitchen_id = ? AND purchase_id = ?', [
    withdrawn,
    kitchenId,
    purchaseId,
  ]);
  const lots = await many(
    sql,
    z.object({ lot: id, came: figure, stands: figure, typed: z.string() }),
    "SELECT lot_id AS lot, SUM(IF(kind = 'taken back', 0, g)) AS came, SUM(g) AS stands, MAX(typed) AS typed FROM stock_movement WHERE kitchen_id = ? AND purchase_id = ? GROUP BY lot_id",
    [kitchenId, purchaseId],
  );
  await insertRows(
    sql,
    'stock_movement',
    lots
      .map((l) => ({ ...l, g: (back ? 0 : l.came) - l.stands }))
      .filter((l) => l.g !== 0)
      .map((l) => ({
        kitchen_id: kitchenId,
        id: newId(),
        lot_id: l.lot,
        kind: 'taken back',
        effective_on: by.on,
        recorded_at: by.at,
        person_id: by.person,
        g: l.g.toFixed(6),
        typed: l.typed,
        via: 'taken back',
        purchase_id: purchaseId,
      })),
  );
}
