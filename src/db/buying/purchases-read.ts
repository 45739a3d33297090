import { z } from 'zod';
import { refuse, type Trouble } from '@/core/trouble';
import { figure, id, instant, nullable, nullableFigure, money } from '../mapping/rows';
import { many, maybeOne, type Sql } from '../sql';

export interface PurchaseRow {
  readonly id: string;
  readonly kind: 'invoice' | 'credit note';
  readonly on: string;
  readonly number: string;
  readonly supplier: string;
  /** Goods, net; negative on a credit note. */
  readonly goods: number;
  readonly extras: number;
  readonly lines: number;
  /** Lines where something else came than was invoiced. */
  readonly odd: number;
  /** Taken back: it counts no more. */
  readonly withdrawn: boolean;
}

/** Purchases, newest first, a page at a time: `before` is the last of the page before. */
export const purchasesOf = (
  sql: Sql,
  kitchenId: string,
  asked: { supplier?: string | undefined; before?: { on: string; id: string } | undefined; most: number },
): Promise<PurchaseRow[]> =>
  many(
    sql,
    z.object({
      id,
      kind: z.enum(['invoice', 'credit note']),
      on: z.string(),
      number: z.string(),
      supplier: z.string(),
      goods: figure,
      extras: figure,
      lines: figure,
      odd: figure,
      withdrawn: z.coerce.boolean(),
    }),
    // In this order whatever the statistics say: one page of purchases, then their own lines.
    `SELECT STRAIGHT_JOIN p.id, p.kind, p.effective_on AS \`on\`, p.number, s.name AS supplier,
            COALESCE(SUM(l.money), 0) AS goods,
            COALESCE(SUM(CASE l.kind WHEN 'discount' THEN -l.amount ELSE l.amount END), 0) AS extras,
            COUNT(*) AS \`lines\`,
            SUM(l.delivered_typed IS NOT NULL OR l.rejected_typed IS NOT NULL OR l.in_place_of IS NOT NULL) AS odd,
            p.withdrawn_at IS NOT NULL AS withdrawn
       FROM (SELECT * FROM purchase WHERE kitchen_id = ? ${asked.supplier ? 'AND supplier_id = ?' : ''}
             ${asked.before ? 'AND (effective_on < ? OR (effective_on = ? AND id < ?))' : ''}
             ORDER BY effective_on DESC, id DESC LIMIT ${Math.min(200, Math.floor(asked.most))}) p
       JOIN supplier s ON s.kitchen_id = p.kitchen_id AND s.id = p.supplier_id
       JOIN purchase_line l ON l.kitchen_id = p.kitchen_id AND l.purchase_id = p.id
      GROUP BY p.id, p.kind, p.effective_on, p.number, s.name, p.withdrawn_at
      ORDER BY p.effective_on DESC, p.id DESC`,
    [
      kitchenId,
      ...(asked.supplier ? [asked.supplier] : []),
      ...(asked.before ? [asked.before.on, asked.before.on, asked.before.id] : []),
    ],
  );

/** One purchase with its lines as typed and as they came to. */
export async function purchaseById(sql: Sql, kitchenId: string, purchaseId: string) {
  const head = await maybeOne(
    sql,
    z.object({
      id,
      kind: z.enum(['invoice', 'credit note']),
      corrects: nullable(id),
      correctsNumber: nullable(z.string()),
      supplier: id,
      supplierName: z.string(),
      on: z.string(),
      recordedAt: instant,
      number: z.string(),
      withdrawnAt: nullable(instant),
    }),
    // In this order whatever the statistics say: one page of purchases, then their own lines.
    `SELECT STRAIGHT_JOIN p.id, p.kind, p.withdrawn_at AS withdrawnAt, p.corrects_id AS corrects, c.number AS correctsNumber, p.supplier_id AS supplier, s.name AS supplierName,
            p.effective_on AS \`on\`, p.recorded_at AS recordedAt, p.number
       FROM purchase p JOIN supplier s ON s.kitchen_id = p.kitchen_id AND s.id = p.supplier_id
       LEFT JOIN purchase c ON c.kitchen_id = p.kitchen_id AND c.id = p.corrects_id
      WHERE p.kitchen_id = ? AND p.id = ?`,
    [kitchenId, purchaseId],
  );
  if (!head) return undefined;
  const lines = await many(
    sql,
    z.object({
      is: z.enum(['goods', 'deposit', 'tax', 'delivery', 'discount']),
      article: nullable(id),
      packs: nullableFigure,
      packPrice: nullable(money),
      delivered: nullable(z.string()),
      rejected: nullable(z.string()),
      inPlaceOf: nullable(id),
      acceptedG: nullableFigure,
      money: nullable(money),
      amount: nullable(money),
      note: nullable(z.string()),
    }),
    'SELECT kind AS `is`, article_id AS article, packs, pack_price AS packPrice, delivered_typed AS delivered, rejected_typed AS rejected, in_place_of AS inPlaceOf, accepted_g AS acceptedG, money, amount, note FROM purchase_line WHERE kitchen_id = ? AND purchase_id = ? ORDER BY position',
    [kitchenId, purchaseId],
  );
  const credits = await many(
    sql,
    z.object({ id, number: z.string(), on: z.string() }),
    'SELECT id, number, effective_on AS `on` FROM purchase WHERE kitchen_id = ? AND corrects_id = ? AND withdrawn_at IS NULL ORDER BY effective_on, id',
    [kitchenId, purchaseId],
  );
  return { ...head, lines, credits };
}

/** A purchase of that number from that supplier in the year of a day, if it is written down already: numbers start again each year. */
export const sameInvoice = (
  sql: Sql,
  kitchenId: string,
  supplierId: string,
  number: string,
  on: string,
): Promise<{ id: string; on: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ id, on: z.string() }),
    'SELECT id, effective_on AS `on` FROM purchase WHERE kitchen_id = ? AND supplier_id = ? AND number = ? AND number_year = ? AND withdrawn_at IS NULL',
    [kitchenId, supplierId, number, Number(on.slice(0, 4)) || 0],
  );

type Found = NonNullable<Awaited<ReturnType<typeof purchaseById>>>;

/** Why a purchase cannot be taken back, or stand again; undefined where it can. */
export async function notBack(
  sql: Sql,
  kitchenId: string,
  found: Found,
  back: boolean,
): Promise<Trouble | undefined> {
  const no = (message: string): Trouble => refuse('cannot-take-back', '', message).trouble;
  if (back === (found.withdrawnAt !== undefined))
    return no(back ? 'This is undone already.' : 'This is in the price book already.');
  const [credit] = found.credits;
  if (back && credit)
    return no(`Credit note ${credit.number} corrects it, of ${credit.on}: undo that first.`);
  const twin = back ? undefined : await sameInvoice(sql, kitchenId, found.supplier, found.number, found.on);
  if (twin) return no(`${found.number} has been entered again, for ${twin.on}: undo that first.`);
  const of =
    back || found.corrects === undefined ? undefined : await purchaseById(sql, kitchenId, found.corrects);
  return of?.withdrawnAt === undefined
    ? undefined
    : no(`Invoice ${of.number}, which it corrects, was undone: restore that first.`);
}

/** The invoice of a day that has a number; of several suppliers’ the one written down last. */
export const purchaseCalled = (
  sql: Sql,
  kitchenId: string,
  on: string,
  number: string,
): Promise<{ id: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ id }),
    'SELECT id FROM purchase WHERE kitchen_id = ? AND effective_on = ? AND number = ? AND withdrawn_at IS NULL ORDER BY recorded_at DESC, id DESC LIMIT 1',
    [kitchenId, on, number],
  );

/** Invoices and credit notes whose number begins so, or has it in it; the newest first. */
export const invoicesLike = (
  sql: Sql,
  kitchenId: string,
  number: string,
  most: number,
): Promise<{ id: string; number: string; kind: 'invoice' | 'credit note'; supplier: string }[]> =>
  many(
    sql,
    z.object({
      id: z.string(),
      number: z.string(),
      kind: z.enum(['invoice', 'credit note']),
      supplier: z.string(),
    }),
    `SELECT p.id, p.number, p.kind, s.name AS supplier FROM purchase p JOIN supplier s ON s.kitchen_id = p.kitchen_id AND s.id = p.supplier_id WHERE p.kitchen_id = ? AND p.number LIKE ? ORDER BY p.effective_on DESC, p.id DESC LIMIT ${Math.trunc(most)}`,
    [kitchenId, `%${number.replace(/[\\%_]/g, (c) => `\\${c}`)}%`],
  );
