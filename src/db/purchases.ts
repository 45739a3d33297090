import type { GoodsLine, WrittenPurchase } from '@/core/kitchen-file';
import { newId } from './ids';
import { insertAll, type Sql } from './sql';

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
  await insertAll(
    sql,
    'purchase',
    ['kitchen_id', 'id', 'supplier_id', 'effective_on', 'recorded_at', 'kind', 'number'],
    purchases.map(({ purchase: p }) => [
      kitchenId,
      p.id,
      p.supplier,
      p.on,
      new Date(p.recordedAt),
      p.kind,
      p.number,
    ]),
  );
  for (const { purchase: p } of purchases)
    if (p.corrects !== undefined)
      await sql.execute('UPDATE purchase SET corrects_id = ? WHERE kitchen_id = ? AND id = ?', [
        p.corrects,
        kitchenId,
        p.id,
      ]);
  await insertAll(
    sql,
    'purchase_line',
    [
      'kitchen_id',
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
      p.lines.map((l, i) =>
        l.is === 'goods'
          ? [
              kitchenId,
              p.id,
              i,
              l.is,
              l.article,
              l.packs,
              l.packPrice,
              l.delivered ?? null,
              l.rejected ?? null,
              l.inPlaceOf ?? null,
              goods[i]?.acceptedG.toFixed(6) ?? null,
              goods[i]?.money ?? null,
              null,
              l.note ?? null,
            ]
          : [
              kitchenId,
              p.id,
              i,
              l.is,
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              null,
              l.amount,
              l.note ?? null,
            ],
      ),
    ),
  );
  const booked = purchases.flatMap(({ purchase, goods }) =>
    goods.flatMap((g) => (g ? [{ purchase, ...g }] : [])),
  );
  await insertAll(
    sql,
    'price_quote',
    ['kitchen_id', 'id', 'article_id', 'effective_on', 'recorded_at', 'price_typed', 'price', 'purchase_id'],
    booked
      .filter(({ purchase }) => purchase.kind === 'invoice')
      .map(({ purchase: p, line }) => [
        kitchenId,
        newId(),
        line.article,
        p.on,
        new Date(p.recordedAt),
        line.packPrice,
        line.packPrice,
        p.id,
      ]),
  );
  await insertMovements(sql, kitchenId, booked, personId);
}

async function insertMovements(
  sql: Sql,
  kitchenId: string,
  booked: readonly (BookedLine & { readonly purchase: WrittenPurchase })[],
  personId: string | null,
): Promise<void> {
  const moved = booked.filter((b) => b.acceptedG !== 0).map((b) => ({ ...b, lot: newId() }));
  await insertAll(
    sql,
    'lot',
    ['kitchen_id', 'id', 'ingredient_id', 'made_on'],
    moved.map((m) => [kitchenId, m.lot, m.ingredientId, m.purchase.on]),
  );
  await insertAll(
    sql,
    'stock_movement',
    [
      'kitchen_id',
      'id',
      'lot_id',
      'kind',
      'effective_on',
      'recorded_at',
      'person_id',
      'g',
      'typed',
      'via',
      'purchase_id',
    ],
    moved.map(({ purchase: p, line, ...m }) => [
      kitchenId,
      newId(),
      m.lot,
      m.acceptedG > 0 ? 'receipt' : 'return',
      p.on,
      new Date(p.recordedAt),
      personId,
      m.acceptedG.toFixed(6),
      (line.delivered ?? `${line.packs} x ${m.pack}`).slice(0, 80),
      m.via,
      p.id,
    ]),
  );
}
